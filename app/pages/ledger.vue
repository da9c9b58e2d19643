<script setup lang="ts">
import { moneyOf, UNNAMED_SHOP } from '#core/visit/shop'

/** The shop’s accounts by month: what came in, what is still to come, and all of it as a file. */
const { month, ledger, problem, settle, isEmpty } = useLedger()
const { shop, load } = useShopSettings()
onMounted(load)
const money = (amount: number) => moneyOf(shop.value ?? UNNAMED_SHOP)(amount)
useHead({ title: 'Ledger · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Ledger" />
    <main class="mx-auto max-w-4xl p-5 max-sm:p-3">
      <div class="flex flex-wrap items-end gap-3">
        <label
          ><span class="label">Month</span
          ><input v-model="month" type="month" class="field" pattern="\d{4}-\d{2}" data-testid="ledger-month"
        /></label>
        <a class="button" :href="`/api/ledger.csv?month=${month}`" download data-testid="ledger-csv">CSV</a>
        <NuxtLink class="button button-quiet" to="/shop">The shop</NuxtLink>
      </div>
      <p v-if="problem" role="alert" class="mt-4 font-bold">{{ problem }}</p>
      <template v-else-if="ledger && shop">
        <dl v-if="!isEmpty" class="mt-4 flex flex-wrap gap-x-10 gap-y-2 border-y border-rule py-3">
          <div
            v-for="[label, amount] in [
              ['in all', ledger.sums.total],
              ['of it taxes', ledger.sums.taxes],
              ['paid', ledger.sums.paid],
              ['open', ledger.sums.open],
            ] as const"
            :key="label"
          >
            <dt class="text-slate">{{ label }}</dt>
            <dd class="number text-xl font-bold" :data-testid="`sum-${label.split(' ').at(-1)}`">
              {{ money(amount) }}
            </dd>
          </div>
        </dl>
        <p v-else class="mt-4 text-slate">Nothing was handed over in this month with something to pay.</p>
        <LedgerTable :rows="ledger.rows" :money="money" @settle="settle" />
        <section v-if="ledger.open.length > 0" class="mt-6" data-testid="open-before">
          <h2 class="text-xl">Open from before</h2>
          <LedgerTable :rows="ledger.open" :money="money" @settle="settle" />
        </section>
      </template>
      <p v-else class="mt-4 text-slate">Reading the ledger</p>
    </main>
  </div>
</template>
