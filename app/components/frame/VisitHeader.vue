<script setup lang="ts">
import { complaintWords } from '#core/planning/day'
import { formatMinutes } from '#core/quantity/format'

const { state } = useVisitContext()
const now = useVisitNow(1000)
const age = computed(() => {
  const years = state.value.pump.ageYears
  return years === undefined
    ? 'age unknown'
    : years < 1
      ? 'under a year old'
      : years < 1.5
        ? 'one year old'
        : `${Math.round(years)} years old`
})
const words = computed(() =>
  [
    complaintWords(state.value.call.complaints),
    age.value,
    state.value.pump.underWarranty ? 'under warranty' : 'out of warranty',
  ]
    .filter(Boolean)
    .join(' · '),
)
const since = (instant: string | undefined) =>
  instant ? formatMinutes((now.value - Date.parse(instant)) / 60_000) : undefined
const here = computed(() => (state.value.handedOver ? undefined : since(state.value.startedAt)))
const off = computed(() => since(state.value.gates.get('power-off')?.at))
</script>

<template>
  <header class="no-print border-b border-rule">
    <OutboxBanner />
    <div class="flex min-h-[52px] items-center gap-x-5 px-5 max-sm:gap-x-3 max-sm:px-3">
      <NuxtLink to="/" aria-label="to the Day" class="inline-flex min-h-12 items-center"><LampLogo /></NuxtLink>
      <h1 class="max-w-[27rem] min-w-0 truncate text-[1.1rem]" :title="`${state.machine.name}, ${state.customer.name}`">
        {{ state.machine.name }}, {{ state.customer.name }}
      </h1>
      <p class="min-w-0 flex-1 truncate text-slate max-xl:hidden" :title="words">{{ words }}</p>
      <p class="number flex shrink-0 gap-5 max-lg:hidden">
        <span v-if="here">here {{ here }}</span
        ><span v-if="off">power off {{ off }}</span>
      </p>
      <PlaceNav class="ml-auto shrink-0" />
      <StandingWord class="max-[900px]:ml-auto" />
      <FindButton bare class="shrink-0" />
      <UnitSwitch bare class="shrink-0 max-sm:hidden" /><SchemeSwitch bare class="shrink-0" />
    </div>
  </header>
</template>
