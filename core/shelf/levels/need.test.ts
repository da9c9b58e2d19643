import { describe, expect, it } from 'vitest'
import type { Article } from '../../fits/article'
import { readSpec } from '../../fits/read-spec'
import { USUAL_SEASONS } from '../../planning/season'
import { articleShares, needsOf, type ShelfMachine } from './need'
import { poolPump } from './pool-pump.fixture'

const FROM = Date.parse('2026-05-01')
const SUMMER = { from: FROM, to: FROM + 90 * 86_400_000 }
const WINTER = { from: Date.parse('2026-12-01'), to: Date.parse('2027-02-01') }
const can = (name: string): Article => ({
  id: name,
  name,
  part: 'run-capacitor',
  family: 'run-capacitor',
  spec: readSpec('run-capacitor', name),
})
const seal = (id: string): Article => ({ id, name: id, part: 'shaft-seal', spec: {} })
const pool = (id: string, microfarads: number, more: Parameters<typeof poolPump>[3] = {}) =>
  poolPump(id, microfarads, FROM, more)
const of = (machines: ShelfMachine[], articles: Article[], stretch = SUMMER, times = 1) =>
  needsOf(machines, articles, stretch, USUAL_SEASONS, () => times)

describe('how often an article is wanted', () => {
  it('comes from the machines that take it, and from no others', () => {
    const needs = of(
      [pool('a', 30), pool('b', 30), pool('c', 20)],
      [can('30 μF 440 V'), can('20 μF 370 V'), can('50 μF 370 V')],
    )
    const [thirty, twenty] = [needs.articles.get('30 μF 440 V'), needs.articles.get('20 μF 370 V')]
    expect([thirty?.machines, twenty?.machines, needs.articles.get('50 μF 370 V')]).toEqual([2, 1, undefined])
    expect(thirty?.perYear).toBeCloseTo(2 * (twenty?.perYear ?? 0), 9)
  })

  it('follows the season, the age and what failed here before', () => {
    const rate = (...asked: Parameters<typeof of>) => of(...asked).articles.get('30 μF 440 V')?.perYear ?? 0
    const articles = [can('30 μF 440 V')]
    expect(rate([pool('a', 30)], articles, WINTER), 'a pool does not run in winter').toBeLessThan(
      0.1 * rate([pool('a', 30)], articles),
    )
    expect(rate([pool('a', 30, { years: 1 })], articles)).toBeLessThan(rate([pool('a', 30)], articles))
    expect(rate([pool('a', 30)], articles, SUMMER, 3)).toBeCloseTo(3 * rate([pool('a', 30)], articles), 9)
    expect(rate([pool('a', 30, { goneAt: FROM })], articles)).toBe(0)
  })

  it('is more where the machine’s own readings say that the part is ending, and by what the repair takes', () => {
    const articles = [can('30 μF 440 V'), { ...seal('tank'), part: 'tank' as const }]
    const need = (ends: ShelfMachine['ends']) => of([pool('a', 30, ends ? { ends } : {})], articles).articles
    const [plain, soon] = [need(undefined), need([{ check: 'capacitance', part: 'run-capacitor', on: '2026-06-15' }])]
    const more = (soon.get('30 μF 440 V')?.perYear ?? 0) - (plain.get('30 μF 440 V')?.perYear ?? 0)
    // Nearly sure within a quarter is nearly four a year.
    expect(more).toBeGreaterThan(3)
    expect(more).toBeLessThan(4.06)
    expect(soon.get('30 μF 440 V')?.foreseen).toBeGreaterThan(0.9)
    expect(plain.get('30 μF 440 V')?.foreseen).toBe(0)
    const far = need([{ check: 'capacitance', part: 'run-capacitor', on: '2031-06-15', earliest: '2030-01-01' }]).get(
      '30 μF 440 V',
    )
    expect(far?.perYear).toBeCloseTo(plain.get('30 μF 440 V')?.perYear ?? 0, 3)
    const end = { on: '2026-05-02', latest: '2026-05-05' }
    const both: ShelfMachine['ends'] = [
      { check: 'end-play', part: 'shaft-seal', ...end },
      { check: 'insulation-resistance', part: 'insulation', ...end },
    ]
    const seals = of([pool('a', 30, { ends: both })], [seal('seal')]).articles.get('seal')?.foreseen
    expect(seals, 'one repair takes it, whichever ends first').toBeGreaterThan(0.9)
    expect(seals).toBeLessThanOrEqual(1)
    expect(need([{ check: 'impeller-gap', part: 'tank', on: '2026-06-15' }]), 'a pool has no tank').toEqual(plain)
    expect(need([{ check: 'capacitance', on: '2026-06-15' }]), 'of no part').toEqual(plain)
  })

  it('where nobody knows which of several it is, each has its share; what nothing serves is said', () => {
    const needs = of([pool('a', 30)], [seal('one'), seal('two')])
    expect(needs.articles.get('one')?.perYear).toBeCloseTo(needs.articles.get('two')?.perYear ?? 0, 12)
    expect(needs.unmet.map(({ part }) => part)).toContain('run-capacitor')
    expect(needs.unmet.map(({ part }) => part)).not.toContain('shaft-seal')
    const shares = articleShares([seal('one'), seal('two')])
    expect(shares({ part: 'shaft-seal', kind: 'pool', use: 'shaft-seal', spec: {}, needed: 1 })).toEqual([
      { article: 'one', share: 0.5 },
      { article: 'two', share: 0.5 },
    ])
  })
})
