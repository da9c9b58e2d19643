<script setup lang="ts">
import { pageOfCaution } from '#core/handbook/where'

/** A caution, and the way to its reason. */
const { text } = defineProps<{ text: string }>()
</script>

<template>
  <span>{{ text }} <HandbookLink :page="pageOfCaution(text)" class="font-normal" /></span>
</template>
