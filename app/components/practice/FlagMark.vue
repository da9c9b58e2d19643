<script setup lang="ts">
import type { LadderRow } from '#core/practice/afterwards'

/** A sign beside a step: unsafe is a bar on a line, missed an empty dotted ring, needless an empty box. */
const { flag } = defineProps<{ flag: LadderRow['flags'][number] }>()
</script>

<template>
  <svg
    width="24"
    height="18"
    viewBox="0 0 24 18"
    fill="none"
    stroke="currentColor"
    stroke-width="2.4"
    aria-hidden="true"
    class="shrink-0"
  >
    <path v-if="flag === 'unsafe'" d="M2 14h20M5 7h14" stroke-width="4" />
    <circle v-else-if="flag === 'missed'" cx="12" cy="9" r="7" stroke-dasharray="3 3" />
    <rect v-else x="5" y="2" width="14" height="14" rx="4" />
  </svg>
</template>
