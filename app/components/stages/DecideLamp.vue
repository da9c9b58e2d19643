<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

const { visit, state, options, wishes, chosen, bill, diagnosis } = useVisitContext()
const end = useStageEnd()
const money = useMoney()
const best = computed(() => options.value[0])
const agreed = computed(() => state.value.agreed.length > 0)
/** What was agreed beside the lamp’s ways speaks for itself, and not with the words of the best of them. */
const asked = computed(() =>
  [...options.value, ...wishes.value].find(({ id }) => !chosen.value && id === state.value.agreed[0]),
)
const shown = computed(() => chosen.value ?? asked.value ?? best.value)
const title = computed(() =>
  bill.value && bill.value.lines.length > 1
    ? bill.value.lines.map(({ label }) => label).join('; ')
    : (bill.value?.lines[0]?.label ?? shown.value?.label ?? ''),
)
function choose(): void {
  if (best.value && !agreed.value) visit.append('decision', { option: best.value.id })
  void end('decide')
}
</script>

<template>
  <LampCard v-if="shown" :title="title" :because="shown.because" data-testid="decide-lamp">
    <p v-if="bill">
      <strong class="number">{{ money(bill.price) }}</strong> for all of it,
      <strong class="number">{{ formatMinutes(bill.minutes.p50) }}</strong> to
      <span class="number">{{ formatMinutes(bill.minutes.p90) }}</span>.<template v-if="diagnosis?.next">
        The lamp would still measure first: {{ diagnosis.next.title.toLowerCase() }}.</template
      >
    </p>
    <p v-else>
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
        {{ bill ? `Agreed, ${money(bill.price)}: repair` : 'Choose this, repair' }}
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
