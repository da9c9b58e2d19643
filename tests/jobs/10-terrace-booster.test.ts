import { expect, it } from 'vitest'
import { allBack, inOrder, oneClockOnePrice, parts, play, step } from './job'

/** 10. Terrace house: booster drips at its weep hole, plus new hose connectors. */
const visit = play({
  machine: {
    kind: 'booster',
    construction: 'bracket-booster',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'permanent-split' },
    installedOn: '2012-06-01',
  },
  place: 'Bell Lane 4',
  call: { complaints: ['leak-under-motor'], says: 'drips at the drain hole when on', wishes: ['hose-connectors'] },
  do: [
    'weep hole dripping',
    { choose: ['replace-shaft-seal', 'hose-connectors'] },
    { tick: 'down' },
    'shaft rusty',
    { job: 'new-foot', state: 'left', why: 'broken on one side, sits firm' },
    { tick: 'all' },
    { prove: 'weep dry' },
    { handOver: { next: '2027-04-01' } },
  ],
})

it('two jobs, one plan, opened once; a job that is left stands on the sheet', () => {
  expect(visit.price.lines.map(({ id }) => id)).toEqual(['replace-shaft-seal', 'hose-connectors'])
  expect(visit.plan.order.filter((id) => id === 'down:hoses')).toHaveLength(1)
  expect(visit.price.lines[1]?.minutes).toBeLessThan(20)
  expect(visit.sheet.left.join()).toMatch(/foot.*sits firm/i)
  oneClockOnePrice(visit)
})
it('13 before 14, 15 → 16 → 17: ring, bracket, upper bolts by finger, foot, all four', () =>
  inOrder(
    visit,
    'work:shaft-o-ring:groove',
    'back:bracket:over',
    'back:bracket:upper',
    'back:bracket:foot',
    'back:bracket',
    'back:impeller',
    'back:rear-cover',
    'back:bonding',
  ))
it('both halves before the impeller; the shell is driven at the bench', () => {
  inOrder(visit, 'work:shaft-seal:spring', 'work:shaft-seal:seat', 'back:impeller')
  expect(step(visit, 'down:cover-nuts').count).toBe(6)
  expect(step(visit, 'work:shaft-seal:spring').text).toMatch(/dead square/)
})
it('the rust that was seen answers the look at the shaft: it goes on', () => {
  allBack(visit)
  expect(visit.jobs.map(({ id }) => id)).not.toContain('swap-motor')
})
it('filter pump before booster', () =>
  expect(step(visit, 'work:discharge-pipe:stream').text).toMatch(/Filter pump on first/))
it('buys seal, shaft ring, housing ring, connectors', () =>
  expect(parts(visit)).toEqual(
    expect.arrayContaining(['shaft-seal', 'shaft-o-ring', 'housing-o-ring', 'hose-connector']),
  ))
