<script setup lang="ts">
import { readNumber } from '#core/quantity/read-number'
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import type { Ref } from 'vue'
import { PARTS, type Part } from '#core/knowledge/vocabulary'

/** What is put on the account by hand: a line, a discount, a part of the customer's, or no charge. */
const { visit, bill } = useVisitContext()
const label = ref('')
const amount = ref('')
const own = ref('')
const kept = ref('')
const bring = () => without('own', 'brought by the customer', own)
const keep = () => without('kept', 'the old one kept', kept)
const problem = ref('')
const parts = computed(() => [...new Set((bill.value?.parts ?? []).map(({ part }) => part))])
const { problemsOf } = useEntryRules()
const lateTimes = computed(() => visit.shop.rates.afterHours ?? DEFAULT_RATES.afterHours)

function put(): void {
  const number = readNumber(amount.value)
  problem.value = number === undefined ? 'The amount is a number, such as 12.50, or -20 for something taken off.' : ''
  if (!problem.value && !label.value.trim()) problem.value = 'Say what the line is for.'
  if (problem.value || number === undefined) return
  const body = { label: label.value.trim(), amount: Math.round(number * 100) / 100 }
  const [refused] = Object.entries(problemsOf('price-change', body))
  if (refused) problem.value = `${refused[0]}: ${refused[1]}.`
  if (problem.value) return
  visit.append('price-change', body)
  label.value = ''
  amount.value = ''
}
/** A part that is not sold: the customer’s own, or the old one put back. */
function without(field: 'own' | 'kept', words: string, chosen: Ref<string>): void {
  if (!chosen.value) return
  const part = chosen.value as Part
  visit.append('price-change', { label: `${PARTS[part]}, ${words}`, [field]: part })
  chosen.value = ''
}
const late = ref('')
function putLate(): void {
  const minutes = readNumber(late.value)
  problem.value = minutes === undefined || minutes <= 0 ? 'Minutes after hours, such as 45.' : ''
  const body = { label: `${late.value.trim()} minutes after hours`, afterHours: minutes as number }
  const [refused] = problem.value ? [] : Object.entries(problemsOf('price-change', body))
  if (refused) problem.value = `${refused[0]}: ${refused[1]}.`
  if (problem.value) return
  visit.append('price-change', body)
  late.value = ''
}
const waive = (waives: 'work' | 'all', words: string) => visit.append('price-change', { label: words, waives })
</script>

<template>
  <Disclosure v-slot="{ open }" as="div">
    <DisclosureButton class="button button-quiet" data-testid="account-changes">{{
      open ? 'less' : 'Another line, a discount, no charge'
    }}</DisclosureButton>
    <DisclosurePanel class="grid gap-3 border-t border-rule py-3">
      <form class="flex flex-wrap items-end gap-2" @submit.prevent="put">
        <label class="min-w-48 grow"
          ><span class="label">for</span
          ><input v-model="label" class="field" maxlength="200" data-testid="change-label" placeholder="old customer"
        /></label>
        <label class="w-32"
          ><span class="label">amount</span
          ><input
            v-model="amount"
            class="field number"
            inputmode="decimal"
            data-testid="change-amount"
            placeholder="-20.00"
        /></label>
        <button type="submit" class="button" data-testid="change-put">Put it on</button>
      </form>
      <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
      <form class="flex flex-wrap items-end gap-2" @submit.prevent="putLate">
        <label class="w-48"
          ><span class="label">after hours, minutes</span
          ><input
            v-model="late"
            class="field number"
            inputmode="numeric"
            maxlength="4"
            data-testid="change-late"
            placeholder="45"
        /></label>
        <button type="submit" class="button" data-testid="change-late-put">
          Put it on, {{ lateTimes }} times an hour
        </button>
      </form>
      <div class="flex flex-wrap items-end gap-2">
        <label class="min-w-48 grow"
          ><span class="label">brought by the customer</span
          ><select v-model="own" class="field" data-testid="change-own" @change="bring">
            <option value="">no part</option>
            <option v-for="part in parts" :key="part" :value="part">{{ PARTS[part] }}</option>
          </select></label
        >
        <label class="min-w-48 grow"
          ><span class="label">the old one goes back</span
          ><select v-model="kept" class="field" data-testid="change-kept" @change="keep">
            <option value="">no part</option>
            <option v-for="part in parts" :key="part" :value="part">{{ PARTS[part] }}</option>
          </select></label
        >
        <button type="button" class="button" @click="waive('work', 'No charge for the work')">
          No charge for work
        </button>
        <button type="button" class="button" data-testid="no-charge" @click="waive('all', 'No charge')">
          No charge at all
        </button>
      </div>
    </DisclosurePanel>
  </Disclosure>
</template>
