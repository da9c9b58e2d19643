import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bestVanLoads, finishing, worthOf, type Loadable, type VisitNeed } from './van-load'

const visit = (...repairs: [chance: number, ...articles: string[]][]): VisitNeed => ({
  visitId: 'v',
  repairs: repairs.map(([chance, ...articles]) => ({
    chance,
    pieces: articles.map((article) => ({ article, count: 1 })),
  })),
})
const bestVanLoad = (visits: VisitNeed[], articles: Loadable[], room: number) =>
  bestVanLoads([{ visits, room }], articles)[0] as Map<string, number>
const thing = (article: string, room = 1, available = 9): Loadable => ({
  article,
  room,
  available,
  unforeseen: 0,
  pieces: 1,
})

describe('whether a visit can be finished with what is in the van', () => {
  it('is the chance of its repairs whose parts are all there', () => {
    const one = [visit([0.5, 'can'], [0.3, 'seal', 'ring'])]
    const near = (load: [string, number][], chance: number) =>
      expect(finishing(one)(new Map(load))[0]).toBeCloseTo(chance, 12)
    near([], 0.2)
    near([['can', 1]], 0.7)
    near(
      [
        ['can', 1],
        ['seal', 1],
      ],
      0.7,
    )
    near(
      [
        ['can', 1],
        ['seal', 1],
        ['ring', 1],
      ],
      1,
    )
  })

  it('what an earlier visit took is not there for the next', () => {
    const load = new Map([['can', 1]])
    expect(finishing([visit([0.5, 'can']), visit([0.5, 'can'])])(load)).toEqual([1, 0.75])
    expect(finishing([visit([0.5, 'can']), visit([0.5, 'can'])])(new Map([['can', 2]]))).toEqual([1, 1])
  })

  it('a repair whose part the shop does not keep is finished by no load', () => {
    const beyond: VisitNeed = { visitId: 'v', repairs: [{ chance: 0.4, pieces: [], isBeyond: true }] }
    expect(finishing([beyond])(new Map())[0]).toBeCloseTo(0.6, 12)
  })
})

/** Every load there is: small enough to be tried. */
function* everyLoad(articles: readonly Loadable[], room: number): Generator<Map<string, number>> {
  const [first, ...rest] = articles
  if (!first) {
    yield new Map()
    return
  }
  for (let count = 0; count <= first.available && count * first.room <= room + 1e-9; count++)
    for (const load of everyLoad(rest, room - count * first.room)) yield new Map([...load, [first.article, count]])
}

describe('the best load of a van', () => {
  it('takes a repair’s parts together, and never more than there are or than there is room for', () => {
    const visits = [visit([0.9, 'seal', 'ring']), visit([0.2, 'can'])]
    const load = bestVanLoad(visits, [thing('seal'), thing('ring'), thing('can', 2)], 2)
    expect(Object.fromEntries(load)).toEqual({ seal: 1, ring: 1 })
    expect(Object.fromEntries(bestVanLoad(visits, [thing('seal'), thing('ring', 1, 0), thing('can', 2)], 2))).toEqual({
      can: 1,
    })
  })

  it('keeps what comes unforeseen where there is room left', () => {
    const can = { ...thing('can'), unforeseen: 0.05 }
    expect(Object.fromEntries(bestVanLoad([visit([0.4, 'seal'])], [thing('seal'), can], 5))).toMatchObject({
      seal: 1,
      can: 3,
    })
  })

  it('is the best of all loads nine times of ten, and never far from it', () => {
    const ARTICLES = ['a', 'b', 'c', 'd']
    const pieces = fc.uniqueArray(fc.constantFrom(...ARTICLES), { minLength: 1, maxLength: 3 })
    const repairs = fc.array(fc.tuple(fc.double({ min: 0.02, max: 0.33, noNaN: true }), pieces), {
      minLength: 1,
      maxLength: 3,
    })
    const rooms = fc.array(fc.constantFrom(0.5, 1, 2, 3), { minLength: 4, maxLength: 4 })
    let [runs, best] = [0, 0]
    fc.assert(
      fc.property(
        fc.array(repairs, { minLength: 1, maxLength: 3 }),
        rooms,
        fc.integer({ min: 1, max: 6 }),
        (all, sizes, room) => {
          const visits = all.map((each) =>
            visit(...each.map(([chance, of]) => [chance, ...of] as [number, ...string[]])),
          )
          const articles = ARTICLES.map((id, index) => thing(id, sizes[index], 2))
          const load = bestVanLoad(visits, articles, room)
          const used = articles.reduce((sum, { article, room: takes }) => sum + takes * (load.get(article) ?? 0), 0)
          expect(used).toBeLessThanOrEqual(room + 1e-9)
          let most = 0
          for (const each of everyLoad(articles, room))
            most = Math.max(most, worthOf(finishing(visits), articles, each))
          const got = worthOf(finishing(visits), articles, load)
          runs++
          if (got >= most - 1e-9) best++
          expect(got).toBeGreaterThanOrEqual(0.8 * most)
          return true
        },
      ),
      { numRuns: 400, seed: 7 },
    )
    expect(best / runs).toBeGreaterThan(0.9)
  })

  it('several vans share what there is: a piece rides where it is wanted most, and where it is if all the same', () => {
    const shared = [
      { visits: [visit([0.2, 'can'])], here: new Map([['can', 1]]), room: 10 },
      { visits: [visit([0.9, 'can'])], room: 10 },
    ]
    const loads = bestVanLoads(shared, [thing('can', 1, 1)]).map((load) => load.get('can') ?? 0)
    expect(loads).toEqual([0, 1])
    const alike = [
      { visits: [], room: 10 },
      { visits: [], here: new Map([['can', 1]]), room: 10 },
    ]
    const rare = { ...thing('can', 1, 1), unforeseen: 0.01 }
    expect(bestVanLoads(alike, [rare]).map((load) => load.get('can') ?? 0)).toEqual([0, 1])
    expect(bestVanLoads(alike, [{ ...rare, available: 5 }]).map((load) => load.get('can') ?? 0)).toEqual([2, 2])
    // Each has its own room.
    const small = [
      { visits: [], room: 1 },
      { visits: [], room: 10 },
    ]
    expect(bestVanLoads(small, [{ ...rare, room: 2, available: 5 }]).map((load) => load.get('can') ?? 0)[0]).toBe(0)
  })
})
