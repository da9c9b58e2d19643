<script setup lang="ts">
/** Water, basket and wheel, with a gauge before the wheel and bubbles under the lid. */
const { values, told, verdict } = defineProps<DrawingProps>()
const bubbles = computed(() => Math.round((values.air ?? 0) * 160))
const blocked = computed(() => 62 * (values.block ?? 0))
const isEmpty = computed(() => told('pot') === 'empty')
</script>

<template>
  <g>
    <path d="M12 164h110v-44h58" fill="none" stroke="var(--ink)" stroke-width="20" />
    <path d="M12 164h110v-44h58" fill="none" :stroke="isEmpty ? 'var(--metal)' : 'var(--water)'" stroke-width="14" />
    <rect x="4" y="150" width="50" height="60" fill="var(--water)" stroke="var(--river)" stroke-width="2" />
    <path d="M178 68h92v92h-92z" fill="var(--sheet)" stroke="var(--ink)" stroke-width="3" />
    <rect v-if="!isEmpty" x="181" y="84" width="86" height="73" fill="var(--water)" />
    <path d="M190 92h66v54h-66z" fill="none" stroke="var(--slate)" stroke-width="2" stroke-dasharray="3 4" />
    <rect x="192" :y="146 - blocked * 0.85" width="62" :height="blocked * 0.85" fill="var(--ochre)" opacity="0.700" />
    <circle
      v-for="bubble in bubbles"
      :key="bubble"
      :cx="192 + ((bubble * 37) % 64)"
      :cy="90 + ((bubble * 23) % 40)"
      r="4"
      fill="var(--paper)"
      stroke="var(--river)"
      stroke-width="1.500"
    />
    <text x="224" y="58" text-anchor="middle" font-size="13" :fill="inkOf(verdict('pot'))"
      >under the lid: {{ told('pot') }}</text
    >
    <path d="M270 118h34" stroke="var(--ink)" stroke-width="16" />
    <path d="M270 118h34" :stroke="isEmpty ? 'var(--metal)' : 'var(--water)'" stroke-width="10" />
    <circle cx="338" cy="118" r="36" fill="var(--metal)" stroke="var(--ink)" stroke-width="3" />
    <path
      d="M338 118c6-18 20-18 24-10M338 118c18 6 18 20 10 24M338 118c-6 18-20 18-24 10M338 118c-18-6-18-20-10-24"
      fill="none"
      stroke="var(--ink)"
      stroke-width="3"
    />
    <path d="M338 82v-40h62" fill="none" stroke="var(--ink)" stroke-width="14" />
    <text x="412" y="70" text-anchor="end" class="number" font-weight="700" :fill="inkOf(verdict('flow'))">{{
      told('flow')
    }}</text>
    <DrawMeter :x="240" :y="184" label="vacuum" :shows="told('vacuum')" :ink="inkOf(verdict('vacuum'))" />
    <path d="M287 184v-58" stroke="var(--slate)" stroke-width="2" stroke-dasharray="3 4" />
  </g>
</template>
