<script setup lang="ts">
import { mayClaim } from '#core/visit/claim'
import { writeRecord } from '#core/visit/record'

/** The owner's sheet, and behind it the workshop's record. */
const { visit, state, job, journey } = useVisitContext()
const { system } = useUnits()
const record = computed(() => job.value && writeRecord(state.value, visit.shop, job.value, system.value))
const { whole, hash } = useSheet()
const sheet = computed(() => whole.value?.sheets.find(({ visitId }) => visitId === state.value.id))
/** All machines of the visit are handed over: it is signed, mailed and paid as one. */
const isOver = computed(() => journey.value?.every((each) => each.state.handedOver) === true)
const shown = ref<'sheet' | 'record' | 'claim'>('sheet')
const hasClaim = computed(() => mayClaim(state.value))
</script>

<template>
  <div class="no-print flex flex-wrap gap-2 px-5 pt-3" role="group" aria-label="papers">
    <button type="button" class="toggle" :aria-pressed="shown === 'sheet'" @click="shown = 'sheet'">
      The owner’s sheet
    </button>
    <button
      type="button"
      class="toggle"
      :aria-pressed="shown === 'record'"
      data-testid="show-record"
      @click="shown = 'record'"
    >
      The workshop’s record
    </button>
    <button
      v-if="hasClaim"
      type="button"
      class="toggle"
      :aria-pressed="shown === 'claim'"
      data-testid="show-claim"
      @click="shown = 'claim'"
    >
      The claim
    </button>
  </div>
  <AfterHandOver v-if="whole && isOver && shown === 'sheet'" :sheet="whole" :hash="hash" class="mt-3" />
  <SheetPaper v-if="whole && shown === 'sheet'" :sheet="whole" :hash="hash" />
  <ClaimStage v-if="sheet && shown === 'claim'" :date="sheet.date" />
  <RecordPaper v-if="record && sheet && shown === 'record'" :record="record" :sheet="sheet" :hash="hash" />
  <BenchFindings />
</template>
