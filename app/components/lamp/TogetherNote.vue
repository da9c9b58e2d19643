<script setup lang="ts">
const { diagnosis } = useVisitContext()
</script>

<template>
  <section
    v-if="diagnosis && diagnosis.together.length > 0"
    class="mx-5 mb-4 border-l-4 border-river pl-3"
    aria-label="what the numbers mean together"
    data-testid="together"
  >
    <h2 class="text-base">Together</h2>
    <p v-for="each in diagnosis.together" :key="each.text" class="text-[0.95rem]">{{ each.text }}</p>
  </section>
</template>
