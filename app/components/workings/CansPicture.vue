<script setup lang="ts">
import type { Picture } from '#core/questions/picture'
import { formatNumber } from '#core/quantity/format'
import { render } from '#core/quantity/sentence'

/** The cans as they would be wired, best way first. */
const { picture } = defineProps<{ picture: Extract<Picture, { kind: 'cans' }> }>()
const { reader } = useUnits()
const width = ref(720)
const ROW = 190
const shown = computed(() => picture.rows.slice(0, width.value < 560 ? 2 : 4))
const height = computed(() => ROW * Math.max(1, Math.ceil(shown.value.length / (width.value < 560 ? 1 : 2))))
const at = (index: number) =>
  width.value < 560 ? { x: 0, y: index * ROW } : { x: (index % 2) * (width.value / 2), y: Math.floor(index / 2) * ROW }
</script>

<template>
  <PictureFrame
    v-model:width="width"
    :height="height"
    :label="
      picture.rows.length > 0 ? picture.rows.map(({ label }) => render(label, reader)).join('; ') : 'nothing fits'
    "
  >
    <text v-if="picture.rows.length === 0" x="20" y="60" font-weight="700">Nothing in the van fits.</text>
    <g v-for="(row, index) in shown" :key="index" :transform="`translate(${at(index).x} ${at(index).y})`">
      <text x="20" y="24" font-weight="700">{{ render(row.label, reader) }}</text>
      <path
        v-if="row.together === 'parallel'"
        :d="`M20 46H${44 + (row.cans.length - 1) * 88}M20 54H${68 + (row.cans.length - 1) * 88}`"
        stroke="var(--ink)"
        stroke-width="2"
        fill="none"
      />
      <path v-if="row.together === 'series'" d="M20 46H44" stroke="var(--ink)" stroke-width="2" />
      <g v-for="(can, place) in row.cans" :key="place" :transform="`translate(${26 + place * 88} 66)`">
        <path d="M18 0V-14M42 0V-12" stroke="var(--ink)" stroke-width="2" /><path
          v-if="row.together !== 'series' || place === 0"
          d="M18 -14V-20"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <path
          v-if="row.together === 'series' && place < row.cans.length - 1"
          d="M42 -12H106V-14"
          fill="none"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <rect y="2" width="60" height="92" rx="8" fill="var(--metal)" stroke="var(--ink)" stroke-width="2.500" /><path
          d="M0 16H60"
          stroke="var(--ink)"
        />
        <text x="30" y="48" text-anchor="middle" font-weight="700" class="number">{{
          formatNumber(can.microfarads)
        }}</text><text x="30" y="64" text-anchor="middle" font-size="13">μF</text
        ><text x="30" y="84" text-anchor="middle" font-size="13" class="number">{{ formatNumber(can.volts) }} V</text>
      </g>
    </g>
  </PictureFrame>
</template>
