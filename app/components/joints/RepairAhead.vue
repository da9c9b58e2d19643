<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { LIVES_BASIS } from '#core/knowledge/lives'
import { PARTS } from '#core/knowledge/vocabulary'
import { formatMinutes } from '#core/quantity/format'

/** What the whole job takes: its clock, the water's, tools and parts, and what lies open anyway, each with its sum. */
const { plan, whileOpen, swapFirst } = useRepair()
const { state } = useVisitContext()
const money = useMoney()
const urgent = computed(() => state.value.machine.installation?.livestock || state.value.machine.installation?.onlySupply)
</script>

<template>
  <div v-if="plan" data-testid="repair-ahead">
    <p class="flex flex-wrap gap-x-6 gap-y-1 py-2" :class="{ 'font-bold': urgent }"><span>water back in <span class="number">{{ formatMinutes(plan.minutes.p50) }}</span>, nine times of ten within <span class="number">{{ formatMinutes(plan.minutes.p90) }}</span></span><span v-if="swapFirst && swapFirst.p50 < plan.minutes.p50 - 10">with a spare first: <span class="number">{{ formatMinutes(swapFirst.p50) }}</span> to <span class="number">{{ formatMinutes(swapFirst.p90) }}</span>, then this on the bench</span><span v-for="wait in plan.waits" :key="wait.what" class="text-slate">{{ wait.what }}: {{ wait.minutes }} min by itself</span></p>
    <Disclosure v-slot="{ open }" as="div" class="border-y border-rule">
      <DisclosureButton class="flex min-h-12 w-full items-center justify-between gap-3 text-left"><span class="font-bold">Tools, parts, and what lies open</span><span class="text-slate">{{ open ? 'less' : `${plan.tools.length} tools, ${plan.consumables.length} parts` }}</span></DisclosureButton>
      <DisclosurePanel class="grid gap-x-8 pb-3 md:grid-cols-2">
        <div><h3 class="text-[0.95rem]">Tools, as they are used</h3><p>{{ plan.tools.join(' · ') }}</p></div>
        <div><h3 class="text-[0.95rem]">Parts</h3><ul><li v-for="each in plan.consumables" :key="each.part">{{ PARTS[each.part] }} <span class="text-slate">{{ each.because }}</span></li></ul></div>
        <div v-if="whileOpen.length > 0" class="md:col-span-2" data-testid="while-open"><h3 class="mt-2 text-[0.95rem]">While it is open</h3>
          <table class="w-full text-[0.95rem]"><thead><tr class="text-left text-slate"><th scope="col" class="font-normal">part</th><th scope="col" class="text-right font-normal">now</th><th scope="col" class="text-right font-normal">left, likely</th><th scope="col" class="pl-4 font-normal">so</th></tr></thead><tbody><tr v-for="each in whileOpen" :key="each.part" class="border-t border-rule"><th scope="row" class="py-1 text-left font-normal">{{ PARTS[each.part] }}</th><td class="number text-right">{{ money(each.now) }}</td><td class="number text-right">{{ money(each.later) }}</td><td class="pl-4" :class="{ 'font-bold': each.worth }">{{ each.worth ? 'do it now' : 'leave it' }}</td></tr></tbody></table>
          <p class="text-[0.88rem] text-slate">Left: its chance to fail within three years, times a journey, this take-down again and the part. {{ LIVES_BASIS.name }}.</p></div>
      </DisclosurePanel>
    </Disclosure>
  </div>
</template>
