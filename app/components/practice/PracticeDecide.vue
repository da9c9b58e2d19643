<script setup lang="ts">
import { actionMinutes } from '#core/diagnosis/loss'
import { partsPrice } from '#core/diagnosis/part-price'
import { accessGateOf } from '#core/diagnosis/gates'
import { buildModel } from '#core/diagnosis/model'
import { wholeRates } from '#core/knowledge/shop/rates'
import { PARTS } from '#core/knowledge/vocabulary'
import { inPlace } from '#core/practice/offered'
import { formatMinutes } from '#core/quantity/format'

/** With the lamp off or at a hint: every repair of this kind of machine, none before the others. */
const { visit, state } = useVisitContext()
const money = useMoney()
const rows = computed(() => {
  const { pump, machine } = state.value
  const rates = wholeRates(visit.shop.rates)
  const isOpen = state.value.gates.has(accessGateOf(machine.kind))
  return buildModel(pump)
    .actions.filter(
      (action) =>
        inPlace(action) && (!action.onlyUnderWarranty || pump.underWarranty) && !action.cures.includes('nothing-wrong'),
    )
    .map((action) => ({
      ...action,
      parts: action.parts.map((part) => PARTS[part]).join(', '),
      price: partsPrice(action.parts, rates, pump),
      minutes: actionMinutes(action, pump, isOpen),
    }))
    .sort((a, b) => a.label.localeCompare(b.label, 'en'))
})
</script>

<template>
  <div class="p-5">
    <h2 class="mb-1 text-xl">What is to be done?</h2>
    <p class="mb-3 text-slate">
      Every repair of such a pump, in no order but the alphabet’s. Minutes are the usual ones.
    </p>
    <ul class="ruled border-y border-rule" role="radiogroup" aria-label="repairs">
      <li v-for="row in rows" :key="row.id" class="flex items-center gap-3 py-1" :data-testid="`repair-${row.id}`">
        <span class="min-w-0 flex-1"
          >{{ row.label }}<span v-if="row.parts" class="block text-[0.9rem] text-slate">{{ row.parts }}</span></span
        ><span class="number w-16 text-right">{{ formatMinutes(row.minutes) }}</span
        ><span class="number w-24 text-right">{{ row.price > 0 ? money(row.price) : '' }}</span>
        <button
          type="button"
          role="radio"
          class="toggle justify-center font-bold"
          :aria-checked="state.decision === row.id"
          :aria-label="row.label"
          @click="visit.append('decision', { option: row.id })"
        >
          {{ state.decision === row.id ? 'Chosen' : 'Choose' }}
        </button>
      </li>
    </ul>
    <JobRows />
    <OnePlan />
  </div>
</template>
