<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** A repair that is planned can be done at one go: each step with its minutes, as a hand would that knows them. */
const { steps, current, minutesLeft, cameOut, tick } = useRepair()
const left = computed(() => steps.value.filter(({ record }) => !record?.done).length)
/** A plan goes on from what its steps find: after each round of ticks what is left is read anew, so often at most. */
const MOST_ROUNDS = 6

async function doIt(): Promise<void> {
  for (let round = 0; round < MOST_ROUNDS && current.value; round++) {
    for (const step of steps.value.filter(({ record }) => !record?.done)) {
      const out = cameOut(step.id)
      tick(step.id, true, {
        ...(step.count === undefined
          ? {}
          : { count: out?.count ?? step.count, places: (out?.places ?? step.places)?.map((place) => ({ ...place })) }),
        ...(step.asks?.[0] ? { answer: step.asks[0].id } : {}),
      })
    }
    await nextTick()
  }
}
</script>

<template>
  <section v-if="left > 0" class="border-b border-rule px-5 py-3">
    <button type="button" class="button w-full" data-testid="do-as-planned" @click="doIt">
      Do it as planned: {{ left }} steps, {{ formatMinutes(minutesLeft) }}
    </button>
  </section>
</template>
