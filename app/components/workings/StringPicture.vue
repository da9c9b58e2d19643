<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Picture } from '#core/questions/picture'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/** The string in its well, and what hangs as it comes out. */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'string' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { system, reader } = useUnits()
const HEIGHT = 400
const width = ref(720)
const handle = computed(() => picture.handles[0])
const mass = (kilograms: number) => renderAmount(q(kilograms, 'mass'), reader.value)
const l = computed(() => ({
  depth: scaleLinear([0, Math.max(1, picture.lengthMetres)], [60, HEIGHT - 70]),
  beside: width.value >= 560,
  well: 120,
  x: scaleLinear([0, toShown(Math.max(1, picture.lengthMetres), 'length', system.value)], [368, width.value - 20]),
  y: scaleLinear(
    [
      0,
      toShown(
        Math.max(...picture.pull.map(({ kilograms }) => kilograms), picture.handKilograms) * 1.1,
        'mass',
        system.value,
      ),
    ],
    [HEIGHT - 46, 36],
  ),
}))
function pull(to: number): void {
  if (handle.value) emit('set', handle.value.field, pulledTo(handle.value, l.value.depth.invert(to)))
}
const level = computed(() => Math.min(picture.waterMetres, picture.lengthMetres))
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="HEIGHT"
    :label="picture.parts.map(({ label, kilograms }) => `${label} ${mass(kilograms)}`).join(', ')"
  >
    <path d="M0 52H92M148 52H230" stroke="var(--ink)" stroke-width="3" /><path
      :d="`M92 40V${HEIGHT - 14}H148V40`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.500"
    />
    <rect x="94" :y="l.depth(level)" width="52" :height="HEIGHT - 16 - l.depth(level)" fill="var(--water)" /><path
      :d="`M94 ${l.depth(level)}h52`"
      stroke="var(--river)"
      stroke-width="2.500"
    />
    <path :d="`M${l.well} 26V${l.depth(picture.lengthMetres)}`" stroke="var(--ink)" stroke-width="9" /><path
      :d="`M${l.well} 26V${l.depth(picture.lengthMetres)}`"
      stroke="var(--paper)"
      stroke-width="5"
    />
    <path d="M82 34h76l-10 16H92z" fill="var(--metal)" stroke="var(--ink)" stroke-width="2" /><text
      x="166"
      y="44"
      font-size="14"
      >clamp</text
    >
    <rect
      :x="l.well - 13"
      :y="l.depth(picture.lengthMetres)"
      width="26"
      height="44"
      rx="4"
      fill="var(--metal)"
      stroke="var(--ink)"
      stroke-width="2.500"
    />
    <text x="8" :y="l.depth(level) + 5" font-size="14" fill="var(--river)">water</text
    ><text x="8" :y="l.depth(level) + 22" font-size="14" class="number" fill="var(--river)">{{
      renderAmount(q(picture.waterMetres, 'length'), reader)
    }}</text>
    <text v-for="(part, index) in picture.parts" :key="part.label" x="180" :y="96 + index * 24" font-size="14.500"
      >{{ part.label }} <tspan class="number">{{ mass(part.kilograms) }}</tspan></text
    >
    <PullHandle
      v-if="handle"
      :x="148"
      :y="l.depth(level)"
      :handle="handle"
      :value="Number(values[handle.field])"
      :text="renderAmount(q(picture.waterMetres, 'length'), reader)"
      @pull="pull($event.y)"
      @set="emit('set', handle.field, $event)"
    />
    <template v-if="l.beside">
      <ChartAxes
        :x="l.x"
        :y="l.y"
        :x-label="`pulled out, ${unitOf('length', system)}`"
        :y-label="`hangs, ${unitOf('mass', system)}`"
      />
      <path
        :d="`M368 ${l.y(toShown(picture.handKilograms, 'mass', system))}H${width - 20}`"
        stroke="var(--rust)"
        stroke-width="2"
        stroke-dasharray="8 5"
      /><text
        :x="width - 22"
        :y="l.y(toShown(picture.handKilograms, 'mass', system)) - 8"
        text-anchor="end"
        font-size="14"
        fill="var(--rust)"
        >two people, {{ mass(picture.handKilograms) }}</text
      >
      <path
        :d="
          picture.pull
            .map(
              ({ outMetres, kilograms }, index) =>
                `${index === 0 ? 'M' : 'L'}${l.x(toShown(outMetres, 'length', system))} ` +
                l.y(toShown(kilograms, 'mass', system)),
            )
            .join('')
        "
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
      />
    </template>
  </PictureFrame>
</template>
