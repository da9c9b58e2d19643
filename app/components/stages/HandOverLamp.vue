<script setup lang="ts">
import { STAGE_LABELS } from '#core/knowledge/vocabulary'
import { useLive } from '~/stores/live'

const { visit, state, account, journey: every } = useVisitContext()
const money = useMoney()
const { system } = useUnits()
const live = useLive()
const { form, due, agreed, differs, isReady, leftOver, unproved, problem, handOver, addDue, dropDue, inAYear } =
  useHandOver()
const path = computed(() => `/api/visits/${state.value.id}`)
const { issues, open } = useSheet()
/** Issues before the newest: each stays as it was. */
const before = computed(() => Array.from({ length: Math.max(0, issues.value - 1) }, (_, index) => index + 1))
const isAlone = computed(() => visit.order.length < 2)
/** The first of the journey bears what is charged once: it is handed over when the others are. */
const waitsFor = computed(() => (visit.order[0] === state.value.id && !state.value.handedOver ? open.value : []))
const next = computed(() => open.value[0]?.state)
const { leave } = useJourney()
const title = computed(() =>
  !state.value.handedOver
    ? isAlone.value
      ? 'Hand over'
      : `Hand over the ${state.value.machine.name}`
    : next.value
      ? `Handed over; the ${next.value.machine.name} is not yet`
      : 'Handed over',
)
const because = computed(() => {
  if (waitsFor.value.length > 0) return 'All machines of this visit stand on one sheet, and this one goes last.'
  if (!state.value.handedOver)
    return 'The sheet beside this is what the owner keeps. Say what to watch, and when to come again.'
  if (next.value) return 'All machines of this visit stand on one sheet: it is whole once the last is handed over.'
  return state.value.isIssued
    ? 'The sheet is filed. Next year’s readings will be compared with these.'
    : 'Something was written since. A new issue says it; the old one stays.'
})
/** What is charged once for all of them may have changed since: which machine is to be handed over anew, and why. */
const stale = computed(() => {
  const { handedOver, journey, machine, id, issues: own } = state.value
  const first = every.value?.[0]?.state
  if (!handedOver || !first) return undefined
  if (journey.rides)
    // The first counted what this one came to at another issue.
    return first.handedOver?.lines?.some(({ kind }) => kind === 'minimum') &&
      !first.handedOver.beside?.some(({ visit: of, issue }) => of === id && issue === own)
      ? `The least charge was reckoned before this: hand over the ${first.machine.name} anew too.`
      : undefined
  const isJourneyDue = account.value.lines.some(({ kind }) => kind === 'journey')
  const went = handedOver.beside && handedOver.lines?.every(({ kind }) => kind !== 'journey')
  return isJourneyDue && went ? `The journey is charged with the ${machine.name} now: hand it over anew.` : undefined
})
const lamp = useTemplateRef<{ $el: HTMLElement }>('lamp')
// What it says next stands at its top.
watch(
  () => state.value.issues,
  () => lamp.value?.$el.scrollIntoView({ block: 'start' }),
  { flush: 'post' },
)
function printSheet(): void {
  window.print()
}
</script>

<template>
  <LampCard ref="lamp" :title="title" :because="because">
    <div
      v-if="waitsFor.length > 0 || (state.handedOver && open.length > 0)"
      class="grid gap-2"
      data-testid="open-beside"
    >
      <template v-for="(each, index) in open" :key="each.state.id">
        <NuxtLink
          class="button"
          :class="{ 'button-lit': index === 0 }"
          :to="`/visits/${each.state.id}/${each.state.stage}`"
          data-testid="go-beside"
          >To the {{ each.state.machine.name }}, at {{ STAGE_LABELS[each.state.stage] }}</NuxtLink
        >
        <button type="button" class="button button-quiet" data-testid="leave-beside" @click="leave(each.state.id)">
          The {{ each.state.machine.name }} goes on by itself
        </button>
      </template>
    </div>
    <p v-if="stale" class="font-bold" data-testid="hand-over-anew">{{ stale }}</p>
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
        class="button basis-full"
        :class="{ 'button-lit': open.length === 0 || !(state.handedOver || waitsFor.length > 0) }"
        data-testid="hand-over"
        :disabled="!isReady || waitsFor.length > 0"
        @click="handOver"
      >
        {{ !state.handedOver ? 'Hand over' : open.length > 0 ? 'Hand over anew' : `Write issue ${issues + 1}` }}
      </button>
      <button type="button" class="button" @click="printSheet">Print</button>
      <PaperLink name="sheet" data-testid="pdf">Sheet, PDF</PaperLink>
      <PaperLink name="record" data-testid="record-pdf">Record, PDF</PaperLink>
      <PaperLink v-for="issue in before" :key="issue" name="sheet" :issue="issue" :data-testid="`issue-${issue}`"
        >Issue {{ issue }}</PaperLink
      >
      <a
        v-if="!live.isAway && (state.handedOver?.due || state.handedOver?.nextDate)"
        class="button"
        :href="`${path}/due.ics`"
        download
        data-testid="ics"
        >Dates</a
      >
      <template v-if="!live.isAway">
        <a class="button" :href="`${path}/visit.json`" download data-testid="export">Visit file</a>
        <a class="button" :href="`${path}/readings.csv?units=${system}`" download data-testid="csv">Readings CSV</a>
      </template>
    </template>
  </LampCard>
</template>
