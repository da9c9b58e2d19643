<script setup lang="ts">
import { parseStep, printJoint } from '#core/takedown/step-ref'
import { LEARNING } from '#core/knowledge/shop/learning'
import type { LearnedStep } from '#core/takedown/own-times'
import { formatNumber } from '#core/quantity/format'

/** How long steps take here against the printed estimate, those furthest from it first. */
const { steps } = defineProps<{ steps: readonly LearnedStep[] }>()
const SHOWN = 10
const all = ref(false)
const shown = computed(() => (all.value ? steps : steps.slice(0, SHOWN)))
const WAYS = { down: 'off', back: 'back', work: 'work' } as const
function name(step: string): string {
  const ref = parseStep(step)
  if (!ref) return step
  const at = ref.phase === 'work' ? ref.work.replace(':', ', ') : printJoint(ref)
  const act = ref.phase === 'work' || ref.act === undefined ? '' : `, ${ref.act}`
  return `${at.replaceAll('-', ' ')}${act}: ${WAYS[ref.phase]}`
}
</script>

<template>
  <section data-testid="own-times">
    <h2 class="text-xl">How long steps take here</h2>
    <p class="mb-3 text-slate">
      Minutes from one tick to the next, breaks left out. The printed estimate counts as
      {{ LEARNING.estimateSteps }} steps; one bad day moves little.
      {{ steps.length === 0 ? 'No repair has been ticked step by step yet.' : '' }}
    </p>
    <div
      v-if="steps.length > 0"
      class="overflow-x-auto"
      tabindex="0"
      role="group"
      aria-label="how long steps take here"
    >
      <table class="w-full border-collapse">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col" class="py-1">step</th>
            <th scope="col" class="pl-3 text-right">timed</th>
            <th scope="col" class="pl-3 text-right">estimate</th>
            <th scope="col" class="pl-3 text-right">here</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in shown" :key="each.step" class="border-b border-rule">
            <th scope="row" class="py-1.5 text-left font-normal">{{ name(each.step) }}</th>
            <td class="number text-right">{{ each.times }}</td>
            <td class="number text-right text-slate">{{ formatNumber(each.estimate) }}</td>
            <td class="number text-right font-bold">{{ formatNumber(each.minutes, 2) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <button v-if="steps.length > SHOWN" type="button" class="button mt-3" @click="all = !all">
      {{ all ? 'Fewer' : `All ${steps.length}` }}
    </button>
  </section>
</template>
