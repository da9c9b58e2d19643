<script setup lang="ts">
import { journalHash, journalOfSheet } from '#core/visit/issue'
import { writeRecord } from '#core/visit/record'
import { writeSheet } from '#core/visit/sheet'

/** The owner's sheet, and behind it the workshop's record. */
const { visit, state, job } = useVisitContext()
const { system } = useUnits()
const sheet = computed(() => job.value && writeSheet(state.value, visit.shop, job.value, system.value))
const record = computed(() => job.value && writeRecord(state.value, visit.shop, job.value, system.value))
const hash = computed(() => journalHash(journalOfSheet(visit.entries, state.value.isIssued)))
const shown = ref<'sheet' | 'record'>('sheet')
</script>

<template>
  <div class="no-print flex gap-2 px-5 pt-3" role="group" aria-label="papers">
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
  </div>
  <SheetPaper v-if="sheet && shown === 'sheet'" :sheet="sheet" :hash="hash" />
  <RecordPaper v-if="record && sheet && shown === 'record'" :record="record" :sheet="sheet" :hash="hash" />
  <BenchFindings />
</template>
