import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step } from './job'

/** 11. Mill-owner’s pool: electronic drive behind a bolted seal plate. */
const visit = play({
  machine: {
    kind: 'pool',
    construction: 'bolted-seal-plate',
    nameplate: { volts: 230, hertz: 60, horsepower: 1.5, serviceFactor: 1.3, motorType: 'permanent-split' },
    installation: { dutyHoursPerDay: 10 },
  },
  call: { complaints: ['high-bill'], says: 'wants it to use less', wishes: ['variable-speed-motor'] },
  do: [
    { choose: ['variable-speed-motor'] },
    { tick: 'down' },
    { tick: 'all' },
    { plate: { volts: 230, horsepower: 2.25, motorType: 'electronic' }, warrantyUntil: '2029-06-02' },
    { handOver: { next: '2026-06-03' } },
  ],
})

it('the eye screw and the impeller have opposite hands, and their turns', () => {
  inOrder(visit, 'down:lock-screw', 'down:impeller', 'back:impeller', 'back:lock-screw')
  expect(step(visit, 'down:lock-screw')).toMatchObject({ hand: 'left', turn: 'clockwise' })
})
it('mounted, wired, bonded, primed, and then commissioned', () => {
  inOrder(
    visit,
    'back:seal-plate',
    'back:cover-bolts',
    'back:conduit',
    'back:terminals',
    'work:motor:relay',
    'back:bonding',
    'work:volute:prime',
    'back:make-dead',
    'work:motor:display',
    'work:motor:schedule',
  )
  expect(visit.plan.commission.map(({ id }) => id)).toContain('work:motor:minimum')
  // What is set under power never stands with the work itself.
  expect(visit.plan.work.map(({ id }) => id)).not.toContain('work:motor:schedule')
})
it('the stamp is read before the bolts; the seal is this pump’s, and new', () => {
  expect(step(visit, 'back:seal-plate').id).toBe('back:seal-plate')
  expect(parts(visit)).toEqual(
    expect.arrayContaining(['motor', 'drive-electronics', 'shaft-seal', 'lock-screw-gasket']),
  )
})
it('one clock, one price; the card has the drive’s plate', () => {
  oneClockOnePrice(visit)
  allBack(visit)
  expect(visit.card.nameplate).toMatchObject({ motorType: 'electronic', horsepower: 2.25 })
})
