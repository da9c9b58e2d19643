<script setup lang="ts">
import { mayClaim } from '#core/visit/claim'
import { journalHash, journalOfSheet } from '#core/visit/issue'
import { writeRecord } from '#core/visit/record'
import { writeSheet } from '#core/visit/sheet'

/** The owner's sheet, and behind it the workshop's record. */
const { visit, state, job } = useVisitContext()
const { system } = useUnits()
const record = computed(() => job.value && writeRecord(state.value, visit.shop, job.value, system.value))
const hash = computed(() => journalHash(journalOfSheet(visit.entries, state.value.isIssued)))
const sheet = computed(() => job.value && writeSheet(state.value, visit.shop, job.value, system.value, hash.value))
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
  <AfterHandOver v-if="sheet && state.handedOver && shown === 'sheet'" :sheet="sheet" :hash="hash" class="mt-3" />
  <SheetPaper v-if="sheet && shown === 'sheet'" :sheet="sheet" :hash="hash" />
  <ClaimStage v-if="sheet && shown === 'claim'" :date="sheet.date" />
  <RecordPaper v-if="record && sheet && shown === 'record'" :record="record" :sheet="sheet" :hash="hash" />
  <BenchFindings />
</template>
