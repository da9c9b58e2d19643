<script setup lang="ts">
import { addDays, format, startOfDay } from 'date-fns'
import { complaintWords, nextVisit, type DayVisit } from '#core/planning/day'
import { formatMinutes } from '#core/quantity/format'

import type { HistoryReading } from '#core/visit/history'
import type { Shop } from '#core/visit/shop'

interface DayView {
  visits: DayVisit<HistoryReading>[]
  empty: boolean
  shop: Shop
}

const route = useRoute()
const day = computed(() =>
  typeof route.query.day === 'string' && !Number.isNaN(Date.parse(route.query.day))
    ? startOfDay(new Date(`${route.query.day}T12:00:00`))
    : startOfDay(new Date()),
)
const view = ref<DayView>()
const problem = ref('')
/** How far ahead the Day looks for what comes due. */
const DUE_AHEAD_DAYS = 14
const ASK_AGAIN = 1_500
let again: ReturnType<typeof setTimeout> | undefined
onBeforeUnmount(() => clearTimeout(again))
async function load(): Promise<void> {
  try {
    clearTimeout(again)
    const response = await fetch(`/api/day?from=${day.value.toISOString()}&to=${addDays(day.value, 1).toISOString()}`)
    if (!response.ok) {
      problem.value = ((await response.json().catch(() => ({}))) as { title?: string }).title ?? response.statusText
      // A shop that is still taking in its journal is asked again by itself.
      if (response.status === 503) again = setTimeout(() => void load(), ASK_AGAIN)
      return
    }
    problem.value = ''
    view.value = (await response.json()) as DayView
    rememberShopUnits(view.value.shop)
  } catch {
    problem.value = 'The server does not answer. Start it, then try again.'
  }
}
watch(day, load, { immediate: true })
const lit = computed(() => nextVisit(view.value?.visits ?? [])?.id)
const work = computed(() =>
  formatMinutes(
    (view.value?.visits ?? []).filter(({ done }) => !done).reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0),
  ),
)
const NUMBERS = [
  'no visits',
  'one visit',
  'two visits',
  'three visits',
  'four visits',
  'five visits',
  'six visits',
  'seven visits',
  'eight visits',
  'nine visits',
  'ten visits',
]
const count = computed(() => NUMBERS[view.value?.visits.length ?? 0] ?? `${view.value?.visits.length} visits`)
const link = (days: number) => ({ query: { day: format(addDays(day.value, days), 'yyyy-MM-dd') } })
useHead({ title: computed(() => `${format(day.value, 'EEEE d MMMM')} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader :title="format(day, 'EEEE d MMMM')">
      <p v-if="view" class="text-slate max-xl:hidden">{{ count }}, {{ work }} of work</p>
    </PlaceHeader>
    <div class="mx-auto flex max-w-6xl flex-wrap items-center gap-1 px-5 pt-2 max-sm:px-3">
      <nav aria-label="days" class="flex items-center gap-1">
        <NuxtLink class="button button-quiet" :to="link(-1)">before</NuxtLink
        ><NuxtLink class="button button-quiet" to="/">today</NuxtLink
        ><NuxtLink class="button button-quiet" :to="link(1)">after</NuxtLink>
      </nav>
      <NuxtLink class="button ml-auto" to="/visits/new" data-testid="new-visit">New visit</NuxtLink>
    </div>
    <main class="mx-auto max-w-6xl">
      <div v-if="problem" class="p-6">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="load">Try again</button>
      </div>
      <p v-else-if="!view" class="p-6 text-slate">Reading the day</p>
      <DayInvitation v-else-if="view.visits.length === 0" :first="view.empty" :unset="view.shop.unset === true" />
      <ol v-else class="day" data-testid="day">
        <DayRow
          v-for="visit in view.visits"
          :key="visit.id"
          :visit="visit"
          :lit="visit.id === lit"
          :day="day"
          :words="complaintWords(visit.complaints)"
        />
      </ol>
      <DueList :until="format(addDays(day, DUE_AHEAD_DAYS), 'yyyy-MM-dd')" :late="format(day, 'yyyy-MM-dd')" />
    </main>
  </div>
</template>

<style scoped>
.day {
  position: relative;
  padding-block: 0.6rem;
}
.day::before {
  content: '';
  position: absolute;
  left: 106px;
  top: 0;
  bottom: 0;
  width: 10px;
  border-inline: 2px solid var(--ink);
}
@media (max-width: 700px) {
  .day::before {
    left: 19px;
  }
}
</style>
