<script setup lang="ts">
import { checkInfo } from '#core/knowledge/checks'
import { formatNumber } from '#core/quantity/format'
import { UNIT_LABELS } from '#core/quantity/units'
import type { JudgedFinding } from '#core/visit/fold'
import type { HistoryReading } from '#core/visit/history'

/** A machine's readings of one check over the years, with the limit. */
const { check, before, now } = defineProps<{ check: string; before: readonly HistoryReading[]; now: readonly JudgedFinding[] }>()
const { scheme } = useScheme()
const Chart = defineAsyncComponent(() => import('vue3-apexcharts'))
const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const info = computed(() => checkInfo(check))
const unit = computed(() => (info.value?.unit ? UNIT_LABELS[info.value.unit] : ''))
const points = computed(() => [
  ...before.filter((reading) => reading.check === check && reading.value !== null).map(({ at, value }) => ({ x: Date.parse(at), y: value as number })),
  ...now.filter(({ finding }) => finding.check === check && typeof finding.value === 'number').map(({ at, finding }) => ({ x: Date.parse(at), y: finding.value as number })),
].sort((a, b) => a.x - b.x))
const limit = computed(() => now.find(({ finding }) => finding.check === check)?.judgement.low)
const spread = computed(() => Math.max(...points.value.map(({ y }) => y)) / Math.max(1e-6, Math.min(...points.value.map(({ y }) => y))))
const options = computed(() => ({
  chart: { toolbar: { show: false }, zoom: { enabled: false }, animations: { enabled: false }, background: 'transparent', foreColor: css('--ink'), fontFamily: 'Atkinson Hyperlegible Next, Noto Sans, sans-serif' },
  theme: { mode: scheme.value === 'cellar' ? 'dark' as const : 'light' as const }, colors: [css('--river')], stroke: { width: 2 }, markers: { size: 5 }, grid: { borderColor: css('--rule') },
  xaxis: { type: 'datetime' as const, labels: { datetimeUTC: false } }, yaxis: { logarithmic: spread.value > 20, labels: { formatter: (value: number) => formatNumber(value) } },
  annotations: limit.value === undefined ? {} : { yaxis: [{ y: limit.value, borderColor: css('--rust'), strokeDashArray: 4, label: { text: `limit ${formatNumber(limit.value)} ${unit.value}`, style: { background: css('--sheet'), color: css('--rust') } } }] },
  tooltip: { y: { formatter: (value: number) => `${formatNumber(value)} ${unit.value}` } },
}))
</script>

<template>
  <figure class="m-0" data-testid="history-chart"><figcaption class="text-[0.95rem] font-bold">{{ info?.label }} over the years, {{ unit }}</figcaption><component :is="Chart" :key="scheme" type="line" height="210" :options="options" :series="[{ name: info?.label, data: points }]" /></figure>
</template>
