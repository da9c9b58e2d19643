<script setup lang="ts">
import { writeSheet } from '#core/visit/sheet'

const { visit, state, job } = useVisitContext()
const { system } = useUnits()
const sheet = computed(() => job.value && writeSheet(state.value, visit.shop, job.value, system.value))
</script>

<template>
  <SheetPaper v-if="sheet" :sheet="sheet" />
  <BenchFindings />
</template>
