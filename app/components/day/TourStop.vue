<script setup lang="ts">
import { format, isSameDay } from 'date-fns'
import { LATENESS } from '#core/knowledge/shop/day'
import { toldOf } from '#core/planning/day'
import { machinesOf, nextIn } from '#core/planning/stops'
import type { DayWork } from '#core/planning/day-plan'
import { STAGE_LABELS, type Stage } from '#core/knowledge/vocabulary'
import { formatMinutes } from '#core/quantity/format'
import { historyText } from '#core/visit/history'
import type { Verdict } from '#core/judgement/judgement'
import { BECAUSE_WORDS, shortPercent, type TourRow } from '~/utils/day-rows'
import { clock } from '~/utils/day-hours'

/** One visit of a tour: its hour, what it is, how long, what was promised, and the grip to move it by. */
const {
  row,
  work = undefined,
  midnight,
  lit,
  people,
  round,
} = defineProps<{
  row: TourRow
  work?: DayWork
  midnight: number
  lit: boolean
  /** How many ride in its van. */
  people: number
  /** It is in another van’s tour than the first: its mark is round, here and on the map. */
  round: boolean
}>()
const emit = defineEmits<{ move: [by: -1 | 1]; open: [] }>()
const { reader } = useUnits()

const visit = computed(() => row.visit)
const isMovable = computed(() => row.is === 'ahead')
const minuteOf = (instant: string | undefined) =>
  instant === undefined ? undefined : (Date.parse(instant) - midnight) / 60_000
const window = computed(() => ({
  from: minuteOf(visit.value.arranged.from),
  until: minuteOf(visit.value.arranged.until),
}))
const when = computed(() => {
  if (row.is === 'done') return work?.doneAt ? format(new Date(work.doneAt), 'H:mm') : ''
  if (row.is === 'now') return work?.startedAt ? format(new Date(work.startedAt), 'H:mm') : ''
  if (row.hours) return clock(row.hours.arrives.mean)
  return row.is === 'elsewhere' ? '' : format(new Date(visit.value.scheduledAt), 'H:mm')
})
const told = computed(() => toldOf(visit.value))
/** Where one is, or goes next: there more is shown. */
const isNear = computed(() => lit || row.is === 'now')
const promised = computed(() => {
  const { from, until } = visit.value.arranged
  const hour = (instant: string) =>
    format(new Date(instant), isSameDay(new Date(instant), new Date(midnight)) ? 'H:mm' : 'EEE H:mm')
  if (from && until) return `${hour(from)} to ${hour(until)}`
  if (until) return `by ${hour(until)}`
  return from ? `from ${hour(from)}` : 'any time'
})
const isLate = computed(() => (row.hours?.late ?? 0) >= LATENESS.warning)
const remarks = computed(() =>
  [
    work?.urgency.words,
    (work?.people ?? 1) > 1
      ? people < (work?.people ?? 1)
        ? `needs ${work?.people}, one rides here`
        : 'two people'
      : '',
    work?.isUnknown ? 'on no map' : work?.isRough ? 'street not on the map' : '',
    row.because && row.because !== 'urgent' ? BECAUSE_WORDS[row.because] : '',
  ].filter(Boolean),
)
const state = computed(() => {
  if (row.is === 'done') return 'done'
  if (row.is === 'elsewhere') return `goes on ${format(new Date(visit.value.scheduledAt), 'EEE d MMM')}`
  if (row.is === 'now') return `at ${STAGE_LABELS[visit.value.stage as Stage]}`
  return ''
})
function moved(event: KeyboardEvent): void {
  const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : undefined
  if (!by) return
  event.preventDefault()
  emit('move', by)
}
</script>

<template>
  <div v-if="row.is === 'errand'" class="stop is-errand" data-testid="day-errand">
    <time class="number when">{{ when }}</time>
    <span class="mark is-small" aria-hidden="true" />
    <span class="soft what">the shop: the parts for {{ visit.customer.name }}</span>
  </div>
  <div
    v-else
    class="stop"
    :class="{ 'is-lit': lit, 'is-now': row.is === 'now', 'is-behind': row.is === 'done' || row.is === 'elsewhere' }"
    :data-testid="lit ? 'day-row-lit' : 'day-row'"
    :data-visit="visit.id"
  >
    <time class="number when">{{ when }}</time>
    <button
      v-if="isMovable"
      type="button"
      class="mark grip"
      :class="{ 'is-amber': lit, 'is-round': round }"
      :aria-label="`${ordinal(row.number)}: ${visit.customer.name}. Drag, or move it with the arrow keys`"
      data-testid="grip"
      @keydown="moved"
    >
      {{ row.number }}
    </button>
    <span v-else class="mark" :class="{ 'is-done': row.is === 'done', 'is-amber': lit, 'is-round': round }">{{
      row.is === 'done' ? '' : row.number
    }}</span>
    <NuxtLink :to="`/visits/${nextIn(visit).id}`" class="what">
      <KindDrawing :kind="visit.machine.kind" class="drawing" />
      <span class="min-w-0">
        <strong class="block truncate text-[1.08rem]">{{ visit.customer.name }}</strong>
        <span class="soft block truncate">{{ [machinesOf(visit), told].filter(Boolean).join(', ') }}</span>
        <span class="soft block truncate text-[0.86rem]"
          >{{ visit.address ?? visit.customer.place
          }}<template v-if="visit.wayIn && isNear"> · {{ visit.wayIn }}</template></span
        >
        <span v-if="remarks.length > 0 && row.is !== 'done'" class="block text-[0.86rem] font-bold">{{
          remarks.join(' · ')
        }}</span>
        <span v-if="visit.lastReadings[0] && isNear" class="soft flex items-center gap-2 truncate text-[0.86rem]"
          ><StateMark :verdict="visit.lastReadings[0].verdict as Verdict" :size="15" /><span class="truncate">{{
            historyText(visit.lastReadings[0], reader)
          }}</span></span
        >
      </span>
    </NuxtLink>
    <span class="number work"
      ><template v-if="row.is === 'ahead' || row.is === 'now'"
        ><span class="block">{{ formatMinutes(work?.minutes.p50 ?? visit.plannedMinutes) }}</span
        ><span v-if="work" class="soft block text-[0.86rem]">to {{ formatMinutes(work.minutes.p90) }}</span></template
      ></span
    >
    <span class="room">
      <template v-if="row.is === 'ahead' && row.hours">
        <HourSpread :hours="row.hours" :window="window" />
        <span class="flex justify-between gap-2 text-[0.84rem]"
          ><span class="soft whitespace-nowrap">{{ promised }}</span
          ><span
            v-if="window.until !== undefined"
            :class="isLate ? 'late' : 'soft'"
            class="whitespace-nowrap"
            data-testid="late"
            >late {{ shortPercent(row.hours.late) }}</span
          ></span
        >
      </template>
      <span v-else class="soft text-[0.9rem]"
        >{{ state || promised
        }}<template v-if="row.endsAt !== undefined">, to about {{ clock(row.endsAt) }}</template></span
      >
    </span>
    <MoreButton :visit="visit" @open="emit('open')" />
  </div>
</template>

<style scoped>
.stop {
  position: relative;
  display: grid;
  grid-template-columns: 56px 36px minmax(0, 1fr) 66px 122px 40px;
  gap: 0 8px;
  align-items: center;
  min-height: 74px;
  padding: 4px 2px 4px 12px;
}
.stop.is-errand {
  min-height: 44px;
}
.is-lit {
  background: var(--glow);
  color: var(--lamp-ink);
}
.is-now {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
  border-radius: 6px;
}
.soft {
  color: var(--slate);
}
.is-lit .soft,
.is-lit .late {
  color: var(--lamp-ink);
}
.is-lit :deep(svg[role='img']) {
  color: var(--lamp-ink);
}
.late {
  color: var(--ochre);
  font-weight: 700;
}
.when {
  text-align: right;
  font-size: 1.08rem;
}
.mark {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 34px;
  height: 34px;
  border: 2px solid var(--ink);
  border-radius: 7px;
  background: var(--paper);
  color: var(--ink);
  font-family: var(--font-mono);
  font-weight: 700;
}
.mark.is-round {
  border-radius: 50%;
}
.mark.is-small {
  width: 22px;
  height: 16px;
  margin-left: 6px;
  border-radius: 3px;
  background: var(--ink);
}
.mark.is-done {
  background: var(--ink);
}
.mark.is-amber {
  background: var(--lamp);
  border-color: var(--lamp-ink);
  color: var(--lamp-ink);
}
/* The finger has the whole height of the row beside the number. */
.grip {
  position: relative;
  cursor: grab;
  touch-action: none;
}
.grip::after {
  content: '';
  position: absolute;
  inset: -9px -8px;
}
.what {
  display: flex;
  gap: 10px;
  align-items: center;
  min-width: 0;
  min-height: 48px;
  color: inherit;
  text-decoration: none;
}
.what:hover strong {
  text-decoration: underline;
}
.is-behind .what {
  color: var(--slate);
}
.drawing {
  flex: none;
  width: 52px;
  height: 34px;
}
.work {
  text-align: right;
  white-space: nowrap;
}
.room {
  min-width: 0;
}
@media (max-width: 700px) {
  .stop {
    grid-template-columns: 50px 36px minmax(0, 1fr) 44px;
    padding-inline: 6px 0;
  }
  .when {
    font-size: 0.98rem;
  }
  .drawing,
  .work {
    display: none;
  }
  .room {
    grid-column: 3;
    grid-row: 2;
  }
  .stop:not(.is-errand) > :last-child {
    grid-column: 4;
    grid-row: 1;
  }
  .room :deep(svg) {
    display: none;
  }
}
</style>
