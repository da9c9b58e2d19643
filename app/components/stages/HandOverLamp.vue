<script setup lang="ts">
import { render } from '#core/quantity/sentence'
import { addDays, addMonths, format } from 'date-fns'
import { wayOf } from '#core/knowledge/shop/practices'
import { splitStep } from '#core/takedown/split-step'

const { visit, state, bill } = useVisitContext()
const end = useStageEnd()
const { system, reader } = useUnits()
const { tray } = useRepair()
const leftOver = computed(() => tray.value.map(({ text }) => splitStep(render(text, reader.value)).title).join('; '))
const leftWhy = ref('')
// New bearings or a new seal settle in: a shop of that practice looks again after a day.
const again =
  wayOf('after', visit.shop.schools) === 'second-look' &&
  bill.value?.parts.some(({ part }) => part === 'bearings' || part === 'shaft-seal') === true
const watchText = ref(
  state.value.handedOver?.watch ??
    (again ? 'New bearings and seals can be a little loud at first: a second look after a day.' : ''),
)
const nextDate = ref(state.value.handedOver?.nextDate ?? (again ? format(addDays(new Date(), 1), 'yyyy-MM-dd') : ''))
const price = ref(state.value.handedOver?.price?.toString() ?? '')
const problem = ref('')
const { problemsOf } = useEntryRules()
const FIELDS: Readonly<Record<string, string>> = {
  watch: 'What to watch',
  nextDate: 'The next date',
  price: 'The price',
}
const path = computed(() => `/api/visits/${state.value.id}`)
const soon = (months: number) => format(addMonths(new Date(), months), 'yyyy-MM-dd')

function handOver(): void {
  const typed = price.value.trim() === '' ? undefined : (readNumber(price.value) ?? Number.NaN)
  problem.value =
    typed !== undefined && !(typed >= 0) ? 'The price is a number, such as 74.50, or empty for the plan’s own.' : ''
  if (!problem.value && leftOver.value && !leftWhy.value.trim())
    problem.value = 'Say why it stays out, or tick it back under Repair.'
  const amount = typed ?? bill.value?.price
  const body = {
    watch: watchText.value.trim(),
    ...(nextDate.value ? { nextDate: nextDate.value } : {}),
    ...(amount === undefined ? {} : { price: Math.round(amount * 100) / 100 }),
  }
  const [refused] = Object.entries(problemsOf('handed-over', body))
  if (!problem.value && refused) problem.value = `${FIELDS[refused[0]] ?? refused[0]}: ${refused[1]}.`
  if (problem.value) return
  if (leftOver.value)
    visit.append('note', {
      text: `still out at the hand-over: ${leftOver.value}. ${leftWhy.value.trim()}`,
      seenAndLeft: true,
    })
  visit.append('handed-over', body)
  void end('hand-over')
}
function printSheet(): void {
  window.print()
}
</script>

<template>
  <LampCard
    :title="state.handedOver ? 'Handed over' : 'Hand over'"
    :because="
      state.handedOver
        ? 'The sheet is filed. Next year’s readings will be compared with these.'
        : 'The sheet beside this is what the owner keeps. Say what to watch, and when to come again.'
    "
  >
    <label
      ><span class="label">What to watch</span><textarea v-model="watchText" class="field" rows="2" maxlength="2000" />
    </label>
    <div class="flex flex-wrap items-end gap-2">
      <label class="grow"
        ><span class="label">Next date</span><input v-model="nextDate" type="date" class="field" /></label
      ><button type="button" class="button" @click="nextDate = soon(12)">in a year</button>
    </div>
    <label
      ><span class="label">Price agreed</span
      ><input
        v-model="price"
        class="field number"
        inputmode="decimal"
        :placeholder="bill ? bill.price.toFixed(2) : 'none'"
    /></label>
    <label v-if="leftOver" data-testid="left-over"
      ><span class="label">Still in the tray: {{ leftOver }}. Why?</span
      ><input v-model="leftWhy" class="field" maxlength="300"
    /></label>
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
    <template #buttons>
      <button type="button" class="button button-lit basis-full" data-testid="hand-over" @click="handOver">
        {{ state.handedOver ? 'Write it again' : 'Hand over' }}
      </button>
      <button type="button" class="button" @click="printSheet">Print</button>
      <a class="button" :href="`${path}/sheet.pdf?units=${system}`" target="_blank" rel="noopener" data-testid="pdf"
        >PDF</a
      >
      <a class="button" :href="`${path}/visit.json`" download data-testid="export">Visit file</a>
      <a class="button" :href="`${path}/readings.csv?units=${system}`" download data-testid="csv">Readings CSV</a>
    </template>
  </LampCard>
</template>
