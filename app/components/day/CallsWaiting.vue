<script setup lang="ts">
import { format } from 'date-fns'
import { toldOf, type DayVisit } from '#core/planning/day'
import type { DayWork } from '#core/planning/day-plan'
import { machinesOf } from '#core/planning/stops'
import { formatMinutes } from '#core/quantity/format'

/** Calls that have no day yet, the most urgent first. */
const {
  calls,
  work = undefined,
  now,
} = defineProps<{
  calls: readonly { visit: DayVisit; letter: string }[]
  work?: Readonly<Record<string, DayWork>>
  now: Date
}>()
const emit = defineEmits<{ try: [visitId: string]; open: [visitId: string] }>()

function words(stop: DayVisit): string {
  const { id, complaints, callerSays, arranged } = stop
  const own = work?.[id]
  const by = arranged.until
    ? `by ${format(new Date(arranged.until), 'EEE H:mm')}`
    : arranged.from
      ? `from ${format(new Date(arranged.from), 'EEE H:mm')}`
      : ''
  return [
    machinesOf(stop),
    own?.urgency.words ?? toldOf({ complaints, callerSays }),
    by,
    (own?.people ?? 1) > 1 ? 'two people' : '',
    arranged.partsAt && Date.parse(arranged.partsAt) > now.getTime()
      ? `parts ${format(new Date(arranged.partsAt), 'EEE H:mm')}`
      : '',
  ]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <section v-if="calls.length > 0" aria-labelledby="waiting-title" data-testid="waiting">
    <h2 id="waiting-title" class="text-[1.1rem]">Calls waiting</h2>
    <ul>
      <li
        v-for="{ visit, letter } in calls"
        :key="visit.id"
        class="flex items-center gap-3 border-t border-rule py-1"
        :data-visit="visit.id"
      >
        <span class="letter number" aria-hidden="true">{{ letter }}</span>
        <button
          type="button"
          class="min-h-12 min-w-0 grow text-left hover:underline"
          data-testid="call"
          @click="emit('try', visit.id)"
        >
          <strong class="block truncate">{{ visit.customer.name }}</strong><span
            class="block truncate text-[0.9rem] text-slate"
            >{{ words(visit) }}</span
          >
        </button>
        <span v-if="work?.[visit.id]" class="number shrink-0 text-right"
          ><span class="block">{{ formatMinutes(work[visit.id]?.minutes.p50) }}</span
          ><span class="block text-[0.86rem] text-slate"
            >to {{ formatMinutes(work[visit.id]?.minutes.p90) }}</span
          ></span
        >
        <MoreButton class="min-w-11" :visit="visit" @open="emit('open', visit.id)" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.letter {
  display: inline-flex;
  flex: none;
  align-items: center;
  justify-content: center;
  width: 26px;
  height: 26px;
  border: 2px dashed var(--slate);
  border-radius: 5px;
  font-weight: 700;
}
</style>
