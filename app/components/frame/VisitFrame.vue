<script setup lang="ts">
import { checkInfo } from '#core/knowledge/checks/checks'
import { askedAt } from '#core/questions/asked-at'
import type { Stage } from '#core/knowledge/vocabulary'
import { useSelf } from '~/stores/self'

/** The visit's frame: the drop line and the reading line never move; the middle and the right change with the work. */
const { stage } = defineProps<{ stage: Stage }>()
const { visit, state, diagnosis } = useVisitContext()
const self = useSelf()
/** Whoever may write of what is done at the pump; the others write at the two ends of a visit. */
const measures = computed(() => self.writes('finding'))
const isOpen = computed(() => measures.value || stage === 'call' || stage === 'hand-over')
const line = ref('')
const correcting = ref<string>()
const part = ref<string>()
const photoOf = ref<string>()
const photoCaption = ref<string>()
const readingLine = useTemplateRef<{ focus: () => void }>('readingLine')
const picker = useTemplateRef<{ open: () => void }>('picker')

const readingStage = computed(() =>
  stage === 'prove' || stage === 'hand-over' ? ('prove' as const) : ('test' as const),
)
/** The lit check: with less than the whole lamp nothing on the page says which it is. */
const isLampOn = computed(() => visit.help === 'on')
const lit = computed(() => (stage === 'test' && isLampOn.value ? (diagnosis.value?.next ?? null) : null))
const litPart = computed(() =>
  lit.value
    ? (lit.value.part ??
      (lit.value.leads?.includes('start')
        ? 'start-winding'
        : (checkInfo(lit.value.check)?.part ?? checkInfo(lit.value.check)?.parts?.[0])))
    : undefined,
)

const { tray, current } = useRepair()
const { next: proof } = useProofs()
/** What a line answers: the lit check, the reading that the step at hand is, or the proof at hand. */
const answers = computed(() => {
  if (stage === 'repair') return current.value?.reads ?? null
  if (stage === 'prove') return proof.value?.check ? { check: proof.value.check } : null
  return lit.value
})
const asked = computed(() => askedAt(stage, state.value.machine.kind, lit.value?.check, state.value.standing))

function ask(text: string): void {
  part.value = undefined
  line.value = text
  nextTick(() => readingLine.value?.focus())
}
/** How the machine is shown while it is tested. */
const testView = ref<'section' | 'bench' | 'wiring' | 'sound' | 'log'>(visit.isPractice ? 'bench' : 'section')
function recordOf(): void {
  part.value = undefined
  testView.value = 'sound'
}
function measure(): void {
  if (lit.value) ask(`${lineSubject(lit.value)} `)
}
function correct(entryId: string, text: string): void {
  correcting.value = entryId
  ask(text)
}
const NO_PICTURES = 'Pictures are kept of real machines alone.'
function photo(of?: string, caption?: string): void {
  if (visit.isPractice) return visit.refuse(NO_PICTURES)
  photoOf.value = of
  photoCaption.value = caption
  picker.value?.open()
}
/** With the cursor nowhere, what is typed is a reading: the key itself goes into the line. */
const beginsALine = ({ key, target }: KeyboardEvent) => target === document.body && /^[\p{L}\d]$/u.test(key)

function byKey(event: KeyboardEvent): void {
  const typing = isTyping(event.target)
  if (
    (event.ctrlKey || event.metaKey) &&
    event.key === 'z' &&
    !(typing && (event.target as HTMLInputElement).value !== '')
  ) {
    event.preventDefault()
    visit.undo()
  } else if (!event.ctrlKey && !event.metaKey && !event.altKey && beginsALine(event)) readingLine.value?.focus()
}
onMounted(() => window.addEventListener('keydown', byKey))
onBeforeUnmount(() => window.removeEventListener('keydown', byKey))
const { remember } = useOpenVisit()
watch(
  state,
  (now) => {
    if (!visit.isPractice) remember(now)
  },
  { immediate: true },
)
useHead({ title: computed(() => `${state.value.machine.name}, ${state.value.customer.name} · Pike Lamp`) })
</script>

<template>
  <div class="frame" :class="{ 'is-practice': visit.isPractice }">
    <div class="header">
      <LazyPracticeHead v-if="visit.isPractice" /><template v-else><VisitHeader /><MachinesLine /></template>
      <p v-if="!measures" class="border-b border-rule px-5 py-2 text-slate max-sm:px-3" data-testid="reads-only">
        What is done at the pump is written by a technician or the owner: you read it here.
      </p>
    </div>
    <DropLine :viewed="stage" class="drop" />
    <main class="middle" :aria-label="stage" tabindex="0">
      <fieldset class="contents" :disabled="!isOpen">
        <CallStage v-if="stage === 'call'" />
        <PrepareStage v-else-if="stage === 'prepare'" @photo="photo(undefined, $event)" />
        <SafeStage v-else-if="stage === 'safe'" />
        <TestStage
          v-else-if="stage === 'test'"
          v-model:view="testView"
          :lit="litPart"
          :lit-check="lit ?? undefined"
          @part="part = $event"
          @ask="ask"
          @correct="correct"
          @photo="photo"
        />
        <LazyPracticeDecide v-else-if="stage === 'decide' && !isLampOn" />
        <DecideStage v-else-if="stage === 'decide'" />
        <RepairStage v-else-if="stage === 'repair'" @part="part = $event" @photo="photo(undefined, $event)" />
        <template v-else-if="stage === 'prove'"
          ><ProveStage @ask="ask" @photo="photo(undefined, $event)" /><LazyBenchView
            v-if="visit.isPractice"
            class="px-5 pb-4"
            :lit="answers ?? undefined" /></template
        ><LazyPracticeOver v-else-if="visit.isPractice" />
        <HandOverStage v-else />
      </fieldset>
    </main>
    <aside class="right no-print" aria-label="the lamp and the suspects" tabindex="0">
      <fieldset class="contents" :disabled="!measures && stage !== 'call'">
        <CancelledNote />
        <ConflictNote />
        <LazyPracticePanel v-if="visit.isPractice" :stage="stage" />
        <LazyPracticeOnward v-if="!isLampOn && (stage === 'call' || stage === 'prepare')" :stage="stage" />
        <CallLamp v-else-if="stage === 'call'" />
        <PrepareLamp v-else-if="stage === 'prepare'" />
        <SafeLamp v-else-if="stage === 'safe'" />
        <TestLamp v-else-if="stage === 'test' && isLampOn" @measure="measure" />
        <LazyHintLamp v-else-if="stage === 'test'" />
        <DecideLamp v-else-if="stage === 'decide' && isLampOn" />
        <LazyPracticeDecided v-else-if="stage === 'decide'" />
        <template v-else-if="stage === 'repair'"
          ><LazyPracticeRepair v-if="visit.isPractice" /><RepairLamp @photo="photo(undefined, $event)"
        /></template>
        <ProveLamp v-else-if="stage === 'prove'" @ask="ask" />
        <HandOverLamp v-else-if="!visit.isPractice" />
        <BoltTray v-if="stage === 'repair'" :items="tray" />
        <LazyAskedHere v-if="asked" :question="asked" />
        <SuspectList v-if="isLampOn && stage !== 'repair' && stage !== 'hand-over'" />
        <TogetherNote v-if="isLampOn && stage === 'test'" />
      </fieldset>
    </aside>
    <fieldset class="contents" :disabled="!measures">
      <ReadingLine
        ref="readingLine"
        v-model="line"
        v-model:correcting="correcting"
        class="reading"
        :stage="readingStage"
        :lit="answers"
        @photo="photo()"
      />
    </fieldset>
    <PartPanel :part="part" :records="stage === 'test'" @close="part = undefined" @ask="ask" @record="recordOf" />
    <PhotoPicker ref="picker" :of="photoOf" :caption="photoCaption" />
  </div>
</template>

<style scoped>
/* Nobody’s pump stands on squared paper. */
.is-practice {
  background-image:
    linear-gradient(var(--squares) 1px, transparent 1px), linear-gradient(90deg, var(--squares) 1px, transparent 1px);
  background-size: 20px 20px;
}
.frame {
  display: grid;
  height: 100dvh;
  grid-template:
    'header header header' auto 'drop middle right' minmax(0, 1fr)
    'reading reading reading' auto / 124px minmax(0, 1fr) 408px;
}
.header {
  grid-area: header;
}
.drop {
  grid-area: drop;
  overflow-y: auto;
}
.middle {
  grid-area: middle;
  overflow-y: auto;
}
.right {
  grid-area: right;
  overflow-y: auto;
  border-left: 1px solid var(--rule);
}
.reading {
  grid-area: reading;
}
@media (max-width: 1100px) {
  .frame {
    grid-template-columns: 116px minmax(0, 1fr) 340px;
  }
}
@media (max-width: 900px) {
  .frame {
    display: block;
    height: auto;
    min-height: 100dvh;
    padding-bottom: 9rem;
  }
  .frame {
    display: flex;
    flex-direction: column;
  }
  .drop {
    position: sticky;
    top: 0;
    z-index: 5;
    background: var(--paper);
    border-bottom: 1px solid var(--rule);
  }
  .right {
    order: 1;
    border-left: 0;
    overflow: visible;
  }
  .middle {
    order: 2;
    overflow: visible;
  }
  .reading {
    position: fixed;
    inset-inline: 0;
    bottom: var(--places);
    z-index: 10;
    max-height: 60dvh;
    overflow-y: auto;
  }
}
@media print {
  .frame {
    display: block;
    height: auto;
  }
  .middle {
    overflow: visible;
  }
}
</style>
