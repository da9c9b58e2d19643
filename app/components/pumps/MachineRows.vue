<script setup lang="ts">
import { differenceInYears, format } from 'date-fns'
import { monthWords } from '#core/quantity/day'
import type { MachineView } from '~/utils/register-views'

/** Machines, each with its mark, its age and when somebody was last there. */
const { machines } = defineProps<{ machines: readonly MachineView[] }>()
const age = ({ machine }: MachineView) => {
  if (!machine.installedOn) return ''
  const years = differenceInYears(new Date(), new Date(machine.installedOn))
  return years < 1 ? 'new' : years === 1 ? '1 year' : `${years} years`
}
const last = ({ lastVisit, retired }: MachineView) =>
  retired ? `retired ${monthWords(retired.on)}` : lastVisit ? format(new Date(lastVisit), 'MMM yyyy') : 'no visit yet'
</script>

<template>
  <ul data-testid="machines">
    <li v-for="each in machines" :key="each.machine.id" class="border-t border-rule">
      <NuxtLink :to="`/pumps/${each.machine.id}`" class="row" data-testid="machine-row"
        ><StateMark :verdict="each.retired ? undefined : each.verdict" :size="20" /><span class="truncate">{{
          each.machine.name
        }}</span
        ><span class="text-slate">{{ age(each) }}</span
        ><span class="number text-right text-[0.9rem] text-slate">{{ last(each) }}</span></NuxtLink
      >
    </li>
  </ul>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto auto;
  gap: 0.8rem;
  align-items: center;
  min-height: 50px;
  color: inherit;
  text-decoration: none;
}
.row:hover span:nth-child(2) {
  text-decoration: underline;
  text-underline-offset: 4px;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 24px minmax(0, 1fr) auto;
  }
  .row > :nth-child(3) {
    display: none;
  }
}
</style>
