<script setup lang="ts">
import { formatShare } from '#core/quantity/format'
import { render } from '#core/quantity/sentence'
import { historyText } from '#core/visit/history'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { format } from 'date-fns'
import { CHECKS, checkInfo, isAsked, partOfFinding } from '#core/knowledge/checks/checks'
import { PARTS, isIdOf } from '#core/knowledge/vocabulary'
import { valueText } from '#core/visit/describe'

/** What is known of one part: readings of this visit, of earlier ones, and the checks it answers to. */
const { part, records = false } = defineProps<{ part: string | undefined; records?: boolean }>()
const emit = defineEmits<{ close: []; ask: [line: string]; record: [] }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()

const name = computed(() => (part && isIdOf(PARTS, part) ? PARTS[part] : (part ?? '')))
const parts = computed(() => (part === 'run-winding' ? ['run-winding', 'start-winding'] : part ? [part] : []))
const now = computed(() =>
  state.value.findings.filter(({ finding }) => parts.value.includes(partOfFinding(finding) ?? '')),
)
const before = computed(() => visit.history.filter((reading) => reading.part && parts.value.includes(reading.part)))
const checks = computed(() =>
  Object.keys(CHECKS)
    .filter((id) => {
      const info = checkInfo(id)
      if (!info || (!isAsked(info) && !(records && info.recorded))) return false
      if (info.kinds && !info.kinds.includes(state.value.machine.kind)) return false
      return parts.value.some(
        (each) => info.part === each || (info.parts as readonly string[] | undefined)?.includes(each),
      )
    })
    .map((id) => ({
      id,
      info: checkInfo(id)!,
      line: checkInfo(id)?.recorded
        ? undefined
        : `${lineSubject({ check: id, part, leads: id === 'winding-resistance' ? 'run-common' : undefined })} `,
    })),
)
/** The measured check with the longest story, for the chart. */
const charted = computed(() => {
  const counts = new Map<string, number>()
  for (const { check, value } of [
    ...before.value,
    ...now.value.map(({ finding }) => ({ check: finding.check, value: finding.value ?? null })),
  ])
    if (value !== null) counts.set(check, (counts.get(check) ?? 0) + 1)
  return [...counts].filter(([, count]) => count > 1).sort((a, b) => b[1] - a[1])[0]?.[0]
})
</script>

<template>
  <Dialog :open="part !== undefined" class="relative z-20" @close="emit('close')">
    <div class="fixed inset-0 bg-[#14242b66]" aria-hidden="true" />
    <div class="fixed inset-y-0 right-0 flex w-full max-w-lg">
      <DialogPanel class="w-full overflow-y-auto border-l border-ink bg-paper p-5" data-testid="part-panel">
        <header class="flex items-center justify-between gap-3">
          <DialogTitle class="text-2xl">{{ name.charAt(0).toUpperCase() + name.slice(1) }}</DialogTitle><button
            type="button"
            class="button"
            aria-label="close"
            @click="emit('close')"
          >
            <X :size="20" aria-hidden="true" />
          </button>
        </header>
        <section class="mt-4">
          <h3 class="border-b border-rule">This visit</h3>
          <p v-if="now.length === 0" class="py-2 text-slate">Not checked yet.</p>
          <ul class="ruled">
            <li v-for="judged in now" :key="judged.entryId" class="py-2">
              <span class="flex items-center gap-2"
                ><StateMark :verdict="judged.judgement.verdict" worded /><span class="number ml-auto font-bold">{{
                  valueText(judged, reader)
                }}</span></span
              ><span class="block text-[0.95rem]"
                >{{ judged.judgement.subject }}: {{ render(judged.judgement.because, reader) }}</span
              ><span class="block text-[0.85rem] text-slate"
                ><template v-if="judged.judgement.margin !== undefined"
                  >margin to the limit
                  {{ judged.judgement.margin > 10 ? 'more than tenfold' : formatShare(judged.judgement.margin) }}
                  · </template
                ><BasisLine :basis="judged.judgement.basis" :check="judged.judgement.check"
              /></span>
            </li>
          </ul>
        </section>
        <HistoryChart v-if="charted" :check="charted" :before="before" :now="now" class="mt-4" />
        <section v-if="before.length > 0" class="mt-4">
          <h3 class="border-b border-rule">Earlier</h3>
          <ul class="ruled">
            <li
              v-for="reading in before.toReversed().slice(0, 12)"
              :key="reading.visitId + reading.at + reading.subject"
              class="flex justify-between gap-3 py-1"
            >
              <span>{{ historyText(reading, reader) }}</span><time
                class="number shrink-0 text-slate"
                :datetime="reading.at"
                >{{ format(new Date(reading.at), 'MMM yyyy') }}</time
              >
            </li>
          </ul>
        </section>
        <section class="mt-4">
          <h3 class="border-b border-rule">Checks</h3>
          <ul class="ruled">
            <li v-for="check in checks" :key="check.id" class="flex items-center justify-between gap-3 py-2">
              <span
                >{{ check.info.ask
                }}<span class="block text-[0.9rem] text-slate"
                  >{{ check.info.tool }} · {{ check.info.minutes }} min</span
                ></span
              ><button v-if="check.line" type="button" class="button" @click="emit('ask', check.line)">write</button
              ><button v-else type="button" class="button" @click="emit('record')">record</button>
            </li>
          </ul>
          <p v-if="checks.length === 0" class="py-2 text-slate">
            No check speaks about this part alone. Write what you see as a note.
          </p>
        </section>
      </DialogPanel>
    </div>
  </Dialog>
</template>
