<script setup lang="ts">
import { LATENESS } from '#core/knowledge/shop/day'
import type { Visited } from '#core/planning/order/walk'

/** When somebody is likely to come, against what was promised: a spread about its middle, between two bounds. */
const { hours, window = undefined } = defineProps<{ hours: Visited; window?: { from?: number; until?: number } }>()

const WIDTH = 120
/** Minutes that are shown to either side. */
const SIDE = 75
const NINE_TENTHS = 1.28
const x = (minute: number) =>
  Math.max(2, Math.min(WIDTH - 2, WIDTH / 2 + ((minute - hours.arrives.mean) / SIDE) * (WIDTH / 2)))
const spread = computed(() => NINE_TENTHS * Math.sqrt(hours.arrives.variance))
const early = computed(() => x(hours.arrives.mean - spread.value))
const tardy = computed(() => x(hours.arrives.mean + spread.value))
const from = computed(() => (window?.from === undefined ? undefined : x(window.from)))
const until = computed(() => (window?.until === undefined ? undefined : x(window.until)))
const isTight = computed(() => hours.late >= LATENESS.warning)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 20`" class="h-5 w-[120px]" aria-hidden="true">
    <path :d="`M${from ?? 2} 10H${until ?? WIDTH - 2}`" class="line" />
    <path v-if="from === undefined" d="M7 6 2 10l5 4" class="line" />
    <path v-else :d="`M${from} 3v14`" class="line" />
    <path v-if="until === undefined" :d="`M${WIDTH - 7} 6l5 4-5 4`" class="line" />
    <path v-else :d="`M${until} 3v14`" class="line" />
    <path
      v-if="isTight && until !== undefined && tardy > until"
      :d="`M${until} 18H${Math.max(tardy, until + 8)}`"
      class="over"
    />
    <path :d="`M${early} 10 ${WIDTH / 2} 3 ${tardy} 10 ${WIDTH / 2} 17Z`" class="spread" />
  </svg>
</template>

<style scoped>
.line {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
}
.spread {
  fill: currentColor;
}
.over {
  fill: none;
  stroke: var(--ochre);
  stroke-width: 3;
}
</style>
