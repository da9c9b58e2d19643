<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { curveMonotoneX, line } from 'd3-shape'
import type { Picture, PulledHandle } from '#core/questions/picture'
import { toShown, unitOf } from '#core/quantity/measures'
import { q, renderAmount } from '#core/quantity/sentence'

/** Pump and pipe as curves; where they meet, and the points that can be pulled. */
const { picture, values } = defineProps<{
  picture: Extract<Picture, { kind: 'curves' }>
  values: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ set: [field: string, value: number] }>()
const { system, reader } = useUnits()
const HEIGHT = 410
const width = ref(720)
const flow = (litresPerSecond: number) => toShown(litresPerSecond, 'flow', system.value)
const head = (metres: number) => toShown(metres, 'head', system.value)
const most = computed(() => {
  const pumps = picture.lines.filter(({ role }) => role !== 'system').flatMap(({ points }) => points)
  return {
    flow: Math.max(...pumps.map(({ flowLitresPerSecond }) => flowLitresPerSecond)) * 1.04,
    head:
      Math.max(
        ...pumps.map(({ headMetres }) => headMetres),
        picture.point?.headMetres ?? 0,
        ...picture.marks.map(({ headMetres }) => headMetres),
      ) * 1.12,
  }
})
/** The axes stand still while a point is pulled, or it would run away from the finger. */
const still = shallowRef<{ flow: number; head: number }>()
const domain = computed(() => still.value ?? most.value)
const s = computed(() => ({
  x: scaleLinear([0, flow(domain.value.flow)], [54, width.value - 16]),
  y: scaleLinear([0, head(domain.value.head)], [HEIGHT - 46, 30]),
}))
function path(points: readonly { flowLitresPerSecond: number; headMetres: number }[]): string {
  const { x, y } = s.value
  return (
    line<(typeof points)[number]>(
      (point) => x(flow(point.flowLitresPerSecond)),
      (point) => y(head(point.headMetres)),
    ).curve(curveMonotoneX)(points) ?? ''
  )
}
const STYLES = {
  pump: { stroke: 'var(--ink)', 'stroke-width': 3 },
  system: { stroke: 'var(--river)', 'stroke-width': 2.5 },
  beside: { stroke: 'var(--slate)', 'stroke-width': 1.8, 'stroke-dasharray': '7 5' },
} as const
function pulled(handle: PulledHandle, to: { x: number; y: number }): void {
  const { x, y } = s.value
  const value = Number(values[handle.field])
  const [flowTo, headTo] = [x.invert(to.x) / flow(1), y.invert(to.y) / head(1)]
  const ratio = Math.max(
    0.02,
    handle.axis === 'up' ? headTo / handle.at.headMetres : flowTo / handle.at.flowLitresPerSecond,
  )
  const wanted =
    handle.pull === 'shift'
      ? value + headTo - handle.at.headMetres
      : value * (handle.pull === 'root' ? Math.sqrt(ratio) : ratio)
  emit('set', handle.field, pulledTo(handle, wanted))
}
const words = (handle: PulledHandle) =>
  handle.pull === 'shift'
    ? renderAmount(q(Number(values[handle.field]), 'head'), reader.value)
    : `${Math.round(100 * Number(values[handle.field]))} %`
const pointWords = computed(() =>
  picture.point
    ? [q(picture.point.flowLitresPerSecond, 'flow'), q(picture.point.headMetres, 'head')]
        .map((amount) => renderAmount(amount, reader.value))
        .join(', ')
    : 'they do not meet',
)
</script>

<template>
  <PictureFrame v-model:width="width" :height="HEIGHT" :label="`head over flow: ${pointWords}`">
    <template #default>
      <clipPath id="plot"><rect x="54" y="22" :width="Math.max(0, width - 70)" :height="HEIGHT - 68" /></clipPath>
      <ChartAxes
        :x="s.x"
        :y="s.y"
        :x-label="`flow, ${unitOf('flow', system)}`"
        :y-label="`head, ${unitOf('head', system)}`"
      />
      <g clip-path="url(#plot)" fill="none"
        ><path v-for="each in picture.lines" :key="each.label" :d="path(each.points)" v-bind="STYLES[each.role]"
      /></g>
      <g v-for="mark in picture.marks" :key="mark.label"
        ><circle
          :cx="s.x(flow(mark.flowLitresPerSecond))"
          :cy="s.y(head(mark.headMetres))"
          r="5"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="2"
        /><text
          :x="s.x(flow(mark.flowLitresPerSecond)) - 10"
          :y="s.y(head(mark.headMetres)) + 20"
          text-anchor="end"
          font-size="14"
          class="halo"
          >{{ mark.label }}</text
        ></g
      >
      <g v-if="picture.point" data-testid="operating-point"
        ><path
          :d="
            `M${s.x(flow(picture.point.flowLitresPerSecond))} ${s.y(0)}` +
            `V${s.y(head(picture.point.headMetres))}H${s.x(0)}`
          "
          fill="none"
          stroke="var(--ink)"
          stroke-dasharray="2 4"
        /><circle
          :cx="s.x(flow(picture.point.flowLitresPerSecond))"
          :cy="s.y(head(picture.point.headMetres))"
          r="7"
          fill="var(--ink)"
        /><text
          :x="Math.min(width - 20, s.x(flow(picture.point.flowLitresPerSecond)) + 14)"
          :y="Math.max(26, s.y(head(picture.point.headMetres)) - 14)"
          :text-anchor="s.x(flow(picture.point.flowLitresPerSecond)) > width - 200 ? 'end' : 'start'"
          font-weight="700"
          class="number halo"
          >{{ pointWords }}</text
        ></g
      >
      <text v-else :x="width / 2" :y="60" text-anchor="middle" font-weight="700" class="halo"
        >They do not meet: the pump cannot lift so high.</text
      >
      <PullHandle
        v-for="handle in picture.handles"
        :key="handle.label"
        :x="s.x(flow(handle.at.flowLitresPerSecond))"
        :y="Math.max(24, s.y(head(handle.at.headMetres)))"
        :handle="handle"
        :value="Number(values[handle.field])"
        :text="words(handle)"
        @pull="pulled(handle, $event)"
        @set="emit('set', handle.field, $event)"
        @hold="still = $event ? most : undefined"
      />
      <text
        v-for="handle in picture.handles"
        :key="`${handle.label} words`"
        :x="s.x(flow(handle.at.flowLitresPerSecond)) + 20"
        :y="Math.max(24, s.y(head(handle.at.headMetres))) + (handle.axis === 'up' ? -12 : 30)"
        font-size="14"
        fill="var(--river)"
        class="halo"
        pointer-events="none"
        >{{ handle.label }} {{ words(handle) }}</text
      >
    </template>
    <template #below>
      <figcaption class="flex flex-wrap gap-x-6 gap-y-1 pl-[54px] text-[0.92rem]">
        <span v-for="each in picture.lines" :key="each.label" class="inline-flex items-center gap-2"
          ><svg width="30" height="6" aria-hidden="true"><path d="M0 3h30" v-bind="STYLES[each.role]" /></svg
          >{{ each.label }}</span
        >
      </figcaption>
    </template>
  </PictureFrame>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 5px;
  stroke-linejoin: round;
}
</style>
