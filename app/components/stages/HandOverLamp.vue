<script setup lang="ts">
const { state, account } = useVisitContext()
const money = useMoney()
const { system } = useUnits()
const { form, due, agreed, differs, isReady, leftOver, unproved, problem, handOver, addDue, dropDue, inAYear } =
  useHandOver()
const path = computed(() => `/api/visits/${state.value.id}`)
/** Issues before the newest: each stays as it was. */
const before = computed(() => Array.from({ length: Math.max(0, state.value.issues - 1) }, (_, index) => index + 1))
function printSheet(): void {
  window.print()
}
</script>

<template>
  <LampCard
    :title="state.handedOver ? 'Handed over' : 'Hand over'"
    :because="
      !state.handedOver
        ? 'The sheet beside this is what the owner keeps. Say what to watch, and when to come again.'
        : !state.isIssued
          ? 'Something was written since. A new issue says it; the old one stays.'
          : 'The sheet is filed. Next year’s readings will be compared with these.'
    "
  >
    <label
      ><span class="label">What to watch</span><textarea v-model="form.watch" class="field" rows="2" maxlength="2000" />
    </label>
    <fieldset v-if="due.length > 0" data-testid="due-list">
      <legend class="label">Comes due</legend>
      <div v-for="(each, index) in due" :key="index" class="mb-3 grid grid-cols-[1fr_auto] gap-2">
        <input v-model="each.on" type="date" class="field" aria-label="day" />
        <button type="button" class="button" :aria-label="`without ${each.what}`" @click="dropDue(index)">drop</button>
        <input v-model="each.what" class="field col-span-2" maxlength="300" aria-label="for what" />
      </div>
    </fieldset>
    <div class="flex flex-wrap items-end gap-2">
      <label class="grow"
        ><span class="label">Next visit</span><input v-model="form.nextDate" type="date" class="field" /></label
      ><button type="button" class="button" @click="inAYear">in a year</button
      ><button type="button" class="button button-quiet" @click="addDue">another date</button>
    </div>
    <label
      ><span class="label">Price, where it is another</span
      ><input
        v-model="form.price"
        class="field number"
        inputmode="decimal"
        :placeholder="account.lines.length > 0 ? account.total.toFixed(2) : 'none'"
    /></label>
    <label v-if="differs && agreed" data-testid="price-why"
      ><span class="label">{{ agreed.by }} agreed to {{ money(agreed.price) }}. Why is it another price?</span
      ><input v-model="form.priceWhy" class="field" maxlength="300"
    /></label>
    <label v-if="unproved.length > 0" data-testid="unproved"
      ><span class="label">Not proved: {{ unproved.map(({ label }) => label).join(', ') }}. Why?</span
      ><input v-model="form.unprovedWhy" class="field" maxlength="300"
    /></label>
    <label v-if="leftOver" data-testid="left-over"
      ><span class="label">Still in the tray: {{ leftOver }}. Why?</span
      ><input v-model="form.leftWhy" class="field" maxlength="300"
    /></label>
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
    <template #buttons>
      <button
        type="button"
        class="button button-lit basis-full"
        data-testid="hand-over"
        :disabled="!isReady"
        @click="handOver"
      >
        {{ state.handedOver ? `Write issue ${state.issues + 1}` : 'Hand over' }}
      </button>
      <button type="button" class="button" @click="printSheet">Print</button>
      <a class="button" :href="`${path}/sheet.pdf?units=${system}`" target="_blank" rel="noopener" data-testid="pdf"
        >Sheet, PDF</a
      >
      <a
        class="button"
        :href="`${path}/record.pdf?units=${system}`"
        target="_blank"
        rel="noopener"
        data-testid="record-pdf"
        >Record, PDF</a
      >
      <a
        v-for="issue in before"
        :key="issue"
        class="button"
        :href="`${path}/sheet.pdf?units=${system}&issue=${issue}`"
        target="_blank"
        rel="noopener"
        :data-testid="`issue-${issue}`"
        >Issue {{ issue }}</a
      >
      <a
        v-if="state.handedOver?.due || state.handedOver?.nextDate"
        class="button"
        :href="`${path}/due.ics`"
        download
        data-testid="ics"
        >Dates</a
      >
      <a class="button" :href="`${path}/visit.json`" download data-testid="export">Visit file</a>
      <a class="button" :href="`${path}/readings.csv?units=${system}`" download data-testid="csv">Readings CSV</a>
    </template>
  </LampCard>
</template>
