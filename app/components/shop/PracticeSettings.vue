<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { PRACTICES, wayOf, type PracticeId, type PracticeWays } from '#core/knowledge/shop/practices'

/**
 * Where good practice differs, how this shop does it: the steps, the materials and the minutes follow, and the sheet
 * names it.
 */
const { practices = {} } = defineProps<{ practices?: PracticeWays }>()
const emit = defineEmits<{ set: [practices: PracticeWays] }>()
const rows = Object.entries(PRACTICES).map(([id, practice]) => ({
  id: id as PracticeId,
  question: practice.question,
  ways: Object.entries(practice.ways),
  note: 'note' in practice ? practice.note : undefined,
}))
</script>

<template>
  <section data-testid="practices">
    <h2 class="text-xl">How this shop does it</h2>
    <p class="mb-2 text-slate">
      Where good practice goes more than one way. Steps, materials and minutes follow at once, and the sheet names it
      where it mattered.
    </p>
    <RadioGroup
      v-for="row in rows"
      :key="row.id"
      :model-value="wayOf(row.id, practices)"
      class="border-t border-rule py-2"
      :data-testid="`practice-${row.id}`"
      @update:model-value="(way: string) => emit('set', { ...practices, [row.id]: way })"
    >
      <RadioGroupLabel class="mb-1 block">{{ row.question }}</RadioGroupLabel>
      <span class="flex flex-wrap gap-2"
        ><RadioGroupOption v-for="[way, words] in row.ways" :key="way" v-slot="{ checked }" as="template" :value="way"
          ><button type="button" class="toggle text-left" :aria-checked="checked">{{ words }}</button></RadioGroupOption
        ></span
      >
      <p v-if="row.note" class="mt-1 text-[0.92rem] text-slate">{{ row.note }}</p>
    </RadioGroup>
  </section>
</template>
