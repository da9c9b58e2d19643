<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { upThrustCurve as curve } from '#core/handbook/live/up-thrust'
import { q, renderAmount } from '#core/quantity/sentence'

/** The pump’s curve with the band in which it may run, and where it runs now. */
const { values, told, verdict } = defineProps<DrawingProps>()
const { reader } = useUnits()
const [LEFT, RIGHT, TOP, FOOT] = [44, 404, 26, 188]
const x = scaleLinear([0, curve.runoutLitresPerSecond], [LEFT, RIGHT])
const y = scaleLinear([0, curve.shutoffMetres * 1.05], [FOOT, TOP])
const line = Array.from({ length: 41 }, (_, index) => {
  const flow = (curve.runoutLitresPerSecond * index) / 40
  return `${index === 0 ? 'M' : 'L'}${x(flow)} ${y(Math.max(0, curve.headAt(flow)))}`
}).join('')
const point = computed(() => {
  const flow = curve.flowAt(values.lift ?? 0, values.open ?? 1)
  return { x: x(flow), y: y(Math.max(0, curve.headAt(flow))) }
})
</script>

<template>
  <g>
    <rect :x="x(curve.from)" :y="TOP" :width="x(curve.to) - x(curve.from)" :height="FOOT - TOP" fill="var(--water)" />
    <text :x="(x(curve.from) + x(curve.to)) / 2" :y="FOOT - 8" text-anchor="middle" font-size="12" fill="var(--river)"
      >may run here</text
    >
    <path :d="`M${LEFT} ${TOP}V${FOOT}H${RIGHT}`" fill="none" stroke="var(--ink)" stroke-width="2" />
    <path :d="line" fill="none" stroke="var(--ink)" stroke-width="3" />
    <circle :cx="point.x" :cy="point.y" r="8" :fill="inkOf(verdict('flow'))" stroke="var(--paper)" stroke-width="2" />
    <text
      :x="Math.min(RIGHT - 4, Math.max(LEFT + 60, point.x))"
      :y="Math.max(TOP + 14, point.y - 16)"
      text-anchor="middle"
      class="number"
      font-weight="700"
      >{{ told('flow') }}</text
    >
    <text :x="LEFT - 6" :y="TOP + 4" text-anchor="end" font-size="12">head</text>
    <text :x="RIGHT" :y="FOOT + 18" text-anchor="end" font-size="12">flow</text>
    <text :x="LEFT" :y="FOOT + 18" font-size="13"
      >lift {{ renderAmount(q(values.lift ?? 0, 'head', 2), reader) }}: {{ told('share') }} of its rated flow</text
    >
  </g>
</template>
