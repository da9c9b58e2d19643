<script setup lang="ts">
import type { Option } from '#core/decision/options'

const { options } = defineProps<{ options: readonly Option[] }>()
const money = useMoney()
const { scheme } = useScheme()
const Chart = defineAsyncComponent(() => import('vue3-apexcharts'))
const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const series = computed(() => [
  { name: 'price', data: options.map(({ price }) => Math.round(price)) },
  { name: 'if it is not the whole cure', data: options.map(({ price, expectedCost }) => Math.max(0, Math.round(expectedCost - price))) },
])
const chart = computed(() => {
  const colours = { ink: css('--ink'), slate: css('--slate'), rule: css('--rule'), river: css('--river') }
  return {
    chart: { stacked: true, toolbar: { show: false }, animations: { enabled: false }, background: 'transparent', fontFamily: 'Atkinson Hyperlegible Next, Noto Sans, sans-serif', foreColor: colours.ink, parentHeightOffset: 0 },
    theme: { mode: scheme.value === 'cellar' ? 'dark' as const : 'light' as const },
    colors: [colours.river, colours.rule], plotOptions: { bar: { horizontal: true, barHeight: '62%' } }, dataLabels: { enabled: false }, stroke: { width: 1, colors: [colours.ink] },
    xaxis: { categories: options.map(({ label }) => label), labels: { formatter: (value: string) => money(Number(value)) } },
    yaxis: { labels: { maxWidth: 260, style: { fontSize: '14px' } } }, grid: { borderColor: colours.rule }, legend: { position: 'top' as const, horizontalAlign: 'left' as const }, tooltip: { y: { formatter: money } },
  }
})
</script>

<template>
  <figure class="m-0" aria-label="expected cost of each option, price and the cost of being wrong" data-testid="decision-chart">
    <component :is="Chart" :key="scheme" type="bar" :height="90 + options.length * 44" :options="chart" :series="series" />
  </figure>
</template>
