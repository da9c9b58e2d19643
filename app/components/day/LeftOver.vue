<script setup lang="ts">
import { format } from 'date-fns'
import { isBegun, type DayVisit } from '#core/planning/day'
import { machinesOf } from '#core/planning/stops'
import type { Planned } from '~/composables/useDayJournal'
import { noonOf } from '~/utils/day-hours'

/** What was not finished: asked about once, all together, and never dragged along. */
const { visits, isEvening, morning } = defineProps<{
  visits: readonly DayVisit[]
  /** It is the evening of this very day; else they are of days before. */
  isEvening: boolean
  /** The midnight of the day that comes next: today in the morning, tomorrow in the evening. */
  morning: Date
}>()
const emit = defineEmits<{ keep: [each: Planned[]]; open: [visitId: string] }>()

type Answer = 'next' | 'waits'
const answers = ref<Record<string, Answer>>({})
/** What was begun goes on at once; what was not begun has no day yet again. */
const answerOf = (visit: DayVisit): Answer => answers.value[visit.id] ?? (isBegun(visit) ? 'next' : 'waits')
const next = computed(() => (isEvening ? `tomorrow, ${format(morning, 'EEEE')}` : 'today'))
function keep(): void {
  emit(
    'keep',
    visits.map((visit) => ({
      stop: visit,
      body: answerOf(visit) === 'waits' ? {} : { at: noonOf(morning), ...(isBegun(visit) ? { goesOn: true } : {}) },
    })),
  )
}
</script>

<template>
  <section class="border-b border-rule bg-sheet p-4" aria-labelledby="left-title" data-testid="left-over">
    <h2 id="left-title" class="text-[1.15rem]">
      {{ isEvening ? 'Not finished today' : 'Not finished before today' }}: what becomes of
      {{ visits.length === 1 ? 'it' : 'them' }}?
    </h2>
    <ul class="mt-1">
      <li
        v-for="visit in visits"
        :key="visit.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-1"
      >
        <span class="min-w-0 grow basis-64"
          ><strong>{{ visit.customer.name }}, {{ machinesOf(visit) }}</strong
          ><span class="text-slate"
            >{{ isEvening ? '' : `, of ${format(new Date(visit.scheduledAt), 'EEE d MMM')}` }},
            {{ isBegun(visit) ? 'begun' : 'not begun' }}</span
          ></span
        >
        <span class="flex flex-wrap gap-2" role="group" :aria-label="visit.customer.name">
          <button
            v-for="[answer, words] in [
              ['next', isBegun(visit) ? `goes on ${next}` : next],
              ['waits', 'waits for a day'],
            ] as const"
            :key="answer"
            type="button"
            class="toggle"
            :aria-pressed="answerOf(visit) === answer"
            @click="answers[visit.id] = answer"
          >
            {{ words }}
          </button>
          <button type="button" class="button button-quiet" @click="emit('open', visit.id)">
            another day, call off
          </button>
        </span>
      </li>
    </ul>
    <button type="button" class="button mt-2" data-testid="keep-left" @click="keep">Keep it so</button>
  </section>
</template>
