import { describe, expect, it } from 'vitest'
import { withUnknown } from '../../core/planning/travel'
import { DRIVING } from '../../core/knowledge/shop/day'
import type { MapPoint } from '../../core/planning/map'
import { ValleyRoads } from '../../server/services/roads/valley-roads'
import customers from '../../demo/data/customers.json'
import shop from '../../demo/data/shop.json'

const roads = new ValleyRoads()

describe('the roads of the valley', () => {
  it('know every address of the demo', async () => {
    const found = await roads.locate([shop.place, ...customers.map(({ place }) => place)])
    expect(found.every((place) => place && !place.isRough)).toBe(true)
  })

  it('find a street however it is written, a house on it, a village, and nothing for nowhere', async () => {
    const [one, two, far, rough, none] = await roads.locate([
      'Weir Street 9, Tarrow Mill',
      '9 Weir St, Tarrow Mill',
      'Weir Street 39, Tarrow Mill',
      'Malthouse 3, Lower Tarrow',
      'Elsewhere 4',
    ])
    expect(two).toEqual(one)
    expect(far?.x).toBeGreaterThan(one?.x as number)
    expect(rough).toMatchObject({ isRough: true })
    expect(none).toBeUndefined()
  })

  it('take the quickest way, the same there and back, and none is shorter than the straight line', async () => {
    const places = (await roads.locate(customers.map(({ place }) => place))) as MapPoint[]
    const { minutes, km, ways } = await roads.table(places)
    for (const [a, from] of places.entries())
      for (const [b, to] of places.entries()) {
        expect(minutes[a]?.[b]).toBeCloseTo(minutes[b]?.[a] as number, 6)
        expect(km[a]?.[b]).toBeGreaterThanOrEqual(Math.hypot(from.x - to.x, from.y - to.y) - 1e-9)
        if (a !== b) expect(ways[a]?.[b]?.slice(0, 2)).toEqual([from.x, from.y])
        // Over any third place it is not quicker, but for the door there.
        for (const [c] of places.entries())
          expect(minutes[a]?.[b]).toBeLessThanOrEqual((minutes[a]?.[c] as number) + (minutes[c]?.[b] as number) + 1e-6)
      }
  })

  it('go as the crow flies where there is no road, and say so by drawing none', async () => {
    const { km, ways } = await roads.table([
      { x: 6, y: 5.7 },
      { x: 10, y: 11.9 },
    ])
    expect(km[0]?.[1]).toBeCloseTo(Math.hypot(4, 6.2) * DRIVING.detour, 6)
    expect(ways[0]?.[1]).toEqual([])
  })

  it('reckon with the same for a place that is on no map', async () => {
    const table = withUnknown(
      await roads.table([
        { x: 6, y: 5.7 },
        { x: 6.9, y: 5 },
      ]),
      [0, undefined, 1],
    )
    expect(table.minutes.map((row) => row.map(Math.round))).toEqual([
      [0, DRIVING.unknownMinutes, Math.round(table.minutes[0]?.[2] as number)],
      [DRIVING.unknownMinutes, 0, DRIVING.unknownMinutes],
      [Math.round(table.minutes[2]?.[0] as number), DRIVING.unknownMinutes, 0],
    ])
  })
})
