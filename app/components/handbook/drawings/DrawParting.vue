<script setup lang="ts">
/** A row from the breaker to the water, and where it is parted first. */
const STATIONS = ['breaker', 'switch', 'box', 'cable', 'motor', 'wheel'] as const
const at = (index: number) => 36 + index * 70
</script>

<template>
  <g>
    <path :d="`M${at(0)} 100H${at(5)}`" stroke="var(--ink)" stroke-width="3" />
    <g v-for="(station, index) in STATIONS" :key="station">
      <circle :cx="at(index)" cy="100" r="15" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.500" />
      <text :x="at(index)" y="136" text-anchor="middle" font-size="13">{{ station }}</text>
    </g>
    <g v-for="(cut, index) in [2.5, 0.5, 4.5]" :key="cut">
      <path
        :d="`M${at(cut) - 5} 62l10 66`"
        :stroke="index === 0 ? 'var(--rust)' : 'var(--slate)'"
        :stroke-width="index === 0 ? 3.5 : 2"
        stroke-dasharray="6 5"
      /><text
        :x="at(cut)"
        y="52"
        text-anchor="middle"
        :font-weight="index === 0 ? 700 : 400"
        :font-size="index === 0 ? 14 : 12"
        >{{ index === 0 ? 'part here first' : 'then here' }}</text
      >
    </g>
    <text :x="at(1)" y="178" text-anchor="middle" font-size="13">bad here: before the cut</text>
    <text :x="at(4)" y="178" text-anchor="middle" font-size="13">good here: behind it</text>
  </g>
</template>
