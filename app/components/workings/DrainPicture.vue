<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Picture } from '#core/questions/picture'
import { q, renderAmount } from '#core/quantity/sentence'

/** The tank above, the pipe, and the sump that has to take what comes back. */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'drain' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { reader } = useUnits()
const HEIGHT = 400
const width = ref(720)
const handle = computed(() => picture.handles[0])
const told = (value: number, measure: 'level' | 'volume') => renderAmount(q(value, measure), reader.value)
const l = computed(() => {
  const top = { left: Math.min(150, width.value * 0.2), width: Math.min(330, width.value * 0.5), y: 44, height: 110 }
  const sump = {
    left: Math.min(230, width.value * 0.24),
    width: Math.min(420, width.value * 0.62),
    bottom: 378,
    brim: 236,
    running: 316,
  }
  return {
    top,
    sump,
    depth: scaleLinear([0, 0.3], [top.y + 14, top.y + top.height - 8]).clamp(true),
    rise: scaleLinear([0, Math.max(picture.freeboardMetres, 1e-6)], [sump.running, sump.brim]),
  }
})
function pull(to: number): void {
  if (handle.value) emit('set', handle.value.field, pulledTo(handle.value, l.value.depth.invert(to)))
}
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="HEIGHT"
    :label="`${told(picture.litres, 'volume')} run back, room for ${told(picture.freeLitres, 'volume')}`"
  >
    <rect
      :x="l.top.left"
      :y="l.depth(picture.riseMetres)"
      :width="l.top.width"
      :height="l.top.y + l.top.height - l.depth(picture.riseMetres)"
      fill="var(--water)"
    />
    <rect
      :x="l.top.left"
      :y="l.top.y + 14"
      :width="l.top.width"
      :height="Math.max(0, l.depth(picture.riseMetres) - l.top.y - 14)"
      fill="var(--water)"
      opacity="0.45"
    />
    <path
      :d="`M${l.top.left} ${l.top.y}v${l.top.height}h${l.top.width}v-${l.top.height}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <path
      :d="`M${l.top.left} ${l.depth(picture.riseMetres)}h${l.top.width}`"
      stroke="var(--river)"
      stroke-width="2.500"
      stroke-dasharray="6 4"
    />
    <text :x="l.top.left + l.top.width / 2" y="32" text-anchor="middle" font-weight="700">the tank above</text
    ><text
      :x="l.top.left + 34"
      :y="Math.min(l.top.y + l.top.height - 10, l.depth(picture.riseMetres) + 22)"
      font-size="14"
      >siphons down {{ told(picture.riseMetres, 'level') }}</text
    >
    <path
      :d="`M${l.top.left + l.top.width - 40} ${l.depth(picture.riseMetres)}V20h66V${l.sump.bottom - 24}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="9"
      stroke-linejoin="round"
    /><path
      :d="`M${l.top.left + l.top.width - 40} ${l.depth(picture.riseMetres)}V20h66V${l.sump.bottom - 24}`"
      fill="none"
      stroke="var(--water)"
      stroke-width="5"
      stroke-linejoin="round"
    />
    <rect
      :x="l.sump.left"
      :y="l.sump.running"
      :width="l.sump.width"
      :height="l.sump.bottom - l.sump.running"
      fill="var(--water)"
    /><rect
      :x="l.sump.left"
      :y="Math.max(l.sump.brim - 12, l.rise(picture.raisedMetres))"
      :width="l.sump.width"
      :height="l.sump.running - Math.max(l.sump.brim - 12, l.rise(picture.raisedMetres))"
      fill="var(--water)"
      opacity="0.55"
    />
    <path
      :d="`M${l.sump.left} ${l.sump.brim}V${l.sump.bottom}h${l.sump.width}V${l.sump.brim}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <path :d="`M${l.sump.left} ${l.sump.running}h${l.sump.width}`" stroke="var(--ink)" stroke-dasharray="6 5" /><path
      :d="`M${l.sump.left} ${Math.max(l.sump.brim - 12, l.rise(picture.raisedMetres))}h${l.sump.width}`"
      :stroke="picture.litres > picture.freeLitres ? 'var(--rust)' : 'var(--river)'"
      stroke-width="2.500"
    />
    <text :x="l.sump.left + 12" :y="l.sump.running + 20" font-size="14">running level</text
    ><text
      :x="l.sump.left + 12"
      :y="Math.max(l.sump.brim - 12, l.rise(picture.raisedMetres)) - 9"
      font-size="14"
      :fill="picture.litres > picture.freeLitres ? 'var(--rust)' : 'var(--river)'"
      >stopped: up {{ told(picture.raisedMetres, 'level')
      }}{{ picture.litres > picture.freeLitres ? ', over the brim' : '' }}</text
    >
    <text :x="l.sump.left + l.sump.width / 2" :y="l.sump.bottom - 14" text-anchor="middle" font-weight="700"
      >the sump</text
    >
    <PullHandle
      v-if="handle"
      :x="l.top.left"
      :y="l.depth(picture.riseMetres)"
      :handle="handle"
      :value="Number(values[handle.field])"
      :text="told(picture.riseMetres, 'level')"
      @pull="pull($event.y)"
      @set="emit('set', handle.field, $event)"
    />
  </PictureFrame>
</template>
