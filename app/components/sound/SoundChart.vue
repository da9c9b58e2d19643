<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3-scale'
import { area, line } from 'd3-shape'
import type { DrawnPoint } from '#core/sound/drawn'
import type { NamedLine } from '#core/sound/picture'

/** One picture of a sound: its points over seconds or hertz, and the lines that have a name. */
const {
  points,
  lines = [],
  label,
  unit,
  ruler = 'even',
  height = 190,
} = defineProps<{
  points: readonly DrawnPoint[]
  lines?: readonly NamedLine[]
  label: string
  unit: string
  /** Even steps; equal ratios, as the ear has them; or seconds, drawn to both sides. */
  ruler?: 'even' | 'ratios' | 'seconds'
  height?: number
}>()
const width = ref(720)
const [LEFT, RIGHT, ROW] = [10, 10, 18]
const ROWS = 3
const RATIO_TICKS = [20, 50, 100, 200, 500, 1_000, 2_000, 5_000]

const top = computed(() => (lines.length > 0 ? ROWS * ROW + 8 : 10))
const bottom = computed(() => height - 34)
const domain = computed((): [number, number] => [points[0]?.x ?? 0, points.at(-1)?.x ?? 1])
const x = computed(() => {
  const range = [LEFT, Math.max(LEFT + 1, width.value - RIGHT)]
  return ruler === 'ratios' ? scaleLog(domain.value, range) : scaleLinear(domain.value, range)
})
const y = computed(() => {
  const values = points.map((point) => point.y)
  const [low, high] = ruler === 'ratios' ? [Math.min(...values), 0] : [0, Math.max(1e-6, ...values)]
  return scaleLinear([low, high], [bottom.value, top.value])
})
const ticks = computed(() =>
  ruler === 'ratios'
    ? RATIO_TICKS.filter((tick) => tick >= domain.value[0] && tick <= domain.value[1])
    : x.value.ticks(Math.max(3, Math.round(width.value / 110))),
)
const tickText = (tick: number) => (ruler === 'ratios' && tick >= 1_000 ? `${tick / 1_000}k` : String(tick))
const path = computed(() => {
  const across = (point: DrawnPoint) => x.value(point.x)
  if (ruler !== 'seconds') return line<DrawnPoint>(across, (point) => y.value(point.y))([...points]) ?? ''
  const middle = (top.value + bottom.value) / 2
  const half = (point: DrawnPoint) => (y.value(0) - y.value(point.y)) / 2
  return (
    area<DrawnPoint>(
      across,
      (point) => middle + half(point),
      (point) => middle - half(point),
    )([...points]) ?? ''
  )
})
/** Names stand above their lines, in as many rows as they need not to touch. */
const named = computed(() => {
  const ends = Array.from({ length: ROWS }, () => -Infinity)
  return lines
    .filter(({ hertz }) => hertz >= domain.value[0] && hertz <= domain.value[1])
    .toSorted((a, b) => a.hertz - b.hertz)
    .map((each) => {
      const at = x.value(each.hertz)
      const text = `${each.name} ${each.hertz.toFixed(each.hertz < 100 ? 1 : 0)}`
      const wide = text.length * 7.2
      const from = Math.max(LEFT, Math.min(at - wide / 2, width.value - RIGHT - wide))
      const row = Math.max(
        0,
        ends.findIndex((end) => end < from),
      )
      ends[row] = from + wide + 12
      return { ...each, at, text, from, up: ROW * (row + 1) - 4 }
    })
})
</script>

<template>
  <PictureFrame v-model:width="width" :height="height" :label="label">
    <path :d="`M${LEFT} ${bottom}H${width - RIGHT}`" stroke="var(--ink)" stroke-width="1.500" />
    <g v-for="tick in ticks" :key="tick" aria-hidden="true"
      ><path :d="`M${x(tick)} ${bottom}v5`" stroke="var(--ink)" /><text
        :x="x(tick)"
        :y="bottom + 19"
        text-anchor="middle"
        font-size="13"
        class="number"
        >{{ tickText(tick) }}</text
      ></g
    >
    <text :x="width - RIGHT" :y="height - 2" text-anchor="end" font-size="13" fill="var(--slate)">{{ unit }}</text>
    <g v-for="each in named" :key="each.name" :data-line="each.name" :data-heard="each.heard"
      ><path
        :d="`M${each.at} ${each.up + 3}V${bottom}`"
        :stroke="each.heard ? 'var(--river)' : 'var(--slate)'"
        :stroke-width="each.heard ? 2 : 1.2"
        :stroke-dasharray="each.heard ? undefined : '2 4'"
      /><text
        :x="each.from"
        :y="each.up"
        font-size="13.500"
        :font-weight="each.heard ? 700 : 400"
        :fill="each.heard ? 'var(--river)' : 'var(--slate)'"
        class="number"
        >{{ each.text }}</text
      ></g
    >
    <path
      :d="path"
      :fill="ruler === 'seconds' ? 'var(--ink)' : 'none'"
      stroke="var(--ink)"
      :stroke-width="ruler === 'seconds' ? 0.5 : 1.3"
      stroke-linejoin="round"
    />
  </PictureFrame>
</template>
