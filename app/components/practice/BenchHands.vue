<script setup lang="ts">
import { MOTOR_HAS } from '#core/motor/nameplate'
import { PARTED, type Parted } from '#core/virtual/bench/hands'
import type { useBench } from '~/composables/useBench'

/** What hands do at the bench beside the leads: its control, wires taken off, what a clamp holds. */
const { bench } = defineProps<{ bench: ReturnType<typeof useBench> }>()
const { practice, view, isClamp } = bench
const hands = computed(() => practice.state?.hands)
const partable = computed(() =>
  (Object.keys(PARTED) as Parted[]).filter((what) => {
    const machine = practice.state?.machine
    if (!machine) return false
    if (what === 'splice') return machine.kind.startsWith('well')
    // Of a sealed pump nobody reaches the can.
    if (machine.kind === 'sump') return false
    return what === 'run-can' ? MOTOR_HAS.runCapacitor(machine.motorType) : MOTOR_HAS.startCapacitor(machine.motorType)
  }),
)
</script>

<template>
  <div class="hands" role="group" aria-label="by hand at the bench">
    <button
      type="button"
      class="toggle"
      :aria-pressed="hands?.asked"
      data-testid="control"
      @click="practice.setAsked(!hands?.asked)"
    >
      {{ view.control }}, {{ hands?.asked ? 'on' : 'off' }}
    </button>
    <button
      v-for="what in partable"
      :key="what"
      type="button"
      class="toggle"
      :aria-pressed="hands?.parted.has(what)"
      :data-testid="`part-${what}`"
      @click="practice.setApart(what, !hands?.parted.has(what))"
    >
      {{ PARTED[what] }}
    </button>
    <button
      v-if="isClamp"
      type="button"
      class="toggle"
      :aria-pressed="practice.probing.peak === true"
      data-testid="peak"
      @click="bench.togglePeak"
    >
      hold what it starts with
    </button>
  </div>
</template>

<style scoped>
/* Beside the meter there is room for it. */
.hands {
  position: absolute;
  right: 0;
  bottom: 1rem;
  display: flex;
  flex-direction: column;
  gap: 0.5rem;
  width: 34%;
}
@media (max-width: 900px) {
  .hands {
    position: static;
    flex-flow: row wrap;
    width: auto;
  }
}
</style>
