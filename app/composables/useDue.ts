import { format } from 'date-fns'
import { roundMinutes } from '#core/planning/round'
import type { Forecast } from '#core/planning/forecast'
import { aheadDue, byRoad, callsOf, roadOf, type DueItem, type DueMachine, type DueRoad } from '#core/pumps/due-list'
import { groupLabel } from '~/utils/due-words'

/** What comes due, as the server tells it. */
export interface DueView {
  items: DueItem[]
  count: number
  table: { roads: Readonly<Record<string, number>>; minutes: number[][] }
}
/** What the coming season brings. */
export interface ForecastView extends Omit<Forecast, 'atRisk'> {
  atRisk: (DueMachine & { probability: number; key: string })[]
}

/** A road with how far it is, from the shop and from what is chosen. */
export interface RoadRow extends DueRoad {
  /** Minutes; absent where it is on no map. */
  drive?: number
  /** From the nearest road that something is chosen on. */
  near?: number
}

const SHOP = 0

/** What comes due up to a day: what is chosen of it, how far that is to drive, and the calls that it makes. */
export function useDue(until: () => string) {
  const today = format(new Date(), 'yyyy-MM-dd')
  const { view, problem, load } = useServed<DueView>(
    () => `/api/due?${new URLSearchParams({ until: until(), today })}`,
    { isFresh: false },
  )
  const { view: forecast, load: foretell } = useServed<ForecastView>(() => `/api/forecast?today=${today}`, {
    isFresh: false,
  })
  const chosen = ref<ReadonlySet<string>>(new Set())

  /** A reply that is out is asked for by telephone: nobody drives there. */
  const isChoosable = ({ kind }: DueItem) => kind !== 'claim'
  const ahead = computed(() =>
    (forecast.value?.atRisk ?? []).map(({ probability, key, ...of }) => ({
      probability,
      likeliest: groupLabel(key),
      item: aheadDue(of, new Date(forecast.value?.from ?? 0).toISOString().slice(0, 10), groupLabel(key)),
    })),
  )
  const known = computed(() => [...(view.value?.items ?? []), ...ahead.value.map(({ item }) => item)])
  const taken = computed(() => known.value.filter(({ key }) => chosen.value.has(key)))
  const rowOf = (road: string) => view.value?.table.roads[road]
  const takenRows = computed(() => [...new Set(taken.value.flatMap(({ address }) => rowOf(roadOf(address)) ?? []))])
  const drive = (from: number, to: number) => view.value?.table.minutes[from]?.[to] ?? 0
  const roads = computed(() =>
    byRoad(view.value?.items ?? []).map((each): RoadRow => {
      const row = rowOf(each.road)
      if (row === undefined) return each
      const near =
        takenRows.value.length > 0 ? Math.min(...takenRows.value.map((other) => drive(other, row))) : undefined
      return { ...each, drive: drive(SHOP, row), ...(near === undefined ? {} : { near }) }
    }),
  )
  /** The road whose day is the earliest, of those that nothing is chosen on. */
  const lit = computed(() =>
    roads.value.find(({ items }) => items.some(isChoosable) && !items.some(({ key }) => chosen.value.has(key))),
  )
  const calls = computed(() => callsOf(taken.value))
  const work = computed(() => calls.value.reduce((sum, { minutes }) => sum + minutes, 0))
  const driving = computed(() => roundMinutes(view.value?.table.minutes ?? [], SHOP, takenRows.value))

  function choose(items: readonly DueItem[], isIn: boolean): void {
    const next = new Set(chosen.value)
    for (const item of items.filter(isChoosable)) {
      if (isIn) next.add(item.key)
      else next.delete(item.key)
    }
    chosen.value = next
  }
  function clear(): void {
    chosen.value = new Set()
  }
  return {
    today,
    view,
    problem,
    load,
    forecast,
    foretell,
    ahead,
    roads,
    lit,
    chosen,
    taken,
    calls,
    work,
    driving,
    choose,
    clear,
    isChoosable,
  }
}
