<script setup lang="ts">
import type { Component } from 'vue'
import { isIdOf, PARTS, type Construction, type Part } from '#core/knowledge/vocabulary'
import BoosterWetEnd from './BoosterWetEnd.vue'
import CirculationWetEnd from './CirculationWetEnd.vue'
import JetWetEnd from './JetWetEnd.vue'
import SpaWetEnd from './SpaWetEnd.vue'
import { partVerdicts, type VisitState } from '#core/visit/fold'
import { valueText } from '#core/visit/describe'
import { leaderStart, placeOfPart, placesOf, VIEW } from './cutaway-layout'

/** The section of this machine: parts carry their mark, the lit part glows, a tap opens what is known of it. */
const {
  lit = undefined,
  compact = false,
  of = undefined,
} = defineProps<{
  lit?: string
  compact?: boolean
  /** The machine that is drawn, where it is not the open visit’s. */
  of?: Pick<VisitState, 'machine' | 'plate' | 'findings'>
}>()
const emit = defineEmits<{ part: [part: string] }>()
const { state: visited } = useVisitContext()
const state = computed(() => of ?? visited.value)
const { reader } = useUnits()

const construction = computed(() => state.value.machine.construction)
const motorType = computed(() => state.value.plate.motorType)
/** What stands left of a horizontal motor; the others are drawn whole. */
const wetEnd = computed(
  () =>
    (
      ({
        'bracket-booster': BoosterWetEnd,
        'spa-cabinet': SpaWetEnd,
        'jet-end': JetWetEnd,
        'flooded-circulation': CirculationWetEnd,
      }) as Partial<Record<Construction, Component>>
    )[construction.value],
)
const pool = computed(() => construction.value === 'band-clamp' || construction.value === 'bolted-seal-plate')
const verdicts = computed(() => partVerdicts(state.value))
const places = computed(() =>
  placesOf(construction.value, state.value.machine.kind, motorType.value).map((place) => {
    const known =
      verdicts.value.get(place.part) ?? (place.part === 'run-winding' ? verdicts.value.get('start-winding') : undefined)
    return {
      ...place,
      verdict: known?.verdict,
      value: known ? shorten(valueText(known.latest, reader.value)) : rating(place.part),
    }
  }),
)
/** A motor without its pump fills the sheet by itself. */
const MOTOR_FROM = 250
const box = computed(() => {
  const from = construction.value === 'motor-bench' ? MOTOR_FROM : 0
  return `${from} 0 ${VIEW.width - from} ${VIEW.height}`
})
const glow = computed(() => (lit ? placeOfPart(places.value, lit as Part) : undefined))

function shorten(text: string): string {
  return text.length > 14 ? `${text.slice(0, 13)}…` : text
}

function rating(part: Part): string {
  const { plate } = state.value
  if (part === 'run-capacitor') return `${plate.runCapacitorMicrofarads} μF`
  if (part === 'start-capacitor')
    return Array.isArray(plate.startCapacitorMicrofarads)
      ? `${plate.startCapacitorMicrofarads.join('–')} μF`
      : `${plate.startCapacitorMicrofarads} μF`
  if (part === 'terminal-board') return `${plate.volts} V`
  return 'not checked'
}

function tapped(event: MouseEvent): void {
  const part = (event.target as Element).closest('[data-part]')?.getAttribute('data-part')
  // A piece of the drawing that is no part of the vocabulary belongs to the housing.
  if (part) emit('part', part === 'lid' ? 'lid-o-ring' : isIdOf(PARTS, part) ? part : 'volute')
}
</script>

<template>
  <figure class="cutaway" :class="{ 'is-compact': compact }" data-testid="cutaway">
    <svg
      :viewBox="box"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2"
      stroke-linejoin="round"
      :aria-label="`section of the pump, ${construction}`"
      role="group"
      @click="tapped"
    >
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--sheet)" stroke="none" />
          <path d="M0 0v7" stroke="var(--slate)" stroke-width="1" />
        </pattern>
        <radialGradient id="lamp-glow">
          <stop offset="0" stop-color="var(--lamp)" stop-opacity="0.95" />
          <stop offset="0.55" stop-color="var(--lamp)" stop-opacity="0.45" />
          <stop offset="1" stop-color="var(--lamp)" stop-opacity="0" />
        </radialGradient>
      </defs>
      <VerticalSection v-if="construction === 'vertical-shimmed'" :motor-type="motorType" />
      <SubmersibleSection
        v-else-if="construction === 'submersible-joined' || construction === 'submersible-sealed'"
        :sealed="construction === 'submersible-sealed'"
        :box="state.machine.kind === 'well-three-wire'"
      />
      <SumpSection v-else-if="construction === 'sump-sealed'" />
      <template v-else>
        <MotorSection :motor-type="motorType" />
        <PoolWetEnd v-if="pool" :bolted="construction === 'bolted-seal-plate'" />
        <component :is="wetEnd" v-else />
      </template>
      <circle
        v-if="glow"
        :cx="glow[0]"
        :cy="glow[1]"
        r="66"
        fill="url(#lamp-glow)"
        stroke="none"
        class="glow"
        pointer-events="none"
      />
      <g
        v-for="place in places"
        :key="place.part"
        class="place"
        role="button"
        tabindex="0"
        :aria-label="`${place.name}: ${place.verdict ?? 'not checked'}, ${place.value}`"
        :data-testid="`part-${place.part}`"
        @click.stop="emit('part', place.part)"
        @keydown.enter.prevent="emit('part', place.part)"
        @keydown.space.prevent="emit('part', place.part)"
      >
        <rect
          :x="place.at[0] - 16"
          :y="place.at[1] - 20"
          :width="place.side === 'right' ? 128 : 144"
          height="48"
          fill="transparent"
          stroke="none"
        />
        <path class="leader" :d="`M${place.anchor.join(' ')}L${leaderStart(place).join(' ')}`" />
        <circle :cx="place.anchor[0]" :cy="place.anchor[1]" r="2.500" fill="var(--ink)" stroke="none" />
        <foreignObject :x="place.at[0] - 11" :y="place.at[1] - 11" width="22" height="22" class="mark"
          ><StateMark :verdict="place.verdict"
        /></foreignObject>
        <g class="words" stroke="none">
          <text :x="place.at[0] + 16" :y="place.at[1] - 1" class="name">{{ place.name }}</text>
          <text :x="place.at[0] + 16" :y="place.at[1] + 17" class="value">{{ place.value }}</text>
        </g>
      </g>
    </svg>
    <ul class="parts" aria-label="parts">
      <li v-for="place in places" :key="place.part">
        <button type="button" class="toggle" @click="emit('part', place.part)">
          <StateMark :verdict="place.verdict" />{{ place.name }}
        </button>
      </li>
    </ul>
  </figure>
</template>

<style scoped>
.cutaway {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  height: auto;
}
[data-part],
.place {
  cursor: pointer;
}
.leader {
  stroke: var(--slate);
  stroke-width: 1.2;
}
.mark {
  overflow: visible;
}
.is-compact svg {
  max-height: 19rem;
}
.words text {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.name {
  fill: var(--ink);
  font-size: 15px;
  font-weight: 700;
}
.value {
  fill: var(--slate);
  font: 13px var(--font-mono);
}
.place:focus-visible {
  outline: none;
}
.place:focus-visible rect {
  stroke: var(--river);
  stroke-width: 3;
}
.parts {
  display: none;
}
@media (max-width: 900px) {
  .words,
  .leader {
    display: none;
  }
  .parts {
    display: flex;
    gap: 8px;
    overflow-x: auto;
    padding: 4px 0 8px;
  }
  .parts .toggle {
    white-space: nowrap;
  }
}
</style>
