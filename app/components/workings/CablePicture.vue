<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Picture } from '#core/questions/picture'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/** Volts along the cable, running and starting, against the least allowed; the motor's end can be pulled. */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'cable' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { system, reader } = useUnits()
const HEIGHT = 400
const width = ref(720)
const handle = computed(() => picture.handles[0])
const far = computed(() => picture.points.at(-1) ?? { metres: 1, volts: 0 })
const started = computed(() => picture.starting.at(-1) ?? { metres: 1, volts: 0 })
const reach = computed(() => Math.max(far.value.metres * 1.25, 20))
const still = ref<number>()
const lowest = computed(
  () => Math.floor(Math.min(picture.leastVolts, started.value.volts, far.value.volts) / 20) * 20 - 10,
)
const l = computed(() => ({
  x: scaleLinear([0, toShown(still.value ?? reach.value, 'length', system.value)], [58, width.value - 20]),
  y: scaleLinear([Math.max(0, lowest.value), picture.sourceVolts * 1.02], [HEIGHT - 80, 34]),
}))
const path = (points: readonly { metres: number; volts: number }[]) =>
  points
    .map(
      ({ metres, volts }, index) =>
        `${index === 0 ? 'M' : 'L'}${l.value.x(toShown(metres, 'length', system.value))} ${l.value.y(volts)}`,
    )
    .join('')
function pull(to: number): void {
  if (handle.value)
    emit('set', handle.value.field, pulledTo(handle.value, l.value.x.invert(to) / toShown(1, 'length', system.value)))
}
const volts = (value: number) => renderAmount(q(value, 'volts'), reader.value)
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="HEIGHT"
    :label="`${volts(far.volts)} at the motor running, ${volts(started.volts)} as it starts`"
  >
    <ChartAxes :x="l.x" :y="l.y" :x-label="`one way from the panel, ${unitOf('length', system)}`" y-label="volts" />
    <path
      :d="`M58 ${l.y(picture.leastVolts)}H${width - 20}`"
      stroke="var(--rust)"
      stroke-width="2"
      stroke-dasharray="8 5"
    /><text x="66" :y="l.y(picture.leastVolts) + 18" font-size="14" fill="var(--rust)"
      >least running, {{ volts(picture.leastVolts) }}</text
    >
    <path
      :d="path(picture.starting)"
      fill="none"
      stroke="var(--slate)"
      stroke-width="2.500"
      stroke-dasharray="3 4"
    /><path :d="path(picture.points)" fill="none" stroke="var(--ink)" stroke-width="3" />
    <g
      v-for="{ at, label, dy } in [
        { at: far, label: `running ${volts(far.volts)}`, dy: -12 },
        { at: started, label: `starting ${volts(started.volts)}`, dy: 24 },
      ]"
      :key="label"
      ><circle :cx="l.x(toShown(at.metres, 'length', system))" :cy="l.y(at.volts)" r="6" fill="var(--ink)" /><text
        :x="Math.min(width - 22, l.x(toShown(at.metres, 'length', system)))"
        :y="l.y(at.volts) + dy"
        text-anchor="end"
        font-weight="700"
        class="number halo"
        >{{ label }}</text
      ></g
    >
    <path
      :d="`M58 ${HEIGHT - 16}H${l.x(toShown(far.metres, 'length', system))}`"
      stroke="var(--ink)"
      stroke-width="4"
    /><text x="58" :y="HEIGHT - 24" font-size="14">panel</text>
    <PullHandle
      v-if="handle"
      :x="l.x(toShown(far.metres, 'length', system))"
      :y="HEIGHT - 20"
      :handle="handle"
      :value="Number(values[handle.field])"
      :text="renderAmount(q(far.metres, 'length'), reader)"
      @pull="pull($event.x)"
      @set="emit('set', handle.field, $event)"
      @hold="still = $event ? reach : undefined"
    />
  </PictureFrame>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
}
</style>
