<script setup lang="ts">
import { mustPage } from '#core/handbook/handbook'

/**
 * From a figure, a caution or a lesson to the page that says why. Its padding makes it wide enough for a finger, and as
 * a word in a line it moves nothing.
 */
const { page, worded = false } = defineProps<{ page: string; worded?: boolean }>()
const to = computed(() => mustPage(page))
</script>

<template>
  <NuxtLink
    :to="`/practice/handbook/${page}`"
    class="no-print py-4 whitespace-nowrap underline underline-offset-4"
    :title="`${to.title}: ${to.rule}`"
    :aria-label="`handbook ${to.number}, ${to.title}`"
    data-testid="handbook-link"
    >{{ worded ? `Handbook ${to.number}, ${to.title}` : `handbook ${to.number}` }}</NuxtLink
  >
</template>
