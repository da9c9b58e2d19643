<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { readNumber } from '#core/quantity/read-number'
import { PRICE_FIELDS, type PriceField, type PriceMapping, type PricePlan } from '#core/shelf/papers/price-list'
import type { Supplier } from '#core/visit/buying'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** Whom the shop buys from, on what terms, and what it asks: a price list is looked at before it counts. */
const [shelf, self, route] = [useShelf(), useSelf(), useRoute()]
const { money } = useShelfMoney()
const buying = useBuying()
const { trouble, isBusy } = buying
const { checked } = useEntryRules()
onMounted(shelf.ensure)
const isNew = computed(() => route.params.id === 'new')
const known = computed(() => shelf.bought.suppliers.get(String(route.params.id)))
const form = reactive({ name: '', mail: '', service: '', freight: '', freeFrom: '', minimum: '', leadDays: '' })
const AMOUNTS = ['freight', 'freeFrom', 'minimum'] as const
watch(
  known,
  (supplier) => {
    if (!supplier) return
    form.name = supplier.name
    form.mail = supplier.mail ?? ''
    form.service = supplier.service ?? ''
    for (const field of AMOUNTS) form[field] = supplier[field] === undefined ? '' : (supplier[field] / 100).toFixed(2)
    form.leadDays = supplier.leadDays === undefined ? '' : String(supplier.leadDays)
  },
  { immediate: true },
)
const problem = ref('')
async function keep(): Promise<void> {
  const amounts: Partial<Supplier> = {}
  for (const field of AMOUNTS) {
    if (!form[field].trim()) continue
    const amount = readNumber(form[field])
    if (amount === undefined || amount < 0) {
      problem.value = `${field}: “${form[field]}”; an amount, such as 12.50`
      return
    }
    amounts[field] = Math.round(amount * 100)
  }
  const days = form.leadDays.trim() ? (readNumber(form.leadDays) ?? Number.NaN) : undefined
  const supplier: Supplier = {
    id: known.value?.id ?? uuidv7(),
    name: form.name.trim(),
    ...(form.mail.trim() ? { mail: form.mail.trim() } : {}),
    ...(form.service.trim() ? { service: form.service.trim() } : {}),
    ...amounts,
    ...(days === undefined ? {} : { leadDays: days }),
  }
  const [wrong] = Object.entries(await checked('supplier-set', { supplier }))
  problem.value = wrong ? `${wrong[0].replace('supplier.', '')}: ${wrong[1]}` : ''
  if (wrong) return
  await buying.keepSupplier(supplier)
  if (isNew.value) await navigateTo(`/shelf/suppliers/${supplier.id}`)
}

const plan = shallowRef<PricePlan>()
const text = ref<string>()
const kept = ref('')
async function look(mapping?: PriceMapping): Promise<void> {
  kept.value = ''
  plan.value = await buying.ask<PricePlan>(`/api/shelf/suppliers/${String(route.params.id)}/prices`, {
    ...(text.value === undefined ? {} : { text: text.value }),
    ...(mapping ? { mapping } : {}),
  })
}
async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  text.value = await file.text()
  await look()
}
async function askThem(): Promise<void> {
  text.value = undefined
  await look()
}
const dearer = computed(
  () =>
    plan.value?.changes.filter(({ before, offer }) => before !== undefined && before !== offer.prices[0]?.price) ?? [],
)
const fresh = computed(() => plan.value?.changes.filter(({ before }) => before === undefined) ?? [])
async function write(): Promise<void> {
  if (!plan.value) return
  const { changes } = plan.value
  await buying.keepPrices(changes)
  kept.value = `${counted(changes.length, 'price')} kept`
  plan.value = undefined
}
function remap(field: PriceField, column: string): void {
  if (!plan.value) return
  const { [field]: _, ...rest } = plan.value.mapping
  void look(column === '' ? rest : { ...rest, [field]: Number(column) })
}
useHead({ title: computed(() => `${known.value?.name ?? 'Supplier'} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader :title="known?.name ?? 'New supplier'" />
    <ShelfNav />
    <main class="mx-auto grid max-w-6xl gap-10 p-5 max-sm:p-3 lg:grid-cols-2">
      <p v-if="!isNew && !known && shelf.isRead" class="font-bold">There is no such supplier.</p>
      <form v-else class="grid content-start gap-3 sm:grid-cols-2" data-testid="supplier-form" @submit.prevent="keep">
        <label class="sm:col-span-2"
          ><span class="label">Name</span
          ><input v-model="form.name" class="field" maxlength="120" required data-testid="supplier-name"
        /></label>
        <label><span class="label">Mail</span><input v-model="form.mail" class="field" type="email" /></label>
        <label
          ><span class="label">Days that a delivery takes</span
          ><input v-model="form.leadDays" class="field number" inputmode="decimal"
        /></label>
        <label class="sm:col-span-2"
          ><span class="label">Where its catalogue answers</span
          ><input
            v-model="form.service"
            class="field number"
            placeholder="http://127.0.0.1:4177"
            data-testid="supplier-service"
        /></label>
        <label
          ><span class="label">Freight</span
          ><input
            v-model="form.freight"
            class="field number"
            inputmode="decimal"
            data-testid="supplier-freight" /></label
        ><label
          ><span class="label">Free from</span
          ><input v-model="form.freeFrom" class="field number" inputmode="decimal" /></label
        ><label
          ><span class="label">Least order</span><input v-model="form.minimum" class="field number" inputmode="decimal"
        /></label>
        <p v-if="problem" role="alert" class="font-bold text-rust sm:col-span-2" data-testid="supplier-problem">
          {{ problem }}
        </p>
        <div v-if="self.writes('supplier-set')" class="sm:col-span-2">
          <button type="submit" class="button" data-testid="keep-supplier">Keep it</button>
        </div>
      </form>
      <section v-if="known" aria-labelledby="prices" class="min-w-0">
        <h2 id="prices" class="border-b border-ink pb-1 text-xl">Its prices</h2>
        <p class="flex flex-wrap gap-3 py-3">
          <button
            v-if="known.service"
            type="button"
            class="button"
            :disabled="isBusy"
            data-testid="ask-prices"
            @click="askThem"
          >
            Ask for them</button
          ><label class="button button-quiet"
            >A price list as CSV<input
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              class="sr-only"
              data-testid="price-file"
              @change="choose"
          /></label>
        </p>
        <p v-if="isBusy" class="text-slate">Reading</p>
        <p v-if="trouble" role="alert" class="font-bold text-rust" data-testid="price-trouble">{{ trouble }}</p>
        <p v-if="kept" role="status" data-testid="prices-kept">{{ kept }}</p>
        <div v-if="plan" data-testid="price-plan">
          <p class="py-1">
            {{ counted(plan.lines, 'thing') }} in the list, {{ plan.changes.length }} of them the shop’s:
            {{ fresh.length }} new here, {{ dearer.length }} changed, {{ plan.same }} as before<template
              v-if="plan.missing.length > 0"
              >; {{ plan.missing.length }} no more sold</template
            >. Nothing is written yet.
          </p>
          <div v-if="text !== undefined" class="flex flex-wrap gap-3 py-2">
            <label v-for="(field, key) in PRICE_FIELDS" :key="key"
              ><span class="label">{{ field.label }}</span
              ><select
                class="field w-auto"
                :value="plan.mapping[key] ?? ''"
                :data-testid="`map-${key}`"
                @change="remap(key, ($event.target as HTMLSelectElement).value)"
              >
                <option value="">not in it</option>
                <option v-for="(head, column) in plan.heads" :key="column" :value="column">{{ head }}</option>
              </select></label
            >
          </div>
          <ul class="ruled">
            <li v-for="{ article, offer, before } in dearer" :key="article" class="flex min-h-10 items-center gap-4">
              <span class="min-w-0 grow">{{ shelf.articleName(article) }}</span><span class="number"
                >{{ money((before ?? 0) / 100) }} →
                <strong>{{ money((offer.prices[0]?.price ?? 0) / 100) }}</strong></span
              >
            </li>
            <li v-for="{ article, offer } in fresh" :key="article" class="flex min-h-10 items-center gap-4">
              <span class="min-w-0 grow">{{ shelf.articleName(article) }}</span><span class="number text-slate">{{
                offer.code
              }}</span
              ><strong class="number">{{ money((offer.prices[0]?.price ?? 0) / 100) }}</strong>
            </li>
          </ul>
          <button
            v-if="plan.changes.length > 0"
            type="button"
            class="button mt-3"
            data-testid="keep-prices"
            @click="write"
          >
            These count from now on
          </button>
        </div>
      </section>
    </main>
  </div>
</template>
