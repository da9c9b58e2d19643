<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { formatMinutes } from '#core/quantity/format'

/** Work that no fault asks for: an upgrade, a wearing part in its turn. Planned and priced as a repair is. */
const { visit, state, wishes } = useVisitContext()
const { entered = undefined } = defineProps<{ entered?: string }>()
const money = useMoney()
const chosen = computed(() => wishes.value.some(({ id }) => id === state.value.decision))
</script>

<template>
  <Disclosure
    v-if="wishes.length > 0"
    v-slot="{ open }"
    as="section"
    class="mt-4 border-y border-rule"
    :default-open="chosen"
    aria-label="work that no fault asks for"
  >
    <DisclosureButton class="flex min-h-12 w-full items-center justify-between gap-3 text-left" data-testid="other-jobs"
      ><span class="font-bold">Work that no fault asks for</span
      ><span class="text-slate">{{
        open ? 'less' : wishes.length === 1 ? '1 job' : `${wishes.length} jobs`
      }}</span></DisclosureButton
    >
    <DisclosurePanel as="ul" class="ruled pb-2">
      <li
        v-for="job in wishes"
        :key="job.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2"
        :data-testid="`job-${job.id}`"
      >
        <span class="min-w-48 flex-1"
          >{{ job.label }}<span class="block text-[0.92rem] text-slate">{{ job.because }}</span></span
        ><span class="number">{{ formatMinutes(job.minutes) }}</span
        ><span class="number font-bold">{{ money(job.price) }}</span>
        <button
          type="button"
          class="toggle justify-center font-bold"
          role="radio"
          :aria-checked="job.id === state.decision"
          :tabindex="job.id === entered ? 0 : -1"
          @click="visit.append('decision', { option: job.id })"
        >
          {{ job.id === state.decision ? 'Chosen' : 'Choose' }}
        </button>
      </li>
    </DisclosurePanel>
  </Disclosure>
</template>
