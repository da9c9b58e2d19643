<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

const emit = defineEmits<{ photo: [caption: string] }>()
const { current, cameOut, minutesLeft, lastDone, tick, stuck, damaged, plan } = useRepair()
const { state } = useVisitContext()
const end = useJointEnd()
const counted = ref<number>()
const other = ref('')
const reason = ref('')
watch(() => current.value?.id, () => {
  counted.value = undefined
  other.value = ''
  reason.value = ''
}, { immediate: true })
const expected = computed(() => {
  const step = current.value
  if (!step || step.count === undefined) return undefined
  return step.phase === 'back' ? (cameOut(step.id) ?? step.count) : step.count
})
const count = computed(() => (other.value.trim() !== '' ? Number(other.value) : (counted.value ?? expected.value)))
const differs = computed(() => current.value?.phase === 'back' && expected.value !== undefined && count.value !== expected.value)
const invalid = computed(() => count.value !== undefined && (!Number.isInteger(count.value) || count.value < 0 || count.value > 200))
const choices = computed(() => {
  const around = expected.value ?? 0
  return [...new Set([around - 2, around - 1, around, around + 1, around + 2])].filter((number) => number >= 0).slice(0, 5)
})
/** Wires are photographed before they come off, and the picture stands beside the step that puts them back. */
const WIRES = new Set(['wire-terminal', 'wire-splice'])
const shot = computed(() => (current.value ? `before ${current.value.id.replace(/^(down|back):/, '')}` : ''))
const taken = computed(() => state.value.photos.filter(({ caption }) => caption === shot.value))
const OPENS = new Set(['bolt', 'screw', 'thread', 'press-fit', 'o-ring-seat', 'union', 'clamp-band'])
const canStick = computed(() => current.value?.phase === 'down' && current.value.joint !== undefined && OPENS.has(current.value.joint) && !current.value.id.endsWith(':free') && !state.value.takeDownFound.some(({ joint }) => joint !== undefined && current.value?.id.endsWith(joint)))
const { speaks, reading, say } = useReadAloud()
watch(() => current.value?.id, () => { if (reading.value && current.value) say([current.value.title, current.value.how, current.value.caution].filter(Boolean).join('. ')) })
function aloud(): void {
  reading.value = !reading.value
  if (reading.value && current.value) say([current.value.title, current.value.how, current.value.caution].filter(Boolean).join('. '))
}
function byKey(event: KeyboardEvent): void {
  const target = event.target as HTMLElement
  if (event.altKey || event.ctrlKey || event.metaKey || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return
  if (event.key === 'ArrowRight') done()
  else if (event.key === 'ArrowLeft' && lastDone.value) tick(lastDone.value.id, false)
}
onMounted(() => window.addEventListener('keydown', byKey))
onBeforeUnmount(() => window.removeEventListener('keydown', byKey))
function done(): void {
  const step = current.value
  if (!step || invalid.value || (differs.value && !reason.value.trim())) return
  tick(step.id, true, step.count === undefined ? undefined : count.value, reason.value.trim() || undefined)
}
</script>

<template>
  <LampCard v-if="current" :title="current.title" :because="current.how" :tool="current.tool" :caution="current.caution">
    <p class="number text-[0.95rem]">step {{ current.number }} · {{ current.minutes }} min · {{ formatMinutes(minutesLeft) }} left</p>
    <ThreadTurn v-if="current.turn" :turn="current.turn" :hand="current.hand" />
    <p v-if="current.hold && current.phase === 'down'" class="text-[0.88rem]"><strong>Hold the shaft:</strong> {{ current.hold.join('; else ') }}</p>
    <p v-if="current.lubricant" class="text-[0.95rem]"><strong>On the ring:</strong> {{ current.lubricant }}</p>
    <div v-if="current.tighten" class="flex items-center gap-4"><TightenStar v-if="(expected ?? 0) > 2" :count="expected ?? 4" :pattern="current.tighten.pattern" /><p>In {{ current.tighten.rounds }} rounds, {{ current.tighten.pattern === 'star' ? 'in a star' : current.tighten.pattern }}: until {{ current.tighten.until }}.</p></div>
    <p v-if="current.twoPeople" class="font-bold">Two people.</p>
    <div v-if="current.joint && WIRES.has(current.joint) && taken.length > 0"><p class="text-[0.95rem]"><strong>As it was:</strong></p><span class="flex flex-wrap gap-2"><PhotoThumb v-for="photo in taken" :key="photo.entryId" :photo="photo" /></span></div>
    <p v-if="current.orientation"><strong>How it lies:</strong> {{ current.orientation }}</p>
    <fieldset v-if="expected !== undefined" class="m-0 border-0 p-0">
      <legend class="mb-1">{{ current.phase === 'back' ? `How many go in? ${expected} came out.` : `How many came out? ${expected} usual${current.countNote ? `: ${current.countNote}` : ''}` }}</legend>
      <div class="flex flex-wrap gap-2">
        <button v-for="number in choices" :key="number" type="button" class="button number min-w-12 px-2 text-xl" :class="{ 'is-count': count === number }" :aria-pressed="count === number" @click="counted = number; other = ''">{{ number }}</button>
        <input v-model="other" class="field number max-w-16" inputmode="numeric" aria-label="another count" placeholder="…">
      </div>
      <p v-if="invalid" role="alert" class="font-bold">A count is a whole number, 0 to 200.</p>
      <label v-if="differs" class="mt-2 block"><strong>{{ expected }} came out and {{ count }} go in.</strong> Write why, then it can be closed.<input v-model="reason" class="field" maxlength="300" data-testid="count-reason"></label>
    </fieldset>
    <template #buttons>
      <button type="button" class="button button-lit flex-1" data-testid="step-done" :disabled="invalid || (differs && !reason.trim())" @click="done">{{ current.phase === 'down' ? 'Out, written down' : current.phase === 'work' ? 'Done' : 'Back in' }}</button>
      <button v-if="current.joint && WIRES.has(current.joint) && current.phase === 'down'" type="button" class="button" data-testid="step-photo" @click="emit('photo', shot)">Photo first</button>
      <button v-if="canStick" type="button" class="button" data-testid="step-stuck" @click="stuck(current.id)">Will not open</button>
      <button v-if="current.phase !== 'back' && current.joint !== 'gate'" type="button" class="button" data-testid="step-damaged" @click="damaged(current.part)">It is damaged</button>
      <button v-if="speaks" type="button" class="button" :aria-pressed="reading" @click="aloud">{{ reading ? 'Quiet' : 'Read aloud' }}</button>
    </template>
  </LampCard>
  <LampCard v-else-if="plan" title="Everything is back" because="All steps are ticked. Prove the repair before the van is loaded.">
    <template #buttons><button type="button" class="button button-lit" data-testid="joint-end" @click="end('repair')">Repaired: prove it</button></template>
  </LampCard>
  <LampCard v-else title="Decide first" because="The steps follow from the repair that is chosen. For a kind whose repairs are not laid out yet, write the work as notes below.">
    <template #buttons><button type="button" class="button button-lit" data-testid="joint-end" @click="end('repair')">Work is written: prove it</button></template>
  </LampCard>
</template>

<style scoped>
.is-count { background: var(--lamp-ink) !important; color: #fff !important; }
</style>
