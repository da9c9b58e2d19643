<script setup lang="ts">
import { airShares } from '#core/handbook/live/tank-air'

/** A tank at cut-out: the air that is left above, the water that it will give below. */
const { values, told, verdict } = defineProps<DrawingProps>()
const shares = computed(() => airShares(values))
const full = computed(() => shares.value.atCutOut)
const low = computed(() => shares.value.atCutIn)
const TOP = 26
const HEIGHT = 172
</script>

<template>
  <g>
    <clipPath id="lesson-tank"><rect x="40" :y="TOP" width="104" :height="HEIGHT" rx="40" /></clipPath>
    <g clip-path="url(#lesson-tank)">
      <rect x="40" :y="TOP" width="104" :height="HEIGHT" fill="var(--sheet)" />
      <rect x="40" :y="TOP + HEIGHT * full" width="104" :height="HEIGHT" fill="var(--water)" />
      <rect
        x="40"
        :y="TOP + HEIGHT * full"
        width="104"
        :height="Math.max(0, HEIGHT * (low - full))"
        fill="var(--river)"
        opacity="0.550"
      />
    </g>
    <rect x="40" :y="TOP" width="104" :height="HEIGHT" rx="40" fill="none" stroke="var(--ink)" stroke-width="3" />
    <text x="92" :y="Math.max(TOP + 22, TOP + HEIGHT * full * 0.5)" text-anchor="middle" font-size="13">air</text>
    <path
      :d="`M150 ${TOP + HEIGHT * full}h14v${HEIGHT * (low - full)}h-14`"
      fill="none"
      stroke="var(--river)"
      stroke-width="2.500"
    />
    <text x="200" :y="Math.min(146, Math.max(112, TOP + HEIGHT * (full + low) * 0.5 + 5))" fill="var(--river)"
      >gives <tspan class="number" font-weight="700">{{ told('drawdown') }}</tspan></text
    >
    <text x="92" y="218" text-anchor="middle" font-size="13">at cut-out</text>
    <g transform="translate(200 40)">
      <text font-size="13" fill="var(--slate)">air, empty of water</text>
      <text y="22" class="number" font-weight="700" :fill="inkOf(verdict('air'))">{{ told('air') }}</text>
    </g>
    <g transform="translate(200 170)">
      <text font-size="13" fill="var(--slate)">from start to start</text>
      <text y="22" class="number" font-weight="700" :fill="inkOf(verdict('between'))">{{ told('between') }}</text>
    </g>
  </g>
</template>
