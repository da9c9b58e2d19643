<script setup lang="ts">
/** The visit was called off: why, and the way back. */
const { visit, state } = useVisitContext()
function takeUp(): void {
  // Two devices may both have called it off: none of it stands any more.
  for (const { id, kind } of state.value.entries) if (kind === 'cancelled') visit.append('retracted', {}, id)
}
</script>

<template>
  <section v-if="state.schedule.cancelled !== undefined" class="border-b border-rule p-4" data-testid="cancelled">
    <p><strong>Called off</strong>: {{ state.schedule.cancelled }}</p>
    <button type="button" class="button mt-2" data-testid="take-up" @click="takeUp">It is to be done after all</button>
  </section>
</template>
