<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Picture } from '#core/questions/picture'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/** The pit in section with its levels, and beside it the level through three turns. */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'pit' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { system, reader } = useUnits()
const HEIGHT = 400
const width = ref(720)
const told = (value: number, measure: 'level' | 'flow') => renderAmount(q(value, measure), reader.value)
const handle = computed(() => picture.handles[0])
const l = computed(() => {
  const pitLeft = 92
  const wide = Math.min(
    width.value < 560 ? width.value - pitLeft - 122 : 210,
    120 + 160 * Math.min(1, picture.diameterMetres),
  )
  const y = scaleLinear([0, picture.floorMetres * 1.02], [HEIGHT - 40, 66])
  const beside = width.value >= 620
  const until = picture.trace.at(-1)?.seconds ?? 60
  return {
    pitLeft,
    wide,
    y,
    beside,
    chartX: scaleLinear([0, until / (until > 600 ? 60 : 1)], [pitLeft + wide + 168, width.value - 14]),
    chartY: scaleLinear([0, toShown(picture.floorMetres * 1.02, 'level', system.value)], [HEIGHT - 40, 66]),
    perX: until > 600 ? 60 : 1,
  }
})
function pull(to: number): void {
  if (handle.value) emit('set', handle.value.field, pulledTo(handle.value, l.value.y.invert(to)))
}
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="HEIGHT"
    :label="
      `the pit: starts at ${told(picture.onMetres, 'level')}, stops at ${told(picture.offMetres, 'level')}, ` +
      `floor at ${told(picture.floorMetres, 'level')}`
    "
  >
    <path
      :d="`M0 ${l.y(picture.floorMetres)}H${l.pitLeft}M${l.pitLeft + l.wide} ${l.y(picture.floorMetres)}h70`"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <rect
      :x="l.pitLeft"
      :y="l.y(picture.onMetres)"
      :width="l.wide"
      :height="l.y(0) - l.y(picture.onMetres)"
      fill="var(--water)"
    />
    <path
      :d="`M${l.pitLeft} ${l.y(picture.floorMetres)}V${l.y(0)}H${l.pitLeft + l.wide}V${l.y(picture.floorMetres)}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <!-- the pump, its riser and the water that comes and goes -->
    <path
      :d="`M${l.pitLeft + l.wide * 0.34} ${l.y(0) - 2}v-30q0 -10 10 -10h${l.wide * 0.2}q10 0 10 10v30z`"
      fill="var(--metal)"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <path
      :d="`M${l.pitLeft + l.wide * 0.5 + 4} ${l.y(0) - 42}V34h${l.wide * 0.5 + 60}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="9"
    /><path
      :d="`M${l.pitLeft + l.wide * 0.5 + 4} ${l.y(0) - 42}V34h${l.wide * 0.5 + 60}`"
      fill="none"
      stroke="var(--paper)"
      stroke-width="5"
    />
    <text :x="l.pitLeft + l.wide + 66" y="22" text-anchor="end" class="number" font-weight="700"
      >{{ told(picture.pump, 'flow') }} out</text
    >
    <path
      :d="`M10 ${l.y(picture.floorMetres) + 34}h${l.pitLeft - 22}m-8 -6 8 6-8 6`"
      fill="none"
      stroke="var(--river)"
      stroke-width="2.500"
    /><text x="4" :y="l.y(picture.floorMetres) + 24" class="number" font-weight="700" fill="var(--river)">{{
      told(picture.inflow, 'flow')
    }}</text>
    <path :d="`M${l.pitLeft} ${l.y(picture.offMetres)}h${l.wide}`" stroke="var(--ink)" stroke-dasharray="6 5" />
    <text :x="l.pitLeft + l.wide + 8" :y="l.y(picture.floorMetres) + 18" font-size="14"
      >floor {{ told(picture.floorMetres, 'level') }}</text
    >
    <text :x="l.pitLeft + l.wide + 8" :y="l.y(picture.offMetres) + 5" font-size="14"
      >stops {{ told(picture.offMetres, 'level') }}</text
    >
    <text :x="l.pitLeft + l.wide + 30" :y="l.y(picture.onMetres) + 5" font-size="14" fill="var(--river)"
      >starts {{ told(picture.onMetres, 'level') }}</text
    >
    <template v-if="l.beside && picture.trace.length > 0">
      <ChartAxes
        :x="l.chartX"
        :y="l.chartY"
        :x-label="
          l.perX === 1 ? 'seconds, three turns at the worst inflow' : 'minutes, three turns at the worst inflow'
        "
        :y-label="`level, ${unitOf('level', system)}`"
      />
      <path
        :d="
          picture.trace
            .map(
              ({ seconds, metres }, index) => `${index === 0 ? 'M' : 'L'}${l.chartX(seconds / l.perX)} ${l.y(metres)}`,
            )
            .join('')
        "
        fill="none"
        stroke="var(--river)"
        stroke-width="3"
        stroke-linejoin="round"
      />
    </template>
    <PullHandle
      v-if="handle"
      :x="l.pitLeft + l.wide"
      :y="l.y(picture.onMetres)"
      :handle="handle"
      :value="Number(values[handle.field])"
      :text="told(picture.onMetres, 'level')"
      @pull="pull($event.y)"
      @set="emit('set', handle.field, $event)"
    />
  </PictureFrame>
</template>
