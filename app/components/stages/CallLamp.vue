<script setup lang="ts">
import { complaintWords } from '#core/planning/day'
import { formatPercent } from '#core/quantity/format'

const { state, diagnosis } = useVisitContext()
const end = useStageEnd()
const top = computed(() => diagnosis.value?.suspects[0])
const leader = computed(() => {
  const { label, probability } = top.value ?? {}
  return label === undefined ? '' : `${label} leads at ${formatPercent(probability ?? 0)} before anything is touched.`
})
const because = computed(() =>
  state.value.call.complaints.length === 0
    ? 'Tap what the caller says. It ranks the causes before anything is touched, and says what to load.'
    : `${complaintWords(state.value.call.complaints)}. ${leader.value}`,
)
</script>

<template>
  <LampCard
    :title="state.call.complaints.length === 0 ? 'Take the call' : 'Check the plate, then load'"
    :because="because"
  >
    <p v-if="state.plate.assumed.length > 0">
      {{ state.plate.assumed.length }} figures are assumed. What can be read off the plate replaces them.
    </p>
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('call')">
        Call is taken, prepare
      </button></template
    >
  </LampCard>
</template>
