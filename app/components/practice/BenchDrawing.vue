<script setup lang="ts">
import type { useBench } from '~/composables/useBench'

/** The machine with its covers off: boxes, wires, and what lies in them. */
const { bench } = defineProps<{ bench: ReturnType<typeof useBench> }>()
const { practice, view, wires, symbols } = bench
/** What hands open stands open to the eye; what is broken inside shows in its readings alone. */
const BY_HAND: ReadonlySet<string> = new Set(['breaker', 'pressure-switch', 'float-switch'])
const isOff = computed(() => {
  const hands = practice.state?.hands
  return hands !== undefined && !(hands.power && hands.asked)
})
const CONTACT = { open: 'M-22 0h8m28 0h8M-14 0l26-14', closed: 'M-22 0h8m28 0h8M-14 0h28' } as const
const COIL = `M-22 0${'a5.500 5.500 0 0 1 11 0 '.repeat(4)}`
const CAN = 'M-22 0h18m8 0h18M-4-11v22M4-11v22'
function pathOf({ is, part }: (typeof symbols.value)[number]): string {
  if (is === 'coil') return COIL
  if (is === 'can') return CAN
  return CONTACT[isOff.value && BY_HAND.has(part) ? 'open' : 'closed']
}
</script>

<template>
  <g>
    <g v-for="box in view.boxes" :key="`${box.label}${box.at}`">
      <rect :x="box.at[0]" :y="box.at[1]" :width="box.size[0]" :height="box.size[1]" rx="5" class="box" />
      <text :x="box.at[0]" :y="box.at[1] - 7" class="box-label">{{ box.label }}</text>
    </g>
    <path v-for="wire in wires" :key="wire.path" :d="wire.path" class="wire" :class="`is-${wire.kind}`" />
    <g v-for="(symbol, index) in symbols" :key="index" :transform="`translate(${symbol.at[0]} ${symbol.at[1]})`">
      <g :transform="symbol.upright ? 'rotate(90)' : undefined">
        <rect x="-22" y="-9" width="44" height="18" class="behind" />
        <path :d="pathOf(symbol)" class="part" />
      </g>
      <text
        v-if="symbol.label"
        :x="symbol.upright ? 16 : 0"
        :y="symbol.upright ? 5 : symbol.is === 'contact' ? 26 : -16"
        :text-anchor="symbol.upright ? 'start' : 'middle'"
        class="symbol-label"
      >
        {{ symbol.label }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.box {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.box-label {
  fill: var(--ink);
  font-size: 14px;
  font-weight: 700;
}
.symbol-label {
  fill: var(--slate);
  font-size: 13px;
}
.wire {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
}
.wire.is-inside {
  stroke-width: 1.6;
}
.wire.is-ground {
  stroke: var(--moss);
  stroke-dasharray: 10 5;
}
.behind {
  fill: var(--sheet);
}
.part {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
}
</style>
