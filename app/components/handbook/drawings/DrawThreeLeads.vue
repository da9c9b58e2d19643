<script setup lang="ts">
/** Two windings in a star of three leads, and what stands between each pair. */
const { told } = defineProps<DrawingProps>()
const ENDS = [
  { lead: 'A', x: 150, y: 40 },
  { lead: 'B', x: 60, y: 190 },
  { lead: 'C', x: 240, y: 190 },
] as const
const PAIRS = [
  { pair: 'A-B', x: 92, y: 108, anchor: 'end' },
  { pair: 'A-C', x: 208, y: 108, anchor: 'start' },
  { pair: 'B-C', x: 150, y: 216, anchor: 'middle' },
] as const
</script>

<template>
  <g>
    <g v-for="{ lead, x, y } in ENDS" :key="lead">
      <path
        :d="`M${x} ${y}L150 140`"
        :stroke="told(lead) === 'goes nowhere' ? 'var(--rust)' : 'var(--ink)'"
        :stroke-width="told(lead) === 'common' ? 3 : 7"
        :stroke-dasharray="told(lead) === 'goes nowhere' ? '5 6' : told(lead) === 'common' ? undefined : '2 3'"
      />
      <circle :cx="x" :cy="y" r="15" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.500" />
      <text :x="x" :y="y + 6" text-anchor="middle" font-weight="700">{{ lead }}</text>
    </g>
    <circle cx="150" cy="140" r="5" fill="var(--ink)" />
    <text
      v-for="{ pair, x, y, anchor } in PAIRS"
      :key="pair"
      :x="x"
      :y="y"
      :text-anchor="anchor"
      class="number"
      font-weight="700"
      >{{ told(pair) }}</text
    >
    <g transform="translate(290 70)">
      <text v-for="({ lead }, index) in ENDS" :key="lead" x="0" :y="index * 34"
        ><tspan font-weight="700">{{ lead }}</tspan
        ><tspan dx="10">{{ told(lead) }}</tspan></text
      >
    </g>
  </g>
</template>
