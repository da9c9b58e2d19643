<script setup lang="ts">
import type { Option } from '#core/decision/options'

const { options } = defineProps<{ options: readonly Option[] }>()
const money = useMoney()
const { Chart, css, scheme, look } = useChartLook()
const series = computed(() => [
  { name: 'price', data: options.map(({ price }) => Math.round(price)) },
  {
    name: 'if it is not the whole cure',
    data: options.map(({ price, expectedCost }) => Math.max(0, Math.round(expectedCost - price))),
  },
])
const chart = computed(() => ({
  ...look.value,
  chart: { ...look.value.chart, stacked: true, parentHeightOffset: 0 },
  colors: [css('--river'), css('--rule')],
  plotOptions: { bar: { horizontal: true, barHeight: '62%' } },
  stroke: { width: 1, colors: [css('--ink')] },
  xaxis: {
    categories: options.map(({ label }) => label),
    // More of them run into each other on a phone.
    tickAmount: 3,
    labels: { formatter: (value: string) => money(Number(value)) },
  },
  yaxis: { labels: { maxWidth: 260, style: { fontSize: '14px' } } },
  legend: { position: 'top' as const, horizontalAlign: 'left' as const },
  tooltip: { y: { formatter: money } },
}))
</script>

<template>
  <figure
    class="m-0"
    aria-label="expected cost of each option, price and the cost of being wrong"
    data-testid="decision-chart"
  >
    <component
      :is="Chart"
      :key="scheme"
      type="bar"
      :height="90 + options.length * 44"
      :options="chart"
      :series="series"
    />
  </figure>
</template>
