<script setup lang="ts">
import type { Option } from '#core/decision/options'
import { warrantyWorth } from '#core/decision/warranty'
import { wayOf } from '#core/knowledge/shop/practices'
import { formatMinutes, formatPercent } from '#core/quantity/format'

const { visit, state, options } = useVisitContext()
const money = useMoney()
const worth = (option: Option) =>
  wayOf('warranty', visit.shop.schools) === 'priced'
    ? warrantyWorth(option, visit.shop.rates, state.value.machine.kind)
    : 0
/** Where the keyboard enters the choice: at what is chosen, else at the first. */
const entered = computed(() => state.value.decision ?? options.value[0]?.id)
const choose = (option: Option) => visit.append('decision', { option: option.id })
</script>

<template>
  <div class="p-5">
    <h2 class="mb-1 text-xl">What is worth doing?</h2>
    <p class="mb-3 text-slate">
      Price from the shop’s rates. Expected cost adds what it costs if this is not the whole cure.
    </p>
    <div role="radiogroup" aria-label="what is done" @keydown="rove">
      <div class="options">
        <article
          v-for="option in options"
          :key="option.id"
          class="option"
          :class="{ 'is-chosen': option.id === state.decision }"
          :data-testid="`option-${option.id}`"
        >
          <h3 class="min-h-[2.4em]">{{ option.label }}</h3>
          <p class="number text-2xl font-bold">{{ money(option.price) }}</p>
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
              <dd class="number">{{ formatMinutes(option.minutes) }}</dd>
            </div>
            <div>
              <dt>parts</dt>
              <dd class="number">{{ money(option.partsPrice) }}</dd>
            </div>
            <div>
              <dt>labour</dt>
              <dd class="number">{{ money(option.labourPrice) }}</dd>
            </div>
            <div v-if="worth(option) >= 1">
              <dt>its warranty saves</dt>
              <dd class="number">{{ money(worth(option)) }}</dd>
            </div>
          </dl>
          <ul class="ml-4 list-disc text-[0.92rem]">
            <li v-for="part in option.parts" :key="part.part">{{ part.label }}</li>
            <li v-if="option.parts.length === 0">no parts</li>
          </ul>
          <p class="text-[0.92rem]">{{ option.because }}</p>
          <button
            type="button"
            role="radio"
            class="toggle mt-auto justify-center font-bold"
            :aria-checked="option.id === state.decision"
            :tabindex="option.id === entered ? 0 : -1"
            @click="choose(option)"
          >
            {{ option.id === state.decision ? 'Chosen' : 'Choose' }}
          </button>
        </article>
      </div>
      <OtherJobs :entered="entered" />
    </div>
    <DecisionChart v-if="options.length > 1" :options="options" class="mt-4" />
  </div>
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
  gap: 0.5rem;
  padding: 0.9rem 0.9rem 1rem;
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
