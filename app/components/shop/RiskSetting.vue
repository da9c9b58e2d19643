<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import type { Rates } from '#core/knowledge/shop/rates'

/** What a live check's risk is worth to the shop: in the open, beside its other prices. */
const { rates } = defineProps<{ rates: Pick<Rates, 'liveRisk' | 'currency'> }>()
const emit = defineEmits<{ set: [liveRisk: number] }>()
const WAYS = [
  { worth: 0, words: 'its minutes alone' },
  { worth: 5, words: 'some' },
  { worth: 20, words: 'much: dead first' },
] as const
const worth = computed(() =>
  WAYS.reduce(
    (best, way) => (Math.abs(way.worth - rates.liveRisk) < Math.abs(best - rates.liveRisk) ? way.worth : best),
    0 as number,
  ),
)
const money = (amount: number) =>
  new Intl.NumberFormat('en-US', { style: 'currency', currency: rates.currency, maximumFractionDigits: 0 }).format(
    amount,
  )
</script>

<template>
  <RadioGroup
    :model-value="worth"
    class="border-t border-rule py-2"
    data-testid="live-risk"
    @update:model-value="(chosen: number) => emit('set', chosen)"
  >
    <RadioGroupLabel class="mb-1 flex justify-between gap-4"
      ><span>the risk of one live check</span><span class="number">{{ money(rates.liveRisk) }}</span></RadioGroupLabel
    >
    <span class="flex flex-wrap gap-2"
      ><RadioGroupOption v-for="way in WAYS" :key="way.worth" v-slot="{ checked }" as="template" :value="way.worth"
        ><button type="button" class="toggle text-left" :aria-checked="checked">
          {{ way.words }}
        </button></RadioGroupOption
      ></span
    >
    <p class="mt-1 text-[0.92rem] text-slate">
      Weighed beside the minutes of a check. What must not be energised is barred whatever this says.
    </p>
  </RadioGroup>
</template>
