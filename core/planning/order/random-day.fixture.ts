import { chance } from '../../quantity/random'
import { USUAL_DAY } from '../../knowledge/shop/day'
import type { DayPlan, Stop, Van } from './stop'

/** A made-up day of so many stops about a shop in the middle: some urgent, some promised, some for two. */
export function randomDay(seed: number, count: number, vans = 1): DayPlan {
  const random = chance(seed).next
  const at = Array.from({ length: count + 1 }, (_, index) =>
    index === 0 ? { x: 0, y: 0 } : { x: random() * 24 - 12, y: random() * 24 - 12 },
  )
  const km = at.map((a) => at.map((b) => 1.3 * Math.hypot(a.x - b.x, a.y - b.y)))
  const minutes = km.map((row) => row.map((far) => (far / 40) * 60))
  const stops = Array.from({ length: count }, (_, index): Stop => {
    const p50 = 15 + random() * 75
    const from = 480 + random() * 300
    const kind = random()
    return {
      id: `s${index}`,
      place: index + 1,
      minutes: { p50, p90: p50 * (1.1 + random() * 0.6) },
      urgency: random() < 0.25 ? 20 + random() * 30 : 2,
      people: random() < 0.1 ? 2 : 1,
      ...(kind < 0.3 ? { window: { until: from + 60 } } : kind < 0.5 ? { window: { from, until: from + 150 } } : {}),
      ...(random() < 0.1 ? { byDaylight: true } : {}),
    }
  })
  if (count > 3 && random() < 0.3) (stops[count - 1] as Stop).after = (stops[0] as Stop).id
  return {
    stops,
    vans: Array.from({ length: vans }, (_, index): Van => ({
      id: `v${index}`,
      people: index === 0 ? 2 : 1,
      place: 0,
      from: USUAL_DAY.start,
      home: 0,
    })),
    travel: { minutes, km },
    rules: {
      end: USUAL_DAY.end,
      dark: 16 * 60 + random() * 240,
      breakFrom: USUAL_DAY.breakFrom,
      breakMinutes: USUAL_DAY.breakMinutes,
    },
  }
}
