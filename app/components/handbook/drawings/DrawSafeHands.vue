<script setup lang="ts">
/** Two lines behind a breaker, a capacitor across them, and what each reads to ground. */
const { told, verdict } = defineProps<DrawingProps>()
const isLive = (figure: string) => verdict(figure) === 'failed'
</script>

<template>
  <g>
    <rect x="14" y="50" width="56" height="100" fill="var(--metal)" stroke="var(--ink)" stroke-width="2.500" />
    <text x="42" y="42" text-anchor="middle" font-size="13">breaker</text>
    <path d="M28 120l22 -14M28 84l22 -14" stroke="var(--ink)" stroke-width="4" />
    <path d="M70 78h190" :stroke="isLive('one') ? 'var(--rust)' : 'var(--ink)'" stroke-width="4" />
    <path d="M70 122h190" :stroke="isLive('two') ? 'var(--rust)' : 'var(--ink)'" stroke-width="4" />
    <text x="80" y="70" font-size="13">line 1</text>
    <text x="80" y="140" font-size="13">line 2</text>
    <circle cx="290" cy="100" r="34" fill="var(--sheet)" stroke="var(--ink)" stroke-width="3" />
    <text x="290" y="105" text-anchor="middle" font-size="13">motor</text>
    <path d="M214 78v14M214 122v-14M200 92h28M200 108h28" stroke="var(--ink)" stroke-width="3.500" />
    <text
      x="194"
      y="105"
      text-anchor="end"
      font-size="13"
      class="number"
      font-weight="700"
      :fill="inkOf(verdict('can'))"
      >{{ told('can') }}</text
    >
    <DrawMeter :x="112" :y="22" label="1 to ground" :shows="told('one')" :ink="inkOf(verdict('one'))" :width="80" />
    <DrawMeter :x="112" :y="160" label="2 to ground" :shows="told('two')" :ink="inkOf(verdict('two'))" :width="80" />
    <DrawMeter
      :x="14"
      :y="180"
      label="line to line"
      :shows="told('across')"
      :ink="inkOf(verdict('across'))"
      :width="80"
    />
    <g transform="translate(346 70)">
      <path
        d="M10 66v-40a6 6 0 0 1 12 0v-8a6 6 0 0 1 12 0v8a6 6 0 0 1 12 0v44c0 12-8 20-18 20h-6c-8 0-12-6-16-14l-8-16"
        fill="var(--sheet)"
        :stroke="isLive('hand') ? 'var(--rust)' : 'var(--moss)'"
        stroke-width="3"
      />
      <text x="28" y="118" text-anchor="middle" class="number" font-weight="700" :fill="inkOf(verdict('hand'))">{{
        told('hand')
      }}</text>
    </g>
  </g>
</template>
