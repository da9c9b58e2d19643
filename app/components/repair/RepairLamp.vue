<script setup lang="ts">
import { useSpeechSynthesis } from '@vueuse/core'
import type { JointPlace } from '#core/knowledge/constructions/joint'
import { DAMAGE_LOOKS } from '#core/knowledge/repairs/damage-looks'
import { formatMinutes } from '#core/quantity/format'
import { doneWords } from '#core/takedown/sections'
import { isClosing, isFreeing, isOpening, jointOf } from '#core/takedown/step-ref'
import { isCount, placesThatDiffer } from '#core/takedown/tray'
import { canClose, followsFrom } from '#core/visit/step-answer'
import { countsAt } from '~/utils/count-words'
import { PHOTOGRAPHS } from '~/utils/shot-of'

const emit = defineEmits<{ photo: [caption: string] }>()
const { current, cameOut, minutesLeft, lastDone, tick, stuck, damaged, plan } = useRepair()
const { visit, state } = useVisitContext()
const end = useStageEnd()
const count = ref<number>()
const counted = ref<JointPlace[]>()
const reason = ref('')
const different = ref(false)
const damage = ref(false)
const note = ref('')
/** What is expected here: on the way back what came out, place by place. */
const expected = computed(() => {
  const step = current.value
  if (!step || step.count === undefined) return undefined
  const out = isClosing(step.id) ? cameOut(step.id) : undefined
  return { count: out?.count ?? step.count, places: out ? out.places : step.places }
})
watch(
  [() => current.value?.id, () => expected.value?.count],
  () => {
    count.value = expected.value?.count
    counted.value = expected.value?.places?.map((place) => ({ ...place }))
    reason.value = ''
    different.value = false
    damage.value = false
    note.value = ''
  },
  { immediate: true },
)
const differs = computed(
  () =>
    current.value !== undefined &&
    isClosing(current.value.id) &&
    expected.value !== undefined &&
    (count.value !== expected.value.count ||
      placesThatDiffer(expected.value.places ?? [], counted.value ?? []).length > 0),
)
const invalid = computed(() => expected.value !== undefined && (count.value === undefined || !isCount(count.value)))
const freeing = computed(() => current.value !== undefined && isFreeing(current.value.id))
/**
 * Wires are photographed before they come off, anything else may be; the picture stands beside the step that puts it
 * back.
 */
const WIRES = new Set(['wire-terminal', 'wire-splice'])
const opens = computed(
  () =>
    current.value !== undefined &&
    isOpening(current.value.id) &&
    current.value.joint !== undefined &&
    current.value.joint !== 'gate',
)
const photographs = computed(
  () => opens.value || (current.value !== undefined && jointOf(current.value.id) === PHOTOGRAPHS),
)
/** A way of freeing it that did not help is tried and behind: the next one is at hand. */
function holds(): void {
  const step = current.value
  if (!step) return
  stuck(step.id)
  if (isFreeing(step.id)) tick(step.id, true)
}
function foundDamaged(): void {
  const step = current.value
  if (!step) return
  if (DAMAGE_LOOKS[step.part]) damage.value = true
  else damaged(step.part)
}
const shot = computed(() => (current.value ? shotOf(current.value.id) : ''))
const OPENS = new Set(['bolt', 'screw', 'thread', 'press-fit', 'o-ring-seat', 'union', 'clamp-band'])
const canStick = computed(() => {
  const step = current.value
  if (step?.phase !== 'down' || step.joint === undefined || !OPENS.has(step.joint)) return false
  return freeing.value
    ? (step.orElse?.length ?? 0) > 0
    : !state.value.takeDownFound.some(
        ({ joint, what }) => what === 'stuck' && joint !== undefined && jointOf(step.id) === joint,
      )
})
const sentence = computed(() =>
  [current.value?.title, current.value?.how, current.value?.caution].filter(Boolean).join('. '),
)
/** Read aloud by the browser’s own speech, where it has one: hands are wet or gloved. */
const { isSupported: speaks, speak, stop: quiet } = useSpeechSynthesis(sentence)
const reading = ref(false)
watch(
  () => current.value?.id,
  () => {
    if (reading.value) speak()
  },
  { flush: 'post' },
)
function aloud(): void {
  reading.value = !reading.value
  if (reading.value) speak()
  else quiet()
}
onScopeDispose(() => {
  if (speaks.value) quiet()
})
function byKey(event: KeyboardEvent): void {
  const target = event.target as HTMLElement
  if (event.altKey || event.ctrlKey || event.metaKey || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return
  if (event.key === 'ArrowRight') done()
  else if (event.key === 'ArrowLeft' && lastDone.value) tick(lastDone.value.id, false)
}
onMounted(() => window.addEventListener('keydown', byKey))
onBeforeUnmount(() => window.removeEventListener('keydown', byKey))
/** What decides is not there yet: a figure, or an answer. */
const undecided = computed(() => {
  const step = current.value
  return step?.decides !== undefined && state.value.measured[step.decides] === undefined
})
const barred = computed(() => invalid.value || undecided.value || (differs.value && !reason.value.trim()))
function done(answer?: string): void {
  const step = current.value
  if (!step || barred.value || !canClose(step, state.value.measured, answer)) return
  tick(step.id, true, {
    count: step.count === undefined ? undefined : count.value,
    places: counted.value,
    reason: reason.value.trim() || undefined,
    note: note.value.trim() || undefined,
    answer,
  })
  const found = step.asks?.find(({ id }) => id === answer)
  for (const { kind, body } of found ? followsFrom(found) : []) visit.append(kind, body as never)
}
</script>

<template>
  <LampCard
    v-if="current"
    :title="current.title"
    :because="current.how"
    :tool="current.tool"
    :caution="current.caution"
  >
    <p class="number text-[0.95rem]">
      step {{ current.number }} · {{ formatMinutes(current.minutes) }} · {{ formatMinutes(minutesLeft) }} left
    </p>
    <StepFacts :step="current" :count="expected?.count" />
    <StepMeasured :step="current" />
    <IdentityRead v-if="current.identifies" :part="current.identifies" />
    <p v-if="undecided" class="text-[0.95rem]">It does not close without its figure: what comes next hangs on it.</p>
    <CountEntry
      v-if="expected"
      :key="current.id"
      v-model:count="count"
      v-model:places="counted"
      :expected="expected.count"
      :came-out="expected.places"
      :counts="countsAt(current)"
      :note="current.countNote"
    />
    <p v-if="invalid" role="alert" class="font-bold">A count is a whole number, 0 to 200.</p>
    <label v-if="differs && expected" class="block"
      ><strong>{{
        count === expected.count ? 'Not where they came out.' : `${expected.count} came out and ${count} go in.`
      }}</strong>
      Write why, then it can be closed.<input v-model="reason" class="field" maxlength="300" data-testid="count-reason"
    /></label>
    <DamageChoice v-if="damage" :part="current.part" @done="damage = false" />
    <StepDifferent v-if="different" :key="current.id" :step="current" @done="different = false" />
    <template #buttons>
      <template v-if="current.asks">
        <button
          v-for="(answer, index) in current.asks"
          :key="answer.id"
          type="button"
          class="button"
          :class="{ 'button-lit': index === 0 }"
          :data-testid="`answer-${answer.id}`"
          :disabled="barred"
          @click="done(answer.id)"
        >
          {{ answer.label }}
        </button>
      </template>
      <button
        v-else
        type="button"
        class="button button-lit basis-full"
        data-testid="step-done"
        :disabled="barred"
        @click="done()"
      >
        {{ doneWords(current) }}
      </button>
      <button v-if="photographs" type="button" class="button" data-testid="step-photo" @click="emit('photo', shot)">
        {{ current.joint && (WIRES.has(current.joint) || !opens) ? 'Photo first' : 'Photo' }}
      </button>
      <button v-if="canStick" type="button" class="button" data-testid="step-stuck" @click="holds">
        {{ freeing ? 'Still holds' : 'Will not open' }}
      </button>
      <button
        v-if="(current.phase === 'down' || current.phase === 'work') && current.joint !== 'gate'"
        type="button"
        class="button"
        data-testid="step-damaged"
        @click="foundDamaged"
      >
        It is damaged
      </button>
      <button
        v-if="opens"
        type="button"
        class="button"
        data-testid="step-different"
        :aria-expanded="different"
        @click="different = !different"
      >
        It is different
      </button>
      <button v-if="speaks" type="button" class="button" :aria-pressed="reading" @click="aloud">
        {{ reading ? 'Quiet' : 'Read aloud' }}
      </button>
      <label v-if="opens" class="basis-full"
        ><span class="sr-only">note for the way back</span
        ><input
          v-model="note"
          class="field"
          maxlength="300"
          placeholder="note for the way back"
          data-testid="step-note"
      /></label>
    </template>
  </LampCard>
  <LampCard
    v-else-if="plan"
    :title="plan.endsOpen ? 'Opened and sorted' : 'Everything is back'"
    :because="
      plan.endsOpen
        ? 'It stays apart. What was found goes on the card; a job agreed now closes it again.'
        : 'All steps are ticked. Prove the repair before the van is loaded.'
    "
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('repair')">
        {{ plan.endsOpen ? 'Done' : 'Repaired: prove it' }}
      </button></template
    >
  </LampCard>
  <LampCard
    v-else
    title="Decide first"
    because="The steps follow from the repair that is chosen.
    For a kind whose repairs are not laid out yet, write the work as notes below."
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('repair')">
        Work is written: prove it
      </button></template
    >
  </LampCard>
</template>
