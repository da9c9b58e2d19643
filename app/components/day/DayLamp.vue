<script setup lang="ts">
import { toldOf, type DayVisit } from '#core/planning/day'
import type { DayWork } from '#core/planning/day-plan'
import { machinesOf, nextIn } from '#core/planning/stops'
import { formatMinutes } from '#core/quantity/format'
import type { FitRow } from '~/utils/day-lamp'
import type { TourRow } from '~/utils/day-rows'
import { clock } from '~/utils/day-hours'

/** The one thing that the day asks for next: a call to be put in, or where to go. */
const {
  call = undefined,
  callWork = undefined,
  fits,
  next = undefined,
  leave = undefined,
} = defineProps<{
  call?: DayVisit
  callWork?: DayWork
  fits: FitRow[]
  next?: TourRow
  /** When to leave for it, minutes; absent where somebody is there. */
  leave?: number
}>()
const emit = defineEmits<{ put: [row: FitRow]; wait: [] }>()
const needs = computed(() =>
  callWork
    ? [
        callWork.urgency.words,
        `${formatMinutes(callWork.minutes.p50)} of work, mostly under ${formatMinutes(callWork.minutes.p90)}`,
        callWork.people > 1 ? 'two people' : '',
        callWork.isUnknown ? 'its address is on no map' : '',
      ].filter(Boolean)
    : [],
)
</script>

<template>
  <section class="lamp-field p-4" aria-live="polite" data-testid="day-lamp">
    <template v-if="call">
      <h2 class="text-[1.35rem]" data-testid="lamp-title">{{ call.customer.name }}: {{ toldOf(call) }}</h2>
      <p v-if="call.callerSays && call.complaints.length > 0">“{{ call.callerSays }}”</p>
      <p v-if="needs.length > 0" class="mt-1">{{ needs.join('; ') }}.</p>
      <p v-if="fits.length === 0" class="mt-2">Its minutes are being worked out.</p>
      <ul v-else class="mt-2" data-testid="fits">
        <li v-for="(row, index) in fits" :key="row.where + row.van">
          <button type="button" class="fit" :class="{ 'font-bold': index === 0 }" @click="emit('put', row)">
            <span
              >{{ row.where }}<template v-if="row.van">, {{ row.van }}</template></span
            ><span class="number">{{ row.arrives }}</span
            ><span class="number">{{ row.driving }}</span
            ><span class="says">{{ row.says }}</span>
          </button>
        </li>
      </ul>
      <div class="mt-3 flex gap-3">
        <button
          v-if="fits[0]"
          type="button"
          class="button button-lit grow"
          data-testid="put-in"
          @click="emit('put', fits[0])"
        >
          Put it {{ fits[0].where }}<template v-if="fits[0].van">, {{ fits[0].van }}</template>
        </button>
        <button type="button" class="button" data-testid="let-wait" @click="emit('wait')">Let it wait</button>
      </div>
    </template>
    <template v-else-if="next">
      <h2 class="text-[1.25rem]" data-testid="lamp-title">
        {{ next.visit.customer.name }}, {{ machinesOf(next.visit) }}
      </h2>
      <p>{{ toldOf(next.visit) }}</p>
      <p v-if="leave !== undefined">Leave by {{ clock(leave) }}.</p>
      <p v-if="next.visit.wayIn">{{ next.visit.wayIn }}</p>
      <NuxtLink class="button button-lit mt-3 w-full" :to="`/visits/${nextIn(next.visit).id}`" data-testid="go-next">{{
        next.is === 'now' ? 'On with it' : 'Open the visit'
      }}</NuxtLink>
    </template>
    <template v-else
      ><h2 class="text-[1.25rem]" data-testid="lamp-title">The day is done</h2>
      <p>Nothing is left in it.</p></template
    >
  </section>
</template>

<style scoped>
.fit {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 0 0.8rem;
  padding-block: 0.25rem;
  align-items: center;
  width: 100%;
  min-height: 48px;
  border-top: 1px solid color-mix(in srgb, var(--lamp-ink) 30%, transparent);
  text-align: left;
}
.says {
  grid-column: 1 / 4;
  font-weight: 400;
}
.fit:hover {
  text-decoration: underline;
}
</style>
