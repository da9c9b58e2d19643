<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** All agreed jobs as one plan: opened once, and what it comes to, the sum of its lines. */
const { visit, state, bill, account } = useVisitContext()
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
/** What the shop puts on every account, besides the jobs and what was written by hand. */
const besides = computed(() =>
  account.value.lines.filter(({ kind, change }) => change === undefined && kind !== 'part' && kind !== 'work'),
)
const changes = computed(() =>
  state.value.priceChanges.map((change, index) => ({
    ...change,
    put: account.value.lines.find((line) => line.change === index)?.amount,
  })),
)
const { machines } = useJourney()
/** The machine with which the journey is charged, where that is another. */
const bearer = computed(() => (state.value.journey.rides ? machines.value[0]?.name : undefined))
const drop = (entryId: string) => visit.append('retracted', {}, entryId)
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
      <strong class="number text-xl" data-testid="plan-price">{{ money(account.total) }}</strong>
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
    <table
      v-if="bill.lines.length > 1 || besides.length + changes.length > 0"
      class="mt-2 w-full text-[0.95rem]"
      data-testid="account"
    >
      <tbody>
        <tr v-for="(line, index) in bill.lines" :key="line.id" class="border-t border-rule">
          <th scope="row" class="py-1 text-left font-normal">{{ line.label }}</th>
          <td class="number text-right">{{ index > 0 ? '+' : '' }}{{ formatMinutes(line.minutes) }}</td>
          <td class="number pl-4 text-right">{{ money(line.price) }}</td>
        </tr>
        <tr v-for="change in changes" :key="change.entryId" class="border-t border-rule">
          <th scope="row" class="py-1 text-left font-normal">{{ change.label }}</th>
          <td class="text-right">
            <button
              type="button"
              class="button button-quiet"
              :aria-label="`without ${change.label}`"
              @click="drop(change.entryId)"
            >
              drop
            </button>
          </td>
          <td class="number pl-4 text-right">{{ change.put === undefined ? '' : money(change.put) }}</td>
        </tr>
        <tr v-for="line in besides" :key="line.label" class="border-t border-rule">
          <th scope="row" class="py-1 text-left font-normal" colspan="2">{{ line.label }}</th>
          <td class="number pl-4 text-right">{{ money(line.amount) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="bearer" class="mt-2 text-[0.95rem] text-slate" data-testid="goes-along">
      The journey is charged once, with the {{ bearer }}.
    </p>
    <GuessedPrices />
    <p v-if="visit.shop.unset" class="mt-2 text-[0.95rem]">
      Usual prices: the shop has not said what it charges.
      <NuxtLink to="/settings" class="underline">Settings</NuxtLink>
    </p>
    <AccountChanges class="mt-2" />
  </section>
</template>

<style scoped>
.hatched {
  background: repeating-linear-gradient(-45deg, var(--water) 0 5px, var(--ink) 5px 6px);
}
</style>
