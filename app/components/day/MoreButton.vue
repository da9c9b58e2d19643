<script setup lang="ts">
import type { DayVisit } from '#core/planning/day'

/** Opens what can become of a visit. */
const { visit } = defineProps<{ visit: DayVisit }>()
const emit = defineEmits<{ open: [] }>()
</script>

<template>
  <button
    type="button"
    class="min-h-12 min-w-10 text-[1.3rem] text-inherit"
    :aria-label="`more of ${visit.customer.name}, ${visit.machine.name}`"
    data-testid="stop-more"
    @click="emit('open')"
  >
    <span aria-hidden="true">⋯</span>
  </button>
</template>
