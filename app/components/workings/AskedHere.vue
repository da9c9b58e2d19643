<script setup lang="ts">
import { ask } from '#core/questions/ask'
import { questionById } from '#core/questions/questions'
import { render } from '#core/quantity/sentence'
import { InputError } from '#core/validation/input-error'
import { knownHere } from '#core/visit/known-here'

/** A working that the work at hand asks for, answered from this machine; the page behind it shows how. */
const { question: id } = defineProps<{ question: string }>()
const { state } = useVisitContext()
const { reader } = useUnits()
const question = computed(() => questionById(id))
const taken = computed(() => question.value.take?.(knownHere(state.value)))
/** What is known here, and that the rest is not. */
const from = computed(
  () => [...new Set(Object.values(taken.value?.sources ?? {}))].slice(0, 3).join('; ') || 'nothing of this machine',
)
const answer = computed(() => {
  try {
    return ask(question.value, taken.value?.input ?? {})
  } catch (error) {
    if (error instanceof InputError) return undefined
    throw error
  }
})
</script>

<template>
  <section class="border-t border-rule px-5 py-3" aria-label="worked out" data-testid="asked-here">
    <h2 class="text-[0.95rem] text-slate">{{ question.title }}</h2>
    <p v-if="answer" class="mt-1 flex items-start gap-2">
      <StateMark :verdict="answer.solved.verdict" class="mt-0.5" /><span>{{ render(answer.told.answer, reader) }}</span>
    </p>
    <p class="text-[0.88rem] text-slate">Taken: {{ from }}; the rest usual numbers.</p>
    <NuxtLink class="button button-quiet" :to="{ path: `/workings/${id}`, query: { visit: state.id } }"
      >how, and with other numbers</NuxtLink
    >
  </section>
</template>
