<script setup lang="ts">
/** Gauge, switch and its two sides. */
const { values, told, verdict } = defineProps<DrawingProps>()
const turn = computed(() => -120 + ((values.gauge ?? 0) / 80) * 240)
const isPlugged = computed(() => values.trouble === 1)
</script>

<template>
  <g>
    <path d="M10 196h300" stroke="var(--river)" stroke-width="16" />
    <path d="M10 196h300" stroke="var(--water)" stroke-width="10" />
    <path d="M70 188v-40M216 188v-46" stroke="var(--ink)" stroke-width="7" />
    <path d="M216 188v-46" :stroke="isPlugged ? 'var(--rust)' : 'var(--water)'" stroke-width="3" />
    <circle cx="70" cy="110" r="42" fill="var(--sheet)" stroke="var(--ink)" stroke-width="3" />
    <path d="M0 0v-30" :transform="`translate(70 110) rotate(${turn})`" stroke="var(--ink)" stroke-width="3.500" />
    <circle cx="70" cy="110" r="4" fill="var(--ink)" />
    <text x="70" y="140" text-anchor="middle" class="number" font-size="13">{{ told('gauge') }}</text>
    <rect x="150" y="52" width="132" height="90" rx="6" fill="var(--metal)" stroke="var(--ink)" stroke-width="3" />
    <path d="M168 96h28M236 96h28" stroke="var(--ink)" stroke-width="4" />
    <path
      :d="told('contacts') === 'closed' ? 'M196 96h40' : 'M196 96l36 -22'"
      :stroke="values.trouble === 2 ? 'var(--rust)' : 'var(--ink)'"
      stroke-width="4"
    />
    <text x="216" y="126" text-anchor="middle" font-size="12">feels {{ told('feels') }}</text>
    <text v-if="isPlugged" x="228" y="172" font-size="12" fill="var(--rust)">plugged</text>
    <path d="M168 52v-14M264 52v-14" stroke="var(--ink)" stroke-width="3" />
    <text x="150" y="30" text-anchor="end" font-size="12" fill="var(--slate)">line side</text>
    <text x="162" y="30" class="number" font-weight="700">{{ told('line') }}</text>
    <text x="256" y="30" class="number" font-weight="700" :fill="inkOf(verdict('load'))">{{ told('load') }}</text>
    <text x="310" y="30" font-size="12" fill="var(--slate)">load side</text>
    <path d="M282 96h58" stroke="var(--ink)" stroke-width="3" />
    <circle cx="368" cy="96" r="28" fill="var(--sheet)" stroke="var(--ink)" stroke-width="3" />
    <text x="368" y="101" text-anchor="middle" font-size="13">pump</text>
    <path v-if="values.trouble === 3" d="M350 114l36 -36" stroke="var(--rust)" stroke-width="4" />
  </g>
</template>
