<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Picture } from '#core/questions/picture'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/** The pump over its water, and what is left of the air's push on the way up, against what the pump needs. */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'suction' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { system, reader } = useUnits()
/** No air on earth lifts water farther. */
const MOST_LIFT = 10.4
const HEIGHT = 400
const width = ref(720)
const handle = computed(() => picture.handles[0])
const told = (metres: number) => renderAmount(q(metres, 'head'), reader.value)
const l = computed(() => ({
  lift: scaleLinear([0, MOST_LIFT], [HEIGHT - 60, 40]),
  beside: width.value >= 560,
  well: 110,
  x: scaleLinear([0, 2], [width.value >= 560 ? 330 : 0, width.value - 90]),
  y: scaleLinear(
    [0, toShown(Math.max(10.5, ...picture.profile.map(({ metres }) => metres)), 'head', system.value)],
    [HEIGHT - 60, 40],
  ),
}))
function pull(to: number): void {
  if (handle.value) emit('set', handle.value.field, pulledTo(handle.value, l.value.lift.invert(to)))
}
const left = (metres: number) => toShown(Math.max(0, metres), 'head', system.value)
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="HEIGHT"
    :label="`lift ${told(picture.liftMetres)}, longest ${told(picture.longestMetres)}`"
  >
    <rect x="0" :y="l.lift(0)" width="220" height="60" fill="var(--water)" /><path
      :d="`M0 ${l.lift(0)}H220`"
      stroke="var(--river)"
      stroke-width="2.500"
    />
    <path
      :d="`M${l.well} ${l.lift(0) + 34}V${l.lift(picture.liftMetres)}h40`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="9"
    /><path
      :d="`M${l.well} ${l.lift(0) + 34}V${l.lift(picture.liftMetres)}h40`"
      fill="none"
      stroke="var(--water)"
      stroke-width="5"
    />
    <circle
      :cx="l.well + 58"
      :cy="l.lift(picture.liftMetres)"
      r="20"
      fill="var(--metal)"
      stroke="var(--ink)"
      stroke-width="2.500"
    /><rect
      :x="l.well + 78"
      :y="l.lift(picture.liftMetres) - 12"
      width="40"
      height="24"
      fill="var(--metal)"
      stroke="var(--ink)"
      stroke-width="2.500"
    />
    <g v-if="picture.longestMetres > 0"
      ><path
        :d="`M10 ${l.lift(Math.min(MOST_LIFT, picture.longestMetres))}H230`"
        :stroke="picture.longestMetres < picture.liftMetres ? 'var(--rust)' : 'var(--ink)'"
        stroke-dasharray="7 5"
        stroke-width="2"
      /><text x="10" :y="l.lift(Math.min(MOST_LIFT, picture.longestMetres)) - 8" font-size="14"
        >longest {{ told(picture.longestMetres) }}</text
      ></g
    >
    <text x="8" :y="l.lift(picture.liftMetres / 2) + 5" font-size="14" fill="var(--river)">{{
      told(picture.liftMetres)
    }}</text>
    <PullHandle
      v-if="handle"
      :x="l.well"
      :y="l.lift(Math.min(MOST_LIFT, picture.liftMetres))"
      :handle="handle"
      :value="Number(values[handle.field])"
      :text="told(picture.liftMetres)"
      @pull="pull($event.y)"
      @set="emit('set', handle.field, $event)"
    />
    <template v-if="l.beside">
      <ChartAxes :x="l.x" :y="l.y" named x-label="" :y-label="`left of the air’s push, ${unitOf('head', system)}`" />
      <path
        :d="`M${l.x(0)} ${l.y(left(picture.limitMetres))}H${l.x(2)}`"
        stroke="var(--rust)"
        stroke-width="2.500"
        stroke-dasharray="8 5"
      /><text :x="l.x(0) + 8" :y="l.y(left(picture.limitMetres)) + 18" font-size="14" fill="var(--rust)"
        >below this it boils in the pump</text
      >
      <path
        :d="
          picture.profile
            .map(({ metres }, index) => `${index === 0 ? 'M' : 'L'}${l.x(index)} ${l.y(left(metres))}`)
            .join('')
        "
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
      />
      <g v-for="({ label, metres }, index) in picture.profile" :key="label"
        ><circle :cx="l.x(index)" :cy="l.y(left(metres))" r="6" fill="var(--ink)" /><text
          :x="l.x(index) + (index === 2 ? 0 : 12)"
          :y="l.y(left(metres)) - 12"
          :text-anchor="index === 2 ? 'middle' : 'start'"
          class="number halo"
          >{{ told(metres) }}</text
        ><text :x="l.x(index)" :y="HEIGHT - 34" :text-anchor="index === 0 ? 'start' : 'middle'" font-size="14">{{
          label
        }}</text></g
      >
    </template>
  </PictureFrame>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
}
</style>
