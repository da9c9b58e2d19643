<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { SCHOOLS, wayOf, type SchoolId, type SchoolWays } from '#core/knowledge/shop/schools'

/**
 * Where good practice differs, how this shop does it: the steps, the materials and the minutes follow, and the sheet
 * names it.
 */
const { schools = {} } = defineProps<{ schools?: SchoolWays }>()
const emit = defineEmits<{ set: [schools: SchoolWays] }>()
const rows = Object.entries(SCHOOLS).map(([id, school]) => ({
  id: id as SchoolId,
  question: school.question,
  ways: Object.entries(school.ways),
  note: 'note' in school ? school.note : undefined,
}))
</script>

<template>
  <section data-testid="schools">
    <h2 class="text-xl">How this shop does it</h2>
    <p class="mb-2 text-slate">
      Where good practice goes more than one way. Steps, materials and minutes follow at once, and the sheet names it
      where it mattered.
    </p>
    <RadioGroup
      v-for="row in rows"
      :key="row.id"
      :model-value="wayOf(row.id, schools)"
      class="border-t border-rule py-2"
      :data-testid="`school-${row.id}`"
      @update:model-value="(way: string) => emit('set', { ...schools, [row.id]: way })"
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
