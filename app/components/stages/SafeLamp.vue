<script setup lang="ts">
import { formatSeconds } from '#core/quantity/format'

const { next, info, bleed, order, held, atBench } = useSafeGates()
const end = useStageEnd()
const title = computed(() =>
  next.value === undefined
    ? 'It is safe'
    : next.value === 'discharged' && bleed.value
      ? `Discharge it, ${formatSeconds(bleed.value.seconds)}`
      : `${info(next.value).label.charAt(0).toUpperCase()}${info(next.value).label.slice(1)}`,
)
const dead = computed(() => held('power-off') && (atBench.value || held('proved-dead')))
</script>

<template>
  <LampCard
    :title="title"
    :because="next ? info(next).action : 'Every gate is shut. The dead checks come first.'"
    :caution="next ? info(next).caution : ''"
  >
    <template #gates>
      <p class="flex flex-wrap gap-x-4 gap-y-1 text-[0.95rem]">
        <GateHandle v-for="gate in order" :key="gate" :shut="held(gate)" :label="info(gate).label" />
      </p>
    </template>
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('safe')">
        {{ dead ? 'Safe: go on to test' : 'Test live first' }}
      </button></template
    >
  </LampCard>
</template>
