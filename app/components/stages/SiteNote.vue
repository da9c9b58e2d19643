<script setup lang="ts">
import { siteWords } from '#core/pumps/search-lines'

/** What whoever goes there must know: gate, key, dog, breaker, shut-off; and the way to the machine’s card. */
const { visit, state } = useVisitContext()
const address = computed(() => visit.site?.address ?? state.value.customer.place)
const words = computed(() => (visit.site ? siteWords(visit.site) : ''))
</script>

<template>
  <p class="mb-3 flex flex-wrap items-center gap-x-4 border-b border-rule pb-2" data-testid="site-note">
    <span class="min-w-0"
      ><strong>{{ address }}</strong
      ><template v-if="words"> · {{ words }}</template></span
    ><NuxtLink class="button button-quiet" :to="`/pumps/${state.machine.id}`" data-testid="to-card">Its card</NuxtLink>
  </p>
</template>
