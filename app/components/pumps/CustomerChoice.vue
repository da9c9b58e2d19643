<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxLabel, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import type { Customer } from '#core/visit/entry'
import type { CustomerView } from '~/utils/register-views'
import type { FoundLine } from '~/utils/pumps-found'

/** A customer of the register, found by name, street or telephone. */
const { label } = defineProps<{ label: string }>()
const chosen = defineModel<Customer | undefined>({ required: true })
const typed = ref('')
const { found, linesOf } = useRegisterSearch(() => ({ q: typed.value, what: 'customer' }))
const lines = computed(() => linesOf('customer'))
async function choose(line: FoundLine | null): Promise<void> {
  if (!line) return
  const response = await ask(`/api/customers/${line.customerId}`).catch(() => undefined)
  if (response?.ok) chosen.value = ((await response.json()) as CustomerView).customer
}
</script>

<template>
  <Combobox :model-value="null" as="div" class="relative" @update:model-value="choose">
    <ComboboxLabel class="label">{{ label }}</ComboboxLabel>
    <ComboboxInput
      class="field"
      autocomplete="off"
      placeholder="a name, a street, a telephone"
      :display-value="() => chosen?.name ?? typed"
      data-testid="customer-choice"
      @change="typed = $event.target.value"
    />
    <ComboboxOptions class="absolute z-10 max-h-72 w-full overflow-auto border border-ink bg-sheet">
      <ComboboxOption v-for="line in lines" :key="line.customerId" v-slot="{ active }" :value="line" as="template">
        <li
          class="flex min-h-12 flex-wrap items-center justify-between gap-x-3 px-3 py-1"
          :class="{ 'bg-ink text-on-ink': active }"
        >
          <span>{{ line.label }}</span><span class="text-[0.9rem]">{{ line.about }}</span>
        </li>
      </ComboboxOption>
      <li v-if="found && lines.length === 0" class="px-3 py-3">Nobody of that name.</li>
    </ComboboxOptions>
  </Combobox>
</template>
