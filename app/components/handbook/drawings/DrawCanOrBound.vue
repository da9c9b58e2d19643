<script setup lang="ts">
/** What the motor starts with beside what holds the shaft: two bars, and the one that wins. */
const { values, told, verdict } = defineProps<DrawingProps>()
const LEFT = 150
const WHOLE = 200
const share = (text: string) => Math.min(1, Number.parseFloat(text.replace(',', '.')) / 100)
const held = computed(() => Math.min(1, values.held ?? 0))
</script>

<template>
  <g>
    <g transform="translate(64 108)">
      <circle r="44" fill="var(--metal)" stroke="var(--ink)" stroke-width="3" />
      <circle r="12" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.500" />
      <path
        v-if="verdict('torque') === 'sound'"
        d="M-30 -8A31 31 0 0 1 22 -22l-3 -10m3 10l-11 2"
        fill="none"
        stroke="var(--moss)"
        stroke-width="3"
      />
      <path v-else d="M-34 34l68 -68" stroke="var(--rust)" stroke-width="4" />
    </g>
    <text x="64" y="176" text-anchor="middle" font-weight="700" :fill="inkOf(verdict('torque'))">{{
      verdict('torque') === 'sound' ? 'starts' : 'hums'
    }}</text>
    <text :x="LEFT" y="48" font-size="13" fill="var(--slate)">starts with</text>
    <rect :x="LEFT" y="54" :width="Math.max(2, WHOLE * share(told('torque')))" height="26" fill="var(--river)" />
    <text :x="LEFT + 8 + WHOLE * share(told('torque'))" y="72" class="number" font-weight="700">{{
      told('torque')
    }}</text>
    <text :x="LEFT" y="126" font-size="13" fill="var(--slate)">what holds the shaft</text>
    <rect :x="LEFT" y="132" :width="Math.max(2, WHOLE * held)" height="26" fill="var(--ochre)" />
    <path :d="`M${LEFT + WHOLE * held} 50v112`" stroke="var(--ochre)" stroke-width="2" stroke-dasharray="5 4" />
    <text :x="LEFT" y="190" font-size="14"
      >by hand it {{ told('hand') }}; humming it draws
      <tspan class="number" font-weight="700">{{ told('amps') }}</tspan></text
    >
  </g>
</template>
