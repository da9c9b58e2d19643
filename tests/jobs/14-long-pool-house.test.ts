import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, play, step } from './job'

/** 14. Long-pool house: everything replaced, the noise stays, so the motor. */
const visit = play({
  machine: {
    kind: 'pool',
    construction: 'bolted-seal-plate',
    nameplate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'permanent-split', frame: '56Y' },
  },
  call: {
    complaints: ['noise-grind'],
    says: 'horrible noise for weeks',
    alreadyReplaced: ['housing-o-ring', 'impeller', 'shaft-seal', 'bearings', 'run-capacitor'],
  },
  do: [
    { gate: 'power-off' },
    { gate: 'proved-dead' },
    { choose: ['swap-motor'] },
    { tick: 'down:cool' },
    { tick: 'down' },
    { tick: 'work' },
    { plate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'permanent-split', frame: '56Y' } },
    { tick: 'all' },
    { prove: 'listen quiet' },
    { handOver: { next: '2026-06-09' } },
  ],
})

it('long bolts with nuts are their own place, and every washer is kept', () => {
  expect(step(visit, 'down:cover-bolts').count).toBe(6)
  expect(step(visit, 'down:cover-bolts')).toMatchObject({ tool: '9/16 in socket' })
})
it('the motor’s own four bolts open nothing: eye screw and impeller first', () =>
  inOrder(visit, 'down:cover-bolts', 'down:part-halves', 'down:lock-screw', 'down:impeller', 'down:seal-plate'))
it('shaft sleeve and conduit plug out before the impeller goes on; elbow before wires; bond before the main', () => {
  inOrder(visit, 'work:motor:sleeve', 'back:impeller')
  inOrder(visit, 'back:conduit', 'back:terminals', 'back:rear-cover', 'back:bonding', 'back:make-dead')
})
it('the new motor resets its own ages, not those of the wet end', () => {
  expect(visit.card.fitted?.map(({ part }) => part)).toEqual(['motor', 'motor'])
  oneClockOnePrice(visit)
  allBack(visit)
})
