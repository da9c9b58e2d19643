import { FORECAST } from '../knowledge/shop/forecast'
import type { SeasonDays } from '../knowledge/shop/seasons'
import type { Kind } from '../knowledge/vocabulary'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import { expectedFailures, exposed, groupOf, type Exposed, type FleetMachine } from './exposure'
import { futures, groupFactor, shopFactor, type Coming, type Seen, type Span } from './futures'
import type { Stretch } from './season'

/** Something that failed, and that a visit of this shop confirmed. */
export interface FleetFailure {
  machineId: string
  fault: string
  at: number
}

export interface Fleet {
  machines: readonly FleetMachine[]
  failures: readonly FleetFailure[]
}

export interface Forecast extends Stretch {
  machines: number
  total: Span
  /** By what fails: a part, else the fault itself; the most frequent first. */
  groups: { key: string; count: Span }[]
  kinds: { kind: Kind; machines: number; count: Span }[]
  /** What failed here while it was watched, what the tables alone had said of it, and the factor that comes of it. */
  learned: Seen & { factor: number }
  /** Machines by how likely anything at all fails in them, the likeliest first, each with what most likely does. */
  atRisk: { machineId: string; probability: number; key: string }[]
}

const NOTHING_SEEN: Seen = { failed: 0, expected: 0 }
const TOTAL = 'total'

/**
 * How many failures of which kind a season brings among a shop's own machines: the rates of their kind at the age that
 * each part then has, moved by what failed here in years before. A shop's factor and each part's own factor are not
 * known; the span holds that, and the chance of the counts themselves.
 *
 * @param season from when until when, milliseconds
 * @param days the shop's year: what stands outdoors runs between its opening and its closing
 * @param now milliseconds; what failed counts up to it
 */
export function forecastOf(fleet: Fleet, season: Stretch, days: SeasonDays, now: number): Forecast {
  const all = fleet.machines.map(exposed)
  const seen = seenBefore(all, fleet.failures, days, now)
  const seenOf = (group: string) => seen.get(group) ?? NOTHING_SEEN
  const shop = shopFactor([...seen.values()])
  const ahead = all
    .filter(({ machine }) => machine.goneAt === undefined)
    .map((of) => ({ machine: of.machine, expected: expectedFailures(of, season, days) }))
  const coming = new Map<string, Coming>()
  for (const { machine, expected } of ahead)
    for (const [group, count] of expected) {
      const { kind } = machine.pump
      const before = coming.get(`${kind} ${group}`)?.expected ?? 0
      const under = [TOTAL, `group ${group}`, `kind ${kind}`]
      coming.set(`${kind} ${group}`, { group, under, expected: before + count })
    }
  const spans = futures([...coming.values()], shop, seenOf)
  const under = (prefix: string) =>
    [...spans]
      .flatMap(([name, count]) =>
        name.startsWith(`${prefix} `) ? [{ key: name.slice(prefix.length + 1), count }] : [],
      )
      .sort((a, b) => b.count.mean - a.count.mean || (a.key < b.key ? -1 : 1))
  const factors = new Map([...coming.values()].map(({ group }) => [group, groupFactor(seenOf(group), shop)]))
  return {
    ...season,
    machines: ahead.length,
    total: spans.get(TOTAL) ?? { mean: 0, low: 0, high: 0, share: 1 },
    groups: under('group'),
    kinds: under('kind').map(({ key, count }) => ({
      kind: key as Kind,
      machines: ahead.filter(({ machine }) => machine.pump.kind === key).length,
      count,
    })),
    learned: { ...sumOf([...seen.values()]), factor: shop.mean },
    atRisk: ahead
      .flatMap(({ machine: { id: machineId }, expected }) => {
        const each = [...expected].map(([key, count]) => ({ key, count: count * (factors.get(key) ?? 1) }))
        const most = each.reduce((a, b) => (b.count > a.count ? b : a), { key: '', count: 0 })
        const probability = 1 - Math.exp(-each.reduce((sum, { count }) => sum + count, 0))
        return probability >= FORECAST.worthNaming ? [{ machineId, probability, key: most.key }] : []
      })
      .sort((a, b) => b.probability - a.probability || (a.machineId < b.machineId ? -1 : 1)),
  }
}

const sumOf = (all: readonly Seen[]): Seen =>
  all.reduce(
    (sum, { failed, expected }) => ({ failed: sum.failed + failed, expected: sum.expected + expected }),
    NOTHING_SEEN,
  )

/** By how much each group fails more often in this shop than the tables say, as far as its own visits tell. */
export function groupFactors({ machines, failures }: Fleet, days: SeasonDays, now: number): Record<string, number> {
  const seen = seenBefore(machines.map(exposed), failures, days, now)
  const shop = shopFactor([...seen.values()])
  return Object.fromEntries([...seen].map(([group, of]) => [group, groupFactor(of, shop)]))
}

/** What failed of each group while this shop was called to its machines, beside what the tables say of those years. */
function seenBefore(
  all: readonly Exposed[],
  failures: readonly FleetFailure[],
  days: SeasonDays,
  now: number,
): Map<string, Seen> {
  const seen = new Map<string, Seen>()
  const add = (group: string, { failed, expected }: Seen) => {
    const before = seen.get(group) ?? NOTHING_SEEN
    seen.set(group, { failed: before.failed + failed, expected: before.expected + expected })
  }
  const watched = new Map(
    all.map((of): [string, { of: Exposed } & Stretch] => {
      const { id, knownSince, goneAt } = of.machine
      const from = Math.max(knownSince, now - FORECAST.historyYears * MILLISECONDS_PER_YEAR)
      return [id, { of, from, to: Math.min(goneAt ?? now, now) }]
    }),
  )
  for (const { of, from, to } of watched.values())
    if (to > from)
      for (const [group, expected] of expectedFailures(of, { from, to }, days)) add(group, { failed: 0, expected })
  for (const { machineId, fault, at } of failures) {
    const its = watched.get(machineId)
    const row = its?.of.rows.find((each) => each.fault === fault)
    // The call with which the shop came to know a machine says that it failed, not how often such a machine does.
    if (its && row && at > its.from && at <= its.to) add(groupOf(row), { failed: 1, expected: 0 })
  }
  return seen
}
