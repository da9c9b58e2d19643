<script setup lang="ts">
import type { Customer } from '#core/visit/entry'
import type { CustomerView } from '~/utils/register-views'

/** Whose a new machine is: somebody new, or somebody who is known already and is not to be written down twice. */
export interface Whose {
  name: string
  place: string
  phone: string
}
const { problem = '' } = defineProps<{ problem?: string }>()
const form = defineModel<Whose>('form', { required: true })
const known = defineModel<Customer | undefined>('known', { required: true })
const [FEWEST, MOST_LIKE, LEAST_DIGITS] = [3, 4, 6]
const asked = computed(() => {
  const { name, phone } = form.value
  const q = phone.replaceAll(/\D/g, '').length >= LEAST_DIGITS ? phone.trim() : name.trim()
  return known.value || q.length < FEWEST ? undefined : { q, what: 'customer' }
})
const { linesOf } = useRegisterSearch(() => asked.value)
const alike = computed(() => linesOf('customer').slice(0, MOST_LIKE))
async function choose(id: string | undefined): Promise<void> {
  const response = await ask(`/api/customers/${id}`).catch(() => undefined)
  if (!response?.ok) return
  known.value = ((await response.json()) as CustomerView).customer
}
</script>

<template>
  <p v-if="known" class="flex flex-wrap items-center gap-x-4 sm:col-span-2" data-testid="known-customer">
    <span
      >For <strong>{{ known.name }}</strong>{{ known.place ? `, ${known.place}` : '' }}</span
    ><button type="button" class="button button-quiet" @click="known = undefined">For somebody else</button>
  </p>
  <template v-else>
    <label
      ><span class="label">Customer</span
      ><input v-model="form.name" class="field" maxlength="120" autocomplete="off" /><span
        v-if="problem"
        role="alert"
        class="text-rust"
        >{{ problem }}</span
      ></label
    >
    <label
      ><span class="label">Place</span><input v-model="form.place" class="field" maxlength="200" autocomplete="off"
    /></label>
    <label
      ><span class="label">Telephone</span
      ><input v-model="form.phone" class="field" type="tel" maxlength="40" autocomplete="off"
    /></label>
    <div v-if="alike.length > 0" class="sm:col-span-2" data-testid="alike">
      <p class="label">Somebody who is known already?</p>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="line in alike"
          :key="line.customerId"
          type="button"
          class="toggle"
          data-testid="alike-customer"
          @click="choose(line.customerId)"
        >
          <strong>{{ line.label }}</strong>{{ line.about }}
        </button>
      </div>
    </div>
  </template>
</template>
