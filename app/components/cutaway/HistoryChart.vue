<script setup lang="ts">
import { fitTrend, TREND_BASIS } from '#core/electrical/trend'
import { usualSetup } from '#core/diagnosis/judge-finding'
import { checkInfo } from '#core/knowledge/checks/checks'
import { MILLISECONDS_PER_YEAR } from '#core/quantity/conversions'
import { formatNumber } from '#core/quantity/format'
import { readingUnit, shownReading } from '#core/quantity/reading'
import type { JudgedFinding } from '#core/visit/fold'
import type { HistoryReading } from '#core/visit/history'

/** A machine's readings of one check over the years, with the limit. */
const { check, before, now } = defineProps<{
  check: string
  before: readonly HistoryReading[]
  now: readonly JudgedFinding[]
}>()
const { Chart, css, scheme, look } = useChartLook()
const { state } = useVisitContext()
const info = computed(() => checkInfo(check))
const { system } = useUnits()
const unit = computed(() => (info.value?.unit ? readingUnit(info.value.unit, system.value) : ''))
/** A figure of this check as its reader sees it. */
const shown = (value: number) => (info.value?.unit ? shownReading(value, info.value.unit, system.value).value : value)
/** Insulation is compared with itself in one setup, brought to one temperature. */
const setupOf = (setup: string | undefined) =>
  check === 'insulation-resistance' ? (setup ?? usualSetup(state.value.pump)) : undefined
const setup = computed(() =>
  setupOf(
    now.findLast(({ finding }) => finding.check === check)?.finding.setup ??
      before.findLast((reading) => reading.check === check)?.setup,
  ),
)
const points = computed(() =>
  [
    ...before
      .filter((reading) => reading.check === check && reading.value !== null && setupOf(reading.setup) === setup.value)
      .map(({ at, value, corrected }) => ({ x: Date.parse(at), y: shown(corrected ?? (value as number)) })),
    ...now
      .filter(
        ({ finding }) =>
          finding.check === check && typeof finding.value === 'number' && setupOf(finding.setup) === setup.value,
      )
      .map(({ at, finding, judgement }) => ({
        x: Date.parse(at),
        y: shown(judgement.corrected?.value ?? (finding.value as number)),
      })),
  ].sort((a, b) => a.x - b.x),
)
const limit = computed(() => {
  const low =
    now.findLast(({ finding }) => finding.check === check)?.judgement.low ??
    before.findLast((reading) => reading.check === check && reading.low !== undefined)?.low
  return low === undefined ? undefined : shown(low)
})
const TRENDED = new Set(['insulation-resistance', 'capacitance'])
const logarithmic = computed(() => check === 'insulation-resistance')
const today = Date.now()
const trend = computed(() =>
  TRENDED.has(check)
    ? fitTrend(
        points.value.map(({ x, y }) => ({ at: x, value: y })),
        { logarithmic: logarithmic.value, limit: limit.value, now: today },
      )
    : undefined,
)
/** From the first reading to where the line meets its limit, at least a year past the last reading and at most six. */
const along = computed(() => {
  const [first, last] = [points.value[0]?.x ?? 0, points.value.at(-1)?.x ?? 0]
  const until = Math.min(
    last + 6 * MILLISECONDS_PER_YEAR,
    Math.max(trend.value?.crossesAt ?? 0, last + MILLISECONDS_PER_YEAR),
  )
  return Array.from({ length: 25 }, (_, step) => first + (step / 24) * (until - first))
})
const series = computed(() => [
  ...(trend.value?.band
    ? [
        {
          name: 'band',
          type: 'rangeArea',
          data: along.value.map((x) => ({
            x,
            y: Object.values(trend.value?.band?.(x) ?? { low: 0, high: 0 }).map((value) =>
              Number(Math.max(value, 0).toPrecision(4)),
            ),
          })),
        },
      ]
    : []),
  ...(trend.value
    ? [
        {
          name: 'trend',
          type: 'line',
          data: along.value.map((x) => ({ x, y: Number((trend.value?.at(x) ?? 0).toPrecision(4)) })),
        },
      ]
    : []),
  { name: info.value?.label ?? check, type: 'line', data: points.value },
])
const readingAt = computed(() => series.value.length - 1)
const spread = computed(
  () => Math.max(...points.value.map(({ y }) => y)) / Math.max(1e-6, Math.min(...points.value.map(({ y }) => y))),
)
/** A capacitor that loses a microfarad in thirty is not drawn from zero: the fall would not be seen. */
const floor = computed(() => Math.floor(0.94 * Math.min(limit.value ?? Infinity, ...points.value.map(({ y }) => y))))
const options = computed(() => ({
  ...look.value,
  colors: series.value.map((_, index) => css(index === readingAt.value ? '--river' : '--slate')),
  stroke: {
    width: series.value.map(({ name }) => (name === 'band' ? 0 : 2)),
    dashArray: series.value.map((_, index) => (index === readingAt.value ? 0 : 5)),
  },
  fill: { type: 'solid', opacity: series.value.map(({ name }) => (name === 'band' ? 0.18 : 1)) },
  markers: { size: series.value.map((_, index) => (index === readingAt.value ? 5 : 0)) },
  legend: { show: false },
  xaxis: { type: 'datetime' as const, labels: { datetimeUTC: false } },
  yaxis: {
    ...(logarithmic.value || spread.value > 2 ? {} : { min: floor.value, forceNiceScale: true }),
    logarithmic: spread.value > 20 || logarithmic.value,
    labels: { formatter: (value: number) => formatNumber(value) },
  },
  annotations:
    limit.value === undefined
      ? {}
      : {
          yaxis: [
            {
              y: limit.value,
              borderColor: css('--rust'),
              strokeDashArray: 4,
              label: {
                text: `limit ${formatNumber(limit.value)} ${unit.value}`,
                style: { background: css('--sheet'), color: css('--rust') },
              },
            },
          ],
        },
  tooltip: { y: { formatter: (value: number) => `${formatNumber(value)} ${unit.value}` } },
}))
</script>

<template>
  <figure class="m-0" data-testid="history-chart">
    <figcaption class="text-[0.95rem] font-bold">{{ info?.label }} over the years, {{ unit }}</figcaption>
    <component
      :is="Chart"
      :key="`${scheme} ${series.length}`"
      :type="trend?.band ? 'rangeArea' : 'line'"
      height="210"
      :options="options"
      :series="series"
    />
    <p v-if="trend" class="text-[0.9rem]" data-testid="trend">
      By its own readings {{ trend.because }}. <span class="text-slate">{{ TREND_BASIS.name }}</span>
    </p>
  </figure>
</template>
