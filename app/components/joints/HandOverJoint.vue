<script setup lang="ts">
import { writeSheet } from '#core/visit/sheet'

const { visit, state } = useVisitContext()
const sheet = computed(() => writeSheet(state.value, visit.shop, visit.experience))
</script>

<template>
  <SheetPaper :sheet="sheet" />
  <BenchFindings />
</template>
