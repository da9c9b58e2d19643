<script setup lang="ts">
import { formatMinutes, formatNumber } from '#core/quantity/format'
import type { Downtime, WaterStakes } from '#core/takedown/downtime'

/**
 * How long the water is off, both ways round, what runs out meanwhile, and what an overrun means. Until the clock is
 * read the note keeps its room, so that nothing under it moves away from a finger.
 */
const { downtime, spare = false } = defineProps<{
  downtime: WaterStakes & Partial<Downtime>
  /** A spare can go in. */ spare?: boolean
}>()
const { visit, state } = useVisitContext()
const range = (spread: { p50: number; p90: number } | undefined) =>
  `${formatMinutes(spread?.p50)} to ${formatMinutes(spread?.p90)}`
const read = computed(() => downtime.inPlace !== undefined)
const offered = computed(() => spare && (!read.value || downtime.spareFirst !== undefined))
const gains = computed(
  () => downtime.spareFirst && downtime.inPlace && downtime.spareFirst.p50 < downtime.inPlace.p50 - 10,
)
const choose = (spareFirst: boolean) => {
  const option = state.value.decision ?? state.value.agreed[0]
  if (option) visit.append('decision', { option, ...(spareFirst ? { spareFirst } : {}) })
}
</script>

<template>
  <section
    class="my-2 border-l-4 pl-3"
    :class="downtime.urgent ? 'border-rust' : 'border-river'"
    aria-label="while the water is off"
    data-testid="downtime"
  >
    <p class="flex min-h-12 flex-wrap items-center gap-x-5 gap-y-1">
      <strong>Water off</strong
      ><span :class="{ 'font-bold': !state.spareFirst }"
        >repaired in place <span class="number">{{ range(downtime.inPlace) }}</span></span
      ><span v-if="offered" :class="{ 'font-bold': state.spareFirst }"
        >spare in first <span class="number">{{ range(downtime.spareFirst) }}</span></span
      >
      <button
        v-if="offered"
        type="button"
        class="button"
        :class="{ invisible: read && !gains && !state.spareFirst }"
        data-testid="spare-first"
        :aria-pressed="state.spareFirst"
        :disabled="!read"
        @click="choose(!state.spareFirst)"
      >
        {{ state.spareFirst ? 'Repair in place after all' : 'Spare in first' }}
      </button>
    </p>
    <p class="text-[0.95rem]">
      {{ downtime.overrun
      }}<template v-if="downtime.drainBack">
        About <span class="number">{{ formatNumber(downtime.drainBack.litres, 2) }}</span> L stand in the pipe and run
        {{ downtime.drainBack.runsTo }}.</template
      >
    </p>
  </section>
</template>
