<script setup lang="ts">
/** A display with its leads’ ends, as it stands in the drawings: what it is above, what it shows inside. */
const {
  x,
  y,
  label,
  shows,
  ink = 'var(--ink)',
  width = 96,
} = defineProps<{ x: number; y: number; label: string; shows: string; ink?: string; width?: number }>()
</script>

<template>
  <g :transform="`translate(${x} ${y})`">
    <text :x="width / 2" y="-7" text-anchor="middle" font-size="12" fill="var(--slate)">{{ label }}</text>
    <rect :width="width" height="34" rx="5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
    <text :x="width / 2" y="23" text-anchor="middle" class="number" font-size="16" font-weight="700" :fill="ink">{{
      shows
    }}</text>
  </g>
</template>
