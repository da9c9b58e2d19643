<script setup lang="ts">
import { render } from '#core/quantity/sentence'
import { proofRows } from '#core/visit/before-after'
import { worstVerdict } from '#core/judgement/judgement'

const emit = defineEmits<{ ask: [line: string] }>()
const { state } = useVisitContext()
const { reader } = useUnits()
const end = useStageEnd()
const rows = computed(() => proofRows(state.value))
const next = computed(() => rows.value.find(({ found }) => !found))
const worst = computed(() => worstVerdict(rows.value.flatMap(({ found }) => (found ? [found.judgement.verdict] : []))))
const failed = computed(() => rows.value.filter(({ found }) => found?.judgement.verdict === 'failed'))
const failedWords = computed(() =>
  failed.value
    .map(({ label, found }) => `${label}: ${found ? render(found.judgement.because, reader.value) : ''}`)
    .join('; '),
)
</script>

<template>
  <LampCard
    v-if="next"
    :title="next.ask"
    :caution="next.caution"
    because="A repair is proved by readings, not by its noise alone."
  >
    <p v-if="failed.length > 0" class="font-bold">
      Failed already: {{ failed.map(({ label }) => label).join(', ') }}. Go back to Test before handing over.
    </p>
    <template #buttons>
      <button type="button" class="button button-lit flex-1" data-testid="prove-do" @click="emit('ask', next.line)">
        Write: {{ next.label }}
      </button>
      <button type="button" class="button" data-testid="stage-end" @click="end('prove')">Enough: hand over</button>
    </template>
  </LampCard>
  <LampCard
    v-else
    :title="failed.length > 0 ? 'It is not proved' : 'It is proved'"
    :because="
      failed.length > 0
        ? `${failedWords}. Go back to Test.`
        : worst === 'tired'
          ? 'Every proof is made; what is tired goes on the sheet to be watched.'
          : 'Every proof is made and sound.'
    "
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('prove')">
        Hand over
      </button></template
    >
  </LampCard>
</template>
