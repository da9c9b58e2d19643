<script setup lang="ts">
import { JOINTS, type Joint } from '#core/knowledge/vocabulary'
import { useVisit } from '~/stores/visit'

const route = useRoute()
const visit = useVisit()
const id = computed(() => String(route.params.id))
const joint = computed<Joint>(() =>
  JOINTS.includes(route.params.joint as Joint) ? (route.params.joint as Joint) : 'call',
)
watch(id, (next) => visit.open(next), { immediate: true })
</script>

<template>
  <VisitFrame v-if="visit.state && visit.visitId === id" :key="id" :joint="joint" />
  <main v-else class="mx-auto max-w-xl p-6">
    <template v-if="visit.problem"
      ><h1 class="text-2xl">This visit cannot be shown</h1>
      <p class="my-3">{{ visit.problem }}</p>
      <NuxtLink class="button" to="/">Back to the Day</NuxtLink></template
    >
    <p v-else>Opening the visit</p>
  </main>
</template>
