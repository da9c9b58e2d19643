<script setup lang="ts">
import { sizeOf, type PieceShape } from '~/utils/piece-shape'

/** A piece of the machine, drawn about the origin of its axis in its own size. */
const { shape } = defineProps<{ shape: PieceShape }>()
const size = computed(() => sizeOf(shape))
const w = computed(() => size.value[0] / 2)
const h = computed(() => size.value[1] / 2)
const rows = (count: number) => Array.from({ length: count }, (_, index) => index)
</script>

<template>
  <g class="glyph" fill="var(--sheet)" stroke="currentColor" stroke-width="2" stroke-linejoin="round">
    <path v-if="shape === 'case'" :d="`M${w} ${-h}H0C${-w} ${-h} ${-w} ${-h * 0.5} ${-w} 0S${-w} ${h} 0 ${h}H${w}Z`" />
    <ellipse v-else-if="shape === 'ring'" :rx="w" :ry="h" fill="none" stroke-width="4" />
    <path v-else-if="shape === 'cone'" :d="`M${-w} -14 ${w} ${-h}V${h}L${-w} 14Z`" />
    <g v-else-if="shape === 'screw'"
      ><path :d="`M${-w} -9h12V9h-12Z`" /><path :d="`M${-w + 12} -5H${w}V5H${-w + 12}`" /><path
        :d="
          rows(4)
            .map((row) => `M${-w + 20 + row * 6} -5l-3 10`)
            .join('')
        "
    /></g>
    <g v-else-if="shape === 'bolts'"
      ><template v-for="side in [-1, 1]" :key="side"
        ><path :d="`M${-w} ${side * (h - 8) - 7}h9v14h-9Z`" /><path
          :d="
            `M${-w + 9} ${side * (h - 8) - 4}H${w}v8H${-w + 9}` +
            `M${w - 4} ${side * (h - 8) - 4}v8M${w - 9} ${side * (h - 8) - 4}v8`
          " /></template
    ></g>
    <g v-else-if="shape === 'impeller'"
      ><path
        :d="
          `M${w} ${-h}H${w * 0.5}C${w * 0.3} ${-h * 0.5} ${-w * 0.5} -18 ${-w} -16` +
          `V16C${-w * 0.5} 18 ${w * 0.3} ${h * 0.5} ${w * 0.5} ${h}H${w}Z`
        " /><path
        :d="
          `M${w * 0.7} ${-h + 3}C${w * 0.5} ${-h * 0.4} 0 -14 ${-w * 0.7} -12` +
          `M${w * 0.7} ${h - 3}C${w * 0.5} ${h * 0.4} 0 14 ${-w * 0.7} 12`
        "
        fill="none"
    /></g>
    <g v-else-if="shape === 'plate'"
      ><rect :x="-w" :y="-h" :width="w * 2" :height="h * 2" /><path
        :d="
          rows(9)
            .map((row) => `M${-w} ${-h + 14 * (row + 1)}L${w} ${-h + 14 * row}`)
            .join('')
        "
        stroke-width="1" /><rect :x="-w" y="-9" :width="w * 2" height="18"
    /></g>
    <g v-else-if="shape === 'band'"
      ><ellipse :rx="w" :ry="h - 8" fill="none" stroke-width="5" /><path :d="`M-6 ${-h - 4}h12v13h-12Z`"
    /></g>
    <path v-else-if="shape === 'cap'" :d="`M${w} ${-h}C${-w} ${-h} ${-w} ${h} ${w} ${h}Z`" />
    <g v-else-if="shape === 'wires'"
      ><rect x="0" :y="-h" :width="w" :height="h * 2" /><path
        :d="
          rows(3)
            .map((row) => `M0 ${-14 + row * 14}C-8 ${-14 + row * 14} -10 ${-18 + row * 16} ${-w} ${-20 + row * 18}`)
            .join('')
        "
        fill="none" /><circle v-for="row in rows(3)" :key="row" :cx="w / 2" :cy="-14 + row * 14" r="3"
    /></g>
    <g v-else-if="shape === 'union'"
      ><rect :x="-w" y="-13" :width="w * 2" height="26" /><path :d="`M-7 ${-h}H7V${h}H-7ZM0 ${-h}V${h}`"
    /></g>
    <path
      v-else-if="shape === 'plug'"
      :d="`M${-w} ${-h}h9V${h}h-9ZM${-w + 9} ${-h * 0.55}H${w}V${h * 0.55}H${-w + 9}`"
    />
    <path v-else-if="shape === 'clip'" :d="`M4 ${-h}A${h} ${h} 0 1 0 4 ${h}`" fill="none" stroke-width="4" />
    <g v-else-if="shape === 'stack'"
      ><rect
        v-for="row in rows(4)"
        :key="row"
        :x="-w + row * 14"
        :y="-h + (row % 2) * 4"
        width="12"
        :height="h * 2 - (row % 2) * 8"
        rx="2"
    /></g>
    <g v-else-if="shape === 'shims'"
      ><path
        :d="
          rows(4)
            .map((row) => `M${-w + row * 5} ${-h}v${h * 2}`)
            .join('')
        "
        stroke-width="3"
    /></g>
    <g v-else-if="shape === 'seal'"
      ><path :d="`M2 ${-h}H${w}V${h}H2Z`" /><path :d="`M${-w} ${-h * 0.7}H-3V${h * 0.7}H${-w}Z`" /><path
        :d="`M${-w + 3} ${-h * 0.7}l8 ${h * 1.4}`"
        stroke-width="1.500"
    /></g>
    <g v-else-if="shape === 'bearing'"
      ><rect :x="-w" :y="-h" :width="w * 2" :height="h * 2" /><circle :cy="-h + 9" r="6" /><circle :cy="h - 9" r="6"
    /></g>
    <path v-else-if="shape === 'spring'" :d="`M${-w} 0l4 -9 6 18 6 -18 6 18 6 -18 ${w * 2 - 28 - 4} 9`" fill="none" />
    <g v-else-if="shape === 'can'"
      ><rect :x="-w" :y="-h + 8" :width="w * 2" :height="h * 2 - 8" rx="4" /><path
        :d="`M-5 ${-h + 8}v-8M5 ${-h + 8}v-8`"
    /></g>
    <g v-else-if="shape === 'motor'"
      ><rect :x="-w + 12" :y="-h + 8" :width="w * 2 - 12" :height="h * 2 - 16" rx="8" /><path
        :d="`M${-w} -5h12v10h-12ZM${-w + 30} ${h - 8}v8h34v-8M${-w + 26} ${-h + 8}v-8h40v8`"
    /></g>
    <path v-else-if="shape === 'pipe'" :d="`M${-w} -12H${w}V12H${-w}ZM${-w + 8} -12V12M${w - 8} -12V12`" />
    <g v-else-if="shape === 'box'"
      ><rect :x="-w" :y="-h" :width="w * 2" :height="h * 2" rx="3" /><path
        :d="`M${-w + 8} -12h${w * 2 - 16}M${-w + 8} 6h${w * 2 - 16}`"
    /></g>
    <g v-else><path :d="`M${-w} -10H${w}V10H${-w}Z`" /><circle r="16" /><path d="M-8 8 8 -8" /></g>
  </g>
</template>
