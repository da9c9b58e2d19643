import { format } from 'date-fns'
import { toRaw } from 'vue'
import type { DayVisit } from '#core/planning/day'
import { errandOf, splitDay, vansOf, type DayGrounds, type DaySplit } from '#core/planning/day-plan'
import { reasonsOf, walkDay, type Because, type DayWalk, type Fit } from '#core/planning/order/day-order'
import { MOST_EXACT } from '#core/planning/order/exact'
import type { Found } from '#core/planning/order/search'
import type { Routes } from '#core/planning/order/stop'
import type { DayLoadOf } from '#core/planning/morning'
import type { HistoryReading } from '#core/visit/history'
import type { Shop } from '#core/visit/shop'
import { proxy } from 'comlink'
import { useDevice } from '~/stores/device'
import { arrivalOf } from '~/utils/ask'
import { dayPath, spanOf, sunset } from '~/utils/day-hours'

export interface DayView {
  visits: DayVisit<HistoryReading>[]
  waiting: DayVisit<HistoryReading>[]
  left: DayVisit<HistoryReading>[]
  orders: Routes
  shop: Shop
  now: string
  empty: boolean
}
export interface PlanView {
  grounds: DayGrounds
  load: Record<string, DayLoadOf>
}

const ASK_AGAIN = 1_500
/** How often the hours are reckoned anew, and the server asked what has come in. */
const TICK = 30_000
const LOOK_AGAIN = 60_000

/** A day and its order: what stands in it, what that comes to hour by hour, and what another order would. */
export function useDay(day: Ref<Date>) {
  const on = computed(() => format(day.value, 'yyyy-MM-dd'))
  const path = computed(() => dayPath(day.value))
  const device = useDevice()
  const view = shallowRef(device.opened(path.value) as DayView | undefined)
  const planned = shallowRef<PlanView>()
  const problem = ref('')
  /** The order that the hand has made and not yet kept. */
  const hand = shallowRef<Routes>()
  const best = shallowRef<Found>()
  /** How far the search for a better order is, 0 to 1. */
  const progress = ref(1)
  const now = ref(new Date())
  const orderer = useOrderer()
  let again: ReturnType<typeof setTimeout> | undefined

  async function load(): Promise<void> {
    clearTimeout(again)
    const asked = path.value
    try {
      const answering = ask(asked)
      if (!view.value) await open(asked, answering)
      const response = await answering
      if (asked !== path.value) return
      if (!response.ok) {
        problem.value = ((await response.json().catch(() => ({}))) as { title?: string }).title ?? response.statusText
        // A shop that is still taking in its journal is asked again by itself.
        if (response.status === 503) again = setTimeout(() => void load(), ASK_AGAIN)
        return
      }
      problem.value = ''
      const heard = (await response.json()) as DayView
      rememberShop(heard.shop)
      view.value = heard
      const arrival = arrivalOf(response)
      if (isToday.value && arrival !== undefined) void device.keepOpening({ path: asked, arrival, answer: heard })
      if (heard.visits.length + heard.waiting.length === 0) return
      const plan = await ask(`/api/plan?${spanOf(day.value, on.value)}`).catch(() => undefined)
      if (asked === path.value && plan?.ok) planned.value = (await plan.json()) as PlanView
    } catch {
      problem.value = NO_WAY
    }
  }
  /** What the shop answered last stands until it answers now: a phone in the hand shows its day at once. */
  async function open(asked: string, answering: Promise<unknown>): Promise<void> {
    const last = await Promise.race([device.opening(asked), answering.then(() => undefined)])
    if (last && !view.value && asked === path.value) view.value = last as DayView
  }
  watch(
    path,
    () => {
      hand.value = undefined
      best.value = undefined
      planned.value = undefined
      void load()
    },
    { immediate: true },
  )
  const isDragging = useDragging()
  useFresh(
    load,
    () => isDragging.value,
    () => problem.value !== '',
  )
  const ticking = setInterval(() => (now.value = new Date()), TICK)
  const looking = setInterval(() => void load(), LOOK_AGAIN)
  const seen = () => document.visibilityState === 'visible' && void load()
  document.addEventListener('visibilitychange', seen)
  onBeforeUnmount(() => {
    clearTimeout(again)
    clearInterval(ticking)
    clearInterval(looking)
    document.removeEventListener('visibilitychange', seen)
  })

  const isToday = computed(() => on.value === format(now.value, 'yyyy-MM-dd'))
  const dark = computed(() => {
    const latitude = planned.value?.grounds.sketch?.latitude
    return latitude === undefined ? undefined : sunset(day.value, latitude)
  })
  /** Are minutes and places known of every visit of these? What came in a moment ago is not yet. */
  const isKnown = (visits: readonly DayVisit[]) =>
    planned.value !== undefined && visits.every(({ id }) => planned.value?.grounds.work[id] !== undefined)

  function splitOf(visits: readonly DayVisit[], orders: Routes): DaySplit | undefined {
    if (!view.value || !planned.value || !isKnown(visits)) return undefined
    return splitDay(visits, orders, view.value.shop, planned.value.grounds, {
      midnight: day.value.getTime(),
      now: isToday.value ? now.value.getTime() : undefined,
      dark: dark.value,
    })
  }
  const split = computed(() => splitOf(view.value?.visits ?? [], view.value?.orders ?? {}))
  /** The hand's order of what is still ahead; what has come in meanwhile stands at the end of its van's tour. */
  const routes = computed((): Routes | undefined => {
    if (!hand.value || !split.value) return split.value?.routes
    const ahead = new Set(Object.values(split.value.routes).flat())
    const placed = new Set(Object.values(hand.value).flat())
    return Object.fromEntries(
      Object.entries(split.value.routes).map(([van, route]) => [
        van,
        [...(hand.value?.[van] ?? []).filter((id) => ahead.has(id)), ...route.filter((id) => !placed.has(id))],
      ]),
    )
  })
  const walkOf = (of: Routes | undefined): DayWalk | undefined =>
    split.value && of ? walkDay(split.value.plan, of) : undefined
  const walk = computed(() => walkOf(routes.value))
  const walkBefore = computed(() => walkOf(split.value?.routes))
  const walkBest = computed(() => walkOf(best.value?.routes))
  const reasons = computed(() => {
    const all = new Map<string, Because>()
    if (split.value && routes.value)
      for (const { id } of vansOf(view.value?.shop ?? {}))
        for (const [stop, because] of reasonsOf(split.value.plan, id, routes.value[id] ?? [])) all.set(stop, because)
    return all
  })

  watch(
    split,
    async (asked) => {
      if (!asked || asked.plan.stops.length < 2) {
        best.value = undefined
        return
      }
      const found = await orderer.best(
        structuredClone(toRaw(asked.plan)),
        [asked.routes],
        // What is proved at once needs no telling.
        proxy((share: number) => (progress.value = asked.plan.stops.length > MOST_EXACT ? share : 1)),
      )
      if (split.value !== asked) return
      progress.value = 1
      if (found) best.value = found
    },
    { immediate: true },
  )

  /** Where a call that waits would fit into this day, as it stands. */
  async function fitsOf(call: DayVisit): Promise<Fit[]> {
    const visits = [...(view.value?.visits ?? []), call]
    const van = vansOf(view.value?.shop ?? {})[0]?.id ?? ''
    const before = view.value?.orders ?? {}
    const withCall = splitOf(visits, { ...before, [van]: [...(before[van] ?? orderedIn(van)), call.id] })
    if (!withCall || !split.value) return []
    return orderer.fits(structuredClone(toRaw(withCall.plan)), split.value.routes, call.id)
  }
  const orderedIn = (van: string) => [
    ...(split.value?.behind[van] ?? []),
    ...(split.value?.underway[van] ? [split.value.underway[van].id] : []),
    ...(split.value?.routes[van] ?? []).filter((id) => errandOf(id) === undefined),
  ]

  /** The lines that keep an order: each van's whole tour, what is behind it first. */
  function ordersFor(of: Routes): { on: string; van: string; visits: string[] }[] {
    const { behind = {}, underway = {} } = split.value ?? {}
    return Object.entries(of).map(([van, route]) => ({
      on: on.value,
      van,
      visits: [
        ...(behind[van] ?? []),
        ...(underway[van] ? [underway[van].id] : []),
        ...route.filter((id) => errandOf(id) === undefined),
      ],
    }))
  }

  return {
    on,
    view,
    planned,
    problem,
    hand,
    best,
    progress,
    now,
    isToday,
    dark,
    split,
    routes,
    walk,
    walkBefore,
    walkBest,
    reasons,
    load,
    fitsOf,
    ordersFor,
  }
}
export type TheDay = ReturnType<typeof useDay>
