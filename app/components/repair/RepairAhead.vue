<script setup lang="ts">
import { render } from '#core/quantity/sentence'
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { LIVES_BASIS } from '#core/knowledge/faults/lives'
import { PARTS } from '#core/knowledge/vocabulary'
import { formatMinutes, formatNumber } from '#core/quantity/format'

/** What the whole job takes: its clock, the water's, tools and parts, and what lies open anyway, each with its sum. */
const { plan, clock, downtime, canSpare, whileOpen } = useRepair()
const { visit, state } = useVisitContext()
const money = useMoney()
const { reader } = useUnits()
const waits = computed(() => plan.value?.waits.filter(({ minutes }) => minutes > 0) ?? [])
</script>

<template>
  <div v-if="plan" data-testid="repair-ahead">
    <p class="flex min-h-12 flex-wrap items-center gap-x-6 gap-y-1">
      <span :class="{ 'text-slate': !clock }"
        >{{ state.spareFirst || state.standing !== 'installed' ? 'all done in' : 'water back in' }}
        <span class="number">{{ formatMinutes(clock?.minutes.p50) }}</span>, nine times of ten within
        <span class="number">{{ formatMinutes(clock?.minutes.p90) }}</span></span
      ><span v-for="wait in waits" :key="wait.after" class="text-slate"
        >{{ render(wait.what, reader) }}: {{ wait.minutes }} min by itself</span
      ><NuxtLink
        v-if="!visit.isPractice"
        class="button ml-auto"
        :to="{ name: 'visits-id-plan', params: { id: state.id } }"
        data-testid="paper-plan"
        >Paper plan</NuxtLink
      >
    </p>
    <Disclosure v-slot="{ open }" as="div" class="border-y border-rule">
      <DisclosureButton class="flex min-h-12 w-full items-center justify-between gap-3 text-left"
        ><span class="font-bold">Tools, parts, and what lies open</span
        ><span class="text-slate">{{
          open ? 'less' : `tools ${plan.tools.length}, parts and materials ${plan.consumables.length}`
        }}</span></DisclosureButton
      >
      <DisclosurePanel class="grid gap-x-8 pb-3 md:grid-cols-2">
        <DowntimeNote v-if="!downtime.urgent" class="md:col-span-2" :downtime="downtime" :spare="canSpare" />
        <div>
          <h3 class="text-[0.95rem]">Tools, as they are used</h3>
          <p>{{ plan.tools.join(' · ') }}</p>
        </div>
        <div>
          <h3 class="text-[0.95rem]">Parts and materials</h3>
          <ul>
            <li v-for="each in plan.consumables" :key="'part' in each ? each.part : each.material">
              {{ 'part' in each ? PARTS[each.part] : each.material }} <span class="text-slate">{{ each.because }}</span>
            </li>
          </ul>
        </div>
        <div v-if="whileOpen.length > 0" class="md:col-span-2" data-testid="while-open">
          <h3 class="mt-2 text-[0.95rem]">While it is open</h3>
          <table class="w-full text-[0.95rem]">
            <thead>
              <tr class="text-left text-slate">
                <th scope="col" class="font-normal">part, {{ formatNumber(state.plate.ageYears, 2) }} years old</th>
                <th scope="col" class="font-normal">reads</th>
                <th scope="col" class="text-right font-normal">now</th>
                <th scope="col" class="text-right font-normal">left, likely</th>
                <th scope="col" class="pl-4 font-normal">so</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="each in whileOpen" :key="each.part" class="border-t border-rule">
                <th scope="row" class="py-1 text-left font-normal">{{ PARTS[each.part] }}</th>
                <td>
                  <StateMark v-if="each.verdict" :verdict="each.verdict" worded /><span v-else class="text-slate"
                    >not read</span
                  >
                </td>
                <td class="number text-right">{{ money(each.now) }}</td>
                <td class="number text-right">{{ money(each.later) }}</td>
                <td class="pl-4" :class="{ 'font-bold': each.worth }">{{ each.worth ? 'do it now' : 'leave it' }}</td>
              </tr>
            </tbody>
          </table>
          <p class="text-[0.88rem] text-slate">
            Left: its chance to fail within three years, times a journey, this take-down again and the part.
            {{ LIVES_BASIS.name }}.
          </p>
        </div>
      </DisclosurePanel>
    </Disclosure>
  </div>
</template>
