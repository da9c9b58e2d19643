<script setup lang="ts">
import type { Asked } from '#core/diagnosis/finding'
import { PARTED, type Parted } from '#core/virtual/bench/hands'
import { MOTOR_HAS } from '#core/motor/nameplate'
import type { Lead } from '~/composables/useBench'

/** The machine with its covers off, two leads and a meter: what the display shows is what the physics gives. */
const { lit = undefined } = defineProps<{ lit?: Asked }>()
const { state } = useVisitContext()
const bench = useBench(() => lit)
const { practice, view, terminals, symbols, wires, isClamp, placeOf, litPlaces } = bench
const svg = useTemplateRef<SVGSVGElement>('svg')
const SOCKETS: Record<Lead, readonly [number, number]> = { a: [342, 418], b: [342, 366] }
/** Where a lead lies that is on nothing. */
const RESTING: Record<Lead, readonly [number, number]> = { a: [410, 428], b: [450, 400] }
const LEADS: readonly Lead[] = ['a', 'b']
const CLOSE = 34

const at = (lead: Lead) => placeOf(practice.probing[lead])?.at
const dragged = ref<{ lead: Lead; x: number; y: number }>()
const tip = (lead: Lead): readonly [number, number] =>
  dragged.value?.lead === lead ? [dragged.value.x, dragged.value.y] : (at(lead) ?? RESTING[lead])
const shownLeads = computed(() => (isClamp.value ? [] : LEADS))
function path(lead: Lead): string {
  const [[x, y], [toX, toY]] = [SOCKETS[lead], tip(lead)]
  const sag = Math.max(toY, y) + 36
  return `M${x} ${y}C${x + 70} ${sag} ${toX + 30} ${sag} ${toX} ${toY}`
}
function pointOf(event: PointerEvent): { x: number; y: number } | undefined {
  const matrix = svg.value?.getScreenCTM()
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
  else if (practice.probing[held.lead]) bench.takeOff(held.lead)
}
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

/** On a telephone the display may lie beside what is seen of the bench: it stands above it as well. */
const says = computed(() => {
  const { figure, unit } = shownText(bench.display.value?.shows ?? { is: 'nothing' })
  return figure ? `${figure} ${unit}` : DIAL_WORDS[practice.probing.dial]
})

const hands = computed(() => practice.state?.hands)
const partable = computed(() =>
  (Object.keys(PARTED) as Parted[]).filter((what) => {
    const type = practice.state?.machine.motorType
    if (!type) return false
    if (what === 'splice') return state.value.machine.kind.startsWith('well')
    if (state.value.machine.kind === 'sump') return false
    return what === 'run-can' ? MOTOR_HAS.runCapacitor(type) : MOTOR_HAS.startCapacitor(type)
  }),
)
/** What hands open stands open to the eye; what is broken inside shows in its readings alone. */
const BY_HAND: ReadonlySet<string> = new Set(['breaker', 'pressure-switch', 'float-switch'])
const isOpenContact = (part: string) =>
  BY_HAND.has(part) && hands.value !== undefined && !(hands.value.power && hands.value.asked)
</script>

<template>
  <section aria-label="the bench" class="bench" data-testid="bench">
    <GateStrip />
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 class="text-base">{{ view.title.charAt(0).toUpperCase() + view.title.slice(1) }}</h2>
      <p class="text-[0.92rem] text-slate">drag a lead to a point, or press A, B on it</p>
    </div>
    <p class="number says" aria-hidden="true">{{ says }}</p>
    <div class="scroller" tabindex="0" role="group" :aria-label="`${view.title}, with leads and meter`">
      <svg ref="svg" viewBox="0 0 760 602" role="group" aria-label="bench" @pointermove="drag" @pointerup="drop">
        <g v-for="box in view.boxes" :key="`${box.label}${box.at}`">
          <rect :x="box.at[0]" :y="box.at[1]" :width="box.size[0]" :height="box.size[1]" rx="5" class="box" />
          <text :x="box.at[0]" :y="box.at[1] - 7" class="box-label">{{ box.label }}</text>
        </g>
        <path v-for="wire in wires" :key="wire.path" :d="wire.path" class="wire" :class="`is-${wire.kind}`" />
        <g v-for="(symbol, index) in symbols" :key="index" :transform="`translate(${symbol.at[0]} ${symbol.at[1]})`">
          <g :transform="symbol.upright ? 'rotate(90)' : undefined">
            <rect x="-22" y="-9" width="44" height="18" class="behind" />
            <path
              v-if="symbol.is === 'coil'"
              d="M-22 0a5.500 5.500 0 0 1 11 0 5.500 5.500 0 0 1 11 0 5.500 5.500 0 0 1 11 0 5.500 5.500 0 0 1 11 0"
              class="part"
            />
            <path v-else-if="symbol.is === 'can'" d="M-22 0h18m8 0h18M-4-11v22M4-11v22" class="part" />
            <path
              v-else
              :d="isOpenContact(symbol.part) ? 'M-22 0h8m28 0h8M-14 0l26-14' : 'M-22 0h8m28 0h8M-14 0h28'"
              class="part"
            />
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
          <circle v-if="litPlaces?.probing.a === jaw.id" :cx="jaw.at[0]" :cy="jaw.at[1]" r="22" class="glow" />
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
          <text
            v-if="terminal.node === 'ground' || terminal.node === 'paint'"
            :x="terminal.at[0]"
            :y="terminal.at[1] + 27"
            text-anchor="middle"
            class="symbol-label"
          >
            {{ terminal.label }}
          </text>
        </g>
        <BenchMeter :bench="bench" />
        <g v-for="lead in shownLeads" :key="lead">
          <path :d="path(lead)" class="lead" :class="`is-${lead}`" />
          <path :d="path(lead)" class="lead-core" :class="`is-${lead}`" />
          <g
            class="grip"
            :transform="`translate(${tip(lead)[0]} ${tip(lead)[1]})`"
            :data-testid="`lead-${lead}`"
            @pointerdown.prevent="lift(lead, $event)"
          >
            <circle r="24" class="touch" />
            <path d="M0 0 5 14h-3l3 22h-10l3-22h-3z" class="probe" :class="`is-${lead}`" />
            <text x="14" y="26" class="lead-name">{{ lead.toUpperCase() }}</text>
          </g>
        </g>
      </svg>
    </div>
    <div class="hands" role="group" aria-label="by hand at the bench">
      <button
        type="button"
        class="toggle"
        :aria-pressed="hands?.asked"
        data-testid="control"
        @click="practice.setAsked(!hands?.asked)"
      >
        {{ view.control }}, {{ hands?.asked ? 'on' : 'off' }}
      </button>
      <button
        v-for="what in partable"
        :key="what"
        type="button"
        class="toggle"
        :aria-pressed="hands?.parted.has(what)"
        :data-testid="`part-${what}`"
        @click="practice.setApart(what, !hands?.parted.has(what))"
      >
        {{ PARTED[what] }}
      </button>
      <button
        v-if="isClamp"
        type="button"
        class="toggle"
        :aria-pressed="practice.probing.peak === true"
        data-testid="peak"
        @click="bench.togglePeak"
      >
        hold what it starts with
      </button>
    </div>
  </section>
</template>

<style scoped>
.bench {
  position: relative;
}
.says {
  display: none;
  font-size: 1.6rem;
  font-weight: 700;
}
/* Beside the meter there is room for what hands do at the bench. */
.hands {
  position: absolute;
  right: 0;
  bottom: 1rem;
  display: flex;
  flex-direction: column;
  gap: 0.5rem;
  width: 34%;
}
@media (max-width: 900px) {
  .says {
    display: block;
  }
  .hands {
    position: static;
    flex-flow: row wrap;
    width: auto;
  }
}
svg {
  display: block;
  width: 100%;
  min-width: 640px;
  height: auto;
  touch-action: pan-x pan-y;
}
.scroller {
  overflow-x: auto;
}
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
.lead {
  fill: none;
  stroke: var(--ink);
  stroke-width: 6;
  stroke-linecap: round;
  pointer-events: none;
}
.lead-core {
  fill: none;
  stroke: transparent;
  stroke-width: 3;
  stroke-linecap: round;
  pointer-events: none;
}
/* One lead is solid, the other hollow: told apart without a colour. */
.lead-core.is-b {
  stroke: var(--paper);
}
.grip {
  cursor: grab;
  touch-action: none;
}
.probe {
  fill: var(--ink);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.probe.is-b {
  fill: var(--paper);
}
.lead-name {
  fill: var(--ink);
  font-size: 15px;
  font-weight: 700;
}
</style>
