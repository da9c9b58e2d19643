<script setup lang="ts">
import { useVisit } from '~/stores/visit'

const id = String(useRoute().params.id)
const visit = useVisit()
onMounted(() => visit.open(id))
useHead({ title: 'Paper plan · Pike Lamp' })
</script>

<template>
  <PlanPaper v-if="visit.state && visit.visitId === id" />
  <main v-else class="mx-auto max-w-xl p-6">
    <template v-if="visit.problem"
      ><h1 class="text-2xl">This plan cannot be shown</h1>
      <p class="my-3">{{ visit.problem }}</p>
      <NuxtLink class="button" to="/">Back to the Day</NuxtLink></template
    >
    <p v-else>Opening the visit</p>
  </main>
</template>
