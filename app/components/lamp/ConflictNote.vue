<script setup lang="ts">
import { format } from 'date-fns'
import { judgedById, journalLine } from '#core/visit/describe'
import type { Claim } from '#core/visit/supersession'

/**
 * Where two devices said different things without seeing each other: both stand here until one is chosen. Until then
 * no reading among them speaks; of what must stand somehow, a gate or a decision, the later does.
 */
const { visit, state } = useVisitContext()
const { reader } = useUnits()
const conflicts = computed(() => {
  const judged = judgedById(state.value)
  return state.value.conflicts.map((conflict) => ({
    ...conflict,
    claims: conflict.claims.map((claim) => {
      const line = journalLine(claim.entry, judged, reader.value)
      return {
        claim,
        said: claim.takenBack ? 'taken back: it never was' : [line.text, line.value].filter(Boolean).join(' '),
        by: `${claim.entry.author}, ${format(new Date(claim.entry.at), 'HH:mm')}`,
        counts: claim.entry.kind !== 'finding' && claim === conflict.claims.findLast((each) => !each.takenBack),
      }
    }),
  }))
})
const choose = (claims: readonly { claim: Claim }[], chosen: Claim) =>
  visit.settle(
    claims.map(({ claim }) => claim),
    chosen,
  )
</script>

<template>
  <section
    v-if="conflicts.length > 0"
    class="border-b border-rule px-5 py-3"
    aria-label="said in two ways"
    data-testid="conflicts"
  >
    <h2 class="flex items-center gap-2 text-base"><StateMark verdict="unclear" :size="20" />Said in two ways</h2>
    <p class="text-[0.95rem] text-slate">Two devices wrote without seeing each other: choose what stands.</p>
    <ul v-for="conflict in conflicts" :key="conflict.about" class="ruled mt-1">
      <li
        v-for="{ claim, said, by, counts } in conflict.claims"
        :key="claim.entry.id"
        class="flex items-center justify-between gap-3 py-1"
        data-testid="claim"
      >
        <span class="min-w-0"
          ><strong>{{ said }}</strong
          ><span class="block text-[0.9rem] text-slate">{{ by }}{{ counts ? ' · counts until then' : '' }}</span></span
        >
        <button type="button" class="button shrink-0" @click="choose(conflict.claims, claim)">this one</button>
      </li>
    </ul>
  </section>
</template>
