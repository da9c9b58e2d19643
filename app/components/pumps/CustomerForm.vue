<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { Customer } from '#core/visit/entry'

/** Who it is: written anew, or corrected in the register and in what is still open. */
const { customer = undefined, open = [] } = defineProps<{ customer?: Customer; open?: readonly string[] }>()
const emit = defineEmits<{ saved: [customer: Customer]; cancel: [] }>()
const register = useRegister()
const form = reactive({
  name: customer?.name ?? '',
  place: customer?.place ?? '',
  phone: customer?.phone ?? '',
  mail: customer?.mail ?? '',
})
const problems = ref<Record<string, string>>({})
const trouble = ref('')
async function save(): Promise<void> {
  trouble.value = ''
  const trimmed = Object.fromEntries(Object.entries(form).map(([key, value]) => [key, value.trim()]))
  const next = emptyToUndefined({ id: customer?.id ?? uuidv7(), ...trimmed }) as Customer
  const whole = { ...next, place: next.place ?? '' }
  problems.value = Object.fromEntries(
    Object.entries(await register.checked('customer-set', { customer: whole })).map(([path, expected]) => [
      path.replace('customer.', ''),
      path === 'customer.name' ? 'A name is needed.' : expected,
    ]),
  )
  if (Object.keys(problems.value).length > 0) return
  try {
    await register.correctCustomer(whole, open)
    emit('saved', whole)
  } catch {
    trouble.value = 'The server does not answer, and open visits have to be corrected with it. Nothing was changed.'
  }
}
</script>

<template>
  <form class="mt-3 grid gap-3" novalidate data-testid="customer-form" @submit.prevent="save">
    <TextField v-model="form.name" label="Name" :problem="problems.name" />
    <TextField
      v-model="form.place"
      label="Address"
      placeholder="Weir Street 9, Tarrow Mill"
      :problem="problems.place"
    />
    <TextField v-model="form.phone" label="Telephone" type="tel" :problem="problems.phone" />
    <TextField v-model="form.mail" label="Mail" type="email" :problem="problems.mail" />
    <p v-if="trouble" role="alert" class="text-rust">{{ trouble }}</p>
    <p v-if="open.length > 0" class="text-slate">
      {{ counted(open.length, 'open visit') }} will bear it too; what was handed over stays as it was written.
    </p>
    <div class="flex flex-wrap gap-2">
      <button type="submit" class="button" data-testid="save-customer">Write it down</button
      ><button type="button" class="button button-quiet" @click="emit('cancel')">Leave it</button>
    </div>
  </form>
</template>
