<script setup lang="ts">
import type { LedgerRow } from '#core/visit/ledger'

/** Accounts, one to a line: what they came to, what of it is paid and what is open. */
const { rows, money } = defineProps<{ rows: readonly LedgerRow[]; money: (amount: number) => string }>()
const emit = defineEmits<{ settle: [row: LedgerRow] }>()
</script>

<template>
  <ul class="ruled">
    <li
      v-for="row in rows"
      :key="row.visitId"
      class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-2 sm:grid-cols-[8rem_minmax(0,1fr)_7rem_10rem]"
      data-testid="ledger-row"
    >
      <span class="number max-sm:col-span-2"
        >{{ row.on }}<span class="block text-[0.88rem] text-slate">{{ row.number }}</span></span
      >
      <NuxtLink :to="`/visits/${row.visitId}/hand-over`" class="min-w-0"
        ><strong>{{ row.customer }}</strong
        ><span class="block text-[0.92rem] text-slate">{{ row.machine }}</span></NuxtLink
      >
      <span class="number text-right font-bold">{{ money(row.total) }}</span>
      <span class="text-right max-sm:col-span-2">
        <template v-if="row.open === 0">
          {{ row.total === 0 ? 'no charge' : 'paid' }} <span class="number">{{ row.paidOn }}</span>
        </template>
        <template v-else-if="row.open < 0"
          >paid too much: <span class="number">{{ money(-row.open) }}</span></template
        >
        <button
          v-else
          type="button"
          class="button"
          :aria-label="`paid, ${money(row.open)} by ${row.customer}`"
          data-testid="ledger-paid"
          @click="emit('settle', row)"
        >
          Paid <span class="number">{{ money(row.open) }}</span>
        </button>
      </span>
    </li>
  </ul>
</template>
