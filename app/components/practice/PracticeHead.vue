<script setup lang="ts">
import { complaintWords } from '#core/planning/day'
import { formatMinutes } from '#core/quantity/format'
import { usePractice } from '~/stores/practice'

/** The head of a try: the same for every pump of nobody’s, and no customer’s. */
const { state } = useVisitContext()
const practice = usePractice()
const now = useVisitNow(1000)
const title = computed(
  () => `Practice ${practice.state?.begun.body.number ?? ''}, nobody’s ${state.value.machine.name}`,
)
const words = computed(() => state.value.call.callerSays || complaintWords(state.value.call.complaints))
const off = computed(() => {
  const gate = state.value.gates.get('power-off')
  return gate && formatMinutes((now.value - Date.parse(gate.at)) / 60_000)
})
</script>

<template>
  <header class="practice-head no-print" data-testid="practice-head">
    <div class="flex min-h-[52px] items-center gap-x-5 px-5 max-sm:gap-x-3 max-sm:px-3">
      <NuxtLink to="/practice" aria-label="to practice" class="inline-flex min-h-12 items-center"
        ><LampLogo
      /></NuxtLink>
      <h1 class="max-w-[27rem] min-w-0 truncate text-[1.1rem]" :title="title">
        {{ title }}
      </h1>
      <p class="min-w-0 flex-1 truncate max-lg:hidden" :title="words">{{ words }}</p>
      <p v-if="off" class="number shrink-0 max-lg:hidden">power off {{ off }}</p>
      <PlaceNav class="ml-auto shrink-0" />
      <UnitSwitch bare class="shrink-0 max-sm:hidden" /><SchemeSwitch bare class="shrink-0" />
    </div>
    <p v-if="practice.isUnkept" role="alert" class="border-t border-on-practice px-5 py-1">
      This device has no room to keep it: the try is gone with this page.
    </p>
  </header>
</template>
