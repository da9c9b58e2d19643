<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { faultLabel } from '#core/diagnosis/words/fault-label'
import { formatPercent } from '#core/quantity/format'

const { visit, state, diagnosis } = useVisitContext()
const readings = computed(() => state.value.case.findings?.length ?? 0)
const shown = computed(
  () =>
    diagnosis.value?.suspects.filter(({ probability }, index) => index < 5 && (probability > 0.004 || index < 2)) ?? [],
)
const say = (fault: string, verdict: 'not-this' | 'it-was-this') => visit.append('cause-said', { fault, verdict })
</script>

<template>
  <section aria-label="suspects" class="px-5 py-4" data-testid="suspects">
    <header class="mb-2 flex items-baseline justify-between">
      <h2 class="text-base">Suspects</h2>
      <span class="text-slate">{{ readings === 1 ? '1 reading' : `${readings} readings` }}</span>
    </header>
    <p v-if="!diagnosis" class="text-slate">Thinking</p>
    <p v-else-if="shown.length === 0" class="text-slate">
      Everything was ruled out. Take back a “not this”, or look again.
    </p>
    <p v-if="diagnosis?.disagreement" class="mb-3 border-l-4 border-rust pl-3">{{ diagnosis.disagreement.because }}</p>
    <ol>
      <li v-for="suspect in shown" :key="suspect.fault" class="mb-1">
        <Disclosure v-slot="{ open }">
          <DisclosureButton class="w-full py-1 text-left" :data-testid="`suspect-${suspect.fault}`">
            <span class="flex items-baseline justify-between gap-3">
              <span class="min-w-0"
                >{{ suspect.label
                }}<span v-if="suspect.fault === state.confirmed" class="text-moss"> · it was this</span></span
              >
              <span class="number shrink-0 font-bold">{{ formatPercent(suspect.probability) }}</span>
            </span>
            <span class="block text-[0.88rem] leading-tight text-slate">{{
              suspect.because[0] ?? 'nothing speaks for or against it yet'
            }}</span>
            <span class="mt-1 block h-1.5 bg-rule" aria-hidden="true"
              ><span class="block h-full bg-ink transition-[width]" :style="{ width: `${suspect.probability * 100}%` }"
            /></span>
            <span class="sr-only">{{ open ? 'less' : 'why' }}</span>
          </DisclosureButton>
          <DisclosurePanel class="pb-2 text-[0.95rem]">
            <ul class="ml-4 list-disc">
              <li v-for="reason in suspect.because" :key="reason">{{ reason }}</li>
            </ul>
            <div class="mt-2 flex flex-wrap gap-2">
              <button type="button" class="button" @click="say(suspect.fault, 'not-this')">Not this</button>
              <button type="button" class="button" @click="say(suspect.fault, 'it-was-this')">It was this</button>
            </div>
          </DisclosurePanel>
        </Disclosure>
      </li>
    </ol>
    <p v-if="state.excluded.length > 0" class="mt-2 text-[0.9rem] text-slate">
      Ruled out by you: {{ state.excluded.map((fault) => faultLabel(fault).toLowerCase()).join(', ') }}.
    </p>
  </section>
</template>
