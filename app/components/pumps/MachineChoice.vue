<script setup lang="ts">
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'
import type { Customer, Machine } from '#core/visit/entry'
import type { CustomerView } from '~/utils/register-views'
import type { FoundLine } from '~/utils/pumps-found'

/** A machine of the register, found by any word of it or of whose it is. */
export interface ChosenMachine {
  machine: Machine
  customer: Customer
}
const { problem = '' } = defineProps<{ problem?: string }>()
const chosen = defineModel<ChosenMachine | undefined>({ required: true })
const emit = defineEmits<{ counted: [machines: number] }>()
const typed = ref('')
const { found, linesOf } = useRegisterSearch(() => ({ q: typed.value, what: 'machine' }))
watch(found, (now) => now && emit('counted', now.machines))
const lines = computed(() => linesOf('machine'))
async function choose(line: FoundLine | null): Promise<void> {
  chosen.value = line?.customerId && line.machineId ? await machineOf(line.customerId, line.machineId) : undefined
}
async function machineOf(customerId: string, machineId: string): Promise<ChosenMachine | undefined> {
  const response = await ask(`/api/customers/${customerId}`).catch(() => undefined)
  if (!response?.ok) return undefined
  const { customer, machines } = (await response.json()) as CustomerView
  const machine = machines.find((each) => each.machine.id === machineId)?.machine
  return machine && { customer, machine }
}
const label = () => (chosen.value ? `${chosen.value.customer.name}, ${chosen.value.machine.name}` : typed.value)
</script>

<template>
  <Combobox :model-value="null" nullable as="div" class="relative" @update:model-value="choose">
    <ComboboxLabel class="label">Machine</ComboboxLabel>
    <div class="relative">
      <ComboboxInput
        class="field pr-12"
        autocomplete="off"
        placeholder="a name, a place, a kind"
        :display-value="label"
        @change="typed = $event.target.value"
      /><ComboboxButton
        class="absolute inset-y-0 right-0 inline-flex min-w-12 items-center justify-center"
        aria-label="all machines"
        ><ChevronDown :size="20" aria-hidden="true"
      /></ComboboxButton>
    </div>
    <ComboboxOptions class="absolute z-10 max-h-80 w-full overflow-auto border border-ink bg-sheet"
      ><ComboboxOption v-for="line in lines" :key="line.machineId" v-slot="{ active }" :value="line" as="template"
        ><li
          class="flex min-h-12 flex-wrap items-center justify-between gap-x-3 px-3 py-1"
          :class="{ 'bg-ink text-on-ink': active }"
        >
          <span>{{ line.label }}</span><span class="text-[0.9rem]">{{ line.about }}</span>
        </li></ComboboxOption
      >
      <li v-if="found && lines.length === 0" class="px-3 py-3">
        No machine of that name. Write down a new one.
      </li></ComboboxOptions
    >
    <p v-if="problem" role="alert" class="text-rust">{{ problem }}</p>
  </Combobox>
</template>
