<script setup lang="ts">
import { addDays, format } from 'date-fns'

/** What comes due up to a day, road by road: chosen, and written down as calls that wait for a day. */
const REACHES = [
  { days: 14, words: 'two weeks' },
  { days: 60, words: 'two months' },
  { days: 180, words: 'half a year' },
] as const
const route = useRoute()
const reach = computed(() => {
  const asked = Number(route.query.days)
  return REACHES.find(({ days }) => days === asked) ?? REACHES[1]
})
const until = computed(() => format(addDays(new Date(), reach.value.days), 'yyyy-MM-dd'))
const due = useDue(() => until.value)
const { view, problem, roads, lit, chosen, calls, forecast, ahead } = due
const journal = useDayJournal()
const trouble = ref('')
const written = ref<string[]>([])

async function write(): Promise<void> {
  trouble.value = ''
  try {
    written.value = await journal.openCalls(calls.value)
    due.clear()
    await Promise.all([due.load(), due.foretell()])
  } catch (error) {
    trouble.value =
      error instanceof TypeError ? 'The server does not answer: nothing was written.' : (error as Error).message
  }
}
async function takeBack(): Promise<void> {
  await journal.takeBackCalls(written.value)
  written.value = []
  await Promise.all([due.load(), due.foretell()])
}
useHead({ title: 'What comes due · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Due">
      <p v-if="view" class="text-slate max-xl:hidden" data-testid="due-count">
        {{ counted(view.count, 'thing') }} to come back for in {{ reach.words }}
      </p>
    </PlaceHeader>
    <div class="flex flex-wrap items-center gap-1 border-b border-rule px-5 max-sm:px-3">
      <nav aria-label="how far ahead" class="flex flex-wrap items-center gap-1">
        <NuxtLink
          v-for="{ days, words } in REACHES"
          :key="days"
          class="button button-quiet"
          :class="{ 'font-bold': days === reach.days }"
          :aria-current="days === reach.days ? 'true' : undefined"
          :to="{ query: { days } }"
          replace
          >{{ words }}</NuxtLink
        >
      </nav>
      <a class="button button-quiet ml-auto" :href="`/api/due.ics?until=${until}&today=${due.today}`" download
        >As calendar file</a
      >
    </div>
    <main>
      <p
        v-if="written.length > 0"
        role="status"
        class="flex flex-wrap items-center gap-x-4 border-b border-rule px-5 py-1"
        data-testid="calls-written"
      >
        <span>{{ counted(written.length, 'call') }} written down</span>
        <NuxtLink class="button button-quiet" to="/">To the day</NuxtLink
        ><button type="button" class="button button-quiet" @click="takeBack">Undo</button>
      </p>
      <div v-if="problem" class="p-6">
        <p class="mb-3 font-bold">{{ problem }}</p>
        <button type="button" class="button" @click="due.load">Try again</button>
      </div>
      <p v-else-if="!view" class="p-6 text-slate">Reading what comes due</p>
      <div v-else class="due">
        <div class="lamp" :class="{ 'has-chosen': calls.length > 0 }">
          <DueLamp
            :lit="lit"
            :calls="calls.length"
            :work="due.work.value"
            :driving="due.driving.value"
            :today="due.today"
            :problem="trouble"
            @road="lit && due.choose(lit.items, true)"
            @write="write"
            @clear="due.clear"
          />
        </div>
        <div class="roads" data-testid="due-roads">
          <p v-if="roads.length === 0" class="p-2" data-testid="due-none">
            Nothing comes due in {{ reach.words }}. What a visit leaves to come back for, a reading that nears its limit
            and the year’s round stand here in time.
          </p>
          <DueRoadGroup
            v-for="row in roads"
            :key="row.road"
            :row="row"
            :chosen="chosen"
            :today="due.today"
            :is-choosable="due.isChoosable"
            @choose="due.choose"
          />
          <p v-if="view.count > view.items.length" class="py-3">
            {{ view.count - view.items.length }} more are later than these.
          </p>
        </div>
        <div class="beside">
          <ForecastPanel
            v-if="forecast && forecast.machines > 0"
            :forecast="forecast"
            :ahead="ahead"
            :chosen="chosen"
            @choose="due.choose"
          />
        </div>
      </div>
    </main>
  </div>
</template>

<style scoped>
.due {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}
.roads {
  display: grid;
  gap: 1.2rem;
  align-content: start;
  min-width: 0;
  padding: 0.8rem 1.2rem 1.5rem;
}
.beside {
  padding: 1rem 1.2rem;
  border-top: 1px solid var(--rule);
}
@media (min-width: 1000px) {
  .lamp {
    position: sticky;
    top: 0;
    z-index: 5;
  }
}
/* On a phone what is chosen stays in sight, over the places at the foot. */
@media (max-width: 999px) {
  .has-chosen {
    position: sticky;
    bottom: var(--places);
    order: 1;
    z-index: 5;
  }
}
@media (min-width: 1000px) {
  .due {
    grid-template-columns: minmax(0, 1fr) 396px;
    grid-template-rows: auto 1fr;
    min-height: calc(100dvh - 130px);
  }
  .roads {
    grid-column: 1;
    grid-row: 1 / 3;
  }
  .lamp {
    grid-column: 2;
    grid-row: 1;
    border-left: 1px solid var(--rule);
  }
  .beside {
    grid-column: 2;
    grid-row: 2;
    border-top: 0;
    border-left: 1px solid var(--rule);
  }
}
</style>
