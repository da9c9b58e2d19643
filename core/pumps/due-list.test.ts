import { describe, expect, it } from 'vitest'
import { USUAL_SEASONS } from '../planning/season'
import { aheadDue, byRoad, callsOf, leftDue, roundDue, trendDue, type DueMachine } from './due-list'
import type { MachineTrend } from './machine-trends'

const of = (id: string, address: string, kind: DueMachine['machine']['kind'] = 'pool'): DueMachine => ({
  machineId: id,
  machine: { name: `pump ${id}`, kind },
  customer: { id: `whose ${id}`, name: `House ${id}`, place: address },
  address,
})
const weir = of('a', 'Weir Street 4, Tarrow Mill')
const trend = (own: Partial<MachineTrend>): MachineTrend => ({
  label: 'run capacitor',
  last: {
    visitId: 'v',
    at: '2026-03-02T10:00:00Z',
    check: 'capacitance',
    value: 26.1,
    unit: 'uF',
    verdict: 'sound',
    subject: 'run capacitor',
  },
  ...own,
})

describe('a line that meets its limit', () => {
  it('is due on its day, with its span, where that lies within a season', () => {
    const meets = { limit: 22.5, on: '2026-07-20', earliest: '2026-06-02', latest: '2026-11-02' }
    expect(trendDue(weir, [trend(meets)], '2026-05-12')).toMatchObject([
      {
        kind: 'crossing',
        on: '2026-07-20',
        what: 'run capacitor 26.1 μF, meets 22.5 μF between Jun 2026 and Nov 2026',
        visitId: 'v',
      },
    ])
    expect(trendDue(weir, [trend({ ...meets, on: '2027-07-20' })], '2026-05-12')).toEqual([])
  })
  it('is due since it was read where it stands past it, and names what else is', () => {
    const both = [trend({}), trend({ label: 'insulation', on: '2026-06-01', limit: 2 })]
    expect(trendDue(weir, both, '2026-05-12')).toMatchObject([
      { on: '2026-03-02', what: 'run capacitor 26.1 μF, past its limit; also insulation' },
    ])
  })
})

describe('what comes due', () => {
  const second = leftDue(weir, 'visit', { kind: 'second-look', on: '2026-05-13', what: 'Dry, and quiet?' })
  const opening = roundDue(weir, { today: '2026-05-12', until: '2026-06-12' }, USUAL_SEASONS)[0]
  const other = leftDue(of('b', 'Mill Lane 2, Upper Tarrow'), 'other', {
    kind: 'visit',
    on: '2026-05-02',
    what: 'Next',
  })
  const near = leftDue(of('c', 'Weir Street 11, Tarrow Mill'), 'third', {
    kind: 'reading',
    on: '2026-06-02',
    what: 'Meg',
  })

  it('stands road by road, the road with the earliest day first', () => {
    if (!opening) throw new Error('a pool is opened')
    const roads = byRoad([near, second, other, opening])
    expect(roads.map(({ road, items }) => [road, items.map(({ on }) => on)])).toEqual([
      ['Weir Street, Tarrow Mill', ['2026-04-15', '2026-05-13', '2026-06-02']],
      ['Mill Lane, Upper Tarrow', ['2026-05-02']],
    ])
  })
  it('makes one call of all that is due at one machine', () => {
    if (!opening) throw new Error('a pool is opened')
    expect(callsOf([near, second, opening])).toEqual([
      {
        machineId: 'a',
        customerId: 'whose a',
        says: 'Open for the season: plugs in, prime, leaks, volts and amps. Dry, and quiet?',
        minutes: 70,
      },
      { machineId: 'c', customerId: 'whose c', says: 'Meg', minutes: 30 },
    ])
    expect(callsOf([])).toEqual([])
  })
  it('names the machine that is likely to fail before the season, and what of', () => {
    expect(aheadDue(weir, '2026-05-12', 'run capacitor')).toMatchObject({
      kind: 'ahead',
      on: '2026-05-12',
      what: 'Look at it before it fails: most likely run capacitor',
    })
  })
})
