<script setup lang="ts">
import { format } from 'date-fns'
import { beforeAfter } from '#core/visit/before-after'
import { valueText } from '#core/visit/describe'
import { formatRange } from '#core/quantity/reading'
import { SURFACE } from '#core/knowledge/vocabulary'
import type { JudgedFinding } from '#core/visit/fold'

const emit = defineEmits<{ ask: [line: string]; photo: [caption: string] }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()
const { list, say } = useProofs()
const others = computed(() =>
  beforeAfter(state.value).filter(
    ({ before, after }) => !list.value.rows.some(({ check }) => check === (before ?? after)?.finding.check),
  ),
)
const limits = (judged: JudgedFinding | undefined) =>
  judged ? formatRange(judged.judgement, judged.judgement.unit, reader.value.system) : ''
const isSounded = ref(false)
const SAID = { holds: 'holds', fails: 'fails', left: 'not proved' } as const
</script>

<template>
  <div class="p-5">
    <h2 class="mb-1 text-xl">Prove it</h2>
    <p class="mb-3 text-slate">
      {{
        list.notDue ??
        'What these jobs call for, before and after. Water spilt while reconnecting looks like a leak: ' +
          'wipe dry, run some minutes, feel again.'
      }}
    </p>
    <p v-for="comeback in state.comebacks" :key="comeback.at" class="mb-2 border-l-4 border-rust pl-3">
      At <span class="number">{{ format(new Date(comeback.at), 'HH:mm') }}</span> it did not prove
      <template v-if="comeback.failed.length > 0"
        >({{ comeback.failed.map((id) => id.replaceAll('-', ' ')).join(', ') }})</template
      >
      and went back to Test.
    </p>
    <NewParts class="mb-3 border-t" @photo="(caption) => emit('photo', caption)" />
    <div
      v-if="list.rows.length + others.length > 0"
      class="overflow-x-auto"
      tabindex="0"
      role="group"
      aria-label="proofs"
    >
      <table class="proofs w-full border-collapse" data-testid="proof-table">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col" class="py-1 pr-3">proof</th>
            <th scope="col" class="pr-3">before</th>
            <th scope="col" class="pr-3">after</th>
            <th scope="col">limits</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in list.rows" :key="row.id" class="border-b border-rule" :data-testid="`proof-${row.id}`">
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
            <td class="py-1 pr-3">
              <span v-if="row.said" class="inline-flex items-center gap-2"
                ><StateMark
                  :verdict="
                    row.said.outcome === 'holds' ? 'sound' : row.said.outcome === 'fails' ? 'failed' : undefined
                  "
                /><span
                  ><strong>{{ SAID[row.said.outcome] }}</strong
                  ><span v-if="row.said.why" class="block text-[0.88rem]">{{ row.said.why }}</span></span
                ></span
              >
              <span v-else-if="row.found" class="inline-flex items-center gap-2"
                ><StateMark :verdict="row.found.judgement.verdict" /><span class="number font-bold whitespace-nowrap">{{
                  valueText(row.found, reader)
                }}</span></span
              >
              <button v-else-if="row.check" type="button" class="button" @click="emit('ask', row.line ?? '')">
                write
              </button>
              <button
                v-else
                type="button"
                class="button"
                :data-testid="`holds-${row.id}`"
                @click="say(row.id, 'holds')"
              >
                holds
              </button>
              <span v-if="row.stands === 'open' && row.readyAt" class="block text-[0.88rem] text-slate">
                from <span class="number">{{ format(new Date(row.readyAt), 'HH:mm') }}</span></span
              >
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
    <section v-if="SURFACE.includes(state.machine.kind) && !visit.isPractice" class="mt-4">
      <button
        type="button"
        class="toggle"
        :aria-expanded="isSounded"
        :aria-pressed="isSounded"
        data-testid="prove-sound"
        @click="isSounded = !isSounded"
      >
        Its sound, before and after
      </button>
      <LazySoundView v-if="isSounded" stage="prove" />
    </section>
  </div>
</template>

<style scoped>
.proofs {
  min-width: 36rem;
}
@media (max-width: 700px) {
  .proofs {
    min-width: 0;
  }
  .proofs td:nth-child(4),
  .proofs th:nth-child(4) {
    display: none;
  }
}
</style>
