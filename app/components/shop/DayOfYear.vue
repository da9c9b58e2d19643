<script setup lang="ts">
import { format } from 'date-fns'

/** A day that comes every year, as MM-DD. */
const { label, test } = defineProps<{ label: string; test: string }>()
const day = defineModel<string>({ required: true })
const FEBRUARY_DAYS = 28
const two = (value: number) => String(value).padStart(2, '0')
const months = Array.from({ length: 12 }, (_, index) => ({
  value: two(index + 1),
  words: format(new Date(2025, index, 1), 'MMMM'),
  // The 29th of February is not there every year.
  days: index === 1 ? FEBRUARY_DAYS : new Date(2025, index + 1, 0).getDate(),
}))
const month = computed(() => day.value.slice(0, 2))
const days = computed(() => months.find(({ value }) => value === month.value)?.days ?? FEBRUARY_DAYS)
function set(toMonth: string, toDay: string): void {
  const most = months.find(({ value }) => value === toMonth)?.days ?? FEBRUARY_DAYS
  day.value = `${toMonth}-${two(Math.min(most, Number(toDay)))}`
}
</script>

<template>
  <fieldset class="grid grid-cols-[5rem_minmax(0,1fr)] gap-2">
    <legend class="label">{{ label }}</legend>
    <select
      class="field number"
      :value="day.slice(3)"
      :aria-label="`${label}, day`"
      :data-testid="`settings-${test}-day`"
      @change="set(month, ($event.target as HTMLSelectElement).value)"
    >
      <option v-for="each in days" :key="each" :value="two(each)">{{ each }}</option></select
    ><select
      class="field"
      :value="month"
      :aria-label="`${label}, month`"
      :data-testid="`settings-${test}-month`"
      @change="set(($event.target as HTMLSelectElement).value, day.slice(3))"
    >
      <option v-for="each in months" :key="each.value" :value="each.value">{{ each.words }}</option>
    </select>
  </fieldset>
</template>
