<script setup lang="ts">
import { format } from 'date-fns'
import { formatMinutes } from '#core/quantity/format'

const { visit, state, options, wishes, chosen, bill, account, diagnosis } = useVisitContext()
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
/** Who agreed to the price: kept with it and the time, so that another price later is explained. */
const by = ref(state.value.priceAgreed?.by ?? '')
const said = computed(() => state.value.priceAgreed)
const showing = ref(false)
function choose(): void {
  if (best.value && !agreed.value) visit.append('decision', { option: best.value.id })
  const name = by.value.trim()
  if (name && bill.value && (said.value?.by !== name || said.value.price !== account.value.total))
    visit.append('price-agreed', { by: name, price: account.value.total })
  void end('decide')
}
</script>

<template>
  <LampCard v-if="shown" :title="title" :because="shown.because" data-testid="decide-lamp">
    <p v-if="bill">
      <strong class="number">{{ money(account.total) }}</strong> for all of it,
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
    <p v-if="!bill">Tell the customer what, why and how much before going on.</p>
    <label v-else
      ><span class="label">Agreed by</span
      ><input v-model="by" class="field" maxlength="120" autocomplete="off" data-testid="agreed-by"
    /></label>
    <p v-if="said" data-testid="agreed-price">
      {{ said.by }} agreed to <strong class="number">{{ money(said.price) }}</strong> at
      <span class="number">{{ format(new Date(said.at), 'HH:mm') }}</span>.<template
        v-if="bill && said.price !== account.total"
      >
        It comes to something else now: ask again.</template
      >
    </p>
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="choose">
        {{ bill ? `Agreed, ${money(account.total)}: repair` : 'Choose this, repair' }}</button
      ><button type="button" class="button" data-testid="show-owner" @click="showing = true">
        Show the owner
      </button></template
    >
    <OwnerOffer v-if="showing" @close="showing = false" />
  </LampCard>
  <LampCard v-else title="Decide" because="Thinking.">
    <template #buttons
      ><button type="button" class="button button-lit" data-testid="stage-end" @click="end('decide')">
        Decided: repair
      </button></template
    >
  </LampCard>
</template>
