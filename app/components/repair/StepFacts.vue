<script setup lang="ts">
import { format } from 'date-fns'
import { IDENTITIES } from '#core/knowledge/repairs/identities'
import { PARTS } from '#core/knowledge/vocabulary'
import { VERDICT_WORDS } from '#core/judgement/judgement'
import { jobLabel } from '#core/language/other-words'
import { isClosing, jointOf, opening } from '#core/takedown/step-ref'
import { matchVerdict } from '#core/motor/match'
import { valueText } from '#core/visit/describe'
import { matchNewPart } from '#core/visit/new-parts'
import { readingAt } from '#core/visit/step-reading'
import { useRepairPlan } from '~/stores/repair-plan'
import { MATCH_SENTENCES } from '~/utils/match-words'
import type { TakeDownStep } from '#core/takedown/plan'

/** What a step has to say beside its sentence: turn, hold, rounds, how it lies, what was noted, what was met. */
const { step, count = undefined } = defineProps<{
  step: TakeDownStep
  /** How many pieces are expected at it. */
  count?: number
}>()
const { state } = useVisitContext()
const { reader } = useUnits()
/** What was written on the way down, for the way back. */
const written = computed(() =>
  isClosing(step.id) ? state.value.steps.get(opening(jointOf(step.id) ?? ''))?.note : undefined,
)
const taken = computed(() => state.value.photos.filter(({ caption }) => caption === shotOf(step.id)))
/** How the new motor was found to fit, where it is matched. */
const { parts } = useNewParts()
const { plan } = storeToRefs(useRepairPlan())
const matched = computed(() => {
  const at = parts.value.find(({ part, plated }) => plated && step.id === `work:${part}:match`)
  if (!at) return undefined
  return at.known?.nameplate
    ? MATCH_SENTENCES[matchVerdict(matchNewPart(at.known, state.value))]
    : 'Its plate is held against the old one point by point:'
})
/** What the visit has already of what is to be read here. */
const read = computed(() => {
  const worked = plan.value?.steps
    .filter(({ phase }) => phase === 'work')
    .map(({ id }) => state.value.steps.get(id)?.at ?? '')
    .sort()
    .at(-1)
  return readingAt(step, state.value.findings, worked || undefined)
})
/** Where the work at a part begins, it is read by what it is ordered by next time. */
const identified = computed(() => {
  const first = (part: string) => plan.value?.steps.find(({ id }) => id.startsWith(`work:${part}:`))?.id
  const at = parts.value.find(
    ({ part, plated, known }) => !plated && !known && !step.identifies && step.id === first(part),
  )
  return at && { part: PARTS[at.part], asks: IDENTITIES[at.part]?.asks ?? '' }
})
/** Damage that was met and asks for another job, until somebody has said what becomes of it. */
const offered = computed(() => state.value.jobs.filter((job) => job.from === 'damage' && job.state === 'offered'))
</script>

<template>
  <div v-if="step.joint" class="flex items-center gap-4">
    <ThreadTurn v-if="step.turn" :turn="step.turn" :hand="step.hand" /><JointFace :step="step" :count="count ?? 1" />
  </div>
  <p v-if="step.tighten && (count ?? 0) > 1">
    In {{ step.tighten.rounds }} rounds, {{ step.tighten.pattern === 'star' ? 'in a star' : step.tighten.pattern }}:
    until {{ step.tighten.until }}.
  </p>
  <p v-if="step.hold && step.phase === 'down'" class="text-[0.88rem]">
    <strong>Hold the shaft:</strong> {{ step.hold.join('; else ') }}
  </p>
  <p v-if="step.orElse" class="text-[0.95rem]">
    <strong>If that fails:</strong>
    {{ step.orElse.map(({ text, minutes }) => `${text} (${minutes} min)`).join('; else ') }}
  </p>
  <p v-if="step.lubricant" class="text-[0.95rem]"><strong>On the ring:</strong> {{ step.lubricant }}</p>
  <p v-if="matched" class="text-[0.95rem]" data-testid="step-match">
    {{ matched }} <a href="#what-goes-in" class="font-bold underline">What goes in</a>
  </p>
  <p v-if="read" class="text-[0.95rem]" data-testid="step-reading">
    <strong>Read at {{ format(new Date(read.at), 'HH:mm') }}:</strong> {{ read.judgement.subject }}
    <strong>{{ valueText(read, reader) }}</strong>,
    {{ VERDICT_WORDS[read.judgement.verdict] }}
  </p>
  <p v-if="identified" class="text-[0.95rem]" data-testid="step-identity">
    For the card: <strong>{{ identified.part }}</strong>, {{ identified.asks }}:
    <a href="#what-goes-in" class="font-bold underline">What goes in</a>
  </p>
  <p v-if="step.twoPeople" class="font-bold">Two people.</p>
  <div v-if="taken.length > 0">
    <p class="text-[0.95rem]"><strong>As it was:</strong></p>
    <span class="flex flex-wrap gap-2"><PhotoThumb v-for="photo in taken" :key="photo.entryId" :photo="photo" /></span>
  </div>
  <p v-if="step.orientation">
    <strong>{{ step.phase === 'down' ? 'Note how it lies:' : 'How it lies:' }}</strong> {{ step.orientation }}
  </p>
  <p v-if="written"><strong>You wrote:</strong> {{ written }}</p>
  <p v-if="step.bench" class="text-[0.95rem]">At the bench, or the van’s tailgate: pressing is no work for the site.</p>
  <p v-for="job in offered" :key="job.id" class="border-l-4 border-lamp-ink pl-3 font-bold" data-testid="damage-job">
    {{ job.why }}: {{ jobLabel(job.id).toLowerCase() }}?
    <NuxtLink class="underline" :to="{ params: { joint: 'decide' } }">Decide with the owner.</NuxtLink>
  </p>
</template>
