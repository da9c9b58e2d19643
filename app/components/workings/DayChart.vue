<script setup lang="ts">
import { format, startOfDay } from 'date-fns'
import { formatNumber } from '#core/quantity/format'
import { toShown, unitOf } from '#core/quantity/measures'

/** The level in the pit through a day with a storm. */
const { storm, floorMetres } = defineProps<{
  storm: readonly { seconds: number; metres: number }[]
  floorMetres: number
}>()
const { system } = useUnits()
const { Chart, css, scheme, look } = useChartLook()
const midnight = startOfDay(new Date(2026, 0, 5)).getTime()
const level = (metres: number) => Number(toShown(metres, 'level', system.value).toPrecision(4))
const series = computed(() => [
  { name: 'level', data: storm.map(({ seconds, metres }) => ({ x: midnight + seconds * 1000, y: level(metres) })) },
])
const options = computed(() => ({
  ...look.value,
  colors: [css('--river')],
  stroke: { width: 1.6 },
  xaxis: { type: 'datetime' as const, labels: { datetimeUTC: false, format: 'HH:mm' }, tooltip: { enabled: false } },
  yaxis: {
    min: 0,
    max: level(floorMetres) * 1.05,
    forceNiceScale: true,
    tickAmount: 4,
    labels: { formatter: (value: number) => formatNumber(value, 2) },
  },
  annotations: {
    yaxis: [
      {
        y: level(floorMetres),
        borderColor: css('--rust'),
        strokeDashArray: 4,
        label: { text: 'floor', style: { background: css('--sheet'), color: css('--rust') } },
      },
    ],
  },
  tooltip: { x: { formatter: (value: number) => format(value, 'H:mm') } },
}))
</script>

<template>
  <figure class="m-0" data-testid="day-chart">
    <figcaption class="font-bold">A day with a storm: the level in the pit, {{ unitOf('level', system) }}</figcaption>
    <component :is="Chart" :key="`${scheme} ${system}`" type="line" height="210" :options="options" :series="series" />
  </figure>
</template>
