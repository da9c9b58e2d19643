<script setup lang="ts">
import { addDays, format, isSameDay, parseISO, startOfDay, startOfWeek } from 'date-fns'
import { VueDraggable } from 'vue-draggable-plus'
import { isBegun, toldOf, type DayVisit } from '#core/planning/day'
import { machinesOf, nextIn } from '#core/planning/stops'
import { formatMinutes } from '#core/quantity/format'
import { noonOf, spanOf } from '~/utils/day-hours'
import type { DayView } from '~/composables/useDay'
import { useSelf } from '~/stores/self'

/** Seven days side by side: what stands in each and how full it is. A visit is moved by dragging it, or by its menu. */
const route = useRoute()
const [journal, self] = [useDayJournal(), useSelf()]
const DAYS = 7
const isDragging = useDragging()
const monday = computed(() => {
  const asked = typeof route.query.day === 'string' ? parseISO(route.query.day) : new Date()
  return startOfWeek(Number.isNaN(asked.getTime()) ? new Date() : asked, { weekStartsOn: 1 })
})
const { view, problem, load } = useServed<DayView>(
  () => `/api/day?${spanOf(monday.value, format(monday.value, 'yyyy-MM-dd'), DAYS)}`,
  { isHeld: () => isDragging.value },
)
const today = startOfDay(new Date())
interface WeekDay {
  key: string
  day: Date
  visits: DayVisit[]
}
const days = ref<WeekDay[]>([])
const waiting = ref<DayVisit[]>([])
watch([view, monday], () => {
  const visits = view.value?.visits ?? []
  days.value = Array.from({ length: DAYS }, (_, index) => {
    const day = addDays(monday.value, index)
    return {
      key: format(day, 'yyyy-MM-dd'),
      day,
      visits: visits.filter(({ scheduledAt }) => isSameDay(new Date(scheduledAt), day)),
    }
  })
  waiting.value = [...(view.value?.waiting ?? [])]
})
const minutesOf = (visits: readonly DayVisit[]) =>
  visits.filter(({ done }) => !done).reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0)

/** A visit was dropped where it did not stand: it stands there from now on. */
async function dropped(day: Date | undefined, visits: readonly DayVisit[]): Promise<void> {
  const come = visits.filter(({ id, scheduledAt }) =>
    day
      ? view.value?.waiting.some((each) => each.id === id) === true || !isSameDay(new Date(scheduledAt), day)
      : view.value?.visits.some((each) => each.id === id),
  )
  if (come.length === 0) return
  // What was begun stays in the day on which it was, and goes on on the other.
  await journal.planAll(
    come.map((visit) => ({
      stop: visit,
      body: day ? { at: noonOf(day), ...(isBegun(visit) ? { goesOn: true } : {}) } : {},
    })),
  )
  await load()
}
const opened = ref<{ visit: DayVisit; on: string; waits: boolean }>()
/** Where people sign in, a calendar is given an address with a key of its own. */
const feed = ref('')
const giveFeed = oneAtATime(async () => {
  const made = await told<{ path: string }>('/api/session/calendar', 'POST')
  feed.value =
    'problem' in made
      ? made.problem
      : `For your calendar alone, good until its device is shut out under People: ${location.origin}${made.said.path}`
})
const link = (weeks: number) => ({ query: { day: format(addDays(monday.value, weeks * DAYS), 'yyyy-MM-dd') } })
useHead({ title: computed(() => `Week of ${format(monday.value, 'd MMMM')} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader
      :title="`Week of ${format(monday, 'd MMMM')}`"
      :short="`${format(monday, 'd')}–${format(addDays(monday, DAYS - 1), 'd MMM')}`"
    />
    <nav aria-label="weeks" class="flex items-center gap-1 border-b border-rule px-5 max-sm:px-3">
      <NuxtLink class="button button-quiet" :to="link(-1)">before</NuxtLink
      ><NuxtLink class="button button-quiet" to="/week">this week</NuxtLink
      ><NuxtLink class="button button-quiet" :to="link(1)">after</NuxtLink
      ><a
        v-if="self.session.is !== 'in'"
        class="button button-quiet ml-auto"
        href="/api/calendar.ics"
        data-testid="feed"
        >Calendar to subscribe to</a
      ><button v-else type="button" class="button button-quiet ml-auto" data-testid="feed" @click="giveFeed">
        Calendar to subscribe to
      </button>
    </nav>
    <p
      v-if="feed"
      class="break-all border-b border-rule px-5 py-2 max-sm:px-3"
      role="status"
      data-testid="feed-address"
    >
      {{ feed }}
    </p>
    <main class="p-4 max-sm:p-3">
      <div v-if="problem">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="load">Try again</button>
      </div>
      <div v-else-if="view" class="week" data-testid="week">
        <section v-for="each in days" :key="each.key" class="day" :class="{ 'is-today': isSameDay(each.day, today) }">
          <h2 class="text-[1.02rem]">
            <NuxtLink
              :to="{ path: '/', query: { day: each.key } }"
              class="block min-h-12 py-1 text-inherit no-underline"
              >{{ format(each.day, 'EEEE d')
              }}<span class="number block text-[0.86rem] font-normal text-slate"
                >{{ counted(each.visits.length, 'visit') }}, {{ formatMinutes(minutesOf(each.visits)) }}</span
              ></NuxtLink
            >
          </h2>
          <VueDraggable
            v-model="each.visits"
            group="week"
            :animation="140"
            :delay="150"
            :delay-on-touch-only="true"
            filter=".is-done"
            class="list"
            :data-day="each.key"
            @start="isDragging = true"
            @end="isDragging = false"
            @add="dropped(each.day, each.visits)"
          >
            <div v-for="visit in each.visits" :key="visit.id" class="visit" :class="{ 'is-done': visit.done }">
              <NuxtLink
                :to="`/visits/${nextIn(visit).id}`"
                class="min-w-0 grow py-1 text-inherit no-underline hover:underline"
                ><strong class="block truncate">{{ visit.customer.name }}</strong
                ><span class="block truncate text-[0.86rem] text-slate">{{
                  visit.done ? 'done' : visit.of ? machinesOf(visit) : toldOf(visit)
                }}</span></NuxtLink
              ><MoreButton
                v-if="!visit.done"
                class="min-w-11"
                :visit="visit"
                @open="opened = { visit, on: each.key, waits: false }"
              />
            </div>
          </VueDraggable>
        </section>
        <section class="day">
          <h2 class="min-h-12 py-1 text-[1.02rem]">
            Waiting<span class="number block text-[0.86rem] font-normal text-slate">{{
              counted(waiting.length, 'call')
            }}</span>
          </h2>
          <VueDraggable
            v-model="waiting"
            group="week"
            :animation="140"
            :delay="150"
            :delay-on-touch-only="true"
            class="list"
            data-day="waiting"
            @start="isDragging = true"
            @end="isDragging = false"
            @add="dropped(undefined, waiting)"
          >
            <div v-for="visit in waiting" :key="visit.id" class="visit">
              <span class="min-w-0 grow py-1"
                ><strong class="block truncate">{{ visit.customer.name }}</strong
                ><span class="block truncate text-[0.86rem] text-slate">{{
                  visit.of ? machinesOf(visit) : toldOf(visit)
                }}</span></span
              ><MoreButton
                class="min-w-11"
                :visit="visit"
                @open="opened = { visit, on: format(today, 'yyyy-MM-dd'), waits: true }"
              />
            </div>
          </VueDraggable>
        </section>
      </div>
    </main>
    <StopDialog
      v-if="opened"
      :key="opened.visit.id"
      :visit="opened.visit"
      :on="opened.on"
      :waits="opened.waits"
      :begun="isBegun(opened.visit)"
      @close="opened = undefined"
      @changed="load"
    />
  </div>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: repeat(8, minmax(0, 1fr));
  gap: 0 12px;
}
.day {
  min-width: 0;
  padding-bottom: 0.8rem;
}
.is-today h2 {
  box-shadow: inset 0 -4px 0 var(--ink);
}
.list {
  min-height: 90px;
  border-top: 1.5px solid var(--ink);
}
.visit {
  display: flex;
  align-items: center;
  min-height: 52px;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
}
.is-done {
  color: var(--slate);
}
@media (max-width: 1000px) {
  .week {
    grid-template-columns: minmax(0, 1fr);
  }
  .list {
    min-height: 24px;
  }
}
</style>
