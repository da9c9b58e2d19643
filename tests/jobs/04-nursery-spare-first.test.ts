import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, play, step } from './job'

/** 4. Trout nursery: sea-trout tank on salt water. The spare goes in first, the old pump is rebuilt after. */
const visit = play({
  machine: {
    kind: 'circulation',
    construction: 'flooded-circulation',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'permanent-split' },
    installation: { livestock: true },
    joints: [{ joint: 'volute-bolts', count: 8 }],
  },
  call: { complaints: ['leak-under-motor'], says: 'weeps and sprays, fish on it' },
  do: [
    { choose: ['replace-shaft-seal'] },
    { spareFirst: true },
    { until: 'back:volute-bolts' },
    // Eight came out: seven do not close it.
    { tick: 'back:volute-bolts', count: 7 },
    { tick: 'back:volute-bolts', count: 8 },
    { tick: 'all' },
    { handOver: { watch: 'a new pump may be loud for a day', next: '2026-06-03' } },
  ],
})

it('parks the water before it is stopped, and takes the plug out once the level is down', () => {
  inOrder(visit, 'down:plug-overflow', 'down:make-dead', 'down:valves', 'down:unions', 'down:pump-out')
  inOrder(visit, 'work:pump:spare', 'back:valves', 'work:volute:prime', 'back:make-dead', 'back:plug-overflow')
})
it('the spare runs before the old pump is opened', () =>
  inOrder(visit, 'back:make-dead', 'work:discharge-pipe:stream', 'back:plug-overflow', 'down:volute-bolts'))
it('the seat out of the impeller, the shell out one way only, no new carbon over a rough shaft', () => {
  inOrder(visit, 'work:shaft-seal:old-seat', 'work:shaft-seal:look-shaft', 'work:shaft-seal:spring', 'back:bracket')
  expect(step(visit, 'work:shaft-seal:old-spring').text).toMatch(/only way out/)
  expect(step(visit, 'work:shaft-seal:look-shaft').caution).toMatch(/Never polish a shaft under power/)
})
it('counts eight bolts on this machine, and seven do not close it', () => {
  expect(step(visit, 'down:volute-bolts').count).toBe(8)
  expect(visit.refused).toMatchObject([
    { step: 'back:volute-bolts', because: expect.stringContaining('7 go in') as string },
  ])
})
it('one clock, one price, everything back', () => {
  oneClockOnePrice(visit)
  allBack({ ...visit, refused: [] })
})
