<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** In the place of the lamp at Decide: what was chosen, and on to it. */
const { bill, account } = useVisitContext()
const end = useStageEnd()
const money = useMoney()
const title = computed(() => bill.value?.lines.map(({ label }) => label).join('; '))
</script>

<template>
  <section class="border-b border-rule px-5 py-4" data-testid="practice-decided">
    <h2 class="text-[1.4rem] leading-tight">{{ title ?? 'Nothing is chosen yet' }}</h2>
    <p v-if="bill">
      <strong class="number">{{ money(account.total) }}</strong> as planned, in
      <span class="number">{{ formatMinutes(bill.minutes.p50) }}</span>.
    </p>
    <button v-if="bill" type="button" class="button mt-3 w-full" data-testid="stage-end" @click="end('decide')">
      Repair
    </button>
  </section>
</template>
