<script setup lang="ts">
import { STAGES, type Stage } from '#core/knowledge/vocabulary'
import { usePractice } from '~/stores/practice'
import { useVisit } from '~/stores/visit'

/** A try, on the same screens as a visit. */
const route = useRoute()
const [visit, practice] = [useVisit(), usePractice()]
const id = computed(() => String(route.params.id))
const stage = computed<Stage>(() =>
  STAGES.includes(route.params.stage as Stage) ? (route.params.stage as Stage) : 'call',
)
const isHere = computed(() => visit.state !== undefined && visit.visitId === id.value && visit.isPractice)
watch(
  id,
  async (next) => {
    await practice.open(next)
    if (next === id.value && practice.state)
      visit.openBook(next, practice.book, practice.state.entries, practice.state.begun.body.shop)
  },
  { immediate: true },
)
// Another tab goes on with the same try.
watch(
  () => practice.state?.entries,
  (entries) => {
    if (entries && isHere.value && practice.tryId === id.value) visit.take(entries)
  },
)
useHead({ title: 'Practice · Pike Lamp' })
</script>

<template>
  <VisitFrame v-if="isHere" :key="id" :stage="stage" />
  <main v-else class="mx-auto max-w-xl p-6">
    <template v-if="practice.problem"
      ><h1 class="text-2xl">This try cannot be shown</h1>
      <p class="my-3">{{ practice.problem }}</p>
      <NuxtLink class="button" to="/practice">To practice</NuxtLink></template
    >
    <p v-else>Coming to the pump</p>
  </main>
</template>
