<script setup lang="ts">
import { usePractice } from '~/stores/practice'

/** A link to a try opens it where its work stands; one that is over is looked back on. */
const id = String(useRoute().params.id)
const practice = usePractice()
onMounted(async () => {
  await practice.open(id)
  const state = practice.state
  await navigateTo(state?.ended ? `/practice/${id}/after` : `/practice/${id}/${state?.visit.stage ?? 'call'}`, {
    replace: true,
  })
})
</script>

<template>
  <p class="p-6">Coming to the pump</p>
</template>
