<script setup lang="ts">
import { LEADS } from '#core/virtual/bench/leads'
import type { useBench } from '~/composables/useBench'

/** Where leads and clamp can be put: by a tap the next one that is free, by A and B that one. */
const { bench } = defineProps<{ bench: ReturnType<typeof useBench> }>()
const { practice, view, terminals, litPlaces } = bench
/** Metal and paint are told apart by their words alone. */
const NAMED: ReadonlySet<string> = new Set(['ground', 'paint'])
function byKey(node: string, event: KeyboardEvent): void {
  if (event.metaKey || event.ctrlKey || event.altKey) return
  const key = event.key.toLowerCase()
  if (key === 'a' || key === 'b') bench.put(node, key)
  else if (key === 'enter' || key === ' ') bench.put(node)
  else return
  event.preventDefault()
  event.stopPropagation()
}
const leadAt = (node: string): string =>
  LEADS.filter((lead) => practice.probing[lead] === node)
    .join(' and ')
    .toUpperCase()
const isLit = (node: string) => litPlaces.value?.probing.a === node || litPlaces.value?.probing.b === node
</script>

<template>
  <g>
    <g
      v-for="jaw in view.jaws"
      :key="jaw.id"
      role="button"
      tabindex="0"
      class="place"
      :aria-label="`clamp ${jaw.label}`"
      :aria-pressed="practice.probing.a === jaw.id"
      :data-testid="`jaw-${jaw.id}`"
      @click="bench.put(jaw.id)"
      @keydown="byKey(jaw.id, $event)"
    >
      <title>clamp {{ jaw.label }}</title>
      <circle v-if="isLit(jaw.id)" :cx="jaw.at[0]" :cy="jaw.at[1]" r="22" class="glow" />
      <rect :x="jaw.at[0] - 22" :y="jaw.at[1] - 22" width="44" height="44" class="touch" />
      <path :d="`M${jaw.at[0] - 11} ${jaw.at[1] - 10}a15 15 0 1 0 22 0`" class="jaw" />
    </g>
    <g
      v-for="terminal in terminals"
      :key="terminal.node"
      role="button"
      tabindex="0"
      class="place"
      :aria-label="`${terminal.label}${leadAt(terminal.node) ? `, lead ${leadAt(terminal.node)} on it` : ''}`"
      :aria-pressed="leadAt(terminal.node) !== ''"
      :data-testid="`terminal-${terminal.node}`"
      @click="bench.put(terminal.node)"
      @keydown="byKey(terminal.node, $event)"
    >
      <title>{{ terminal.label }}</title>
      <circle v-if="isLit(terminal.node)" :cx="terminal.at[0]" :cy="terminal.at[1]" r="20" class="glow" />
      <rect :x="terminal.at[0] - 22" :y="terminal.at[1] - 22" width="44" height="44" class="touch" />
      <circle :cx="terminal.at[0]" :cy="terminal.at[1]" r="9" class="ring" />
      <circle :cx="terminal.at[0]" :cy="terminal.at[1]" r="3" class="screw" />
      <text v-if="NAMED.has(terminal.node)" :x="terminal.at[0]" :y="terminal.at[1] + 27" class="name">
        {{ terminal.label }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.place {
  cursor: pointer;
}
.touch {
  fill: transparent;
}
.ring {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.screw {
  fill: var(--ink);
}
.jaw {
  fill: none;
  stroke: var(--river);
  stroke-width: 4;
  stroke-linecap: round;
}
.glow {
  fill: var(--lamp);
}
.name {
  fill: var(--slate);
  font-size: 13px;
  text-anchor: middle;
}
.place:focus {
  outline: none;
}
.place:focus-visible .ring,
.place:focus-visible .jaw {
  stroke: var(--river);
  stroke-width: 5;
}
.place[aria-pressed='true'] .ring {
  fill: var(--river);
}
.place[aria-pressed='true'] .jaw {
  stroke: var(--ink);
  stroke-width: 7;
}
</style>
