<script setup lang="ts">
import { addDays, format, parseISO, startOfDay } from 'date-fns'
import { isBegun } from '#core/planning/day'
import { errandOf, hoursOf, vansOf } from '#core/planning/day-plan'
import { openIn, visitsOf } from '#core/planning/stops'
import type { Fit } from '#core/planning/order/day-order'
import type { Routes } from '#core/planning/order/stop'
import { workMoment } from '#core/planning/order/moment'
import type { Loading } from '#core/planning/morning'
import { formatMinutes, formatPercent } from '#core/quantity/format'
import { tourRows, type TourRow } from '~/utils/day-rows'
import { fitRows, orderChange, pressing, WORTH_TELLING, type FitRow } from '~/utils/day-lamp'
import { noonOf, spanOf } from '~/utils/day-hours'

const route = useRoute()
const day = computed(() => {
  const asked = typeof route.query.day === 'string' ? parseISO(route.query.day) : new Date()
  return startOfDay(Number.isNaN(asked.getTime()) ? new Date() : asked)
})
const the = useDay(day)
const { on, view, planned, problem, hand, best, split, routes, walk, walkBefore, walkBest, reasons, now, isToday } = the
const journal = useDayJournal()
/** How far ahead the Day looks for what comes due. */
const DUE_AHEAD_DAYS = 14
const MOST_FITS = 3

const vans = computed(() => vansOf(view.value?.shop ?? {}))
const visits = computed(() => view.value?.visits ?? [])
const midnight = computed(() => day.value.getTime())
const work = computed(() => planned.value?.grounds.work)
const nameOf = (id: string) =>
  [...visits.value, ...(view.value?.waiting ?? [])].find((visit) => visit.id === (errandOf(id) ?? id))?.customer.name ??
  'the shop'

const tours = computed(() =>
  vans.value.map((van) => ({
    van,
    rows: split.value
      ? tourRows(van.id, visits.value, split.value, routes.value?.[van.id] ?? [], walk.value, reasons.value)
      : plainRows(van.id),
  })),
)
/** The visits in their order while their hours are not reckoned yet. */
function plainRows(van: string): TourRow[] {
  const order = view.value?.orders ?? {}
  const place = (id: string) => {
    const at = (order[van] ?? []).indexOf(id)
    return at < 0 ? Number.POSITIVE_INFINITY : at
  }
  const elsewhere = new Set(Object.entries(order).flatMap(([id, of]) => (id === van ? [] : of)))
  const isFirst = van === vans.value[0]?.id
  return visits.value
    .filter(({ id }) => !elsewhere.has(id) && (isFirst || Number.isFinite(place(id))))
    .toSorted((a, b) => (place(a.id) === place(b.id) ? 0 : place(a.id) - place(b.id)))
    .map((visit, index) => ({ id: visit.id, visit, is: visit.done ? 'done' : 'ahead', number: index + 1 }))
}

/** Calls that somebody has let wait, on this device: the lamp goes on to the next thing. */
const setAside = useLocalStorageRef<string>('pike-lamp.let-wait', '')
const tried = ref<string>()
const calls = computed(() =>
  pressing(view.value?.waiting ?? [], work.value).map((visit, index) => ({
    visit,
    letter: String.fromCharCode(97 + (index % 26)),
  })),
)
const call = computed(() => {
  // First it is said what becomes of the order in the hand.
  if (hand.value) return undefined
  const all = calls.value.map(({ visit }) => visit)
  const chosen = all.find(({ id }) => id === tried.value)
  if (chosen) return chosen
  const aside = setAside.value.split(' ')
  return isPast.value ? undefined : all.find(({ id }) => work.value?.[id]?.urgency.words && !aside.includes(id))
})
const isPast = computed(() => on.value < format(now.value, 'yyyy-MM-dd'))
const fits = shallowRef<Fit[]>([])
watch(
  [call, split],
  async ([lit]) => {
    const found = lit && split.value ? await the.fitsOf(lit) : []
    if (lit === call.value) fits.value = found
  },
  { immediate: true },
)
/** How many visits of each van stand before what is ahead. */
const before = computed(() =>
  Object.fromEntries(
    tours.value.map(({ van, rows }) => [van.id, rows.filter(({ is }) => is !== 'ahead' && is !== 'errand').length]),
  ),
)
const fitChoices = computed(() =>
  fitRows(fits.value, { vans: vans.value, before: before.value, nameOf, most: MOST_FITS }),
)

/** Where a van is before a place of its tour: a row of the travel table. */
function placeBefore({ van, place }: Fit): number {
  const stop = split.value?.routes[van]?.[place - 1]
  if (stop === undefined) return split.value?.plan.vans.find(({ id }) => id === van)?.place ?? 0
  return split.value?.plan.stops.find(({ id }) => id === stop)?.place ?? 0
}

/** The order that somebody has left as it is: it is not asked again until something changes in it. */
const leftAsIs = ref('')
const orderKey = computed(() => JSON.stringify(split.value?.routes ?? {}))
const better = computed(() => {
  if (hand.value || !walkBefore.value || !walkBest.value || leftAsIs.value === orderKey.value) return undefined
  if (walkBefore.value.cost - walkBest.value.cost < WORTH_TELLING) return undefined
  return orderChange(walkBefore.value, walkBest.value, nameOf)
})
const next = computed(() => {
  const rows = tours.value.flatMap(({ rows: of }) => of)
  return rows.find(({ is }) => is === 'now') ?? rows.find(({ is }) => is === 'ahead')
})
const litRow = computed(() => (call.value ? undefined : next.value?.id))
const leave = computed(() => {
  const hours = next.value?.is === 'ahead' ? next.value.hours : undefined
  if (!hours) return undefined
  const opens = next.value?.visit.arranged.from
  const arrives = opens
    ? Math.max(hours.arrives.mean, (Date.parse(opens) - midnight.value) / 60_000)
    : hours.arrives.mean
  return arrives - hours.drive
})

/** What was not finished: of days before, or of this one once its hours are over. */
const isEvening = computed(
  () =>
    isToday.value &&
    (now.value.getTime() - midnight.value) / 60_000 >= hoursOf(view.value?.shop ?? {}).end &&
    unfinished.value.length > 0,
)
const unfinished = computed(() =>
  tours.value.flatMap(({ rows }) => rows.filter(({ is }) => is === 'ahead' || is === 'now').map(({ visit }) => visit)),
)
const left = computed(() => (isToday.value ? (isEvening.value ? unfinished.value : (view.value?.left ?? [])) : []))

const opened = ref<string>()
const openedVisit = computed(() =>
  [...visits.value, ...(view.value?.waiting ?? []), ...(view.value?.left ?? [])].find(({ id }) => id === opened.value),
)
// One that left the day has left its dialog too: on the day to which it went it does not open by itself.
watch(openedVisit, (visit) => {
  if (!visit) opened.value = undefined
})

function moved(van: string, route: string[]): void {
  if (!routes.value) return
  // What comes into one tour has left the other.
  const others = Object.fromEntries(
    Object.entries(routes.value).map(([id, of]) => [
      id,
      id === van ? route : of.filter((stop) => !route.includes(stop)),
    ]),
  )
  const next = { ...others, [van]: route }
  hand.value = JSON.stringify(next) === JSON.stringify(split.value?.routes) ? undefined : next
}
async function keepOrder(of: Routes): Promise<void> {
  await journal.order(the.ordersFor(of))
  hand.value = undefined
  await the.load()
}
async function putIn({ fit }: FitRow): Promise<void> {
  const lit = call.value
  if (!lit || !split.value) return
  const of = { ...split.value.routes, [fit.van]: (split.value.routes[fit.van] ?? []).toSpliced(fit.place, 0, lit.id) }
  await journal.putIn(lit, noonOf(day.value), the.ordersFor(of))
  tried.value = undefined
  await the.load()
}
function letWait(): void {
  if (!call.value) return
  setAside.value = [...setAside.value.split(' ').filter(Boolean).slice(-40), call.value.id].join(' ')
  tried.value = undefined
}
async function keepLeft(each: Parameters<typeof journal.planAll>[0]): Promise<void> {
  await journal.planAll(each)
  await the.load()
}
async function loaded(thing: Loading, isIn: boolean): Promise<void> {
  await journal.load(thing.wanted, isIn)
  await the.load()
}
const load = computed(() => {
  const ahead = new Set(visits.value.flatMap(openIn))
  return Object.fromEntries(Object.entries(planned.value?.load ?? {}).filter(([id]) => ahead.has(id)))
})
const vanOf = computed(() =>
  Object.fromEntries(
    tours.value.flatMap(({ van, rows }) =>
      rows.flatMap(({ visit }) => visitsOf(visit).map(({ id }) => [id, van.id] as const)),
    ),
  ),
)

const total = computed(() => unfinished.value)
const summary = computed(() => {
  if (visits.value.length === 0) return ''
  const stops = counted(visits.value.length, 'visit')
  if (!walk.value) return stops
  const minutes = total.value.reduce((sum, { id, plannedMinutes }) => {
    const own = work.value?.[id]?.minutes
    return sum + (own ? workMoment(own).mean : plannedMinutes)
  }, 0)
  return `${stops}, ${formatMinutes(minutes)} of work, ${formatMinutes(walk.value.driving)} driving`
})
const link = (days: number) => ({ query: { day: format(addDays(day.value, days), 'yyyy-MM-dd') } })
useHead({ title: computed(() => `${format(day.value, 'EEEE d MMMM')} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader :title="format(day, 'EEEE d MMMM')" :short="format(day, 'EEE d MMM')">
      <p v-if="view" class="text-slate max-xl:hidden" data-testid="day-summary">{{ summary }}</p>
    </PlaceHeader>
    <div class="flex flex-wrap items-center gap-1 border-b border-rule px-5 max-sm:px-3">
      <nav aria-label="days" class="flex items-center gap-1">
        <NuxtLink class="button button-quiet" :to="link(-1)">before</NuxtLink
        ><NuxtLink class="button button-quiet" to="/">today</NuxtLink
        ><NuxtLink class="button button-quiet" :to="link(1)">after</NuxtLink
        ><NuxtLink class="button button-quiet" :to="{ path: '/week', query: { day: on } }">week</NuxtLink
        ><NuxtLink class="button button-quiet" to="/due">due</NuxtLink>
      </nav>
      <a
        v-if="visits.length > 0"
        class="button button-quiet ml-auto max-sm:hidden"
        :href="`/api/day.ics?${spanOf(day, on)}`"
        download
        >As calendar file</a
      ><NuxtLink
        class="button my-1"
        :class="{ 'ml-auto': visits.length === 0 }"
        to="/visits/new"
        data-testid="new-visit"
        >New visit</NuxtLink
      >
    </div>
    <main>
      <div v-if="problem" class="p-6">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="the.load">Try again</button>
      </div>
      <p v-else-if="!view" class="p-6 text-slate">Reading the day</p>
      <template v-else>
        <LeftOver
          v-if="left.length > 0"
          :visits="left"
          :is-evening="isEvening"
          :morning="isEvening ? addDays(day, 1) : day"
          @keep="keepLeft"
          @open="opened = $event"
        />
        <DayInvitation
          v-if="visits.length === 0 && calls.length === 0"
          :first="view.empty"
          :unset="view.shop.unset === true"
        />
        <div v-else class="plan">
          <div class="lamp">
            <DayLamp
              v-if="!isPast || call"
              :call="call"
              :call-work="call && work?.[call.id]"
              :fits="fitChoices"
              :next="next"
              :leave="leave"
              @put="putIn"
              @wait="letWait"
            />
          </div>
          <div class="tours" data-testid="day">
            <BetterOrder
              v-if="better && best"
              :words="better"
              :is-proved="best.isProved"
              @take="keepOrder(best.routes)"
              @leave="leftAsIs = orderKey"
            />
            <p
              v-if="the.progress.value < 1"
              class="border-b border-rule px-4 py-2 text-slate"
              role="status"
              data-testid="ordering"
            >
              Looking for a better order: {{ formatPercent(the.progress.value) }}
            </p>
            <DayTour
              v-for="({ van, rows }, index) in tours"
              :key="van.id"
              :van="van"
              :rows="rows"
              :walk="walk?.walks[van.id]"
              :grounds="planned?.grounds"
              :midnight="midnight"
              :lit-id="litRow"
              :fit="call && fits[0]?.van === van.id ? fits[0] : undefined"
              :fit-name="call?.customer.name"
              :named="vans.length > 1"
              :round="index > 0"
              :dark="the.dark.value"
              :units="view.shop.units"
              :leaves="before[van.id] === 0 ? split?.plan.vans.find(({ id }) => id === van.id)?.from : undefined"
              @order="moved(van.id, $event)"
              @open="opened = $event"
            />
          </div>
          <div class="beside">
            <DayMap
              v-if="planned?.grounds.sketch && split"
              :sketch="planned.grounds.sketch"
              :grounds="planned.grounds"
              :tours="
                tours.map(({ van, rows }) => ({
                  van: van.id,
                  rows,
                  from: split?.plan.vans.find(({ id }) => id === van.id)?.place ?? 0,
                }))
              "
              :waiting="calls.map(({ visit, letter }) => ({ id: visit.id, letter, name: visit.customer.name }))"
              :lit-id="litRow"
              :fit-id="call && fits[0] ? { id: call.id, after: placeBefore(fits[0]) } : undefined"
              :units="view.shop.units"
            />
            <LazyDayLoad
              v-if="Object.keys(load).length > 0"
              class="px-4 pb-4"
              :load="load"
              :visits="visits"
              :van-of="vanOf"
              @load="loaded"
            />
          </div>
          <div class="waiting">
            <CallsWaiting
              class="p-4"
              :calls="calls"
              :work="work"
              :now="now"
              @try="tried = $event"
              @open="opened = $event"
            />
            <DueList :until="format(addDays(day, DUE_AHEAD_DAYS), 'yyyy-MM-dd')" :late="on" />
          </div>
        </div>
        <DueList
          v-if="visits.length === 0 && calls.length === 0"
          :until="format(addDays(day, DUE_AHEAD_DAYS), 'yyyy-MM-dd')"
          :late="on"
        />
      </template>
    </main>
    <OrderStrip
      v-if="hand && walk && walkBefore"
      :before="walkBefore"
      :after="walk"
      :best="walkBest"
      :is-proved="best?.isProved"
      :name-of="nameOf"
      @keep="routes && keepOrder(routes)"
      @back="hand = undefined"
    />
    <LazyStopDialog
      v-if="openedVisit"
      :key="openedVisit.id"
      :visit="openedVisit"
      :on="on"
      :waits="calls.some(({ visit }) => visit.id === openedVisit?.id)"
      :begun="isBegun(openedVisit)"
      @close="opened = undefined"
      @changed="the.load"
    />
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}
.tours {
  min-width: 0;
}
.beside {
  order: 1;
}
@media (min-width: 1100px) {
  .plan {
    grid-template-columns: minmax(0, 1fr) 284px 336px;
    grid-template-rows: auto 1fr;
    min-height: calc(100dvh - 130px);
  }
  .tours {
    grid-column: 1;
    grid-row: 1 / 3;
  }
  .beside {
    grid-column: 2;
    grid-row: 1 / 3;
    border-left: 1px solid var(--rule);
  }
  .lamp {
    grid-column: 3;
    grid-row: 1;
    border-left: 1px solid var(--rule);
  }
  .waiting {
    grid-column: 3;
    grid-row: 2;
    border-left: 1px solid var(--rule);
  }
}
</style>
