import { expect, it } from 'vitest'
import { found, inOrder, play, step, without } from './job'

/** 8. Weir house: opening a capacitor-start motor off an irrigation pump; it ends open, its bearings on order. */
const visit = play({
  machine: {
    kind: 'utility',
    construction: 'motor-bench',
    nameplate: { volts: 230, hertz: 60, horsepower: 1, motorType: 'capacitor-start' },
  },
  place: 'Weir house',
  call: { complaints: ['noise-whine'], says: 'howls; rotor out, bearings read and ordered today' },
  do: [
    'cap bled 0 v',
    { choose: ['strip-motor'] },
    { tick: 'down:rear-cover' },
    { tick: 'down:index', count: 3 },
    { until: 'down:through-bolts' },
    { tick: 'down:through-bolts', count: 4 },
    '1 thru bolt corroded, heated, came',
    { tick: 'down' },
    'wdg clean no smell',
    { tick: 'work' },
    { job: 'bearings-alone', state: 'agreed', why: 'the rings are read; the new ones are on order' },
    { handOver: { watch: 'shelf 3, its tray beside it', next: '2026-06-20' } },
  ],
})

it('stands on the bench by itself: nothing of a site, no gates of the mains, no pump', () => {
  expect(visit.card).toMatchObject({ construction: 'motor-bench', standing: 'bench' })
  without(visit, 'down:make-dead', 'down:valves', 'down:impeller', 'down:motor-out', 'down:bonding')
})
it('1 before all: what Safe has bled is not asked for again; marks before bolts', () => {
  expect(visit.gates).toContain('discharged')
  without(visit, 'down:discharge')
  inOrder(visit, 'down:index', 'down:through-bolts')
})
it('springs, tabs and rotating part bar the rotor: off before the bolts, on after it', () => {
  inOrder(
    visit,
    'down:springs',
    'down:switch-rotor:tabs',
    'down:switch-rotor',
    'down:through-bolts',
    'down:drive-bell',
    'down:rotor-out',
    'down:wave-washer',
    'back:wave-washer',
    'back:rotor-out',
    'back:drive-bell',
    'back:through-bolts',
    'back:switch-rotor',
    'back:springs',
  )
  expect(step(visit, 'down:springs').count).toBe(2)
  expect(step(visit, 'down:switch-rotor').count).toBe(1)
  expect(step(visit, 'down:switch-rotor').caution).toMatch(/never hammer the slotted end/)
})
it('a flame comes near only with the capacitor out; a soft hammer on the bell, never on the shaft', () => {
  expect(step(visit, 'down:through-bolts').caution).toMatch(/capacitors off before any flame/)
  expect(step(visit, 'down:drive-bell').caution).toMatch(/Soft hammer only, on the bell/)
})
it('a corroded bolt is a finding of the threads; windings look sound and smell of nothing', () =>
  expect(found(visit).map(({ check, outcome }) => `${check}=${outcome}`)).toEqual([
    'thread-look=corroded',
    'winding-look=sound',
    'winding-smell=normal',
  ]))
it('asks for no check of the pump that is not here', () => {
  for (const { lit } of visit.after)
    expect(lit?.check ?? '').not.toMatch(/impeller|prime|basket|supply|weep|pot|suction|seal/)
})
it('ends open: the tray is what was taken out, the next job stands, nothing is proved', () => {
  expect(visit.jobs.map(({ id, state }) => `${id} ${state}`)).toEqual(['strip-motor agreed', 'bearings-alone agreed'])
  const tray = Object.fromEntries(visit.plan.tray.map(({ id, count }) => [id, count]))
  expect(tray).toMatchObject({
    'down:springs': 2,
    'down:switch-rotor': 1,
    'down:through-bolts': 4,
    'down:rotor-out': 1,
    'down:wave-washer': 1,
  })
  expect(visit.sheet.proved).toEqual([])
  expect(visit.sheet.next).toBe('2026-06-20')
})
