<script setup lang="ts">
import type { DayWalk } from '#core/planning/order/day-order'
import { moreOrLess } from '~/utils/day-rows'
import { orderChange } from '~/utils/day-lamp'

/** What the order costs that the hand has made: kept or put back, never silently. */
const {
  before,
  after,
  best = undefined,
  isProved,
  nameOf,
} = defineProps<{
  before: DayWalk
  after: DayWalk
  best?: DayWalk
  isProved?: boolean
  nameOf: (id: string) => string
}>()
const emit = defineEmits<{ keep: []; back: [] }>()
const change = computed(() => orderChange(before, after, nameOf))
const overBest = computed(() => (best ? Math.round(after.cost - best.cost) : 0))
</script>

<template>
  <section class="strip no-print" aria-live="polite" data-testid="order-strip">
    <span class="number text-[1.5rem]">{{ moreOrLess(after.driving - before.driving) }}</span>
    <p class="min-w-0">
      <strong class="block">{{ change.slice(0, 2).join(', ') }}.</strong
      ><span class="text-slate"
        >{{ change.slice(2).join(', ') || 'Nobody is later than before'
        }}<template v-if="best">{{
          overBest <= 0
            ? `; this is ${isProved ? 'the best order there is' : 'as good as any that was found'}`
            : `; the best ${isProved ? 'order' : 'that was found'} is better by as much as ${overBest} min of driving`
        }}</template
        >.</span
      >
    </p>
    <span class="flex gap-3"
      ><button type="button" class="button" data-testid="keep-order" @click="emit('keep')">Keep it so</button
      ><button type="button" class="button" data-testid="order-back" @click="emit('back')">Put it back</button></span
    >
  </section>
</template>

<style scoped>
.strip {
  position: sticky;
  bottom: var(--places);
  z-index: 15;
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 0.4rem 1.2rem;
  align-items: center;
  padding: 0.7rem 1.2rem;
  background: var(--sheet);
  border-top: 1.5px solid var(--ink);
}
@media (max-width: 700px) {
  .strip {
    grid-template-columns: auto minmax(0, 1fr);
  }
  .strip > :last-child {
    grid-column: 1 / 3;
  }
  .strip .button {
    flex: 1;
  }
}
</style>
