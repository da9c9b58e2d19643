<script setup lang="ts">
import { Camera, CornerDownLeft, X } from '@lucide/vue'
import { VERDICT_WORDS, type Judgement } from '#core/judgement/judgement'
import { judgeFinding } from '#core/diagnosis/judge-finding'
import { understandLine, type Choice } from '#core/visit/reading-line'
import { outcomeLabel } from '#core/knowledge/checks/checks'
import { formatReading } from '#core/quantity/reading'
import { render } from '#core/quantity/sentence'

/** One line to log a reading: what was understood is said before Enter; what cannot be is asked about. */
const { stage, lit = null } = defineProps<{
  stage: 'test' | 'prove'
  lit?: { check: string; part?: string; leads?: string } | null
}>()
const line = defineModel<string>({ required: true })
const correcting = defineModel<string | undefined>('correcting')
const emit = defineEmits<{ photo: [] }>()
const { visit, state } = useVisitContext()
const { reader, system } = useUnits()
const input = useTemplateRef<HTMLInputElement>('input')
const insisted = ref(false)

const understood = computed(() =>
  understandLine(line.value, { kind: state.value.machine.kind, plate: state.value.plate, lit }),
)
const judged = computed<Judgement[]>(() =>
  understood.value.kind === 'findings'
    ? understood.value.findings.map((finding) =>
        judgeFinding(finding, {
          pump: state.value.pump,
          plate: state.value.plate,
          findings: state.value.findings.map(({ finding: known }) => known),
          earlier: visit.earlier,
        }),
      )
    : [],
)
const valueOf = (judgement: Judgement) =>
  typeof judgement.value === 'string'
    ? outcomeLabel(judgement.value)
    : formatReading(judgement.value, judgement.unit, system.value, 4)
watch(line, () => {
  insisted.value = false
})

function enter(): void {
  const meaning = understood.value
  const supersedes = correcting.value
  if (meaning.kind === 'question' || meaning.kind === 'empty') {
    insisted.value = meaning.kind === 'question'
    return
  }
  if (meaning.kind === 'note')
    visit.append('note', { text: meaning.text, seenAndLeft: meaning.seenAndLeft }, sameKind('note', supersedes))
  else
    meaning.findings.forEach((finding, index) =>
      visit.append('finding', { ...finding, stage }, index === 0 ? sameKind('finding', supersedes) : undefined),
    )
  line.value = ''
  correcting.value = undefined
}

/** A correction replaces a line of its own kind; of another kind, the old line is taken back first. */
function sameKind(kind: 'note' | 'finding', id: string | undefined): string | undefined {
  if (!id) return undefined
  const old = state.value.entries.find((entry) => entry.id === id)
  if (old?.kind === kind) return id
  if (old) visit.append('retracted', {}, id)
  return undefined
}

function choose(choice: Choice): void {
  line.value = choice.line
  input.value?.focus()
}

function cancel(): void {
  line.value = ''
  correcting.value = undefined
}

defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <section aria-label="reading line" class="no-print border-t-[1.500px] border-ink bg-sheet" data-testid="reading-line">
    <QuickKeys
      v-if="line === '' || lit"
      :lit="lit"
      class="quick"
      @pick="
        (text) => {
          line = text
          input?.focus()
        }
      "
    />
    <div class="line">
      <form class="contents" @submit.prevent="enter">
        <label for="reading" class="sr-only">a reading, a note</label>
        <input
          id="reading"
          ref="input"
          v-model="line"
          class="number min-h-14 w-full min-w-0 border-0 px-2 bg-transparent text-[1.65rem] outline-offset-0"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          enterkeyhint="done"
          placeholder="run cap 41.2"
          aria-describedby="understood"
          @keydown.esc="cancel"
        />
        <div
          id="understood"
          class="understood min-w-0 self-center text-[0.98rem] leading-snug"
          :class="{ 'is-quiet': understood.kind === 'empty' && !correcting }"
          aria-live="polite"
          data-testid="understood"
        >
          <p v-if="understood.kind === 'empty'" class="flex min-h-12 items-center text-slate">
            {{ correcting ? 'Write the line as it should be.' : 'A reading, a note: type it, press Enter.' }}
          </p>
          <p v-else-if="understood.kind === 'note'" class="flex min-h-12 items-center">
            {{
              understood.unknown
                ? 'Not a reading I know: Enter keeps it as a note.'
                : understood.seenAndLeft
                  ? 'Seen and left: goes on the sheet.'
                  : 'A note.'
            }}
          </p>
          <div v-else-if="understood.kind === 'question'" :class="{ 'font-bold': insisted }" role="group">
            <p>{{ understood.question }}</p>
            <p v-if="understood.choices.length > 0" class="mt-1 flex flex-wrap gap-2">
              <button
                v-for="choice in understood.choices"
                :key="choice.label"
                type="button"
                class="button"
                @click="choose(choice)"
              >
                {{ choice.label }}
              </button>
            </p>
          </div>
          <template v-else>
            <p
              v-for="judgement in judged"
              :key="`${judgement.subject}${judgement.value}`"
              class="flex min-h-12 flex-wrap items-center gap-x-2"
            >
              <StateMark :verdict="judgement.verdict" :size="20" />
              <span
                ><strong>{{ judgement.subject }} {{ valueOf(judgement) }}</strong
                >: {{ render(judgement.because, reader) }}.
                <strong :class="`verdict-${judgement.verdict}`">{{ VERDICT_WORDS[judgement.verdict] }}</strong><span
                  class="block text-[0.82rem] text-slate"
                  >{{ judgement.basis.name }}</span
                ></span
              >
            </p>
          </template>
        </div>
        <button type="submit" class="button self-center" aria-label="enter">
          <CornerDownLeft :size="20" aria-hidden="true" />
        </button>
      </form>
      <button
        v-if="correcting || line"
        type="button"
        class="button self-center max-sm:px-3"
        aria-label="clear the line"
        @click="cancel"
      >
        <X :size="20" aria-hidden="true" />
      </button>
      <button type="button" class="button self-center max-sm:px-3" @click="emit('photo')">
        <Camera :size="20" aria-hidden="true" /><span class="max-sm:sr-only">photo</span>
      </button>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(12rem, 1fr) minmax(0, 2fr) auto auto auto;
  align-items: center;
  gap: 0 10px;
  min-height: 76px;
  padding: 6px 16px;
}
.understood {
  min-height: 48px;
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto auto auto;
    min-height: 64px;
    padding: 4px 12px;
    gap: 0 6px;
  }
  .understood {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .understood.is-quiet {
    display: none;
  }
}
.verdict-sound {
  color: var(--moss);
}
.verdict-tired {
  color: var(--ochre);
}
.verdict-failed {
  color: var(--rust);
}
.verdict-unclear {
  color: var(--slate);
}
@media (pointer: fine) and (min-width: 901px) {
  .quick {
    display: none;
  }
}
</style>
