<script setup lang="ts">
import type { ScaleLinear } from 'd3-scale'

/** Two ruled axes, their numbers in the units that are read. */
const {
  x,
  y,
  xLabel,
  yLabel,
  ticks = 5,
  named = false,
} = defineProps<{
  x: ScaleLinear<number, number>
  y: ScaleLinear<number, number>
  xLabel: string
  yLabel: string
  ticks?: number
  named?: boolean
}>()
const across = computed(() => x.range() as [number, number])
const up = computed(() => y.range() as [number, number])
/** Where the places along it are named by the picture, no numbers stand there. */
const xTicks = computed(() =>
  named ? [] : x.ticks(Math.max(2, Math.min(ticks + 1, Math.round((across.value[1] - across.value[0]) / 90)))),
)
const last = computed(() => xTicks.value.at(-1))
</script>

<template>
  <g aria-hidden="true">
    <g v-for="tick in y.ticks(ticks)" :key="`y${tick}`"
      ><path :d="`M${across[0]} ${y(tick)}H${across[1]}`" stroke="var(--rule)" /><text
        :x="across[0] - 8"
        :y="y(tick) + 5"
        text-anchor="end"
        font-size="13.500"
        class="number"
        >{{ tick }}</text
      ></g
    >
    <g v-for="tick in xTicks" :key="`x${tick}`"
      ><path :d="`M${x(tick)} ${up[0]}v5`" stroke="var(--ink)" /><text
        :x="x(tick)"
        :y="up[0] + 20"
        :text-anchor="tick === last && x(tick) > across[1] - 12 ? 'end' : 'middle'"
        font-size="13.500"
        class="number"
        >{{ tick }}</text
      ></g
    >
    <path :d="`M${across[0]} ${up[1]}V${up[0]}H${across[1]}`" fill="none" stroke="var(--ink)" stroke-width="1.500" />
    <text :x="across[0] - 40" :y="up[1] - 16" font-size="13.500" fill="var(--slate)">{{ yLabel }}</text>
    <text :x="across[1]" :y="up[0] + 38" text-anchor="end" font-size="13.500" fill="var(--slate)">{{ xLabel }}</text>
  </g>
</template>
