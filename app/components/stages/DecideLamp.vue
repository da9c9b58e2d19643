<script setup lang="ts">
const { visit, options, chosen, diagnosis } = useVisitContext()
const end = useStageEnd()
const money = useMoney()
const best = computed(() => options.value[0])
const shown = computed(() => chosen.value ?? best.value)
function choose(): void {
  if (best.value && !chosen.value) visit.append('decision', { option: best.value.id })
  void end('decide')
}
</script>

<template>
  <LampCard v-if="shown" :title="shown.label" :because="shown.because" data-testid="decide-lamp">
    <p>
      <strong class="number">{{ money(shown.price) }}</strong>, expected
      <strong class="number">{{ money(shown.expectedCost) }}</strong>.<template v-if="diagnosis?.next">
        The lamp would still measure first: {{ diagnosis.next.title.toLowerCase() }}.</template
      >
    </p>
    <p v-if="chosen && best && chosen.id !== best.id">
      The least expected cost is {{ best.label.toLowerCase() }}, {{ money(best.expectedCost) }}. The choice is yours.
    </p>
    <p>Tell the customer what, why and how much before going on.</p>
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="choose">
        {{ chosen ? 'Agreed: repair' : 'Choose this, repair' }}
      </button></template
    >
  </LampCard>
  <LampCard v-else title="Decide" because="Thinking.">
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('decide')">
        Decided: repair
      </button></template
    >
  </LampCard>
</template>
