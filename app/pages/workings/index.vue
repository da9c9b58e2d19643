<script setup lang="ts">
import { QUESTIONS } from '#core/questions/questions'
import { useVisit } from '~/stores/visit'

const route = useRoute()
const visit = useVisit()
const visitId = computed(() => (typeof route.query.visit === 'string' ? route.query.visit : undefined))
watch(
  visitId,
  (id) => {
    if (id) void visit.open(id)
  },
  { immediate: true },
)
const state = computed(() => (visitId.value && visit.visitId === visitId.value ? visit.state : undefined))
/** At a machine, the questions its kind asks stand first. */
const questions = computed(() => {
  const kind = state.value?.machine.kind
  return kind
    ? [...QUESTIONS].sort((a, b) => Number(b.kinds.includes(kind)) - Number(a.kinds.includes(kind)))
    : QUESTIONS
})
const link = (id: string) => ({ path: `/workings/${id}`, query: visitId.value ? { visit: visitId.value } : {} })
useHead({ title: 'Workings · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="Workings"
      ><p v-if="state" class="min-w-0 truncate text-slate">
        at {{ state.machine.name }}, {{ state.customer.name }}
      </p></PlaceHeader
    >
    <main class="mx-auto max-w-6xl p-5 max-sm:p-3">
      <p class="mb-3 text-slate max-sm:hidden">
        Ask; the answer stands first, its working below it, and every number can be changed. At a machine its card and
        its readings are taken.
      </p>
      <ul class="questions" data-testid="questions">
        <li v-for="question in questions" :key="question.id">
          <NuxtLink :to="link(question.id)" class="question"
            ><QuestionMark :kind="question.id" class="mark" /><span
              ><strong class="block text-[1.12rem] leading-snug">{{ question.title }}</strong
              ><span class="text-slate">{{ question.about }}</span></span
            ></NuxtLink
          >
        </li>
      </ul>
      <p class="mt-4">
        <NuxtLink to="/workings/sources" class="inline-flex min-h-12 items-center underline underline-offset-4"
          >Where the figures come from</NuxtLink
        >
      </p>
    </main>
  </div>
</template>

<style scoped>
.questions {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  column-gap: 2.5rem;
}
.question {
  display: flex;
  align-items: center;
  gap: 1.1rem;
  min-height: 104px;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--rule);
  color: inherit;
  text-decoration: none;
}
.question:hover strong {
  text-decoration: underline;
  text-underline-offset: 4px;
}
.mark {
  flex: none;
  width: 84px;
  height: 64px;
}
@media (max-width: 800px) {
  .questions {
    grid-template-columns: minmax(0, 1fr);
  }
  .question {
    min-height: 84px;
  }
  .mark {
    width: 62px;
    height: 48px;
  }
}
</style>
