import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step, without } from './job'

/** 2. Bottling shed: vertical vacuum pump on its board, both bearings and the seal; one end slack on its shaft. */
const visit = play({
  machine: {
    kind: 'utility',
    construction: 'vertical-shimmed',
    nameplate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'capacitor-start' },
    standing: 'bench',
  },
  call: { complaints: ['noise-whine', 'runs-hot'], says: 'howls, hot' },
  do: [
    { choose: ['bearings-and-seal'] },
    { tick: 'down' },
    { tick: 'work:bearings:pull-drive' },
    { tick: 'work:bearings:pull-far' },
    // Without the clearance the step does not close.
    { tick: 'work:bearings:fit-check' },
    { measured: { bearingClearanceMm: 0.04 } },
    { tick: 'work' },
    { tick: 'all' },
    { handOver: { next: '2026-06-03' } },
  ],
})

it('has no step of a site, and opens no top cover twice', () => {
  without(visit, 'down:make-dead', 'down:terminals', 'down:cool')
  expect(visit.plan.order.filter((id) => id === 'down:top-cover')).toHaveLength(1)
})
it('numbers the places before a bolt is out: four places, eight shims', () => {
  inOrder(visit, 'down:number-shims', 'down:motor-bolts', 'down:shims')
  expect(step(visit, 'down:shims').count).toBe(8)
})
it('7 before 9: the clip’s nuts before the bell, the bell before its bearing', () =>
  inOrder(visit, 'down:retainer', 'down:through-bolts', 'down:lower-bell', 'down:bell-off'))
it('the clearance decides: the step waits for it, then 0.04 mm is packed, dry-fitted first', () => {
  expect(visit.refused).toMatchObject([{ step: 'work:bearings:fit-check' }])
  inOrder(
    visit,
    'work:bearings:fit-check',
    'work:bearings:dry-fit',
    'work:bearings:compound',
    'work:bearings:press-drive',
    'work:bearings:press-far',
  )
  expect(parts(visit)).toContain('retaining compound')
})
it('17 before 18 before 19: fixed half, body, shims, bolts, moving half, impeller', () =>
  inOrder(
    visit,
    'work:shaft-seal:seat',
    'back:body',
    'back:shims',
    'back:motor-bolts',
    'work:shaft-seal:spring',
    'back:impeller',
    'back:bottom-plate',
    'back:top-cover',
  ))
it('turns by hand before the cover, and ends with an empty tray', () => {
  inOrder(visit, 'back:impeller', 'work:shaft:turn', 'back:top-cover')
  allBack({ ...visit, refused: [] })
  oneClockOnePrice(visit)
})
