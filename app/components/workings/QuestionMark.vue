<script setup lang="ts">
/** A small drawing of what each question is about. */
const { kind } = defineProps<{ kind: string }>()
const WATER: Readonly<Record<string, string>> = {
  'which-sump-pump': 'M18 34h48v24H18z',
  'jet-lift': 'M4 50h34v14H4z',
  'tank-and-charge': 'M26 36h32v22q-16 6-32 0z',
  'where-water-goes': 'M10 16h34v12H10zM34 48h42v12H34z',
  'string-to-pull': 'M34 38h16v24H34z',
}
const LINES: Readonly<Record<string, string>> = {
  'which-sump-pump': 'M2 12h16v46h48V12h16M34 57V46h16v11M42 46V4h22M18 34h48',
  'well-pressure': 'M8 4v54h72M8 14q36 2 60 40M8 46q40-2 64-32',
  'stages-and-motor': 'M30 4h24v9H30zM30 15h24v9H30zM30 26h24v9H30zM33 38h18v22H33zM60 8l8 4-8 4',
  'jet-lift': 'M4 50h34M22 56V18h18M40 10h16v16H40zM56 14h14v8H56zM64 50V30m-5 6 5-7 5 7',
  'tank-and-charge': 'M26 14q16-14 32 0v44q-16 6-32 0zM26 36h32M42 61v3M66 20h14M66 36h14',
  'wire-size': 'M4 20h20q10 0 14 8t14 8h28M4 28h18q8 0 12 8t14 8h32M10 8v44',
  'string-to-pull': 'M34 10v52h16V10M42 2v44M38 46h8v12h-8zM26 10h32M34 38h16',
  'where-water-goes': 'M10 8v20h34V8M34 40v20h42V40M38 16V4h22v44M10 16h34M34 48h42',
  'speed-saving': 'M8 4v54h72M8 14q34 2 50 42M8 40q18 0 28 18M8 58q40-2 62-34',
  'capacitor-from-van': 'M12 22h18v34H12zM50 22h18v34H50zM17 22v-8h38v8M25 22v-4h38v4',
}
</script>

<template>
  <svg
    viewBox="0 0 84 64"
    fill="none"
    stroke="var(--ink)"
    stroke-width="2"
    stroke-linejoin="round"
    stroke-linecap="round"
    aria-hidden="true"
  >
    <path v-if="WATER[kind]" :d="WATER[kind]" fill="var(--water)" stroke="none" />
    <path :d="LINES[kind]" />
  </svg>
</template>
