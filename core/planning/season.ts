import { SEASON_JOBS, SEASON_SLACK, SEASONS, type SeasonDays, type SeasonJob } from '../knowledge/shop/seasons'
import type { Kind } from '../knowledge/vocabulary'

const DAY = 86_400_000
const YEAR_DAYS = 365.25

/** The days of a year that a shop has not said otherwise. */
export const USUAL_SEASONS = Object.fromEntries(
  SEASON_JOBS.map((job) => [job, SEASONS[job].usual]),
) as unknown as SeasonDays

/** A span of time, milliseconds. */
export interface Stretch {
  from: number
  to: number
}

const isoOf = (at: number) => new Date(at).toISOString().slice(0, 10)
const dayIn = (year: number, monthDay: string) => Date.parse(`${year}-${monthDay}T00:00:00Z`)

/**
 * The season in which what stands outdoors runs: the one that is under way, else the next.
 *
 * @param today ISO date
 * @returns from when, and until when it runs, milliseconds; one that is under way begins today
 */
export function comingSeason({ opening, closing }: SeasonDays, today: string): Stretch {
  const now = Date.parse(today)
  const year = Number(today.slice(0, 4))
  const all = [year - 1, year, year + 1].map((each) => {
    const from = dayIn(each, opening)
    // South of the line it opens in one year and closes in the next.
    return { from, to: dayIn(closing > opening ? each : each + 1, closing) }
  })
  const season = all.find(({ to }) => to > now) as Stretch
  return { from: Math.max(season.from, now), to: season.to }
}

/**
 * How much of its year's running a machine does in a stretch of time, years: what stands outdoors runs in its season
 * only, and does a whole year's running there; the rest runs all year.
 */
export function runningYears(kind: Kind, { from, to }: Stretch, { opening, closing }: SeasonDays): number {
  if (to <= from) return 0
  if (!SEASONS.opening.kinds.includes(kind)) return (to - from) / DAY / YEAR_DAYS
  let open = 0
  for (let year = new Date(from).getUTCFullYear() - 1; year <= new Date(to).getUTCFullYear(); year++) {
    const [start, end] = [dayIn(year, opening), dayIn(closing > opening ? year : year + 1, closing)]
    open += Math.max(0, Math.min(to, end) - Math.max(from, start)) / (end - start)
  }
  return open
}

/** What a shop does at a machine of this kind once a year. */
export interface SeasonDue {
  job: SeasonJob
  /** ISO date. */
  on: string
}

/**
 * What of the year's round comes due at a machine, the nearest first: a visit in the weeks about the day serves for it.
 *
 * @param today and the last day that is asked for, ISO dates
 * @param visited ISO date of its last visit, or of the one that is planned
 */
export function seasonDues(
  kind: Kind,
  { today, until, visited }: { today: string; until: string; visited?: string },
  days: SeasonDays,
): SeasonDue[] {
  const year = Number(today.slice(0, 4))
  const now = Date.parse(today)
  return SEASON_JOBS.filter((job) => SEASONS[job].kinds.includes(kind))
    .flatMap((job) =>
      [year - 1, year, year + 1].flatMap((each): SeasonDue[] => {
        const at = dayIn(each, days[job])
        const isAsked = at + SEASON_SLACK.after * DAY >= now && at <= Date.parse(until)
        const isServed = visited !== undefined && Date.parse(visited) >= at - SEASON_SLACK.before * DAY
        return isAsked && !isServed ? [{ job, on: isoOf(at) }] : []
      }),
    )
    .sort((a, b) => (a.on < b.on ? -1 : 1))
}
