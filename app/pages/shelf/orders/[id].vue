<script setup lang="ts">
import { format, parseISO } from 'date-fns'
import { isOpenOrder, ORDER_STATES } from '#core/shelf/bought'
import { countWords } from '#core/shelf/listing'
import type { CheckedDelivery } from '#core/shelf/papers/delivery'
import type { TakenIn } from '~/composables/useBuying'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** One order: what was ordered, what came, what came wrong, and what is still to come. */
const [shelf, self, route] = [useShelf(), useSelf(), useRoute()]
const { money } = useShelfMoney()
const buying = useBuying()
const { trouble, isBusy } = buying
onMounted(shelf.ensure)
const id = computed(() => String(route.params.id))
const order = computed(() => shelf.bought.orders.find((each) => each.order === id.value))
const supplier = computed(() => order.value && shelf.bought.suppliers.get(order.value.supplier))
const isOpen = computed(() => order.value !== undefined && isOpenOrder(order.value))
const mayWrite = computed(() => self.may('write'))
const goods = computed(
  () => order.value?.lines.reduce((sum, { count, price = 0 }) => sum + Math.round(count * price), 0) ?? 0,
)
const expected = ref('')
const isReceiving = ref(false)
/** Deliveries that the supplier says it sent, and that were not taken in yet. */
const notes = shallowRef<CheckedDelivery[]>([])
const asked = ref('')
const handed = useDeliveryNote()
watch(
  handed,
  (note) => {
    if (note?.order !== id.value) return
    notes.value = [note]
    handed.value = undefined
  },
  { immediate: true },
)
async function askDeliveries(): Promise<void> {
  const all = await buying.ask<CheckedDelivery[]>(`/api/shelf/orders/${id.value}/deliveries`)
  notes.value = (all ?? []).filter(({ isKnown }) => !isKnown)
  asked.value = all && notes.value.length === 0 ? 'Nothing has left since.' : ''
}
async function confirm(): Promise<void> {
  await buying.confirm(id.value, 'confirmed', expected.value ? { expectedOn: expected.value } : {})
}
async function take(delivery: string, taken: TakenIn[]): Promise<void> {
  if (!order.value) return
  await buying.takeIn(order.value, delivery, taken)
  notes.value = notes.value.filter((note) => note.delivery !== delivery)
  isReceiving.value = false
}
useHead({ title: computed(() => `Order ${order.value?.number ?? ''} · Pike Lamp`) })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader :title="order ? `Order ${order.number}` : 'Order'" />
    <ShelfNav />
    <main class="mx-auto max-w-5xl p-5 max-sm:p-3">
      <p v-if="!order && !shelf.isRead" class="text-slate">Reading the shelves</p>
      <p v-else-if="!order" class="font-bold">There is no such order.</p>
      <template v-else>
        <p class="flex flex-wrap items-baseline gap-x-5 gap-y-1 text-lg">
          <span>{{ supplier?.name ?? 'somebody' }}</span><strong
            :class="{ 'text-rust': order.state === 'wrong' }"
            data-testid="order-state"
            >{{ ORDER_STATES[order.state] }}</strong
          ><span class="text-slate">ordered {{ format(parseISO(order.placedAt), 'd MMM') }}, {{ order.author }}</span
          ><span v-if="order.expectedOn && isOpen" data-testid="expected"
            >comes {{ format(parseISO(order.expectedOn), 'EEE d MMM') }}</span
          >
        </p>
        <p v-if="order.note" class="py-1">{{ order.note }}</p>
        <p v-if="trouble" role="alert" class="py-2 font-bold text-rust" data-testid="order-trouble">{{ trouble }}</p>
        <div class="my-3 overflow-x-auto" tabindex="0" role="group" aria-label="its lines">
          <table class="w-full border-collapse" data-testid="order-lines">
            <thead>
              <tr class="border-b border-ink text-left">
                <th scope="col" class="py-1">what</th>
                <th scope="col" class="pl-3 text-right">ordered</th>
                <th scope="col" class="pl-3 text-right">came</th>
                <th scope="col" class="pl-3 text-right">to come</th>
                <th scope="col" class="pl-3 text-right max-sm:hidden">amount</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in order.lines" :key="line.line" class="border-b border-rule align-top">
                <th scope="row" class="py-2 text-left font-normal">
                  <NuxtLink :to="`/shelf/${line.article}`" class="inline-flex min-h-12 items-center underline">{{
                    shelf.articleName(line.article)
                  }}</NuxtLink><span v-if="line.code" class="number block text-slate">{{ line.code }}</span
                  ><span v-if="line.promised < line.count" class="block font-bold"
                    >only {{ countWords(line.promised) }} come</span
                  ><span
                    v-for="wrong in line.wrong"
                    :key="wrong.article"
                    class="mt-1 flex flex-wrap items-center gap-3 font-bold text-rust"
                    data-testid="wrong-line"
                    >{{ countWords(wrong.count) }} × {{ shelf.articleName(wrong.article) }} came for it<button
                      v-if="mayWrite"
                      type="button"
                      class="button button-quiet"
                      :data-testid="`send-back-${shelf.articleName(wrong.article)}`"
                      @click="buying.sendBack(order, line.line, wrong.article, wrong.count)"
                    >
                      It goes back
                    </button></span
                  ><span v-if="line.visits?.length" class="block text-slate"
                    >{{ counted(line.visits.length, 'visit') }} waiting for it</span
                  >
                </th>
                <td class="number py-2 pl-3 text-right">{{ countWords(line.count) }}</td>
                <td class="number py-2 pl-3 text-right">{{ countWords(line.received) }}</td>
                <td class="number py-2 pl-3 text-right font-bold">{{ countWords(line.missing) }}</td>
                <td class="number py-2 pl-3 text-right max-sm:hidden">
                  {{ line.price === undefined ? '' : money(Math.round(line.count * line.price) / 100) }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="pb-3 text-right">
          <template v-if="order.freight"
            >freight <span class="number">{{ money(order.freight / 100) }}</span>, </template
          >in all <strong class="number">{{ money((goods + (order.freight ?? 0)) / 100) }}</strong>
        </p>
        <p v-if="asked" role="status" class="pb-2">{{ asked }}</p>
        <DeliveryForm
          v-for="note in notes"
          :key="note.delivery"
          :order="order"
          :note="note"
          :busy="isBusy"
          class="mb-4"
          @take="take"
        />
        <DeliveryForm
          v-if="isReceiving && notes.length === 0"
          :order="order"
          :busy="isBusy"
          class="mb-4"
          @take="take"
        />
        <div v-if="mayWrite && isOpen" class="flex flex-wrap items-end gap-3">
          <button
            v-if="supplier?.service"
            type="button"
            class="button"
            :disabled="isBusy"
            data-testid="ask-deliveries"
            @click="askDeliveries"
          >
            What has been sent?</button
          ><button
            v-if="!isReceiving && notes.length === 0"
            type="button"
            class="button"
            data-testid="receive"
            @click="isReceiving = true"
          >
            Something came</button
          ><button
            v-if="supplier?.service && order.state === 'placed'"
            type="button"
            class="button"
            :disabled="isBusy"
            data-testid="send-order"
            @click="buying.send(order.order)"
          >
            Send it again
          </button>
          <form class="flex items-end gap-2" @submit.prevent="confirm">
            <label
              ><span class="label">Confirmed for</span
              ><input v-model="expected" type="date" class="field number" data-testid="expected-on" /></label
            ><button type="submit" class="button" data-testid="confirm">Confirmed</button>
          </form>
          <button
            type="button"
            class="button button-quiet"
            data-testid="end-order"
            @click="
              buying.confirm(order.order, order.lines.some(({ received }) => received > 0) ? 'closed' : 'cancelled')
            "
          >
            {{ order.lines.some(({ received }) => received > 0) ? 'The rest does not come' : 'Cancel it' }}
          </button>
        </div>
        <p class="flex flex-wrap gap-3 pt-4">
          <a class="button button-quiet" :href="`/api/shelf/orders/${order.order}/order.xml`" download>As UBL</a
          ><a class="button button-quiet" :href="`/api/shelf/orders/${order.order}/order.csv`" download>As CSV</a>
        </p>
      </template>
    </main>
  </div>
</template>
