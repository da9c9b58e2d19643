<script setup lang="ts">
import { STAGES, type Stage } from '#core/knowledge/vocabulary'
import { useVisit } from '~/stores/visit'

const route = useRoute()
const visit = useVisit()
const id = computed(() => String(route.params.id))
const stage = computed<Stage>(() =>
  STAGES.includes(route.params.stage as Stage) ? (route.params.stage as Stage) : 'call',
)
watch(id, (next) => visit.open(next), { immediate: true })
</script>

<template>
  <VisitFrame v-if="visit.state && visit.visitId === id" :key="id" :stage="stage" />
  <main v-else class="mx-auto max-w-xl p-6">
    <template v-if="visit.problem"
      ><h1 class="text-2xl">This visit cannot be shown</h1>
      <p class="my-3">{{ visit.problem }}</p>
      <NuxtLink class="button" to="/">Back to the Day</NuxtLink></template
    >
    <p v-else>Opening the visit</p>
  </main>
</template>
