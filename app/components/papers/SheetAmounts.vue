<script setup lang="ts">
import { moneyLines } from '#core/visit/leaves'

/** Amounts under each other, their sum, and what stands under that: who agreed, what is paid, what is open. */
const { lines, total, sum, sheet } = defineProps<{
  lines: readonly { label: string; amount: number }[]
  total: number
  /** What the sum is called. */
  sum: string
  sheet: Parameters<typeof moneyLines>[0]
}>()
const money = useMoney()
</script>

<template>
  <table class="w-full border-collapse">
    <tbody>
      <tr v-for="line in lines" :key="line.label" class="align-baseline">
        <th scope="row" class="py-0.5 pr-3 text-left font-normal">{{ line.label }}</th>
        <td class="number text-right whitespace-nowrap">{{ money(line.amount) }}</td>
      </tr>
      <tr class="border-t border-ink font-bold">
        <th scope="row" class="py-1 text-left">{{ sum }}</th>
        <td class="number text-right text-[1.2rem]" data-testid="sheet-price">{{ money(total) }}</td>
      </tr>
    </tbody>
  </table>
  <div data-testid="sheet-money">
    <p v-for="line in moneyLines(sheet)" :key="line" class="py-0.5">{{ line }}</p>
  </div>
</template>
