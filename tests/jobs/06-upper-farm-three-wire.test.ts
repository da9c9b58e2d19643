import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step, without } from './job'

/** 6. Upper farm: pulled three-wire on trestles, which instrument decides. A new motor of the same rating stands by. */
const visit = play({
  machine: {
    kind: 'well-three-wire',
    construction: 'submersible-joined',
    nameplate: { volts: 230, hertz: 60, horsepower: 1, motorType: 'capacitor-start' },
    installation: { onlySupply: true },
    standing: 'bench',
  },
  call: { complaints: ['trips-breaker'], says: 'trips some days' },
  do: [
    'meg .25 blk, .25 yel, .25 red',
    { choose: ['replace-well-motor'] },
    { tick: 'down' },
    { tick: 'all' },
    { plate: { volts: 230, hertz: 60, horsepower: 1, motorType: 'capacitor-start' } },
    { handOver: { watch: 'read the insulation in a year', next: '2027-06-01' } },
  ],
})

it('three readings of a quarter megohm name the motor, and the lamp asks for no second ohmmeter', () => {
  expect(visit.after[0]?.understood.findings).toHaveLength(3)
  expect(visit.after[0]?.top[0]?.fault).toMatch(/winding-to-ground|water-in-motor/)
  expect(visit.after[0]?.lit?.check).not.toBe('ground-ohmmeter')
})
it('the new motor is read before it is joined, and before anything is open', () => {
  inOrder(visit, 'work:motor:read-new', 'down:submersible-joined.head-nuts')
  expect(step(visit, 'work:motor:read-new').text).toMatch(/below 200 MΩ it goes back/)
})
it('joined by opposites, leads before guard, screen last, read again', () =>
  inOrder(
    visit,
    'back:submersible-joined.head-nuts:spline',
    'back:submersible-joined.head-nuts',
    'back:submersible-joined.guard:leads',
    'back:submersible-joined.guard',
    'back:submersible-joined.screen',
  ))
it('buys the motor, no well is opened, one price', () => {
  expect(parts(visit)).toContain('motor')
  without(visit, /make-dead|pull/)
  oneClockOnePrice(visit)
  allBack(visit)
})
