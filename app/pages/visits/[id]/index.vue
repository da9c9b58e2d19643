<script setup lang="ts">
import { useVisit } from '~/stores/visit'

/** A link to a visit opens it where its work stands. */
const id = String(useRoute().params.id)
const visit = useVisit()
onMounted(async () => {
  await visit.open(id)
  await navigateTo({ name: 'visits-id-stage', params: { id, stage: visit.state?.stage ?? 'call' } }, { replace: true })
})
</script>

<template>
  <p class="p-6">Opening the visit</p>
</template>
