<script setup lang="ts">
const { state } = useVisitContext()
const { order, held, live, atBench } = useSafeGates()
const LIVE_ONLY = [
  'supply at rest and under load',
  'running current',
  'listening',
  'suction vacuum and filter pressure',
]
</script>

<template>
  <div class="p-5">
    <SiteNote v-if="!atBench" />
    <h2 class="mb-1 text-xl">Make it safe</h2>
    <p class="mb-3 text-slate">Gates open and close again while testing. Each is written down with its time.</p>
    <ol class="ruled" data-testid="gates">
      <GateRow v-for="gate in order" :key="gate" :gate="gate" />
      <GateRow gate="power-on" />
      <GateRow v-if="!atBench" gate="primed" />
    </ol>
    <p class="mt-4 border-l-4 border-rule pl-3">
      <template v-if="live"
        >Power is on: only live readings now. Whatever needs hands inside waits until the power is off and proved dead
        again.</template
      >
      <template v-else-if="!atBench"
        >Not with the power off: {{ LIVE_ONLY.join(', ') }}.
        {{ held('power-off') ? 'They wait until power is on and the pump primed.' : '' }}</template
      >
    </p>
    <p class="mt-2 text-[0.95rem]">
      Local codes and licensed practice decide who may do electrical work.
      {{
        !atBench && (state.machine.kind === 'pool' || state.machine.kind === 'spa')
          ? 'At pools and spas the bonding wire is never left off.'
          : ''
      }}
    </p>
  </div>
</template>
