<script setup lang="ts">
import { format, isBefore } from 'date-fns'
import type { DayVisit } from '#core/planning/day'
import { historyText, type HistoryReading } from '#core/visit/history'
import { STAGE_LABELS, type Stage } from '#core/knowledge/vocabulary'
import type { Verdict } from '#core/judgement/judgement'
import { formatMinutes } from '#core/quantity/format'

const { visit, lit, day, words } = defineProps<{
  visit: DayVisit<HistoryReading>
  lit: boolean
  day: Date
  words: string
}>()
const { reader } = useUnits()
const at = computed(() => new Date(visit.scheduledAt))
const carried = computed(() => isBefore(at.value, day))
</script>

<template>
  <li class="row" :class="{ 'is-lit': lit }" :data-testid="lit ? 'day-row-lit' : 'day-row'">
    <NuxtLink :to="`/visits/${visit.id}`" class="line">
      <time class="number when" :datetime="visit.scheduledAt">{{
        carried ? format(at, 'd MMM') : format(at, 'H:mm')
      }}</time>
      <span class="coupling" :class="{ 'is-done': visit.done, 'is-amber': lit }" aria-hidden="true" />
      <KindDrawing :kind="visit.machine.kind" class="drawing" />
      <span class="what">
        <strong class="block truncate text-[1.12rem]">{{ visit.customer.name }}, {{ visit.machine.name }}</strong>
        <span class="block truncate soft">{{ words || visit.callerSays }}</span>
        <span class="block truncate soft text-[0.88rem]"
          >{{ visit.customer.place
          }}<template v-if="words && visit.callerSays"> · “{{ visit.callerSays }}”</template></span
        >
      </span>
      <span class="last">
        <span
          v-for="reading in visit.lastReadings"
          :key="reading.subject"
          class="flex items-center gap-2 text-[0.92rem]"
          ><StateMark :verdict="reading.verdict as Verdict" :size="18" /><span class="truncate">{{
            historyText(reading, reader)
          }}</span></span
        >
        <span v-if="visit.lastReadings[0]" class="soft text-[0.85rem]">{{
          format(new Date(visit.lastReadings[0].at), 'MMM yyyy')
        }}</span>
        <span v-else class="soft text-[0.92rem]">no readings yet</span>
      </span>
      <span class="state"
        ><span class="number block">{{ formatMinutes(visit.plannedMinutes) }}</span
        ><span class="soft text-[0.9rem]">{{
          visit.done ? 'done' : `at ${STAGE_LABELS[visit.stage as Stage]}`
        }}</span></span
      >
    </NuxtLink>
  </li>
</template>

<style scoped>
.line {
  position: relative;
  display: grid;
  grid-template-columns: 72px 28px 92px minmax(0, 1.25fr) minmax(0, 1fr) 5.5rem;
  gap: 0 18px;
  align-items: center;
  min-height: 92px;
  padding: 6px 20px 6px 8px;
  color: inherit;
  text-decoration: none;
}
.line:hover {
  background: color-mix(in srgb, var(--metal) 45%, transparent);
}
.row {
  border-bottom: 1px solid var(--rule);
}
.is-lit {
  background: var(--glow);
  color: var(--lamp-ink);
}
.soft {
  color: var(--slate);
}
.is-lit .soft {
  color: var(--lamp-ink);
}
.is-lit :deep(svg[role='img']) {
  color: var(--lamp-ink);
}
.when {
  text-align: right;
  font-size: 1.1rem;
}
.coupling {
  width: 28px;
  height: 28px;
  border: 2px solid var(--ink);
  border-radius: 6px;
  background: var(--paper);
}
.is-done {
  background: var(--ink);
}
.is-amber {
  background: var(--lamp);
  border-color: var(--lamp-ink);
}
.drawing {
  width: 92px;
  height: 52px;
}
.state {
  text-align: right;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 28px minmax(0, 1fr) auto;
    gap: 0 12px;
    padding: 8px 12px 8px 10px;
  }
  .drawing,
  .last {
    display: none;
  }
  .when {
    grid-column: 3;
    grid-row: 1;
  }
  .coupling {
    grid-column: 1;
    grid-row: 1;
  }
  .what {
    grid-column: 2;
    grid-row: 1;
  }
  .state {
    grid-column: 2 / 4;
    grid-row: 2;
    display: flex;
    gap: 1rem;
    text-align: left;
  }
}
</style>
