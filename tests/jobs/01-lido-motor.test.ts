import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step } from './job'

/** 1. Lido main pump: new motor behind the old wet end. Condemned last week; the front half stays on its pipes. */
const visit = play({
  machine: {
    kind: 'pool',
    construction: 'band-clamp',
    nameplate: { volts: 230, hertz: 60, motorType: 'permanent-split', horsepower: 1.5, serviceFactor: 1.1 },
    installedOn: '2017-06-01',
  },
  place: 'Millrace Lido',
  call: { complaints: ['trips-breaker'], says: 'motor condemned last week', wishes: ['swap-motor'] },
  do: [
    { gate: 'power-off' },
    { gate: 'proved-dead' },
    { choose: ['swap-motor'] },
    { tick: 'work:motor:match' },
    { tick: 'work:motor:read-new' },
    { tick: 'down:cool' },
    { tick: 'down:valves' },
    { tick: 'down:drain' },
    { tick: 'down:support' },
    { tick: 'down:clamp' },
    { tick: 'down' },
    { tick: 'work' },
    {
      plate: {
        volts: 230,
        horsepower: 1,
        serviceFactor: 1.65,
        fullLoadAmps: 8.5,
        serviceFactorAmps: 9.6,
        motorType: 'permanent-split',
      },
      warrantyUntil: '2028-06-02',
    },
    { tick: 'all' },
    { prove: 'loaded 231' },
    { prove: 'running 8.3' },
    { prove: 'weep dry' },
    { handOver: { watch: 'lid ring is old but dry', next: '2027-04-01' } },
  ],
})

it('is one job, asked for, carried out to the end', () => {
  expect(visit.jobs).toMatchObject([{ id: 'swap-motor', state: 'agreed', from: 'wish' }])
  allBack(visit)
})
it('the new motor is matched and read before anything is open; Safe’s lock is not asked for again', () => {
  inOrder(visit, 'work:motor:match', 'work:motor:read-new', 'down:valves', 'down:clamp')
  // Nobody ticked it: what Safe shut stands as opened since then.
  expect(visit.plan.order[0]).toBe('work:motor:match')
  expect(visit.refused).toEqual([])
})
it('2 before 3: the cap off and the capacitor bled before the bond, the wires after', () =>
  inOrder(visit, 'down:rear-cover', 'down:discharge', 'down:bonding', 'down:photograph', 'down:terminals'))
it('both halves of the seal before the impeller; seat in the plate, spring half on the hub', () => {
  inOrder(visit, 'work:shaft-seal:seat', 'work:shaft-seal:spring', 'back:seal-plate', 'back:impeller')
  expect(step(visit, 'work:shaft-seal:seat').text).toMatch(/into the plate/)
  expect(step(visit, 'work:shaft-seal:spring').text).toMatch(/onto the impeller hub/)
})
it('the cap closes after the grip; bond last but the breaker; ring before the band; water before power', () => {
  inOrder(visit, 'back:impeller', 'back:rear-cover', 'back:bonding', 'back:make-dead')
  inOrder(visit, 'work:housing-o-ring:groove', 'back:part-halves', 'back:clamp')
  inOrder(visit, 'work:volute:prime', 'back:make-dead', 'work:discharge-pipe:stream')
})
it('takes the motor, the seal and the two rings, at one price', () => {
  expect(parts(visit)).toEqual(expect.arrayContaining(['motor', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring']))
  oneClockOnePrice(visit)
})
it('the new plate judges, and the card keeps old and new with their dates', () => {
  expect(visit.sheet.proved).toContainEqual(
    expect.objectContaining({ label: 'Current', after: '8.3 A', verdict: 'sound' }),
  )
  expect(visit.card.nameplate).toMatchObject({ horsepower: 1, serviceFactor: 1.65 })
  expect(visit.card.fitted).toMatchObject([
    { part: 'motor', since: '2017-06-01', until: '2026-06-02', nameplate: { horsepower: 1.5 } },
    { part: 'motor', since: '2026-06-02', nameplate: { horsepower: 1 } },
  ])
  expect(visit.sheet).toMatchObject({ next: '2027-04-01', watch: ['lid ring is old but dry'] })
})
