<script setup lang="ts">
import type { Kind } from '#core/knowledge/vocabulary'

/** The machine's outline, for lists. */
const { kind } = defineProps<{ kind: string }>()

const OUTLINES: Record<Kind, string> = {
  pool:
    'M4 34h14v14H4M18 26q0-6 6-6h22q6 0 6 6v24q0 8-8 8H26q-8 0-8-8ZM20 14h30v6H20ZM28 10h14v4H28' +
    'M52 30h8v16h-8M60 22q0-4 4-4h4V6h14v50H68q-8 0-8-8ZM82 12h8v48h-8M90 20h40q6 0 6 6v20q0 6-6 6H90Z' +
    'M98 12h24v8H98M100 52v8M126 52v8M96 60h34',
  booster:
    'M24 30h12v12H24M36 22h18v28H36ZM54 16h8v40h-8M62 20h52q6 0 6 6v20q0 6-6 6H62ZM42 22V10h8v12' +
    'M56 56v6h20v-6M70 62H48',
  spa:
    'M14 36h10v12H14M24 42a18 18 0 1 0 36 0a18 18 0 1 0-36 0M36 25V8h12v17M60 24h8v36h-8' +
    'M68 28h44q6 0 6 6v18q0 6-6 6H68ZM78 20h22v8H78M80 58v8h26v-8',
  'well-two-wire':
    'M58 0v72M82 0v72M64 4v10M76 4v10M64 14h12v28H64ZM64 21h12M64 28h12M64 35h12M62 42h16' +
    'M64 44q-1 10 0 22q6 6 12 0q1-12 0-22',
  'well-three-wire':
    'M50 0v72M74 0v72M56 4v10M68 4v10M56 14h12v28H56ZM56 21h12M56 28h12M56 35h12M54 42h16' +
    'M56 44q-1 10 0 22q6 6 12 0q1-12 0-22M92 12h22v28H92ZM98 18h10v6H98M92 30h-8v20',
  jet:
    'M20 26h12v8H20M20 40h12v8H20M32 20h20v34H32ZM40 20V8h10v12M52 16h8v42h-8' +
    'M60 22h46q6 0 6 6v18q0 6-6 6H60ZM72 52v8h24v-8M114 28h18q6 0 6 6v22q0 6-6 6h-18q-6 0-6-6M122 62v6',
  sump:
    'M30 8v60h78V8M46 64h40v-5H46ZM50 59V40q0-8 8-8h16q8 0 8 8v19M82 46h10V4M40 36a7 7 0 1 0 14 0' +
    'M47 29l8 4M92 22h8M60 38h12',
  circulation:
    'M14 34h16v14H14M30 41a15 15 0 1 0 30 0a15 15 0 1 0-30 0M40 26V6h12v21M10 30v22M34 10h24' +
    'M60 28h6v28h-6M66 30h40q6 0 6 6v14q0 6-6 6H66ZM74 56v8h28v-8M112 32v22',
  utility:
    'M54 6h32q4 0 4 4v26H50V10q0-4 4-4ZM46 36h48v5H46ZM50 41v4M60 41v4M80 41v4M90 41v4M46 45h48v8H46Z' +
    'M54 53h32q6 0 6 6v9H48v-9q0-6 6-6M92 58h22v8H92M58 14h24M58 22h24',
}
</script>

<template>
  <svg
    viewBox="0 0 144 74"
    fill="none"
    stroke="currentColor"
    stroke-width="1.800"
    stroke-linejoin="round"
    stroke-linecap="round"
    aria-hidden="true"
  >
    <path :d="OUTLINES[kind as Kind] ?? OUTLINES.pool" />
  </svg>
</template>
