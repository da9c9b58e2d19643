<script setup lang="ts">
/** A line with one bad joint in it, and a meter at each end. */
const { values, told, verdict } = defineProps<DrawingProps>()
const glow = computed(() => Math.min(16, 5 + Math.sqrt(Number.parseFloat(told('heat'))) / 1.6))
</script>

<template>
  <g>
    <text x="16" y="92" font-size="13">panel</text>
    <rect x="14" y="98" width="42" height="64" fill="var(--metal)" stroke="var(--ink)" stroke-width="2.500" />
    <path d="M56 112h300M56 148h300" stroke="var(--ink)" stroke-width="3" />
    <circle cx="212" cy="112" :r="glow + 6" fill="var(--glow)" opacity="0.700" />
    <path d="M196 112l6 -9 8 18 8 -18 8 18 6 -9" fill="var(--paper)" stroke="var(--rust)" stroke-width="3" />
    <text x="212" y="84" text-anchor="middle" font-size="13" fill="var(--rust)">{{ told('heat') }} in the joint</text>
    <circle cx="376" cy="130" r="28" fill="var(--sheet)" stroke="var(--ink)" stroke-width="3" />
    <text x="376" y="135" text-anchor="middle" font-size="13">motor</text>
    <DrawMeter :x="84" :y="30" label="at rest" :shows="told('rest')" :ink="inkOf(verdict('rest'))" />
    <DrawMeter :x="270" :y="30" label="running" :shows="told('loaded')" :ink="inkOf(verdict('loaded'))" />
    <path d="M132 64v48M318 64v48" stroke="var(--slate)" stroke-width="2" stroke-dasharray="3 4" />
    <text x="212" y="186" text-anchor="middle"
      >{{ told('drop') }} lost with <tspan class="number">{{ (values.amps ?? 0).toFixed(1) }} A</tspan>; start torque
      <tspan class="number" font-weight="700">{{ told('torque') }}</tspan></text
    >
  </g>
</template>
