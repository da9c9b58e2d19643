<script setup lang="ts">
/** The order in which bolts are brought home, numbered round the ring: opposite ones first. */
const { count, pattern } = defineProps<{ count: number; pattern: 'star' | 'crosswise' | 'in order' | 'hand' }>()
const shown = computed(() => Math.min(16, Math.max(2, count)))
const order = computed(() => {
  const left = Array.from({ length: shown.value }, (_, index) => index)
  if (pattern === 'in order') return left
  const out: number[] = []
  let at = 0
  while (left.length > 0) {
    // The one farthest round the ring from the last.
    const next = left.reduce((best, each) => (distance(each, at) > distance(best, at) ? each : best))
    const pick = out.length === 0 ? (left[0] as number) : next
    out.push(pick)
    left.splice(left.indexOf(pick), 1)
    at = pick
  }
  return out
})
function distance(a: number, b: number): number {
  const round = Math.abs(a - b) % shown.value
  return Math.min(round, shown.value - round)
}
const place = (index: number) => ({ x: 52 + 38 * Math.sin((2 * Math.PI * index) / shown.value), y: 52 - 38 * Math.cos((2 * Math.PI * index) / shown.value) })
</script>

<template>
  <svg viewBox="0 0 104 104" width="104" height="104" fill="none" stroke="currentColor" stroke-width="2" role="img" :aria-label="`tighten ${pattern}, in the order of the numbers`" data-testid="tighten">
    <circle cx="52" cy="52" r="50" /><circle cx="52" cy="52" r="22" />
    <g v-for="(index, turn) in order" :key="index"><circle :cx="place(index).x" :cy="place(index).y" r="10" fill="#fffdf7" /><text :x="place(index).x" :y="place(index).y + 5" text-anchor="middle" font-size="13" font-weight="700" fill="currentColor" stroke="none">{{ turn + 1 }}</text></g>
  </svg>
</template>
