<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** A repair that is planned can be done at one go: each step with its minutes, as a hand would that knows them. */
const { visit } = useVisitContext()
const { steps, current, minutesLeft, cameOut } = useRepair()
const { settle } = useNewParts()
const left = computed(() => steps.value.filter(({ record }) => !record?.done).length)
/** A plan goes on from what its steps find: after each round of ticks what is left is read anew, so often at most. */
const MOST_ROUNDS = 6

async function doIt(): Promise<void> {
  for (let round = 0; round < MOST_ROUNDS && current.value; round++) {
    // All that is planned now is ticked before anything of it is worked out anew.
    const planned = steps.value.filter(({ record }) => !record?.done)
    const out = new Map(planned.map(({ id }) => [id, cameOut(id)]))
    for (const { id, count, places, asks, estimate } of planned)
      visit.append('step', {
        step: id,
        done: true,
        ...(count === undefined ? {} : { count: out.get(id)?.count ?? count }),
        ...(places ? { places: (out.get(id)?.places ?? places).map((place) => ({ ...place })) } : {}),
        ...(asks?.[0] ? { answer: asks[0].id } : {}),
        estimate,
      })
    settle()
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
