import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step, without } from './job'

/** 13. Manse pool, bench part: bearings into its motor, permanent-split, its rotor out already. */
const visit = play({
  machine: {
    kind: 'pool',
    construction: 'motor-bench',
    nameplate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'permanent-split' },
  },
  place: 'The manse',
  call: { complaints: ['noise-whine', 'runs-hot'], alreadyReplaced: [], says: 'whined and ran hot' },
  do: [
    'cap new last yr 25/440, thin',
    { choose: ['bearings-alone'] },
    { tick: 'down' },
    { measured: { bearingClearanceMm: 0 } },
    { tick: 'work' },
    { tick: 'all' },
    { prove: 'shaft free' },
    { prove: 'meg 220' },
    { prove: 'quiet' },
    { handOver: { watch: 'a slight noise may last a day', next: '2026-06-03' } },
  ],
})

it('last year’s capacitor is history and plate, not a reading of today', () => {
  expect(visit.after[0]?.understood.findings).toEqual([])
  expect(visit.card.nameplate).toMatchObject({ runCapacitorMicrofarads: 25, runCapacitorVolts: 440 })
  expect(visit.sheet.proved.map(({ label }) => label)).not.toContain('run capacitor')
})
it('has no start switch: no springs, no rotating part; and no site', () =>
  without(visit, 'down:springs', 'down:switch-rotor', 'down:make-dead', 'down:valves', 'work:volute:prime'))
it('two bearings, each by its own end, by the inner ring; the fit is tried before either is pressed', () => {
  inOrder(visit, 'work:bearings:fit-check', 'work:bearings:press-drive')
  inOrder(visit, 'work:bearings:fit-check', 'work:bearings:press-far')
  expect(step(visit, 'work:bearings:press-drive').text).toMatch(/inner ring only/)
  expect(parts(visit)).toContain('bearings')
})
it('meg before it is closed; dust out and wave washer in before the rotor; turned before the last cover', () =>
  inOrder(
    visit,
    'work:insulation:read',
    'back:rotor-out:blow',
    'back:rotor-out',
    'back:drive-bell',
    'back:retainer',
    'back:through-bolts',
    'work:shaft:turn-motor',
    'work:motor:bump',
  ))
it('all bolts are started before one is drawn; the dog is aside before the bell', () => {
  expect(step(visit, 'back:through-bolts').text).toMatch(/All through-bolts started/)
  expect(step(visit, 'down:retainer').caution).toMatch(/turned aside before the bell goes on/)
})
it('is heard as a motor alone, and one second is the trial', () => {
  expect(visit.after.at(-1)?.understood.findings).toMatchObject([{ check: 'motor-alone-listen', outcome: 'quiet' }])
  expect(step(visit, 'work:motor:bump').text).toMatch(/one second/)
  expect(visit.plan.prove.map(({ id }) => id)).toEqual(['turn', 'bench-insulation', 'bump'])
})
it('is closed, costs what it takes, and looks again after a day', () => {
  allBack(visit)
  oneClockOnePrice(visit)
  expect(visit.sheet.watch.join()).toMatch(/slight noise/)
  expect(visit.sheet.next).toBe('2026-06-03')
})
