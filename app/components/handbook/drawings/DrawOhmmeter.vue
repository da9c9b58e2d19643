<script setup lang="ts">
/** A winding in its shell, with what leaks between them, and two meters that ask differently. */
const { values, told, verdict } = defineProps<DrawingProps>()
/** The wider the leak, the more of it. */
const leak = computed(() => Math.max(1.5, 9 - 2 * Math.log10((values.leak ?? 1) * 50)))
</script>

<template>
  <g>
    <rect x="150" y="62" width="126" height="112" rx="10" fill="var(--metal)" stroke="var(--ink)" stroke-width="3" />
    <path
      d="M150 96h-20M168 96c0-14 18-14 18 0s18 14 18 0 18-14 18 0 18 14 18 0h14"
      fill="none"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <path d="M130 96h38" stroke="var(--ink)" stroke-width="3" />
    <path d="M213 104v62" stroke="var(--rust)" :stroke-width="leak" stroke-dasharray="3 4" />
    <text x="222" y="146" font-size="13" fill="var(--rust)">leak</text>
    <path d="M213 174v24M198 198h30M203 204h20M208 210h10" stroke="var(--ink)" stroke-width="2.500" />
    <text x="288" y="84" font-size="13">shell</text>
    <path d="M104 88v8h26M104 158v16h46" fill="none" stroke="var(--slate)" stroke-width="2" />
    <DrawMeter :x="10" :y="54" label="ohmmeter" :shows="told('ohmmeter')" :ink="inkOf(verdict('ohmmeter'))" />
    <DrawMeter :x="10" :y="140" label="500 V tester" :shows="told('tester')" :ink="inkOf(verdict('tester'))" />
    <path d="M57 88v8h47M106 157h-2" fill="none" stroke="var(--slate)" stroke-width="2" />
    <path d="M276 118h34" stroke="var(--ink)" stroke-width="2" stroke-dasharray="4 4" />
    <DrawMeter :x="310" :y="101" label="on 240 V" :shows="told('mains')" :ink="inkOf(verdict('mains'))" />
  </g>
</template>
