<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** All agreed jobs as one plan: opened once, and one price, the sum of its lines. */
const { state, bill } = useVisitContext()
const money = useMoney()
const together = computed(() =>
  state.value.rounds.length > 0
    ? 'with what was done before'
    : (bill.value?.lines.length ?? 0) > 1
      ? 'opened once for all of it'
      : '',
)
const PHASES = { down: 'down', work: 'work', back: 'back', commission: 'power on' } as const
const phases = computed(() =>
  (Object.keys(PHASES) as (keyof typeof PHASES)[])
    .map((phase) => ({ phase, minutes: bill.value?.phases[phase] ?? 0 }))
    .filter(({ minutes }) => minutes > 0),
)
</script>

<template>
  <section v-if="bill" class="border-t-2 border-ink pt-3" aria-label="one plan" data-testid="one-plan">
    <p class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <strong class="text-lg">One plan</strong>
      <span class="text-slate">{{ together }}</span>
      <span class="number ml-auto"
        ><strong class="text-xl">{{ formatMinutes(bill.minutes.p50) }}</strong> to
        {{ formatMinutes(bill.minutes.p90) }}</span
      >
      <strong class="number text-xl" data-testid="plan-price">{{ money(bill.price) }}</strong>
    </p>
    <div class="mt-2 flex h-4 border border-ink" aria-hidden="true">
      <span
        v-for="each in phases"
        :key="each.phase"
        class="border-ink not-first:border-l"
        :class="each.phase === 'work' ? 'hatched' : 'bg-water'"
        :style="{ flexGrow: each.minutes }"
      />
    </div>
    <p class="number mt-1 flex flex-wrap gap-x-6 text-[0.9rem]">
      <span v-for="each in phases" :key="each.phase">{{ PHASES[each.phase] }} {{ formatMinutes(each.minutes) }}</span
      ><span class="ml-auto">work {{ money(bill.labourPrice) }} + parts {{ money(bill.partsPrice) }}</span>
    </p>
    <table v-if="bill.lines.length > 1" class="mt-2 w-full text-[0.95rem]">
      <tbody>
        <tr v-for="(line, index) in bill.lines" :key="line.id" class="border-t border-rule">
          <th scope="row" class="py-1 text-left font-normal">{{ line.label }}</th>
          <td class="number text-right">{{ index > 0 ? '+' : '' }}{{ formatMinutes(line.minutes) }}</td>
          <td class="number pl-4 text-right">{{ money(line.price) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.hatched {
  background: repeating-linear-gradient(-45deg, var(--water) 0 5px, var(--ink) 5px 6px);
}
</style>
