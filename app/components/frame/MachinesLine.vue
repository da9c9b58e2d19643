<script setup lang="ts">
import { STAGE_LABELS } from '#core/knowledge/vocabulary'

/** The machines of one visit side by side: which is on the screen, where each stands, and the way to another one. */
const { state } = useVisitContext()
const { machines } = useJourney()
</script>

<template>
  <nav v-if="machines.length > 1" aria-label="machines of this visit" class="line no-print" data-testid="machines-line">
    <NuxtLink
      v-for="machine in machines"
      :key="machine.id"
      :to="`/visits/${machine.id}/${machine.stage}`"
      class="machine"
      :aria-current="machine.id === state.id ? 'true' : undefined"
      ><strong class="truncate">{{ machine.name }}</strong
      ><span class="text-slate">{{
        machine.done ? 'handed over' : `at ${STAGE_LABELS[machine.stage]}`
      }}</span></NuxtLink
    >
    <NuxtLink
      :to="{ path: '/visits/new', query: { with: state.id } }"
      class="button button-quiet shrink-0"
      data-testid="another-machine"
      >another</NuxtLink
    >
  </nav>
</template>

<style scoped>
.line {
  display: flex;
  align-items: stretch;
  gap: 0.25rem;
  overflow-x: auto;
  border-bottom: 1px solid var(--rule);
  padding-inline: 1.25rem;
}
.machine {
  display: inline-flex;
  flex: none;
  align-items: center;
  gap: 0.5rem;
  max-width: 22rem;
  min-height: 48px;
  padding-inline: 0.6rem;
  border-bottom: 3px solid transparent;
  color: inherit;
  text-decoration: none;
}
.machine[aria-current] {
  border-bottom-color: var(--ink);
}
.machine:hover {
  text-decoration: underline;
}
@media (max-width: 640px) {
  .line {
    padding-inline: 0.5rem;
  }
}
</style>
