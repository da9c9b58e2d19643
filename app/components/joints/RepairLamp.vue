<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

const { current, cameOut, minutesLeft, tick, plan } = useRepair()
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
    <p v-if="current.orientation"><strong>How it lies:</strong> {{ current.orientation }}</p>
    <fieldset v-if="expected !== undefined" class="m-0 border-0 p-0">
      <legend class="mb-1">{{ current.phase === 'back' ? `How many go in? ${expected} came out.` : `How many came out? ${expected} usual${current.countNote ? `: ${current.countNote}` : ''}` }}</legend>
      <div class="flex flex-wrap gap-2">
        <button v-for="number in choices" :key="number" type="button" class="button number min-w-14 text-xl" :class="{ 'is-count': count === number }" :aria-pressed="count === number" @click="counted = number; other = ''">{{ number }}</button>
        <input v-model="other" class="field number max-w-24" inputmode="numeric" aria-label="another count" placeholder="…">
      </div>
      <p v-if="invalid" role="alert" class="font-bold">A count is a whole number, 0 to 200.</p>
      <label v-if="differs" class="mt-2 block"><strong>{{ expected }} came out and {{ count }} go in.</strong> Write why, then it can be closed.<input v-model="reason" class="field" maxlength="300" data-testid="count-reason"></label>
    </fieldset>
    <template #buttons>
      <button type="button" class="button button-lit flex-1" data-testid="step-done" :disabled="invalid || (differs && !reason.trim())" @click="done">{{ current.phase === 'down' ? 'Out, written down' : current.phase === 'work' ? 'Done' : 'Back in' }}</button>
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
