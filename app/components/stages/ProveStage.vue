<script setup lang="ts">
import { beforeAfter, proofRows } from '#core/visit/before-after'
import { valueText } from '#core/visit/describe'
import { formatRange } from '#core/quantity/reading'
import type { JudgedFinding } from '#core/visit/fold'

const emit = defineEmits<{ ask: [line: string]; photo: [caption: string] }>()
const { state } = useVisitContext()
const { reader } = useUnits()
const rows = computed(() => proofRows(state.value))
const others = computed(() =>
  beforeAfter(state.value).filter(
    ({ before, after }) => !rows.value.some(({ check }) => check === (before ?? after)?.finding.check),
  ),
)
const limits = (judged: JudgedFinding | undefined) =>
  judged ? formatRange(judged.judgement, judged.judgement.unit, reader.value.system) : ''
</script>

<template>
  <div class="p-5">
    <h2 class="mb-1 text-xl">Prove it</h2>
    <p class="mb-3 text-slate">
      Before and after, side by side. Water spilt while reconnecting looks like a leak: wipe dry, run some minutes, feel
      again.
    </p>
    <NewParts class="mb-3 border-t" @photo="(caption) => emit('photo', caption)" />
    <div class="overflow-x-auto" tabindex="0" role="group" aria-label="proofs">
      <table class="w-full min-w-[36rem] border-collapse" data-testid="proof-table">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col" class="py-1 pr-3">proof</th>
            <th scope="col" class="pr-3">before</th>
            <th scope="col" class="pr-3">after</th>
            <th scope="col">limits</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id" class="border-b border-rule" :data-testid="`proof-${row.id}`">
            <th scope="row" class="py-1 pr-3 text-left font-normal">
              <strong>{{ row.label }}</strong><span class="block text-[0.88rem] text-slate">{{ row.ask }}</span>
            </th>
            <td class="pr-3">
              <span v-if="row.before" class="inline-flex items-center gap-2"
                ><StateMark :verdict="row.before.judgement.verdict" /><span class="number whitespace-nowrap">{{
                  valueText(row.before, reader)
                }}</span></span
              >
            </td>
            <td class="pr-3">
              <span v-if="row.found" class="inline-flex items-center gap-2"
                ><StateMark :verdict="row.found.judgement.verdict" /><span class="number whitespace-nowrap font-bold">{{
                  valueText(row.found, reader)
                }}</span></span
              >
              <button v-else type="button" class="button" @click="emit('ask', row.line)">write</button>
            </td>
            <td class="number text-[0.9rem] whitespace-nowrap text-slate">{{ limits(row.found ?? row.before) }}</td>
          </tr>
          <tr v-for="row in others" :key="row.key" class="border-b border-rule">
            <th scope="row" class="py-2 pr-3 text-left font-normal">{{ row.subject }}</th>
            <td class="pr-3">
              <span v-if="row.before" class="inline-flex items-center gap-2"
                ><StateMark :verdict="row.before.judgement.verdict" /><span class="number whitespace-nowrap">{{
                  valueText(row.before, reader)
                }}</span></span
              >
            </td>
            <td class="pr-3">
              <span v-if="row.after" class="inline-flex items-center gap-2"
                ><StateMark :verdict="row.after.judgement.verdict" /><span class="number whitespace-nowrap">{{
                  valueText(row.after, reader)
                }}</span></span
              >
            </td>
            <td class="number text-[0.9rem] whitespace-nowrap text-slate">{{ limits(row.after ?? row.before) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
