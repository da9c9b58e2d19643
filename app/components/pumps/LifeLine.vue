<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { CardRow } from '#core/pumps/card-rows'

/** A part's life on the axis of years: its readings to their limit, or the marks of what was seen and the usual end. */
const { row, x, now, width, height } = defineProps<{
  row: CardRow
  /** Milliseconds to a place on the axis. */
  x: (at: number) => number
  now: number
  width: number
  height: number
}>()
const hatch = useId()
const measured = computed(() => row.points.filter(({ value }) => value !== undefined))
const y = computed(() => {
  const values = measured.value.map(({ value }) => (row.logarithmic ? Math.log(value as number) : (value as number)))
  const bounds = Object.values(row.bounds).map((value) => (row.logarithmic ? Math.log(value) : value))
  const all = [...values, ...bounds]
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const room = (high - low || Math.abs(high) || 1) * 0.14
  const scale = scaleLinear([low - room, high + room], [height - 4, 4])
  return (value: number) => scale(row.logarithmic ? Math.log(value) : value)
})
const path = (points: readonly { at: string; value?: number }[]) =>
  points
    .map(({ at, value }, index) => `${index === 0 ? 'M' : 'L'}${x(Date.parse(at))} ${y.value(value as number)}`)
    .join('')
const own = computed(() => measured.value.filter(({ before }) => !before))
const before = computed(() => measured.value.filter((point) => point.before))
const meets = computed(() => {
  const { crossing } = row
  const last = own.value.at(-1)
  if (crossing.is !== 'ahead' || last?.value === undefined) return undefined
  const end = Math.min(x(crossing.at), width - 6)
  return {
    from: [x(Date.parse(last.at)), y.value(last.value)],
    to: [end, y.value(crossing.limit)],
    beyond: x(crossing.at) > width - 6,
  }
})
const seen = computed(() => row.points.filter(({ value }) => value === undefined))
const usual = computed(() =>
  row.usual
    ? {
        since: x(Date.parse(row.since ?? '')),
        from: x(Date.UTC(row.usual.from, 6, 1)),
        to: x(Date.UTC(row.usual.to, 6, 1)),
      }
    : undefined,
)
/** Two lines from when it was fitted to when its kind usually begins to end. */
const rails = computed(() => {
  if (!usual.value) return ''
  const [from, to] = [Math.max(0, usual.value.since), Math.min(usual.value.from, width)]
  return [-3, 3].map((off) => `M${from} ${height / 2 + off}H${to}`).join('')
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    class="life"
    fill="none"
    stroke="var(--ink)"
    stroke-width="1.6"
    aria-hidden="true"
  >
    <defs>
      <pattern :id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v6" stroke="var(--rule)" stroke-width="1.6" />
      </pattern>
    </defs>
    <template v-if="measured.length > 0">
      <template v-if="row.bounds.low !== undefined">
        <rect x="0" :y="y(row.bounds.low)" :width="width" height="8" :fill="`url(#${hatch})`" stroke="none" />
        <path :d="`M0 ${y(row.bounds.low)}H${width}`" stroke="var(--slate)" />
      </template>
      <template v-if="row.bounds.high !== undefined">
        <rect x="0" :y="y(row.bounds.high) - 8" :width="width" height="8" :fill="`url(#${hatch})`" stroke="none" />
        <path :d="`M0 ${y(row.bounds.high)}H${width}`" stroke="var(--slate)" />
      </template>
      <path v-if="before.length > 1" :d="path(before)" stroke="var(--slate)" stroke-width="1" />
      <circle
        v-for="point in before"
        :key="point.at"
        :cx="x(Date.parse(point.at))"
        :cy="y(point.value as number)"
        r="3"
        stroke="var(--slate)"
      />
      <path v-if="own.length > 1" :d="path(own)" />
      <path v-if="meets" :d="`M${meets.from}L${meets.to}`" stroke-dasharray="3 4" />
      <circle v-if="meets && !meets.beyond" :cx="meets.to[0]" :cy="meets.to[1]" r="4.500" fill="var(--paper)" />
      <circle
        v-for="point in own"
        :key="point.at"
        :cx="x(Date.parse(point.at))"
        :cy="y(point.value as number)"
        r="3.500"
        fill="var(--ink)"
        stroke="none"
      />
    </template>
    <template v-else>
      <template v-if="usual">
        <path :d="rails" />
        <rect
          v-if="usual.from < width"
          :x="usual.from"
          :y="height / 2 - 6"
          :width="Math.max(0, Math.min(usual.to, width) - usual.from)"
          height="12"
          :fill="`url(#${hatch})`"
          stroke="none"
        />
        <rect
          v-if="usual.since > 0"
          :x="usual.since - 4"
          :y="height / 2 - 5"
          width="10"
          height="10"
          fill="var(--ink)"
          stroke="none"
          rx="2"
        />
      </template>
      <path v-else :d="`M0 ${height / 2}H${width}`" stroke="var(--rule)" />
    </template>
    <foreignObject
      v-for="point in seen"
      :key="point.at"
      :x="x(Date.parse(point.at)) - 8"
      :y="height / 2 - 8"
      width="16"
      height="16"
      :opacity="point.before ? 0.45 : 1"
      ><StateMark :verdict="point.verdict" :size="16"
    /></foreignObject>
    <path :d="`M${x(now)} 0V${height}`" stroke="var(--slate)" stroke-width="1" />
  </svg>
</template>

<style scoped>
.life {
  display: block;
  width: 100%;
  height: auto;
  overflow: hidden;
}
</style>
