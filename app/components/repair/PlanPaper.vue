<script setup lang="ts">
import { format } from 'date-fns'
import { practiceLines } from '#core/knowledge/shop/practices'
import { PARTS } from '#core/knowledge/vocabulary'
import { formatMinutes } from '#core/quantity/format'
import { sectionsOf } from '#core/takedown/sections'
import { isOpening } from '#core/takedown/step-ref'
import { PHASE_LABELS } from '~/utils/phase-labels'

/**
 * The plan on paper, for hands that cannot hold a screen: every step with its box, and the tray as cups to write counts
 * in.
 */
const { steps, plan, clock, tray } = useRepair()
const { visit, state, bill } = useVisitContext()
const money = useMoney()
const groups = computed(() => sectionsOf(steps.value))
const out = computed(() =>
  steps.value.filter(
    ({ id, joint, temporary }) => isOpening(id) && (temporary || (joint !== 'gate' && joint !== 'support')),
  ),
)
const label = computed(() => bill.value?.lines.map((line) => line.label).join('; ') ?? '')
const practices = computed(() => practiceLines(plan.value?.practices ?? [], visit.shop.schools))
const printed = new Date()
function print(): void {
  window.print()
}
</script>

<template>
  <main class="paper" data-testid="plan-paper">
    <p class="no-print mb-4 flex flex-wrap gap-2">
      <NuxtLink class="button" :to="{ name: 'visits-id-stage', params: { id: state.id, stage: 'repair' } }"
        >Back to the repair</NuxtLink
      ><button v-if="plan" type="button" class="button" @click="print">Print</button>
    </p>
    <template v-if="plan">
      <header class="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-ink pb-1">
        <h1 class="text-xl">{{ state.customer.name }}: {{ state.machine.name }}</h1>
        <span class="number">{{ format(printed, 'd MMMM yyyy, HH:mm') }}</span>
      </header>
      <p class="mt-1">
        {{ label }}<template v-if="state.spareFirst">, a spare in first</template
        ><template v-if="clock">
          · {{ state.spareFirst ? 'all done in' : 'water back in' }}
          <span class="number">{{ formatMinutes(clock.minutes.p50) }}</span>, nine times of ten within
          <span class="number">{{ formatMinutes(clock.minutes.p90) }}</span></template
        >
      </p>
      <p><strong>Tools, as they are used:</strong> {{ plan.tools.join(' · ') }}</p>
      <p>
        <strong>Parts and materials:</strong>
        {{ plan.consumables.map((each) => ('part' in each ? PARTS[each.part] : each.material)).join(' · ') }}
      </p>
      <p v-if="practices.length > 0" class="text-[0.9rem]">{{ practices.join('. ') }}.</p>
      <section v-for="(group, index) in groups" :key="index">
        <h2 class="text-base">{{ PHASE_LABELS[group.phase] }}</h2>
        <table>
          <tbody>
            <tr v-for="step in group.steps" :key="step.id">
              <td class="number w-8 text-right">{{ step.number }}</td>
              <td class="w-8">
                <span class="box">{{ step.record?.done ? '✓' : '' }}</span>
              </td>
              <td>
                {{ step.title }}. <template v-if="step.how">{{ step.how }}</template><strong
                  v-if="step.hand === 'left'"
                >
                  Left-handed: {{ step.turn }}.</strong
                ><span v-if="step.orientation"> How it lies: {{ step.orientation }}.</span
                ><span v-if="step.caution" class="block font-bold">{{ step.caution }}</span>
              </td>
              <td class="w-36 text-[0.9rem]">{{ step.tool }}</td>
              <td class="number w-24 text-right whitespace-nowrap">
                {{ step.count === undefined ? '' : `${step.record?.count ?? '__'} of ${step.count}` }}
              </td>
              <td class="number w-14 text-right">{{ formatMinutes(step.minutes) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section>
        <h2 class="text-base">Tray</h2>
        <p class="text-[0.9rem]">
          Lay each in its own cup; write what came out, and again what went in.
          {{ tray.length === 0 ? 'Nothing is out yet.' : `Out now: ${tray.length}.` }}
        </p>
        <ul class="cups">
          <li v-for="step in out" :key="step.id">
            <span class="number">{{ step.number }}</span> {{ step.title
            }}<span
              v-for="place in step.places ?? [
                { place: step.temporary ? 'fitted, must be gone' : 'pieces', count: step.count ?? 1 },
              ]"
              :key="place.place"
              class="block text-[0.88rem]"
              >{{ place.place }} <span class="number">({{ place.count }})</span> out ____ in ____</span
            >
          </li>
        </ul>
      </section>
      <section v-if="plan.whileOpen.length > 0">
        <h2 class="text-base">While it is open, look at</h2>
        <p>{{ plan.whileOpen.map(({ part }) => PARTS[part]).join(' · ') }}</p>
      </section>
      <p class="mt-3 text-[0.88rem]">
        Minutes are the shop’s own where it has timed the step, else the estimate; an hour is
        {{ money(visit.shop.rates.hourly) }}. Local codes and licensed practice decide.
      </p>
    </template>
    <p v-else>No repair is chosen yet.</p>
  </main>
</template>

<style scoped>
.paper {
  max-width: 60rem;
  margin-inline: auto;
  padding: 1.4rem 1.6rem;
  background: var(--sheet);
  min-height: 100dvh;
}
section {
  margin-top: 0.8rem;
}
h2 {
  border-bottom: 1px solid var(--ink);
  break-after: avoid;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 0.25rem 0.4rem;
  vertical-align: baseline;
  border-bottom: 1px solid var(--rule);
}
tr {
  break-inside: avoid;
}
.box {
  display: inline-block;
  width: 1.1rem;
  height: 1.1rem;
  border: 1.5px solid var(--ink);
  line-height: 1;
  text-align: center;
}
.cups {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
  gap: 0.5rem;
  margin-top: 0.5rem;
}
.cups li {
  padding: 0.4rem 0.6rem;
  border: 1px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 0.7rem 0.7rem;
  break-inside: avoid;
}
@media (max-width: 640px) {
  .paper {
    padding: 1rem 0.8rem;
  }
  td:nth-child(4) {
    display: none;
  }
}
</style>
