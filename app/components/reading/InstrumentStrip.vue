<script setup lang="ts">
import type { Asked } from '#core/diagnosis/finding'
import { formatReading } from '#core/quantity/reading'
import { SETTLING } from '#core/instruments/settling'
import { useInstruments } from '~/stores/instruments'

/** What the instruments show now, and how far each is on its way to standing still. */
const { lit = null } = defineProps<{ lit?: Asked | null }>()
const instruments = useInstruments()
const { visit } = useVisitContext()
const { system } = useUnits()
watch(
  () => JSON.stringify(lit),
  () => instruments.listen(lit ?? undefined),
  { immediate: true },
)
visit.hearOffers({ offered: () => instruments.offered, settle: instruments.settle })
onBeforeUnmount(() => {
  visit.hearOffers(undefined)
  instruments.stop()
})
const rows = computed(() =>
  instruments.states
    .filter(({ is }) => is !== 'off')
    .map((state) => {
      const settled = instruments.settled.get(state.instrument)
      const reading = settled?.reading
      const shows = !reading
        ? '…'
        : reading.value === null
          ? 'over range'
          : formatReading(reading.value, reading.unit, system.value, 4)
      const matter = state.is === 'away' ? state.says : reading?.isFlat ? 'battery flat' : undefined
      const says = matter ?? (reading && instruments.whyNot(reading))
      return {
        ...state,
        shows,
        says,
        matter,
        isOf: reading !== undefined && says === undefined,
        agree: settled?.agree ?? 0,
        isSteady: settled?.isSteady === true,
      }
    })
    .sort((a, b) => Number(b.isOf) - Number(a.isOf)),
)
</script>

<template>
  <div v-if="rows.length > 0" class="strip" data-testid="instruments">
    <ul class="flex min-w-0 flex-1 gap-x-6 overflow-x-auto" tabindex="0" aria-label="instruments">
      <li
        v-for="row in rows"
        :key="row.instrument"
        class="one"
        :class="{ 'is-of': row.isOf }"
        :title="row.says"
        :data-testid="`instrument-${row.instrument}`"
      >
        <span class="number font-bold">{{ row.shows }}</span>
        <span
          v-if="row.isOf"
          class="steps"
          :aria-label="row.isSteady ? 'steady' : `${row.agree} of ${SETTLING.readings} agree`"
          ><span v-for="step in SETTLING.readings" :key="step" class="step" :class="{ 'is-on': step <= row.agree }" />{{
            row.isSteady ? 'steady' : 'settling'
          }}</span
        >
        <span>{{ row.name }}</span>
        <span v-if="row.matter" class="text-[0.85rem] text-rust">{{ row.matter }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 1rem;
  padding: 0.25rem 1rem;
  border-bottom: 1px solid var(--rule);
  font-size: 0.95rem;
}
.one {
  display: flex;
  align-items: baseline;
  gap: 0.5rem;
  white-space: nowrap;
  color: var(--slate);
}
.one.is-of {
  color: var(--ink);
}
.steps {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  font-size: 0.85rem;
}
.step {
  width: 8px;
  height: 8px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
}
.step.is-on {
  background: var(--ink);
}
</style>
