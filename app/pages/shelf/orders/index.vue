<script setup lang="ts">
import { format, parseISO } from 'date-fns'
import { isOpenOrder, ORDER_STATES, type OrderState } from '#core/shelf/bought'
import { buyingList, type Wanted } from '#core/shelf/buying-list'
import { countWords } from '#core/shelf/listing'
import type { CheckedDelivery } from '#core/shelf/papers/delivery'
import type { OrderDraft } from '~/composables/useBuying'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** The list that makes itself: what is short and what jobs wait for, by whom it is sold; and what is under way. */
const [shelf, self] = [useShelf(), useSelf()]
const { plan, problem, load } = useShelfPlan()
const buying = useBuying()
const { trouble, isBusy } = buying
onMounted(shelf.ensure)
const suppliers = computed(() => [...shelf.bought.suppliers.values()].filter(({ gone }) => !gone))
const wanted = computed((): Wanted[] => {
  if (!plan.value) return []
  const waiting = new Map(plan.value.waiting.map((each) => [each.article, each]))
  const short = new Map(
    plan.value.levels.flatMap(({ article, order }) => (order > 0 ? [[article, order] as const] : [])),
  )
  return [...new Set([...short.keys(), ...waiting.keys()])].flatMap((article) => {
    const waits = waiting.get(article)
    const ordered = plan.value?.levels.find((each) => each.article === article)?.onOrder ?? 0
    const count = Math.max(short.get(article) ?? 0, (waits?.count ?? 0) - ordered)
    return count > 0 ? [{ article, count, ...(waits ? { visits: waits.visits } : {}) }] : []
  })
})
const list = computed(() => buyingList(wanted.value, suppliers.value, shelf.bought.offers))
/** What nobody sells so far, and from whom somebody wants it all the same. */
const byHand = reactive<Record<string, string>>({})
const cards = computed((): (OrderDraft & { short: number })[] => {
  const asked = list.value.nowhere.filter(({ article }) => byHand[article])
  const own = list.value.from.map(({ supplier, lines, freight, short }) => ({
    supplier,
    freight,
    short,
    lines: [
      ...lines.map(({ amount: _, ...line }) => line),
      ...asked.filter(({ article }) => byHand[article] === supplier.id),
    ] as OrderDraft['lines'],
  }))
  const known = new Set(own.map(({ supplier }) => supplier.id))
  const others = suppliers.value.filter(
    ({ id }) => !known.has(id) && asked.some(({ article }) => byHand[article] === id),
  )
  return [
    ...own,
    ...others.map((supplier) => ({
      supplier,
      freight: supplier.freight ?? 0,
      short: 0,
      lines: asked.filter(({ article }) => byHand[article] === supplier.id),
    })),
  ]
})
const nowhere = computed(() => list.value.nowhere.filter(({ article }) => !byHand[article]))
const open = computed(() => shelf.bought.orders.filter(isOpenOrder))
const MOST_PAST = 20
const past = computed(() => shelf.bought.orders.filter((each) => !isOpenOrder(each)).slice(0, MOST_PAST))
const supplierName = ({ supplier }: OrderState) => shelf.bought.suppliers.get(supplier)?.name ?? 'somebody'
const comes = ({ expectedOn }: OrderState) => (expectedOn ? `comes ${format(parseISO(expectedOn), 'EEE d MMM')}` : '')
async function order(draft: OrderDraft): Promise<void> {
  const id = await buying.place(draft)
  await load()
  if (!trouble.value) await navigateTo(`/shelf/orders/${id}`)
}
const note = useDeliveryNote()
async function readNote(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  const checked = await buying.ask<CheckedDelivery>('/api/shelf/delivery', { text: await file.text() })
  if (!checked) return
  note.value = checked
  await navigateTo(`/shelf/orders/${checked.order}`)
}
useHead({ title: 'Orders · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Orders" />
    <ShelfNav />
    <main class="mx-auto grid max-w-6xl gap-x-10 gap-y-6 p-5 max-sm:p-3 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section aria-labelledby="to-order" class="min-w-0">
        <h2 id="to-order" class="pb-2 text-xl">To order</h2>
        <p v-if="trouble" role="alert" class="pb-2 font-bold text-rust" data-testid="order-trouble">{{ trouble }}</p>
        <div v-if="problem">
          <p class="mb-3 font-bold">{{ problem }}</p>
          <button type="button" class="button" @click="load">Try again</button>
        </div>
        <p v-else-if="!plan" class="text-slate">Reckoning with every machine</p>
        <p v-else-if="wanted.length === 0" data-testid="nothing-to-order">
          Nothing: what is wanted lies there or is ordered.
          <NuxtLink to="/shelf/levels" class="underline">How much to keep</NuxtLink>
        </p>
        <template v-else>
          <OrderCard
            v-for="card in cards"
            :key="card.supplier.id"
            :of="card"
            :short="card.short"
            :busy="isBusy"
            class="mb-5"
            @order="order"
          />
          <section v-if="nowhere.length > 0" aria-labelledby="nowhere" data-testid="nowhere">
            <h3 id="nowhere" class="border-t-2 border-ink pt-2 text-lg">Wanted, and nobody’s price is known</h3>
            <ul class="ruled">
              <li v-for="each in nowhere" :key="each.article" class="flex min-h-12 flex-wrap items-center gap-x-4 py-1">
                <strong class="number w-12 text-right">{{ countWords(each.count) }}</strong><span
                  class="min-w-0 grow"
                  >{{ shelf.articleName(each.article) }}</span
                ><select
                  v-if="suppliers.length > 0"
                  v-model="byHand[each.article]"
                  class="field w-auto"
                  :aria-label="`from whom ${shelf.articleName(each.article)}`"
                >
                  <option :value="undefined">from whom?</option>
                  <option v-for="supplier in suppliers" :key="supplier.id" :value="supplier.id">
                    {{ supplier.name }}
                  </option>
                </select>
              </li>
            </ul>
          </section>
        </template>
      </section>
      <aside class="grid content-start gap-6">
        <section aria-labelledby="under-way">
          <h2 id="under-way" class="border-b border-ink pb-1 text-xl">Under way</h2>
          <p v-if="open.length === 0" class="py-2 text-slate">Nothing.</p>
          <ul class="ruled" data-testid="open-orders">
            <li v-for="each in open" :key="each.order">
              <NuxtLink :to="`/shelf/orders/${each.order}`" class="flex min-h-12 flex-wrap items-center gap-x-3 py-1"
                ><strong class="number">{{ each.number }}</strong
                ><span class="underline">{{ supplierName(each) }}</span
                ><span class="grow" :class="{ 'font-bold text-rust': each.state === 'wrong' }">{{
                  ORDER_STATES[each.state]
                }}</span
                ><span class="text-slate">{{ comes(each) }}</span></NuxtLink
              >
            </li>
          </ul>
          <label v-if="self.may('write')" class="button button-quiet mt-2"
            >Read a delivery note<input
              type="file"
              accept=".xml,.csv,text/xml,text/csv,application/xml"
              class="sr-only"
              data-testid="delivery-file"
              @change="readNote"
          /></label>
        </section>
        <section aria-labelledby="suppliers">
          <h2 id="suppliers" class="border-b border-ink pb-1 text-xl">Suppliers</h2>
          <p v-if="suppliers.length === 0" class="py-2">
            Write down whom the shop buys from, and take in a price list: then the list says from whom what is bought.
          </p>
          <ul class="ruled">
            <li v-for="each in suppliers" :key="each.id">
              <NuxtLink :to="`/shelf/suppliers/${each.id}`" class="flex min-h-12 items-center underline">{{
                each.name
              }}</NuxtLink>
            </li>
          </ul>
          <NuxtLink
            v-if="self.writes('supplier-set')"
            class="button mt-2"
            to="/shelf/suppliers/new"
            data-testid="new-supplier"
            >New supplier</NuxtLink
          >
        </section>
        <section v-if="past.length > 0" aria-labelledby="past">
          <h2 id="past" class="border-b border-ink pb-1 text-xl">Done</h2>
          <ul class="ruled">
            <li v-for="each in past" :key="each.order">
              <NuxtLink :to="`/shelf/orders/${each.order}`" class="flex min-h-12 items-center gap-3"
                ><strong class="number">{{ each.number }}</strong
                ><span class="underline">{{ supplierName(each) }}</span
                ><span class="text-slate">{{ ORDER_STATES[each.state] }}</span></NuxtLink
              >
            </li>
          </ul>
        </section>
      </aside>
    </main>
  </div>
</template>
