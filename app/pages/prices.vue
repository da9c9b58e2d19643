<script setup lang="ts">
import Papa from 'papaparse'
import { enteredShop, moneyOf, UNNAMED_SHOP } from '#core/visit/shop'
import { PRICE_COLUMNS, priceRows, readPrices, type ReadPrices } from '#core/visit/price-list'

/** The price list: read, taken out and in as a file. What a file would change is shown before it does. */
const { shop, problem, load, save } = useShopSettings()
onMounted(load)
useHead({ title: 'Price list · Pike Lamp' })
const found = ref('')
const rows = computed(() =>
  priceRows(shop.value?.rates.partPrices ?? {}).filter(({ name }) => name.includes(found.value.trim().toLowerCase())),
)
const guessed = computed(() => new Set(shop.value?.guessedPrices ?? []))
const money = (amount: number) => moneyOf(shop.value ?? UNNAMED_SHOP)(amount)
const trial = ref<ReadPrices & { file: string }>()
const MOST_SHOWN = 12

function takeOut(): void {
  const csv = Papa.unparse(priceRows(shop.value?.rates.partPrices ?? {}), {
    columns: [...PRICE_COLUMNS],
    escapeFormulae: true,
  })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }))
  link.download = 'prices.csv'
  link.click()
  URL.revokeObjectURL(link.href)
}
async function tryIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  input.value = ''
  if (!file) return
  const { data } = Papa.parse<Partial<Record<string, string>>>(await file.text(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  })
  trial.value = { ...readPrices(data, shop.value?.rates.partPrices ?? {}), file: file.name }
}
async function takeIn(): Promise<void> {
  if (!trial.value || !shop.value) return
  const changed = Object.fromEntries(trial.value.changes.map(({ key, to }) => [key, to]))
  const { rates } = enteredShop(shop.value)
  await save({ rates: { ...rates, partPrices: { ...rates.partPrices, ...changed } } })
  trial.value = undefined
}
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Price list" />
    <main class="mx-auto max-w-4xl p-5 max-sm:p-3">
      <p v-if="problem" class="font-bold">{{ problem }}</p>
      <p v-else-if="!shop" class="text-slate">Reading the prices</p>
      <template v-else>
        <div class="flex flex-wrap items-end gap-3">
          <label class="min-w-48 grow"
            ><span class="label">Find a part</span><input v-model="found" class="field" type="search"
          /></label>
          <button type="button" class="button" data-testid="prices-out" @click="takeOut">Take it out as CSV</button>
          <label class="button cursor-pointer"
            >Take a CSV in<input
              type="file"
              accept=".csv,text/csv"
              class="sr-only"
              data-testid="prices-in"
              @change="tryIn" /></label
          ><NuxtLink class="button button-quiet" to="/settings">Settings</NuxtLink>
        </div>
        <section v-if="trial" class="mt-4 border-l-4 border-river pl-4" aria-live="polite" data-testid="prices-trial">
          <h2 class="text-xl">What {{ trial.file }} would change</h2>
          <p>
            <span class="number">{{ trial.changes.length }}</span> prices change,
            <span class="number">{{ trial.same }}</span> stay, what it does not name keeps its price.
          </p>
          <ul v-if="trial.problems.length > 0" role="alert" class="my-2 font-bold">
            <li v-for="each in trial.problems.slice(0, MOST_SHOWN)" :key="each.field">
              {{ each.field }}: “{{ each.value }}”; {{ each.expected }}
            </li>
          </ul>
          <table v-if="trial.changes.length > 0" class="my-2 w-full">
            <tbody>
              <tr v-for="each in trial.changes" :key="each.key" class="border-t border-rule">
                <th scope="row" class="py-1 text-left font-normal">{{ each.name }}</th>
                <td class="number text-right text-slate">{{ each.from === undefined ? 'new' : money(each.from) }}</td>
                <td class="number text-right font-bold">{{ money(each.to) }}</td>
              </tr>
            </tbody>
          </table>
          <div class="flex flex-wrap gap-2">
            <button
              type="button"
              class="button"
              data-testid="prices-take"
              :disabled="trial.changes.length === 0 || trial.problems.length > 0"
              @click="takeIn"
            >
              Change {{ trial.changes.length }} prices
            </button>
            <button type="button" class="button" @click="trial = undefined">Leave it</button>
          </div>
          <p v-if="trial.problems.length > 0" class="text-slate">
            Nothing is taken in while a line is wrong: put the file right and choose it again.
          </p>
        </section>
        <table class="mt-5 w-full" data-testid="prices">
          <thead>
            <tr class="border-b border-ink text-left">
              <th scope="col" class="py-1">part</th>
              <th scope="col" class="text-right">what it costs you</th>
              <th scope="col" class="text-right">what you ask</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.part + row.kind" class="border-b border-rule">
              <th scope="row" class="py-1 text-left font-normal">
                {{ row.name
                }}<span v-if="guessed.has(row.kind ? `${row.part}:${row.kind}` : row.part)" class="text-slate"
                  >, the usual price</span
                >
              </th>
              <td class="number text-right text-slate">{{ money(Number(row.price)) }}</td>
              <td class="number text-right">{{ money(Number(row.price) * (1 + shop.rates.partsMarkup)) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </main>
  </div>
</template>
