<script setup lang="ts">
/** A little valve handle on a line: across it, shut and safe; along it, open and live. */
const { shut, label } = defineProps<{ shut: boolean; label: string }>()
</script>

<template>
  <span class="inline-flex items-center gap-1.5 whitespace-nowrap">
    <svg width="26" height="18" viewBox="0 0 26 18" aria-hidden="true" class="shrink-0" stroke="currentColor">
      <path d="M0 11h26" stroke-width="2" />
      <path v-if="shut" d="M13 1v16" stroke-width="4" />
      <path v-else d="M4 5h18" stroke-width="4" />
    </svg>
    <span
      >{{ label }}<span class="sr-only">{{ shut ? ', shut' : ', open' }}</span></span
    >
  </span>
</template>
