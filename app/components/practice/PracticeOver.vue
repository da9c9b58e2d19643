<script setup lang="ts">
import { usePractice } from '~/stores/practice'

/** The end of a try: handed over as it stands, and then looked back on. */
const { state, job } = useVisitContext()
const practice = usePractice()
const { list } = useProofs()
const open = computed(() => list.value.open.length)
async function over(how: 'handed-over' | 'given-up'): Promise<void> {
  if (!practice.state?.ended) practice.end(how)
  await navigateTo(`/practice/${state.value.id}/after`)
}
</script>

<template>
  <div class="max-w-2xl p-5" data-testid="practice-over">
    <h2 class="mb-1 text-xl">Hand it over</h2>
    <p v-if="practice.state?.ended" class="mb-3">It is over. What was done stands.</p>
    <template v-else>
      <p v-if="!job?.bill" class="mb-3">Nothing was repaired: whoever called still has what they called about.</p>
      <p v-else-if="open > 0" class="mb-3">
        {{ open === 1 ? 'One proof is' : `${open} proofs are` }} not made yet. In life the owner would find out.
      </p>
      <p class="mb-3">What was wrong with it is said now, with the way you went beside the lamp’s and the best.</p>
    </template>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button" data-testid="hand-over-practice" @click="over('handed-over')">
        {{ practice.state?.ended ? 'Look back on it' : 'Handed over: look back on it' }}
      </button>
      <button
        v-if="!practice.state?.ended"
        type="button"
        class="button"
        data-testid="give-up"
        @click="over('given-up')"
      >
        Give it up
      </button>
    </div>
  </div>
</template>
