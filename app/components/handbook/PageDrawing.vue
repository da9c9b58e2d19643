<script setup lang="ts">
import type { DrawingId } from '#core/handbook/page'
import DrawLadder from './drawings/DrawLadder.vue'
import DrawParting from './drawings/DrawParting.vue'

/** A drawing that stands still. */
const { drawing } = defineProps<{ drawing: DrawingId }>()
const DRAWN = {
  parting: [DrawParting, 'a row from the breaker to the water, parted in its middle first'],
  ladder: [DrawLadder, 'five steps: safe, looked at, read dead, read live, opened'],
} as const satisfies Record<DrawingId, unknown>
</script>

<template>
  <svg
    viewBox="0 0 420 222"
    role="img"
    :aria-label="DRAWN[drawing][1]"
    class="drawing"
    font-family="var(--font-sans)"
    font-size="15"
    fill="var(--ink)"
  >
    <component :is="DRAWN[drawing][0]" />
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  max-width: 40rem;
}
</style>
