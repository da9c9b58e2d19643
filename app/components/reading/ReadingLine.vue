<script setup lang="ts">
import { Camera, CircleQuestionMark, CornerDownLeft, Mic, Undo2, X } from '@lucide/vue'
import { VERDICT_WORDS } from '#core/judgement/judgement'
import type { Scene } from '#core/language/scene'
import { valueText } from '#core/visit/describe'
import { draftsOf } from '#core/visit/line-entries'
import { useInstruments } from '~/stores/instruments'

/** One line to say what was seen: what it means is read back before Enter; what can mean two things is asked. */
const { stage, lit = null } = defineProps<{ stage: 'test' | 'prove'; lit?: Scene['lit'] }>()
const line = defineModel<string>({ required: true })
const correcting = defineModel<string | undefined>('correcting')
const emit = defineEmits<{ photo: [] }>()
const { visit, state } = useVisitContext()
const { reader } = useUnits()
const instruments = useInstruments()
onMounted(() => {
  if (!visit.isPractice) void instruments.look()
})
const input = useTemplateRef<HTMLTextAreaElement>('input')
/** Enter was pressed on a question: from now on a digit answers it. */
const insisted = ref(false)
const helping = ref(false)
const { answers, understood, pieces } = useSpokenLine(
  line,
  computed(() => lit),
)
watch(line, () => {
  insisted.value = false
})

/** What an instrument has ready stands in the line until somebody writes over it. */
const isOffered = computed(() => visit.offered !== undefined && line.value === '' && !correcting.value)
const offered = useTemplateRef<{ take: () => void }>('offered')

const isNote = computed(() => /^\s*note\b/i.test(line.value))

const { speak } = useReadAloud()
const {
  possible: canListen,
  listening,
  trouble,
  start: listen,
  stop: endListening,
} = useDictation((text) => {
  line.value = text
})
watch(listening, (on) => {
  if (!on) speak(aloud())
})
/** What was understood, for the ear: without reasons and sources. */
function aloud(): string {
  const meaning = understood.value
  if (!meaning) return ''
  if (meaning.ask) return meaning.ask.question
  if (meaning.note) return `A note: ${meaning.note}`
  return pieces.value
    .map(({ judgement, other }) =>
      judgement
        ? [judgement.subject, valueText({ judgement }, reader.value), VERDICT_WORDS[judgement.verdict]].join(' ')
        : `${other?.what} ${other?.text}`,
    )
    .join('. ')
}

function enter(): void {
  if (isOffered.value) return offered.value?.take()
  const meaning = understood.value
  if (!meaning) helping.value = !correcting.value
  else if (meaning.ask) insisted.value = true
  else keep()
}

function keep(): void {
  const meaning = understood.value
  if (!meaning || meaning.ask) return
  const corrected = state.value.entries.find(({ id }) => id === correcting.value)
  visit.appendSaid(draftsOf(meaning, state.value, stage), line.value.trim(), corrected)
  cancel()
}

function choose(index: number): void {
  const ask = understood.value?.ask
  const choice = ask?.choices[index]
  if (!ask || !choice) return
  if (choice.begins !== undefined) begin(choice.begins)
  else {
    const waits = insisted.value
    answers.value = { ...answers.value, [ask.key]: index }
    // Enter was pressed already: the answer was all that it waited for.
    if (waits && !understood.value?.ask) keep()
    else insisted.value = waits
  }
  input.value?.focus()
}

function byKey(event: KeyboardEvent): void {
  if (event.key === 'Enter' && !event.isComposing) {
    event.preventDefault()
    enter()
  } else if (event.key === 'Escape') cancel()
  else if (event.key === '?' && line.value === '') {
    event.preventDefault()
    helping.value = true
  } else if (insisted.value && /^[1-9]$/.test(event.key)) {
    event.preventDefault()
    choose(Number(event.key) - 1)
  }
}

function begin(text: string): void {
  line.value = text
  nextTick(() => input.value?.focus())
}

async function say(text: string): Promise<void> {
  line.value = text
  // The line is the frame’s: it comes back with the next tick.
  await nextTick()
  enter()
}

function takeBack(): void {
  if (correcting.value) visit.append('retracted', {}, correcting.value)
  cancel()
}

function cancel(): void {
  line.value = ''
  answers.value = {}
  correcting.value = undefined
}

defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <section aria-label="reading line" class="no-print border-t-[1.500px] border-ink bg-sheet" data-testid="reading-line">
    <LazyInstrumentStrip v-if="instruments.isAny && !visit.isPractice" :lit="lit" />
    <LazyOfferedReading v-if="isOffered" ref="offered" :stage="stage" />
    <QuickKeys v-if="line === '' && !isOffered" :lit="lit" class="quick" @say="say" @begin="begin" />
    <div class="line" :class="{ 'is-behind': isOffered }">
      <form class="contents" @submit.prevent="enter">
        <label for="reading" class="sr-only">a reading, a note</label>
        <textarea
          id="reading"
          ref="input"
          v-model="line"
          rows="1"
          class="number field"
          :class="{ 'is-long': line.length > 22 }"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          enterkeyhint="done"
          placeholder="run cap 41.2"
          aria-describedby="understood"
          @keydown="byKey"
        />
        <div
          id="understood"
          class="understood min-w-0 self-center text-[0.98rem] leading-snug"
          :class="{ 'is-quiet': !understood && !correcting && !trouble }"
          aria-live="polite"
          data-testid="understood"
        >
          <p v-if="!understood" class="flex min-h-12 items-center text-slate">
            {{
              trouble ??
              (correcting
                ? 'Write the line as it should be, or take it back.'
                : 'A reading, a note: type it, press Enter. What can be said here: ?')
            }}
          </p>
          <template v-else>
            <ReadBack :pieces="pieces" :left="understood.left" />
            <AskedBack v-if="understood.ask" :ask="understood.ask" :insisted="insisted" @choose="choose" />
            <p v-else-if="understood.note && pieces.length === 0" class="flex min-h-12 items-center">
              {{ isNote ? 'A note.' : 'Not a reading I know: Enter keeps it as a note.' }}
            </p>
          </template>
        </div>
        <div class="keys">
          <button
            v-if="canListen && (line === '' || listening)"
            type="button"
            class="button hold max-sm:px-3"
            :class="{ 'button-lit': listening }"
            :aria-pressed="listening"
            aria-label="hold to dictate"
            @pointerdown.prevent="listen"
            @pointerup="endListening"
            @pointercancel="endListening"
            @pointerleave="endListening"
            @contextmenu.prevent
            @keydown.space.prevent="listen"
            @keyup.space.prevent="endListening"
          >
            <Mic :size="20" aria-hidden="true" />
          </button>
          <button
            v-if="line === '' && !correcting"
            type="button"
            class="button max-sm:px-3"
            aria-label="what can be said here"
            @click="helping = true"
          >
            <CircleQuestionMark :size="20" aria-hidden="true" />
          </button>
          <button v-if="correcting" type="button" class="button max-sm:px-3" @click="takeBack">
            <Undo2 :size="20" aria-hidden="true" /><span class="max-sm:sr-only">take back</span>
          </button>
          <button
            v-if="correcting || line"
            type="button"
            class="button max-sm:px-3"
            aria-label="clear the line"
            @click="cancel"
          >
            <X :size="20" aria-hidden="true" />
          </button>
          <button v-if="line" type="submit" class="button max-sm:px-3" aria-label="enter">
            <CornerDownLeft :size="20" aria-hidden="true" />
          </button>
          <button
            v-if="line === '' && !visit.isPractice"
            type="button"
            class="button max-sm:px-3"
            @click="emit('photo')"
          >
            <Camera :size="20" aria-hidden="true" /><span class="max-sm:sr-only">photo</span>
          </button>
        </div>
      </form>
    </div>
    <SayHelp v-model:open="helping" @begin="begin" />
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(12rem, 1fr) minmax(0, 2fr) auto;
  align-items: center;
  gap: 0 10px;
  min-height: 76px;
  padding: 6px 16px;
}
/* The line itself waits under what is offered: it takes keys, and shows once something is written. */
.line.is-behind {
  min-height: 0;
  height: 0;
  padding-block: 0;
  overflow: hidden;
}
.field {
  width: 100%;
  min-width: 0;
  min-height: 3.5rem;
  max-height: 9.5rem;
  padding: 0.6rem 0.5rem;
  border: 0;
  background: transparent;
  font-size: 1.65rem;
  line-height: 1.3;
  outline-offset: 0;
  resize: none;
  /* Grows with what is said, so that a long line stays readable above the keyboard. */
  field-sizing: content;
}
.field.is-long {
  font-size: 1.15rem;
}
.keys {
  display: flex;
  align-items: center;
  gap: 8px;
}
.hold {
  touch-action: none;
  user-select: none;
}
.understood {
  min-height: 48px;
  max-height: 34dvh;
  overflow-y: auto;
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 64px;
    padding: 4px 12px;
    gap: 0 6px;
  }
  .field {
    font-size: 1.4rem;
  }
  .understood {
    grid-column: 1 / -1;
    grid-row: 2;
    padding-top: 8px;
  }
  .understood.is-quiet {
    display: none;
  }
}
@media (pointer: fine) and (min-width: 901px) {
  .quick {
    display: none;
  }
}
</style>
