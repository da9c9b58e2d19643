<script setup lang="ts">
import { DIALS, TEST_VOLTS, type Dial, type MeterShows } from '#core/virtual/bench/meter'
import type { useBench } from '~/composables/useBench'

/** The meter: its display with the span of its error, and the dial that is turned by pointer or by keys. */
const { bench } = defineProps<{ bench: ReturnType<typeof useBench> }>()
const { practice, display, stood, looks, litPlaces } = bench
const dial = computed(() => practice.probing.dial)
/** Angles of the positions, degrees from the right, round under the display. */
const ANGLES: Readonly<Record<Dial, number>> = {
  off: 172,
  volts: 148,
  ohms: 124,
  microfarads: 100,
  amps: 76,
  'volts-250': 52,
  'volts-500': 30,
  'volts-1000': 8,
}
/** Where the dial turns, in the field of the bench. */
const CENTRE = [180, 452] as const
const on = (angle: number, radius: number): readonly [number, number] => {
  const turn = (angle * Math.PI) / 180
  return [CENTRE[0] + radius * Math.cos(turn), CENTRE[1] + radius * 0.9 * Math.sin(turn)]
}
const needle = computed(() => on(ANGLES[dial.value], 96))
const shows = computed<MeterShows>(() => display.value?.shows ?? { is: 'nothing' })
const shown = computed(() => shownText(shows.value))
const span = computed(() => spanText(shows.value))
const isSteady = computed(() => stood.value >= looks)
/** Where the figure lies on a scale of tens, 0 to 1. */
const DECADES: Readonly<Record<string, readonly [number, number]>> = {
  V: [0, 3],
  ohm: [-1, 7],
  uF: [0, 3],
  A: [-1, 2],
  Mohm: [-2, 4],
}
const decades = computed(() =>
  shows.value.is === 'figure' || shows.value.is === 'over' ? DECADES[shows.value.unit] : undefined,
)
const ticks = computed(() => {
  const [from, to] = decades.value ?? [0, 0]
  return decades.value
    ? Array.from({ length: to - from + 1 }, (_, index) => ({ power: from + index, share: index / (to - from) }))
    : []
})
const pointer = computed(() => {
  const now = shows.value
  const [from, to] = decades.value ?? [0, 1]
  if (now.is !== 'figure') return now.is === 'over' ? 1 : undefined
  return Math.min(1, Math.max(0, (Math.log10(Math.max(now.value, 1e-9)) - from) / (to - from)))
})
const SCALE = { from: 46, length: 230, y: 418 }
const tickText = (power: number) =>
  power >= 6
    ? `${10 ** (power - 6)}M`
    : power >= 4
      ? `${10 ** (power - 3)}k`
      : String(Number((10 ** power).toPrecision(1)))
function turn(by: number): void {
  const next = DIALS[DIALS.indexOf(dial.value) + by]
  if (next) bench.setDial(next)
}
const testVolts = computed(() => TEST_VOLTS[dial.value])
const words = computed(() => `${shown.value.figure} ${shown.value.unit}${isSteady.value ? ', steady' : ''}`)
</script>

<template>
  <g aria-label="the meter" role="group">
    <rect x="24" y="328" width="345" height="118" rx="9" class="case" />
    <rect x="34" y="338" width="262" height="98" class="glass" />
    <text x="46" y="384" class="figure" data-testid="meter-figure">{{ shown.figure }}</text>
    <text :x="54 + shown.figure.length * 24" y="384" class="unit">{{ shown.unit }}</text>
    <g v-if="shows.is === 'figure' || shows.is === 'over'">
      <rect
        v-for="n in looks"
        :key="n"
        :x="232 + n * 14"
        y="345"
        width="10"
        height="10"
        class="look"
        :class="{ 'is-stood': stood >= n }"
      />
      <text x="288" y="372" text-anchor="end" class="span">{{ span }}</text>
    </g>
    <g v-if="decades" class="scale">
      <path :d="`M${SCALE.from} ${SCALE.y - 14}h${SCALE.length}`" />
      <g v-for="tick in ticks" :key="tick.power">
        <path :d="`M${SCALE.from + tick.share * SCALE.length} ${SCALE.y - 20}v12`" />
        <text :x="SCALE.from + tick.share * SCALE.length" :y="SCALE.y + 8" text-anchor="middle">{{
          tickText(tick.power)
        }}</text>
      </g>
      <path
        v-if="pointer !== undefined"
        :d="`M${SCALE.from + pointer * SCALE.length - 6} ${SCALE.y - 28}h12l-6 10z`"
        class="pointer"
      />
    </g>
    <text v-if="shows.is === 'shorted-can'" x="172" y="446" class="span">something of a few ohms lies beside it</text>
    <text v-if="testVolts && shows.is !== 'nothing'" x="352" y="544" class="warn">{{ testVolts }} V on the leads</text>
    <circle cx="342" cy="418" r="10" class="socket" /><text x="310" y="423" class="socket-name">A</text>
    <circle cx="342" cy="366" r="10" class="socket" /><text x="310" y="371" class="socket-name">B</text>
    <path :d="`M${CENTRE[0] - 118} ${CENTRE[1]}A118 106 0 0 0 ${CENTRE[0] + 118} ${CENTRE[1]}`" class="arc" />
    <g role="radiogroup" aria-label="the dial">
      <g
        v-for="id in DIALS"
        :key="id"
        role="radio"
        class="position"
        :aria-checked="dial === id"
        :aria-label="id.startsWith('volts-') ? `insulation at ${DIAL_WORDS[id]}` : DIAL_WORDS[id]"
        :tabindex="dial === id ? 0 : -1"
        :data-testid="`dial-${id}`"
        @click="bench.setDial(id)"
        @keydown.left.prevent="turn(-1)"
        @keydown.right.prevent="turn(1)"
        @keydown.up.prevent="turn(-1)"
        @keydown.down.prevent="turn(1)"
        @keydown.enter.prevent="bench.setDial(id)"
      >
        <circle
          v-if="litPlaces?.probing.dial === id"
          :cx="on(ANGLES[id], 146)[0]"
          :cy="on(ANGLES[id], 146)[1]"
          r="22"
          class="glow"
        />
        <circle :cx="on(ANGLES[id], 146)[0]" :cy="on(ANGLES[id], 146)[1]" r="25" class="touch" />
        <path :d="`M${on(ANGLES[id], 104)}L${on(ANGLES[id], 118)}`" class="notch" />
        <text
          :x="on(ANGLES[id], 148)[0]"
          :y="on(ANGLES[id], 148)[1] + 5"
          text-anchor="middle"
          :class="{ 'is-set': dial === id, 'is-lit': litPlaces?.probing.dial === id }"
          >{{ DIAL_WORDS[id] }}</text
        >
      </g>
    </g>
    <path :d="`M${CENTRE[0]} ${CENTRE[1]}L${needle[0]} ${needle[1]}`" class="needle" />
    <circle :cx="CENTRE[0]" :cy="CENTRE[1]" r="17" class="hub" />
    <text x="352" y="500" class="span">insulation,</text><text x="352" y="517" class="span">at a voltage</text>
    <foreignObject x="0" y="328" width="1" height="1"
      ><p class="sr-only" aria-live="polite" data-testid="meter-says">{{ words }}</p></foreignObject
    >
  </g>
</template>

<style scoped>
.case {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.glass {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.figure {
  fill: var(--ink);
  font: 700 40px var(--font-mono);
}
.unit {
  fill: var(--ink);
  font: 400 22px var(--font-mono);
}
.span {
  fill: var(--slate);
  font: 400 13px var(--font-mono);
}
.warn {
  fill: var(--rust);
  font-size: 15px;
  font-weight: 700;
}
.look {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.look.is-stood {
  fill: var(--ink);
}
.scale path {
  fill: none;
  stroke: var(--slate);
  stroke-width: 1.4;
}
.scale text {
  fill: var(--slate);
  font: 400 11px var(--font-mono);
}
.scale .pointer {
  fill: var(--ink);
  stroke: none;
}
.socket {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 4;
}
.socket-name {
  fill: var(--ink);
  font-size: 14px;
  font-weight: 700;
}
.arc,
.notch {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.position {
  cursor: pointer;
}
.position text {
  fill: var(--ink);
  font-size: 15px;
}
.position text.is-set {
  font-weight: 700;
}
.position text.is-lit {
  fill: var(--lamp-ink);
}
.position:focus {
  outline: none;
}
.position:focus-visible .touch {
  stroke: var(--river);
  stroke-width: 3;
}
.touch {
  fill: transparent;
}
.glow {
  fill: var(--lamp);
}
.needle {
  stroke: var(--ink);
  stroke-width: 9;
  stroke-linecap: round;
}
.hub {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 8;
}
</style>
