<script setup lang="ts">
import { FileSpreadsheet } from '@lucide/vue'
import { judgeFinding } from '#core/diagnosis/judge-finding'
import { LOG_LIMITS } from '#core/logs/read-log-limits'
import { currentWords, pressureWords } from '#core/logs/words'
import { formatReading } from '#core/quantity/reading'
import { render } from '#core/quantity/sentence'
import { isUnit } from '#core/quantity/units'
import type { EntryBodies } from '#core/visit/entry'
import { offeredByCurrent, offeredByPressure, type OfferedFinding } from '#core/visit/logged'
import type { LogRead } from '~/workers/log.worker'

/** What a logger wrote of the pressure or the current: read, drawn, and its figures offered one by one. */
const { stage } = defineProps<{ stage: EntryBodies['finding']['stage'] }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()
const log = shallowRef<Exclude<LogRead, { is: 'problem' }>>()
const name = ref('')
const problem = ref<string>()
const isReading = ref(false)
const input = useTemplateRef<HTMLInputElement>('input')
let asked = 0

async function take(files: FileList | null | undefined): Promise<void> {
  const file = files?.[0]
  if (!file) return
  const own = ++asked
  log.value = problem.value = undefined
  if (file.size > LOG_LIMITS.mostCharacters) {
    problem.value = `${file.name} is larger than ${LOG_LIMITS.mostCharacters / 1e6} MB: some days are enough.`
    return
  }
  isReading.value = true
  name.value = file.name.slice(0, 120)
  const found = await useLogReader().read(await file.text(), state.value.plate.fullLoadAmps)
  if (input.value) input.value.value = ''
  if (own !== asked) return
  isReading.value = false
  if (found.is === 'problem') problem.value = found.problem
  else log.value = found
}

const sentences = computed(() => {
  const found = log.value
  if (!found) return []
  const words = found.is === 'pressure' ? pressureWords(found.found) : currentWords(found.found)
  return words.map((sentence) => render(sentence, reader.value))
})
const offered = computed(() => {
  const found = log.value
  if (!found) return []
  const figures = found.is === 'pressure' ? offeredByPressure(found.found) : offeredByCurrent(found.found)
  const { pump, plate, findings } = state.value
  const all = [...findings.map(({ finding }) => finding), ...figures]
  return figures.map((figure) => ({
    figure,
    judged: judgeFinding(figure, { pump, plate, findings: all, earlier: {} }),
    isTaken: findings.some(({ finding }) => finding.check === figure.check && finding.value === figure.value),
  }))
})
const valueOf = ({ value, unit }: OfferedFinding) =>
  formatReading(value, isUnit(unit) ? unit : undefined, reader.value.system)
const takeFigure = (figure: OfferedFinding) => visit.append('finding', { ...figure, stage })
const noteText = computed(() => `log ${name.value}: ${sentences.value.join(' ')}`.slice(0, 2_000))
const isNoted = computed(() => state.value.notes.some(({ text }) => text === noteText.value))
</script>

<template>
  <section
    aria-label="log"
    class="mt-3"
    data-testid="log-view"
    @dragover.prevent
    @drop.prevent="take($event.dataTransfer?.files)"
  >
    <p class="mb-3 text-[0.95rem] text-slate">
      A logger’s file of the pressure over a day, or of the current over some runs: CSV with a column of the time and
      one with its unit in its name, such as pressure (psi).
    </p>
    <button type="button" class="button" data-testid="take-log" @click="input?.click()">
      <FileSpreadsheet :size="18" aria-hidden="true" />Take a log
    </button>
    <input
      ref="input"
      type="file"
      accept=".csv,text/csv,text/plain"
      class="sr-only"
      tabindex="-1"
      aria-label="a log"
      data-testid="log-input"
      @change="take(input?.files)"
    />
    <p v-if="problem" role="alert" class="mt-3 border-l-4 border-rust pl-3">{{ problem }}</p>
    <p v-if="isReading" class="mt-3 text-slate" role="status">Reading it</p>
    <article v-if="log" class="mt-4 border-t border-ink pt-3" data-testid="log-read">
      <p v-for="sentence in sentences" :key="sentence" class="mb-1">{{ sentence }}</p>
      <p v-if="log.leftOut > 0" class="mb-1 text-slate">
        {{ counted(log.leftOut, 'line') }} without a figure, or out of order, left out.
      </p>
      <LogChart :log="log" class="mt-3" />
      <ul class="ruled mt-3" data-testid="offered">
        <li v-for="{ figure, judged, isTaken } in offered" :key="figure.check" class="flex items-center gap-3 py-1">
          <StateMark :verdict="judged.verdict" />
          <span class="min-w-0 flex-1"
            >{{ judged.subject
            }}<span class="block text-[0.88rem] text-slate">{{ render(judged.because, reader) }}</span></span
          >
          <span class="number font-bold whitespace-nowrap">{{ valueOf(figure) }}</span>
          <span v-if="isTaken" class="px-2">taken</span
          ><button
            v-else
            type="button"
            class="button"
            :data-testid="`take-${figure.check}`"
            @click="takeFigure(figure)"
          >
            Take
          </button>
        </li>
      </ul>
      <button
        type="button"
        class="button mt-3"
        :disabled="isNoted"
        data-testid="note-log"
        @click="visit.append('note', { text: noteText, seenAndLeft: false })"
      >
        {{ isNoted ? 'Written down' : 'Write down what it says' }}
      </button>
    </article>
  </section>
</template>
