<script setup lang="ts">
import type { Span } from '#core/planning/futures'

/** A count that is to come: as it is expected, within its span, along one line from none to the most of all. */
const { span, most } = defineProps<{ span: Span; most: number }>()
const [WIDTH, EDGE] = [84, 3]
const x = (count: number) => EDGE + (count / most) * (WIDTH - 2 * EDGE)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 16`" class="h-4 w-[84px]" aria-hidden="true">
    <path :d="`M${EDGE} 8H${WIDTH - EDGE}`" class="line" />
    <path
      :d="`M${x(span.low)} 8 ${x(span.mean)} 2 ${Math.max(x(span.high), x(span.mean) + 2)} 8 ${x(span.mean)} 14Z`"
      class="spread"
    />
  </svg>
</template>

<style scoped>
.line {
  fill: none;
  stroke: var(--rule);
  stroke-width: 1.6;
}
.spread {
  fill: currentColor;
}
</style>
