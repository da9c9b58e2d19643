<script setup lang="ts">
import type { Fit } from '#core/planning/order/day-order'
import { clock } from '~/utils/day-hours'
import { moreOrLess } from '~/utils/day-rows'

/** Where in a tour the call that is lit would fit. */
const { fit, name } = defineProps<{ fit: Fit; name: string }>()
</script>

<template>
  <p class="call" data-testid="call-fits">
    <span class="number text-right">{{ clock(fit.arrives) }}</span><span class="mark" aria-hidden="true" /><strong
      >{{ name }} would fit here</strong
    ><span class="number ml-auto">{{ moreOrLess(fit.driving) }} driving</span>
  </p>
</template>

<style scoped>
.call {
  position: relative;
  display: grid;
  grid-template-columns: 56px 36px minmax(0, 1fr) auto;
  gap: 0 8px;
  align-items: center;
  min-height: 56px;
  padding-inline: 12px;
  background: var(--glow);
  color: var(--lamp-ink);
}
.mark {
  width: 34px;
  height: 34px;
  border: 2px dashed var(--lamp-ink);
  border-radius: 7px;
  background: var(--lamp);
}
@media (max-width: 700px) {
  .call {
    grid-template-columns: 50px 36px minmax(0, 1fr) auto;
    padding-inline: 6px;
    font-size: 0.98rem;
  }
}
</style>
