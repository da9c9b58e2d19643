<script setup lang="ts">
/** The jobs of this visit: how to mend what is wrong, what else is agreed or left, and all of it as one plan. */
const { options } = useVisitContext()
</script>

<template>
  <div class="p-5">
    <h2 class="mb-1 text-xl">Jobs of this visit</h2>
    <p class="mb-3 text-slate">
      Minutes and price are those of the plan. Expected cost adds what it costs if this is not the whole cure.
    </p>
    <OptionCards />
    <LazyNowOrLater />
    <JobRows />
    <OnePlan />
    <DecisionChart v-if="options.length > 1" :options="options" class="mt-4" />
  </div>
</template>
