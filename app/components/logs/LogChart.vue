<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { readingUnit, shownReading } from '#core/quantity/reading'
import type { LogRead } from '~/workers/log.worker'

/** A logger's values over the hours: starts as ticks, the quietest stretch as a band, what was not written hatched. */
const { log } = defineProps<{ log: Exclude<LogRead, { is: 'problem' }> }>()
const { system } = useUnits()
const HEIGHT = 260
const [LEFT, RIGHT, TOP] = [52, 14, 26]
const BOTTOM = HEIGHT - 44
const width = ref(720)
const unit = computed(() => (log.is === 'pressure' ? 'psi' : 'A'))
const shown = (value: number) => shownReading(value, unit.value, system.value).value
const last = computed(() => log.points.at(-1)?.x ?? 1)
const x = computed(() => scaleLinear([0, last.value], [LEFT, Math.max(LEFT + 1, width.value - RIGHT)]))
const y = computed(() =>
  scaleLinear([0, Math.max(1e-6, ...log.points.map((point) => shown(point.y))) * 1.08], [BOTTOM, TOP]),
)
const path = computed(
  () =>
    line<(typeof log.points)[number]>(
      (point) => x.value(point.x),
      (point) => y.value(shown(point.y)),
    )(log.points) ?? '',
)
const starts = computed(() =>
  log.is === 'pressure'
    ? log.found.cycles.map(({ startSeconds }) => startSeconds)
    : log.found.runs.map(({ fromSeconds }) => fromSeconds),
)
const quiet = computed(() => (log.is === 'pressure' ? log.found.quiet : undefined))
const precharge = computed(() => (log.is === 'pressure' ? log.found.prechargePsi : undefined))

/** Steps of a clock, seconds. */
const STEPS = [1, 5, 10, 30, 60, 300, 600, 1_800, 3_600, 7_200, 14_400, 21_600, 43_200, 86_400]
const ticks = computed(() => {
  const most = Math.max(2, Math.floor((width.value - LEFT) / 90))
  const step = STEPS.find((each) => last.value / each <= most) ?? 86_400
  const from = (log.startedAt ?? 0) / 1_000
  const first = Math.ceil(from / step) * step - from
  return Array.from({ length: Math.max(0, Math.floor((last.value - first) / step) + 1) }, (_, at) => first + at * step)
})
function tickText(at: number): string {
  const seconds = Math.round((log.startedAt ?? 0) / 1_000 + at)
  const two = (value: number) => String(value).padStart(2, '0')
  const [hours, minutes] = [Math.floor(seconds / 3_600), Math.floor(seconds / 60) % 60]
  if (log.startedAt !== undefined) return `${two(hours % 24)}:${two(minutes)}`
  return hours > 0 ? `${hours}:${two(minutes)} h` : `${minutes}:${two(seconds % 60)}`
}
const label = computed(() => `${log.is} over time, ${counted(starts.value.length, 'start')}`)
</script>

<template>
  <PictureFrame v-model:width="width" :height="HEIGHT" :label="label">
    <defs>
      <pattern id="not-written" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
        ><path d="M0 0v8" stroke="var(--slate)" stroke-width="2"
      /></pattern>
    </defs>
    <rect
      v-if="quiet"
      :x="x(quiet.fromSeconds)"
      :y="TOP"
      :width="Math.max(2, x(quiet.untilSeconds) - x(quiet.fromSeconds))"
      :height="BOTTOM - TOP"
      fill="var(--river)"
      opacity="0.18"
      data-testid="quiet-stretch"
    />
    <rect
      v-for="gap in log.found.gaps"
      :key="gap.fromSeconds"
      :x="x(gap.fromSeconds)"
      :y="TOP"
      :width="Math.max(2, x(gap.untilSeconds) - x(gap.fromSeconds))"
      :height="BOTTOM - TOP"
      fill="url(#not-written)"
    />
    <ChartAxes :x="x" :y="y" x-label="" :y-label="readingUnit(unit, system)" named />
    <g v-for="tick in ticks" :key="tick" aria-hidden="true"
      ><path :d="`M${x(tick)} ${BOTTOM}v5`" stroke="var(--ink)" /><text
        :x="x(tick)"
        :y="BOTTOM + 30"
        text-anchor="middle"
        font-size="13"
        class="number"
        >{{ tickText(tick) }}</text
      ></g
    >
    <path v-for="at in starts" :key="at" :d="`M${x(at)} ${BOTTOM + 2}v10`" stroke="var(--river)" stroke-width="2" />
    <path
      v-if="precharge !== undefined"
      :d="`M${LEFT} ${y(shown(precharge))}H${width - RIGHT}`"
      stroke="var(--river)"
      stroke-dasharray="6 5"
    />
    <path :d="path" fill="none" stroke="var(--ink)" stroke-width="1.2" stroke-linejoin="round" />
    <template #below>
      <figcaption class="flex flex-wrap gap-x-5 gap-y-1 pl-[52px] text-[0.88rem] text-slate">
        <span class="inline-flex items-center gap-2"
          ><svg width="10" height="12" aria-hidden="true">
            <path d="M5 1v10" stroke="var(--river)" stroke-width="2" /></svg
          >a start</span
        >
        <span v-if="quiet" class="inline-flex items-center gap-2"
          ><svg width="18" height="12" aria-hidden="true">
            <rect width="18" height="12" fill="var(--river)" opacity="0.3" /></svg
          >the quietest stretch</span
        >
        <span v-if="precharge !== undefined" class="inline-flex items-center gap-2"
          ><svg width="24" height="6" aria-hidden="true">
            <path d="M0 3h24" stroke="var(--river)" stroke-dasharray="6 5" /></svg
          >the tank is empty below</span
        >
        <span v-if="log.found.gaps.length > 0" class="inline-flex items-center gap-2"
          ><svg width="18" height="12" aria-hidden="true"><rect width="18" height="12" fill="url(#not-written)" /></svg
          >nothing written</span
        >
      </figcaption>
    </template>
  </PictureFrame>
</template>
