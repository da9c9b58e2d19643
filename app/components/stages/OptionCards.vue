<script setup lang="ts">
import type { Option } from '#core/decision/options'
import { warrantyWorth } from '#core/decision/warranty'
import type { OfferRow } from '#core/visit/offer-sheet'
import { wayOf } from '#core/knowledge/shop/practices'
import { formatMinutes, formatPercent } from '#core/quantity/format'

/** The ways of mending what is wrong, side by side: one is chosen, another can be done as well. */
const { visit, state, options } = useVisitContext()
const { offer, mostYears, mostPerYear } = useOffer()
/** What the owner weighs besides: of the ways that are put side by side. */
const offered = computed(() => new Map((offer.value?.ways ?? []).map((way) => [way.id, way])))
const FROM = { lamp: 'the lamp’s', wish: 'the owner’s wish', other: '' } as const
/** What the card has room for, in its own words. */
const LABELS: Partial<Record<OfferRow['id'], string>> = {
  warranty: 'warranty',
  life: 'lasts',
  'per-year': 'a year',
  power: 'power a year',
  all: 'in all',
}
const rowsOf = (id: string) =>
  (offered.value.get(id)?.rows ?? []).flatMap((row) => (LABELS[row.id] ? [{ ...row, label: LABELS[row.id] }] : []))
const money = useMoney()
const worth = (option: Option) =>
  wayOf('warranty', visit.shop.schools) === 'priced' ? warrantyWorth(option, visit.shop.rates, state.value.pump) : 0
/** Where the keyboard enters the choice: at what is chosen, else at the first. */
const entered = computed(() =>
  options.value.some(({ id }) => id === state.value.decision) ? state.value.decision : options.value[0]?.id,
)
const isAsWell = (id: string) => id !== state.value.decision && state.value.agreed.includes(id)
const choose = (id: string) => visit.append('decision', { option: id })
const asWell = (id: string) =>
  visit.append('job', { job: id, state: isAsWell(id) ? 'offered' : 'agreed', from: 'lamp' })
</script>

<template>
  <div class="options" role="radiogroup" aria-label="how it is mended" @keydown="rove">
    <article
      v-for="option in options"
      :key="option.id"
      class="option"
      :class="{ 'is-chosen': state.agreed.includes(option.id) }"
      :data-testid="`option-${option.id}`"
    >
      <p class="min-h-[1.4em] text-[0.92rem] font-bold text-river">
        {{ FROM[offered.get(option.id)?.from ?? 'other'] }}
      </p>
      <h3 class="min-h-[2.4em]">{{ option.label }}</h3>
      <p class="flex flex-wrap items-center justify-between gap-2">
        <span class="number text-2xl font-bold">{{ money(option.price) }}</span>
        <button
          type="button"
          role="radio"
          class="toggle justify-center font-bold"
          :aria-checked="option.id === state.decision"
          :tabindex="option.id === entered ? 0 : -1"
          @click="choose(option.id)"
        >
          {{ option.id === state.decision ? 'Chosen' : 'Choose' }}
        </button>
      </p>
      <dl>
        <div>
          <dt>expected</dt>
          <dd class="number">{{ money(option.expectedCost) }}</dd>
        </div>
        <div>
          <dt>whole cure</dt>
          <dd class="number">{{ formatPercent(option.chanceRight) }}</dd>
        </div>
        <div>
          <dt>time</dt>
          <dd class="number">{{ formatMinutes(option.minutes.p50) }} to {{ formatMinutes(option.minutes.p90) }}</dd>
        </div>
        <div v-if="worth(option) >= 1">
          <dt>its warranty saves</dt>
          <dd class="number">{{ money(worth(option)) }}</dd>
        </div>
        <div v-for="row in rowsOf(option.id)" :key="row.id">
          <dt>{{ row.label }}</dt>
          <dd class="text-right" :class="{ number: row.id !== 'life' }">{{ row.value }}</dd>
        </div>
      </dl>
      <WayBlock
        v-if="offered.get(option.id)?.block"
        :block="offered.get(option.id)!.block!"
        :most-years="mostYears"
        :most-per-year="mostPerYear"
        class="max-w-60"
      />
      <details>
        <summary class="min-h-12 py-3 text-[0.92rem]">
          parts <span class="number">{{ money(option.partsPrice) }}</span>, labour
          <span class="number">{{ money(option.labourPrice) }}</span>
        </summary>
        <ul class="mt-1 ml-4 list-disc text-[0.92rem]">
          <li v-for="part in option.parts" :key="part.part">{{ part.label }}</li>
          <li v-if="option.parts.length === 0">no parts</li>
        </ul>
        <p class="mt-1 text-[0.92rem]">{{ option.because }}</p>
      </details>
      <button
        v-if="state.decision && option.id !== state.decision"
        type="button"
        class="toggle mt-auto justify-center"
        :aria-pressed="isAsWell(option.id)"
        :aria-label="`${option.label}, as well`"
        data-testid="as-well"
        @click="asWell(option.id)"
      >
        {{ isAsWell(option.id) ? 'Agreed too' : 'As well' }}
      </button>
    </article>
  </div>
  <p v-if="offer?.ways.some(({ block }) => block)" class="py-2 text-[0.92rem] text-slate">
    A block is as wide as the years it lasts and as high as what that costs a year; the dark part is under warranty.
  </p>
</template>

<style scoped>
.options {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
  border-block: 1px solid var(--rule);
}
.option {
  display: flex;
  flex-direction: column;
  gap: 0.4rem;
  padding: 0.7rem 0.9rem 0.8rem;
  border-left: 1px solid var(--rule);
}
.option:first-child {
  border-left: 0;
}
.is-chosen {
  background: var(--sheet);
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 0.5rem;
}
dt {
  color: var(--slate);
}
@media (max-width: 900px) {
  .option {
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
