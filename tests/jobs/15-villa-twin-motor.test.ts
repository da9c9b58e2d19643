import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, play, step } from './job'

/** 15. Villa with solar roof: squealing solar-circuit pump on a timer, an identical motor at hand. */
const visit = play({
  machine: {
    kind: 'pool',
    construction: 'bolted-seal-plate',
    nameplate: { volts: 230, hertz: 60, horsepower: 1.5, serviceFactor: 1.1, motorType: 'permanent-split' },
  },
  place: 'Villa above the orchards',
  call: { complaints: ['noise-squeal'], says: 'squeals for weeks', wishes: ['swap-motor'] },
  do: [
    'timer off -> not enough, brkr off',
    'L1 dead L2 dead gnd ok',
    { choose: ['swap-motor'] },
    { until: 'down:rear-cover' },
    { tick: 'down:rear-cover', count: 1 },
    { until: 'down:cover-bolts' },
    {
      tick: 'down:cover-bolts',
      count: 4,
      places: [
        { place: 'two up', count: 2 },
        { place: 'two down', count: 2 },
      ],
    },
    'cover 4, gap 1/16',
    { until: 'down:diffuser' },
    { tick: 'down:diffuser', count: 3 },
    { tick: 'all' },
    {
      plate: { volts: 230, horsepower: 1.5, serviceFactor: 1.1, serviceFactorAmps: 9.2, motorType: 'permanent-split' },
    },
    { handOver: { watch: 'air leaves by the filter valve for a minute at first', next: '2026-06-03' } },
  ],
})

it('a timer at off is no lock: the breaker is, and each line is proved', () => {
  const said = visit.after.slice(0, 2).flatMap(({ understood }) => understood.other)
  expect(said).toEqual([
    { is: 'gate', gate: 'power-off', shut: true },
    { is: 'gate', gate: 'proved-dead', shut: true },
  ])
  // Carried in from Safe: the wires are not asked for a second proof.
  expect(visit.refused).toEqual([])
})
it('a gap that is pried is no reading of an impeller', () =>
  expect(visit.after.at(-1)?.understood).toMatchObject({ findings: [], ask: expect.anything() }))
it('5 → 6 → 7 → 8: the eye screw, then what hides the impeller, the impeller, the cover with its seal', () => {
  inOrder(visit, 'down:diffuser', 'down:lock-screw', 'down:impeller', 'down:seal-plate')
  expect(step(visit, 'down:lock-screw').text).toMatch(/left-handed, turn it clockwise/)
  expect(step(visit, 'down:impeller').text).toMatch(/counter-clockwise/)
})
it('4 → seal → impeller on the way back; elbow before terminals, bond last, water before power', () => {
  inOrder(visit, 'work:shaft-seal:spring', 'back:seal-plate', 'back:impeller', 'back:lock-screw', 'back:diffuser')
  inOrder(visit, 'back:conduit', 'back:terminals', 'back:rear-cover', 'back:bonding', 'back:make-dead')
  inOrder(visit, 'work:volute:prime', 'back:make-dead', 'work:discharge-pipe:stream')
})
it('each circle of bolts is started before one is tight', () => {
  expect(step(visit, 'back:cover-bolts').text).toMatch(/All cover bolts started by hand/)
  expect(step(visit, 'back:seal-plate').text).toMatch(/all four bolts started by hand/)
})
it('counts as it was, on card and way back: four on the cover, three on the diffuser, one on the cap', () => {
  const joints = Object.fromEntries((visit.card.joints ?? []).map(({ joint, count }) => [joint, count]))
  expect(joints).toMatchObject({ 'rear-cover': 1, 'cover-bolts': 4 })
  expect(step(visit, 'back:cover-bolts').count).toBe(4)
  expect(step(visit, 'back:diffuser').count).toBe(3)
})
it('the identical motor is entered all the same; its seal is new by default', () => {
  expect(visit.card.fitted).toMatchObject([
    { part: 'motor', until: '2026-06-02' },
    { part: 'motor', since: '2026-06-02', nameplate: { serviceFactorAmps: 9.2 } },
  ])
  expect(visit.plan.parts.map((each) => ('part' in each ? each.part : ''))).toContain('shaft-seal')
})
it('is whole, and costs what it takes', () => {
  allBack(visit)
  oneClockOnePrice(visit)
})
