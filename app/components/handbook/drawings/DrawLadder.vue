<script setup lang="ts">
/** What comes before what: each step dearer, or less easily undone, than the one below it. */
const RUNGS = ['safe', 'looked at', 'read dead', 'read live', 'opened'] as const
</script>

<template>
  <g>
    <g v-for="(rung, index) in RUNGS" :key="rung" :transform="`translate(${24 + index * 76} ${176 - index * 36})`">
      <path
        :d="index < RUNGS.length - 1 ? 'M0 0h76v-36' : 'M0 0h76'"
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
      />
      <text x="6" y="-10" font-size="13" :font-weight="index === 0 ? 700 : 400">{{ rung }}</text>
    </g>
    <text x="24" y="206" font-size="13" fill="var(--slate)">minutes, money and risk grow upwards</text>
  </g>
</template>
