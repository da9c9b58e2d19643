<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { formatMinutes } from '#core/quantity/format'

interface Addable {
  id: string
  label: string
  because: string
  minutes?: { p50: number }
  price?: number
}
/** Work that can be added to the visit: agreed at once, or offered. Priced where it is reckoned already. */
defineOptions({ inheritAttrs: false })
const { title, jobs } = defineProps<{ title: string; jobs: readonly Addable[] }>()
const { visit } = useVisitContext()
const money = useMoney()
const add = (job: string, state: 'agreed' | 'offered') => visit.append('job', { job, state, from: 'shop' })
</script>

<template>
  <Disclosure v-slot="{ open }" as="div" class="border-b border-rule">
    <DisclosureButton v-bind="$attrs" class="flex min-h-12 w-full items-center justify-between gap-3 text-left"
      ><span class="font-bold">{{ title }}</span
      ><span class="text-slate">{{ open ? 'less' : `${jobs.length} more` }}</span></DisclosureButton
    >
    <DisclosurePanel as="ul" class="ruled pb-2">
      <li
        v-for="job in jobs"
        :key="job.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2"
        :data-testid="`job-${job.id}`"
      >
        <span class="min-w-48 flex-1"
          >{{ job.label }}<span class="block text-[0.92rem] text-slate">{{ job.because }}</span></span
        ><template v-if="job.minutes && job.price !== undefined"
          ><span class="number">{{ formatMinutes(job.minutes.p50) }}</span
          ><span class="number font-bold">{{ money(job.price) }}</span></template
        >
        <button
          type="button"
          class="toggle justify-center font-bold"
          :aria-label="`agree: ${job.label}`"
          @click="add(job.id, 'agreed')"
        >
          Agree
        </button>
        <button
          type="button"
          class="toggle justify-center"
          :aria-label="`offer: ${job.label}`"
          @click="add(job.id, 'offered')"
        >
          Offer
        </button>
      </li>
    </DisclosurePanel>
  </Disclosure>
</template>
