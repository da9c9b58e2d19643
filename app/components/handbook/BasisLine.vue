<script setup lang="ts">
import { pageOfBasis } from '#core/handbook/where'
import type { Basis } from '#core/judgement/judgement'

/** Where a limit comes from, and the way to the page that explains it. */
const { basis, check = undefined } = defineProps<{ basis: Basis; check?: string }>()
</script>

<template>
  <span>{{ basis.name }} · <HandbookLink :page="pageOfBasis(basis, check)" /></span>
</template>
