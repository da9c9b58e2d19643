<script setup lang="ts">
import type { Skill } from '#core/practice/skills'

/** Skills with the span in which each lies four times of five: a line from none to whole, its middle marked. */
const { rows, label } = defineProps<{
  rows: readonly (Skill & { id: string; label: string; note?: string })[]
  label: string
}>()
const hundred = (share: number) => Math.round(100 * share)
</script>

<template>
  <table class="w-full" :aria-label="label">
    <thead class="sr-only">
      <tr>
        <th scope="col">what</th>
        <th scope="col">span</th>
        <th scope="col">of 100</th>
        <th scope="col">from, to</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.id" :data-testid="`skill-${row.id}`" class="border-b border-rule">
        <th scope="row" class="py-1.5 pr-2 text-left font-normal" :class="{ 'font-bold': row.note }">
          {{ row.label }}<span v-if="row.note">, {{ row.note }}</span>
        </th>
        <td class="w-24">
          <svg viewBox="0 0 100 18" width="96" height="18" aria-hidden="true" class="block">
            <path d="M0 9H100" stroke="var(--slate)" stroke-width="1.500" />
            <path
              v-if="row.tries > 0"
              :d="`M${hundred(row.low)} 9H${hundred(row.high)}`"
              stroke="var(--ink)"
              stroke-width="6"
            />
            <path v-if="row.tries > 0" :d="`M${hundred(row.estimate)} 1V17`" stroke="var(--paper)" stroke-width="5" />
            <path v-if="row.tries > 0" :d="`M${hundred(row.estimate)} 1V17`" stroke="var(--ink)" stroke-width="2.500" />
          </svg>
        </td>
        <template v-if="row.tries > 0">
          <td class="number w-8 pl-2 text-right font-bold">{{ hundred(row.estimate) }}</td>
          <td class="number w-20 pl-2 text-right text-[0.88rem] whitespace-nowrap text-slate">
            {{ hundred(row.low) }} to {{ hundred(row.high) }}
          </td>
        </template>
        <td v-else colspan="2" class="pl-2 text-right text-[0.9rem] whitespace-nowrap text-slate">not tried</td>
      </tr>
    </tbody>
  </table>
</template>
