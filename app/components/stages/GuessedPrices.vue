<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import { PARTS, type Part } from '#core/knowledge/vocabulary'
import { enteredShop } from '#core/visit/shop'
import { isOldPrice } from '#core/shelf/prices'
import { format, formatISO, parseISO } from 'date-fns'
import { useSelf } from '~/stores/self'

/** Parts whose price the shop has not made its own: it is asked here, and remembered. */
const { visit, state, account } = useVisitContext()
const [journal, self] = [useShopJournal(), useSelf()]
const typed = reactive<Record<string, string>>({})
const problem = ref('')
const parts = computed(() => [
  ...new Set(account.value.lines.flatMap(({ part, isGuessed }) => (part && isGuessed ? [part] : []))),
])
const today = formatISO(new Date(), { representation: 'date' })
/** Prices of the shelf that nobody has asked for since a season. */
const old = computed(() =>
  account.value.lines.flatMap(({ part, pricedOn }) =>
    part && pricedOn !== undefined && isOldPrice({ pricedOn }, today) ? [{ part, pricedOn }] : [],
  ),
)
const keyOf = (part: Part) => {
  const own = `${part}:${state.value.machine.kind}` as const
  return DEFAULT_RATES.partPrices[own] === undefined ? part : own
}
const usual = (part: Part) => String(visit.shop.rates.partPrices[keyOf(part)] ?? '')
async function keep(part: Part): Promise<void> {
  const price = readNumber(typed[part] ?? usual(part))
  problem.value = price === undefined || price < 0 ? `The price of the ${PARTS[part]} is a number, such as 32.50.` : ''
  if (price === undefined || problem.value) return
  const shop = visit.shop
  const own = enteredShop(shop)
  const rates = { ...own.rates, partPrices: { ...own.rates.partPrices, [keyOf(part)]: price } }
  await journal.append('shop-set', { ...own, name: own.name || 'This shop', rates })
  visit.setShop({
    ...shop,
    rates: { ...shop.rates, partPrices: { ...shop.rates.partPrices, [keyOf(part)]: price } },
    guessedPrices: (shop.guessedPrices ?? []).filter((key) => key !== keyOf(part)),
  })
}
</script>

<template>
  <p v-if="old.length > 0" class="mt-2 border-t border-rule pt-2 text-[0.95rem]" data-testid="old-prices">
    Older than a season:
    {{
      old.map(({ part, pricedOn }) => `${PARTS[part]}, priced ${format(parseISO(pricedOn), 'd MMM yyyy')}`).join('; ')
    }}.
    <NuxtLink to="/shelf" class="inline-flex min-h-12 items-center underline">Ask again what it costs</NuxtLink>
  </p>
  <section v-if="parts.length > 0 && !visit.shop.unset" class="mt-2 border-t border-rule pt-2" data-testid="guessed">
    <p class="text-[0.95rem]">
      Usual prices, not yet yours.
      {{ self.may('settings') ? 'What does it cost you?' : 'The owner enters what they cost you.' }}
    </p>
    <form
      v-for="part in self.may('settings') ? parts : []"
      :key="part"
      class="mt-1 flex flex-wrap items-center gap-2"
      :data-testid="`guessed-${part}`"
      @submit.prevent="keep(part)"
    >
      <span class="min-w-40 grow">{{ PARTS[part] }}</span>
      <input
        :value="typed[part] ?? usual(part)"
        class="field number w-28"
        inputmode="decimal"
        :aria-label="`price of the ${PARTS[part]}`"
        @input="typed[part] = ($event.target as HTMLInputElement).value"
      />
      <button type="submit" class="button">Keep</button>
    </form>
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
  </section>
</template>
