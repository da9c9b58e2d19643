<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { format } from 'date-fns'

/** The ways side by side, turned towards the owner: what each mends, how long it serves, what it costs. */
const emit = defineEmits<{ close: [] }>()
const { visit, state, bill, account } = useVisitContext()
const { offer, mostYears, mostPerYear } = useOffer()
const money = useMoney()
const by = ref(state.value.priceAgreed?.by ?? '')
const mailing = ref(false)
const FROM = { lamp: 'what we would do', wish: 'as you asked', other: 'another way' } as const
const said = computed(() => state.value.priceAgreed)
const isSaid = computed(() => said.value !== undefined && said.value.price === account.value.total)
/** What a thing costs that nobody chose yet is not agreed to. */
const canAgree = computed(() => bill.value !== undefined && by.value.trim() !== '')
function agree(): void {
  if (canAgree.value) visit.append('price-agreed', { by: by.value.trim(), price: account.value.total })
}
</script>

<template>
  <Dialog :open="true" class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 overflow-y-auto bg-paper">
      <DialogPanel v-if="offer" class="mx-auto max-w-6xl p-5 text-ink max-sm:p-3" data-testid="owner-offer">
        <header class="flex flex-wrap items-baseline justify-between gap-x-6 border-b-2 border-ink pb-2">
          <div>
            <strong class="text-lg">{{ offer.shop.name }}</strong><br />{{ offer.shop.place }}
          </div>
          <div class="text-right max-sm:text-left">
            <strong>For {{ offer.customer.name }}</strong
            ><br />{{ offer.machine.name }}
          </div>
        </header>
        <DialogTitle class="mt-4 text-[1.7rem] leading-tight">How it can be mended</DialogTitle>
        <p v-if="offer.complaint" class="text-slate">You called for: {{ offer.complaint }}</p>
        <p v-if="offer.shop.unset" class="mt-2 font-bold">
          These are usual prices: the shop has not said what it charges.
          <NuxtLink to="/settings" class="underline">Settings</NuxtLink>
        </p>
        <div class="ways mt-4" role="radiogroup" aria-label="ways to mend it" @keydown="rove">
          <article
            v-for="(way, index) in offer.ways"
            :key="way.id"
            class="way"
            :class="{ 'is-chosen': way.isChosen }"
            :data-testid="`way-${way.id}`"
          >
            <p class="text-[0.95rem] text-slate">{{ FROM[way.from] }}</p>
            <h3 class="min-h-[2.5em] text-xl leading-tight max-sm:min-h-0">{{ way.label }}</h3>
            <p class="number text-3xl font-bold">{{ money(way.price) }}</p>
            <div class="graph">
              <WayBlock v-if="way.block" :block="way.block" :most-years="mostYears" :most-per-year="mostPerYear" />
            </div>
            <dl>
              <div v-for="row in way.rows" :key="row.id">
                <dt>{{ row.label }}</dt>
                <dd>{{ row.value }}</dd>
              </div>
            </dl>
            <button
              type="button"
              role="radio"
              class="toggle mt-auto justify-center font-bold"
              :aria-checked="way.isChosen"
              :tabindex="way.isChosen || (!state.decision && index === 0) ? 0 : -1"
              @click="visit.append('decision', { option: way.id })"
            >
              {{ way.isChosen ? 'This one' : 'Choose this' }}
            </button>
          </article>
        </div>
        <p v-if="offer.ways.some(({ block }) => block)" class="mt-3 text-slate">
          A block is as wide as the years it usually lasts and as high as what that costs a year: its area is the price.
          The dark part is under warranty.
        </p>
        <p v-for="note in offer.notes" :key="note" class="text-slate">{{ note }}</p>
        <div class="mt-4 flex flex-wrap items-end gap-3 border-t-2 border-ink pt-4">
          <label class="min-w-56 grow"
            ><span class="label">Agreed by</span
            ><input v-model="by" class="field" maxlength="120" autocomplete="off" data-testid="offer-by"
          /></label>
          <button
            type="button"
            class="button"
            :class="{ 'button-lit': !isSaid }"
            :disabled="!canAgree"
            data-testid="offer-agree"
            @click="agree"
          >
            {{ bill ? `Agreed: ${money(account.total)}` : 'Choose a way first' }}
          </button>
          <button type="button" class="button" data-testid="offer-mail" @click="mailing = true">Mail it</button>
          <PaperLink name="offer">PDF</PaperLink>
          <button type="button" class="button button-quiet" data-testid="offer-close" @click="emit('close')">
            Back to the work
          </button>
        </div>
        <p v-if="said" class="mt-2" data-testid="offer-said">
          {{ said.by }} agreed to <strong class="number">{{ money(said.price) }}</strong> at
          <span class="number">{{ format(new Date(said.at), 'HH:mm') }}</span>.<template v-if="!isSaid">
            It comes to something else now.</template
          >
        </p>
        <MailDialog v-if="mailing" paper="offer" @close="mailing = false" />
      </DialogPanel>
      <p v-else class="p-6">Thinking</p>
    </div>
  </Dialog>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
  border-block: 1px solid var(--rule);
}
.way {
  display: flex;
  flex-direction: column;
  gap: 0.5rem;
  padding: 1rem;
  border-left: 1px solid var(--rule);
}
.way:first-child {
  border-left: 0;
}
.is-chosen {
  background: var(--sheet);
}
.graph {
  max-width: 15rem;
}
dl > div {
  display: grid;
  grid-template-columns: 8.5rem 1fr;
  gap: 0.5rem;
  padding: 0.15rem 0;
}
dt {
  color: var(--slate);
}
@media (max-width: 900px) {
  .way {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
