<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Picture } from '#core/questions/picture'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/**
 * The tank three times: empty, at cut-in, at cut-out, its water as high as it stands; beside it the scale of pressure.
 */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'tank' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { system, reader } = useUnits()
const HEIGHT = 390
const width = ref(720)
const handle = computed(() => picture.handles[0])
const top = computed(() => Math.max(...picture.shares.map(({ pressureKpa }) => pressureKpa)) * 1.12)
const l = computed(() => {
  const left = 140
  const each = Math.min(170, (width.value - left - 20) / 3)
  return {
    y: scaleLinear([0, top.value], [HEIGHT - 56, 30]),
    each,
    left,
    tankTop: 60,
    tankHeight: HEIGHT - 150,
    body: Math.min(96, each - 22),
  }
})
function pull(to: number): void {
  if (handle.value) emit('set', handle.value.field, pulledTo(handle.value, l.value.y.invert(to)))
}
const pressure = (kpa: number) => renderAmount(q(kpa, 'pressure'), reader.value)
const shareWords = ({ label, pressureKpa, water }: (typeof picture.shares)[number]) =>
  `${label} ${pressure(pressureKpa)}, ${renderAmount(q(water, 'volume'), reader.value)}`
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="HEIGHT"
    :label="`the tank: ${picture.shares.map(shareWords).join('; ')}`"
  >
    <path :d="`M52 ${l.y(0)}V24`" stroke="var(--ink)" stroke-width="1.500" />
    <text x="8" y="18" font-size="13.500" fill="var(--slate)">{{ unitOf('pressure', system) }}</text>
    <g v-for="{ label, pressureKpa } in picture.shares" :key="label" aria-hidden="true"
      ><path :d="`M46 ${l.y(pressureKpa)}h12`" stroke="var(--ink)" stroke-width="2" /><text
        x="42"
        :y="l.y(pressureKpa) + (label === 'empty' ? 16 : 0)"
        text-anchor="end"
        font-size="13.500"
        class="number"
        >{{ Math.round(toShown(pressureKpa, 'pressure', system)) }}</text
      ></g
    >
    <g
      v-for="(share, index) in picture.shares"
      :key="share.label"
      :transform="`translate(${l.left + index * l.each} ${l.tankTop})`"
    >
      <clipPath :id="`tank-${index}`"
        ><rect x="0" y="0" :width="l.body" :height="l.tankHeight" :rx="l.body / 2.6"
      /></clipPath>
      <g :clip-path="`url(#tank-${index})`"
        ><rect :width="l.body" :height="l.tankHeight" fill="var(--sheet)" /><rect
          y="0"
          :width="l.body"
          :height="l.tankHeight"
          fill="var(--water)"
          :transform="`translate(0 ${l.tankHeight * (1 - share.water / picture.tankLitres)})`" /><path
          v-if="share.water > 0"
          :d="`M0 ${l.tankHeight * (1 - share.water / picture.tankLitres)}H${l.body}`"
          stroke="var(--river)"
          stroke-width="2.500"
      /></g>
      <rect
        :width="l.body"
        :height="l.tankHeight"
        :rx="l.body / 2.6"
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
      /><path :d="`M${l.body / 2} ${l.tankHeight}v16`" stroke="var(--ink)" stroke-width="6" />
      <text :x="l.body / 2" y="-12" text-anchor="middle" font-weight="700">{{ share.label }}</text>
      <text :x="l.body / 2" :y="l.tankHeight + 38" text-anchor="middle" class="number" font-size="14">{{
        pressure(share.pressureKpa)
      }}</text>
      <text :x="l.body / 2" :y="l.tankHeight + 58" text-anchor="middle" font-size="14" fill="var(--river)">{{
        share.water > 0 ? renderAmount(q(share.water, 'volume'), reader) : 'air alone'
      }}</text>
    </g>
    <text v-if="handle" x="78" :y="l.y(Number(values[handle.field])) + 5" font-size="14" fill="var(--river)"
      >charge</text
    >
    <PullHandle
      v-if="handle"
      :x="52"
      :y="l.y(Number(values[handle.field]))"
      :handle="handle"
      :value="Number(values[handle.field])"
      :text="pressure(Number(values[handle.field]))"
      @pull="pull($event.y)"
      @set="emit('set', handle.field, $event)"
    />
  </PictureFrame>
</template>
