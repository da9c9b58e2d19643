<script setup lang="ts">
import type { Verdict } from '#core/judgement/judgement'
import type { LimitLine } from '#core/visit/sheet'

/** A reading as a dot on the line of what is allowed. The words beside it say the same. */
const { line, verdict } = defineProps<{ line: LimitLine; verdict: Verdict }>()
const WIDTH = 200
const x = (share: number) => 4 + share * (WIDTH - 8)
const from = computed(() => x(line.low ?? 0))
const to = computed(() => x(line.high ?? 1))
const COLOURS: Record<Verdict, string> = {
  sound: 'var(--moss)',
  tired: 'var(--ochre)',
  failed: 'var(--rust)',
  unclear: 'var(--slate)',
}
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 16`" width="200" height="16" aria-hidden="true" focusable="false">
    <line x1="2" :x2="WIDTH - 2" y1="8" y2="8" stroke="var(--rule)" stroke-width="2" />
    <line :x1="from" :x2="to" y1="8" y2="8" stroke="currentColor" stroke-width="2.500" />
    <line v-if="line.low !== undefined" :x1="from" :x2="from" y1="3" y2="13" stroke="currentColor" stroke-width="2" />
    <line v-if="line.high !== undefined" :x1="to" :x2="to" y1="3" y2="13" stroke="currentColor" stroke-width="2" />
    <circle :cx="x(line.at)" cy="8" r="5" :fill="COLOURS[verdict]" stroke="var(--sheet)" stroke-width="1.500" />
  </svg>
</template>
