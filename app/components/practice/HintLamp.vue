<script setup lang="ts">
import { checkKey } from '#core/diagnosis/finding'
import { checkTitle } from '#core/diagnosis/words/check-title'
import { IDEA_INFO } from '#core/knowledge/practice/ideas'
import { ideaOf } from '#core/practice/way'
import { usePractice } from '~/stores/practice'

/** In the place of the lamp: a question that leads to its check, or nothing but the way on. */
const { visit, diagnosis } = useVisitContext()
const practice = usePractice()
const end = useStageEnd()
const next = computed(() => (visit.help === 'hint' ? (diagnosis.value?.next ?? undefined) : undefined))
const idea = computed(() => next.value && IDEA_INFO[ideaOf(next.value)])
/** The check whose question was not enough. */
const shown = ref<string>()
const isShown = computed(() => next.value !== undefined && shown.value === checkKey(next.value))
watch(
  () => next.value && checkKey(next.value),
  (key) => {
    if (key) practice.hint(key, false)
  },
  { immediate: true },
)
function show(): void {
  if (!next.value) return
  shown.value = checkKey(next.value)
  practice.hint(shown.value, true)
}
</script>

<template>
  <LampCard
    v-if="idea && next"
    :title="idea.question"
    :because="isShown ? `${checkTitle(next)}. ${next.because}` : idea.why"
    data-testid="hint"
  >
    <template #buttons>
      <button v-if="!isShown" type="button" class="button button-lit" data-testid="show-check" @click="show">
        Show the check
      </button>
      <button type="button" class="button" data-testid="stage-end" @click="end('test')">I know: decide</button>
    </template>
  </LampCard>
  <section v-else class="border-b border-rule px-5 py-4">
    <p v-if="visit.help === 'hint' && diagnosis?.settled" class="mb-2">
      There is enough to decide on. What is it, and what cures it?
    </p>
    <button type="button" class="button w-full" data-testid="stage-end" @click="end('test')">I know: decide</button>
  </section>
</template>
