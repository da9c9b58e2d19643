<script setup lang="ts">
/** A bearing behind a seal that lets water by. */
const { values, told, verdict } = defineProps<DrawingProps>()
const drops = computed(() => Math.round(Math.log10((values.water ?? 100) / 100) * 4))
const BALLS = [0, 1, 2, 3, 4, 5, 6, 7] as const
const at = (ball: number, radius: number) => ({
  x: 300 + radius * Math.cos((ball * Math.PI) / 4),
  y: 112 + radius * Math.sin((ball * Math.PI) / 4),
})
</script>

<template>
  <g>
    <path d="M20 112h380" stroke="var(--metal)" stroke-width="34" />
    <path d="M20 95h380M20 129h380" stroke="var(--ink)" stroke-width="2" />
    <rect x="36" y="40" width="70" height="144" fill="var(--water)" stroke="var(--river)" stroke-width="2" />
    <path d="M20 95h180M20 129h180" stroke="var(--ink)" stroke-width="2" />
    <rect x="112" y="66" width="22" height="30" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.500" />
    <rect x="112" y="128" width="22" height="30" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2.500" />
    <text x="123" y="54" text-anchor="middle" font-size="13">seal</text>
    <text x="70" y="30" text-anchor="middle" font-size="13" fill="var(--river)">water</text>
    <path
      v-for="drop in drops"
      :key="drop"
      :d="`M${142 + drop * 9} 138c-3 5 -3 9 0 9s3 -4 0 -9Z`"
      fill="var(--river)"
    />
    <circle cx="300" cy="112" r="76" fill="var(--sheet)" stroke="var(--ink)" stroke-width="3" />
    <circle cx="300" cy="112" r="60" fill="none" stroke="var(--ink)" stroke-width="2" />
    <circle cx="300" cy="112" r="32" fill="var(--metal)" stroke="var(--ink)" stroke-width="3" />
    <circle
      v-for="ball in BALLS"
      :key="ball"
      :cx="at(ball, 46).x"
      :cy="at(ball, 46).y"
      r="13"
      :fill="verdict('wet') === 'failed' ? 'var(--rust)' : 'var(--metal)'"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <text x="300" y="212" text-anchor="middle"
      >lives <tspan class="number" font-weight="700" :fill="inkOf(verdict('wet'))">{{ told('wet') }}</tspan> of
      {{ told('dry') }}</text
    >
  </g>
</template>
