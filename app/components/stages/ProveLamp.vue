<script setup lang="ts">
import { format } from 'date-fns'
import { BASIS_WORDS } from '#core/judgement/judgement'
import { render } from '#core/quantity/sentence'
import type { ProofRow } from '#core/visit/proving'

/** The one proof at hand; what failed, and the way back to Test. */
const emit = defineEmits<{ ask: [line: string] }>()
const { state } = useVisitContext()
const { reader } = useUnits()
const { list, next, waitsUntil, say, comeBack } = useProofs()
const end = useStageEnd()
const placeOf = useStagePlace()
const leaving = ref(false)
const why = ref('')
const hasFailed = computed(() => list.value.failed.length > 0)
const failedWords = (row: ProofRow) =>
  `${row.label}: ${row.said?.why ?? (row.found ? render(row.found.judgement.because, reader.value) : '')}`
const round = computed(() => state.value.comebacks.length + 1)
watch(
  () => next.value?.id,
  () => {
    leaving.value = false
    why.value = ''
  },
)
function leave(outcome: 'fails' | 'left'): void {
  if (!next.value || !why.value.trim()) return
  say(next.value.id, outcome, why.value.slice(0, 300))
}
function backToTest(): void {
  comeBack()
  void navigateTo(placeOf('test'))
}
</script>

<template>
  <LampCard
    v-if="hasFailed"
    title="It does not prove"
    because="Back to Test with all that is known: what is new counts as new, and what failed here is a reading."
  >
    <ul class="border-l-4 border-lamp-ink pl-3 font-bold" data-testid="prove-failed">
      <li v-for="row in list.failed" :key="row.id">{{ failedWords(row) }}</li>
    </ul>
    <template #buttons>
      <button type="button" class="button button-lit flex-1" data-testid="comeback" @click="backToTest">
        Back to Test
      </button>
      <button type="button" class="button" data-testid="stage-end" @click="end('prove')">Hand over all the same</button>
    </template>
  </LampCard>
  <LampCard v-else-if="next" :title="next.ask" :caution="next.caution">
    <p v-if="round > 1" class="font-bold" data-testid="prove-round">
      Round {{ round }}: it did not prove before, and came back.
    </p>
    <p v-if="waitsUntil" data-testid="prove-wait">
      It has to run first: look at it from <span class="number">{{ format(waitsUntil, 'HH:mm') }}</span>.
    </p>
    <p v-else-if="next.waitMinutes && !next.readyAt" data-testid="prove-wait">
      It counts after <span class="number">{{ next.waitMinutes }}</span> minutes of running.
    </p>
    <p v-if="next.allowed">{{ next.allowed.text }}</p>
    <p class="text-[0.88rem]">
      <BasisLine :basis="next.basis" :check="next.check" /> ({{ BASIS_WORDS[next.basis.kind] }})
    </p>
    <label v-if="leaving"
      ><span class="label">Why?</span
      ><input v-model="why" class="field" maxlength="300" data-testid="proof-why" @keydown.enter="leave('left')"
    /></label>
    <template #buttons>
      <template v-if="leaving">
        <button type="button" class="button" data-testid="proof-left" :disabled="!why.trim()" @click="leave('left')">
          Not proved here
        </button>
        <button
          v-if="!next.check"
          type="button"
          class="button"
          data-testid="proof-fails"
          :disabled="!why.trim()"
          @click="leave('fails')"
        >
          It fails
        </button>
        <button type="button" class="button button-quiet" @click="leaving = false">Prove it after all</button>
      </template>
      <template v-else>
        <button
          v-if="next.check"
          type="button"
          class="button button-lit flex-1"
          data-testid="prove-do"
          @click="emit('ask', next.line ?? '')"
        >
          Write: {{ next.label }}
        </button>
        <button
          v-else
          type="button"
          class="button button-lit flex-1"
          data-testid="proof-holds"
          @click="say(next.id, 'holds')"
        >
          It holds
        </button>
        <button type="button" class="button" data-testid="proof-cannot" @click="leaving = true">
          {{ next.check ? 'Not here' : 'No' }}
        </button>
        <button type="button" class="button button-quiet" data-testid="stage-end" @click="end('prove')">
          Hand over
        </button>
      </template>
    </template>
  </LampCard>
  <LampCard
    v-else
    :title="list.notDue ? 'Nothing to prove' : list.left.length > 0 ? 'Proved as far as it goes' : 'It is proved'"
    :because="
      list.notDue ??
      (list.left.length > 0
        ? 'What was left stands on the sheet with its reason.'
        : 'Every proof that these jobs call for is made.')
    "
  >
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('prove')">
        Hand over
      </button></template
    >
  </LampCard>
</template>
