<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { format } from 'date-fns'

/** What the customer paid: all of what is open, or a part of it. */
const { open } = defineProps<{ open: number }>()
const { visit } = useVisitContext()
const { checked } = useEntryRules()
const amount = ref(open.toFixed(2))
const on = ref(format(new Date(), 'yyyy-MM-dd'))
const how = ref('')
const problem = ref('')
watch(
  () => open,
  (left) => (amount.value = left.toFixed(2)),
)
const HOW = ['cash', 'card', 'transfer', 'cheque'] as const

const pay = oneAtATime(async () => {
  const paid = readNumber(amount.value)
  problem.value = paid === undefined || paid === 0 ? 'The amount is a number, such as 120.50.' : ''
  if (problem.value || paid === undefined) return
  const body = { amount: Math.round(paid * 100) / 100, on: on.value, ...(how.value ? { how: how.value } : {}) }
  const [refused] = Object.entries(await checked('paid', body))
  problem.value = refused ? `${refused[0]}: ${refused[1]}.` : ''
  if (!problem.value) visit.append('paid', body)
})
</script>

<template>
  <form class="grid grid-cols-2 items-end gap-2" novalidate data-testid="payment" @submit.prevent="pay">
    <label
      ><span class="label">amount</span
      ><input v-model="amount" class="field number" inputmode="decimal" maxlength="20" data-testid="paid-amount"
    /></label>
    <label><span class="label">on</span><input v-model="on" type="date" class="field" /></label>
    <label
      ><span class="label">how</span
      ><select v-model="how" class="field">
        <option value="">not said</option>
        <option v-for="each in HOW" :key="each" :value="each">{{ each }}</option>
      </select></label
    >
    <button type="submit" class="button" data-testid="paid-keep">Paid</button>
    <p v-if="problem" role="alert" class="col-span-2 font-bold">{{ problem }}</p>
  </form>
</template>
