<script setup lang="ts">
import { LEADS, type Lead } from '#core/virtual/bench/leads'
import type { useBench } from '~/composables/useBench'

/** The two leads of the meter, one solid and one hollow: drawn to a terminal by whatever points. */
const { bench } = defineProps<{ bench: ReturnType<typeof useBench> }>()
const { practice, terminals, isClamp, placeOf } = bench
const root = useTemplateRef<SVGGElement>('root')
const SOCKETS: Record<Lead, readonly [number, number]> = { a: [342, 418], b: [342, 366] }
/** Where a lead lies that is on nothing. */
const RESTING: Record<Lead, readonly [number, number]> = { a: [410, 428], b: [450, 400] }
/** As near as this to a terminal, and it is meant. */
const CLOSE = 34

const dragged = ref<{ lead: Lead; x: number; y: number }>()
const shown = computed(() => (isClamp.value ? [] : LEADS))
const tip = (lead: Lead): readonly [number, number] =>
  dragged.value?.lead === lead
    ? [dragged.value.x, dragged.value.y]
    : (placeOf(practice.probing[lead])?.at ?? RESTING[lead])
function path(lead: Lead): string {
  const [[x, y], [toX, toY]] = [SOCKETS[lead], tip(lead)]
  const sag = Math.max(toY, y) + 36
  return `M${x} ${y}C${x + 70} ${sag} ${toX + 30} ${sag} ${toX} ${toY}`
}
function pointOf(event: PointerEvent): { x: number; y: number } | undefined {
  const matrix = root.value?.getScreenCTM()
  if (!matrix) return undefined
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return { x, y }
}
function lift(lead: Lead, event: PointerEvent): void {
  const point = pointOf(event)
  if (!point) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  dragged.value = { lead, ...point }
}
function drag(event: PointerEvent): void {
  const point = dragged.value && pointOf(event)
  if (point && dragged.value) dragged.value = { ...dragged.value, ...point }
}
function drop(): void {
  const held = dragged.value
  dragged.value = undefined
  if (!held) return
  const near = terminals.value
    .map((terminal) => ({ terminal, away: Math.hypot(terminal.at[0] - held.x, terminal.at[1] - held.y) }))
    .sort((a, b) => a.away - b.away)[0]
  if (near && near.away < CLOSE) bench.put(near.terminal.node, held.lead)
  else if (practice.probing[held.lead]) bench.takeLeadOff(held.lead)
}
function cancel(): void {
  dragged.value = undefined
}
</script>

<template>
  <g ref="root">
    <g v-for="lead in shown" :key="lead">
      <path :d="path(lead)" class="lead" />
      <path v-if="lead === 'b'" :d="path(lead)" class="hollow" />
      <g
        class="grip"
        :transform="`translate(${tip(lead)[0]} ${tip(lead)[1]})`"
        :data-testid="`lead-${lead}`"
        @pointerdown.prevent="lift(lead, $event)"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="cancel"
      >
        <circle r="24" class="touch" />
        <path d="M0 0 5 14h-3l3 22h-10l3-22h-3z" class="probe" :class="{ 'is-hollow': lead === 'b' }" />
        <text x="14" y="26" class="name">{{ lead.toUpperCase() }}</text>
      </g>
    </g>
  </g>
</template>

<style scoped>
.lead,
.hollow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 6;
  stroke-linecap: round;
  pointer-events: none;
}
/* One lead is solid, the other hollow: told apart without a colour. */
.hollow {
  stroke: var(--paper);
  stroke-width: 3;
}
.grip {
  cursor: grab;
  touch-action: none;
}
.touch {
  fill: transparent;
}
.probe {
  fill: var(--ink);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.probe.is-hollow {
  fill: var(--paper);
}
.name {
  fill: var(--ink);
  font-size: 15px;
  font-weight: 700;
}
</style>
