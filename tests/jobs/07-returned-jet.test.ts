import { expect, it } from 'vitest'
import { allBack, inOrder, play, step } from './job'

const RETURNED: Parameters<typeof play>[0] = {
  machine: {
    kind: 'jet',
    construction: 'jet-end',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.5, motorType: 'permanent-split' },
    installedOn: '2026-05-01',
    warrantyUntil: '2028-05-01',
    standing: 'bench',
  },
  call: { says: 'something is off' },
  do: [],
}
/** 7. Returned jet pump, weeks old: bench trial and back to the maker, unopened. */
const visit = play({
  ...RETURNED,
  do: [
    { choose: ['bench-trial'] },
    { tick: 'all' },
    'listen: grind at the motor',
    { choose: ['return-under-warranty'] },
    { tick: 'all' },
    { handOver: { next: '2026-06-16' } },
  ],
})

it('primed before it is judged: the hose filled before it is coupled, the body before the outlet', () => {
  const trial = visit.sheet.record.map(({ text }) => text).join(' | ')
  for (const [first, then] of [
    ['Hose with its foot valve', 'Hose coupled'],
    ['Body filled', 'Outlet hose on'],
    ['Rear plate off', 'Run it under power'],
    ['Pressure switch: each hot', 'Run it under power'],
  ] as const)
    expect(trial.indexOf(first), `${first}, ${then}`).toBeLessThan(trial.indexOf(then))
})
it('under warranty it goes back unopened: no bearings are drawn', () => {
  expect(visit.jobs.map(({ id, state }) => `${id} ${state}`)).toEqual([
    'bench-trial done',
    'return-under-warranty agreed',
  ])
  expect(visit.plan.order.filter((id) => /bearings|through-bolts/.test(id))).toEqual([])
})
it('the grind stays with the motor', () =>
  expect(visit.after[0]?.understood.findings).toMatchObject([{ check: 'listen', outcome: 'grind', side: 'motor' }]))
it('ends with nothing open', () => {
  allBack(visit)
  expect(step(visit, 'work:pump:return-under-warranty').text).toMatch(/\S/)
  inOrder(visit, 'work:pump:return-under-warranty')
})
it('agreed together the trial comes first, and sending it back is no hour of work', () => {
  const both = play({ ...RETURNED, do: [{ choose: ['return-under-warranty', 'bench-trial'] }, { tick: 'all' }] })
  inOrder(both, 'work:pump:fill-suction', 'work:pump:run', 'work:pump:return-under-warranty')
  const packing = both.price.lines.find(({ id }) => id === 'return-under-warranty')
  expect(packing?.minutes).toBeLessThanOrEqual(20)
})
