<script setup lang="ts">
import type { Block } from '#core/visit/offer-sheet'

/** What a way costs over the years it serves: as wide as the years, as high as the money a year. */
const { block, mostYears, mostPerYear } = defineProps<{ block: Block; mostYears: number; mostPerYear: number }>()
const WIDTH = 220
const HEIGHT = 78
const BASE = HEIGHT + 4
const x = (years: number) => 2 + (Math.min(years, mostYears) / mostYears) * (WIDTH - 4)
const top = computed(() => BASE - (block.perYear / mostPerYear) * HEIGHT)
const covered = computed(() => Math.min(block.warrantyYears, block.years))
const ticks = computed(() => Array.from({ length: Math.floor(mostYears) + 1 }, (_, year) => year))
const id = useId()
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${BASE + 20}`" class="block w-full" aria-hidden="true">
    <defs>
      <pattern :id="id" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--ink)" stroke-width="1.4" />
      </pattern>
    </defs>
    <rect
      :x="x(0)"
      :y="top"
      :width="x(block.years) - x(0)"
      :height="BASE - top"
      :fill="`url(#${id})`"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <rect v-if="covered > 0" :x="x(0)" :y="top" :width="x(covered) - x(0)" :height="BASE - top" fill="var(--river)" />
    <line :x1="x(0)" :x2="x(mostYears)" :y1="BASE" :y2="BASE" stroke="var(--ink)" stroke-width="1.5" />
    <line
      v-for="year in ticks"
      :key="year"
      :x1="x(year)"
      :x2="x(year)"
      :y1="BASE"
      :y2="BASE + 4"
      stroke="var(--ink)"
      stroke-width="1"
    />
    <g stroke="var(--ink)" stroke-width="2">
      <line :x1="x(block.from)" :x2="x(block.to)" :y1="BASE + 13" :y2="BASE + 13" />
      <line v-for="end in [block.from, block.to]" :key="end" :x1="x(end)" :x2="x(end)" :y1="BASE + 9" :y2="BASE + 17" />
    </g>
  </svg>
</template>
