<script setup lang="ts">
import { pageOfHarm } from '#core/handbook/where'
import { harmInfo } from '#core/knowledge/practice/harms'
import type { Stage } from '#core/knowledge/vocabulary'
import { LAMP_HELP } from '#core/knowledge/practice/lamp-help'
import { TIMES_LIFE } from '#core/practice/practice-clock'
import { spentOn } from '#core/practice/fold-try'
import { formatMinutes } from '#core/quantity/format'
import { usePractice } from '~/stores/practice'

/** Beside every stage of a try: how much of the lamp is seen, the clock, what it costs so far, and what was harmed. */
const { stage } = defineProps<{ stage: Stage }>()
const practice = usePractice()
const money = useMoney()
const now = useVisitNow(500)
const HELP = { off: 'off', hint: 'a hint', on: 'on' } as const
const TIMES = ['', '', 'twice', 'three times', 'four times', 'five times', 'six times'][TIMES_LIFE]
const state = computed(() => practice.state)
const minutes = computed(() => (state.value ? (now.value - state.value.begun.at) / 60_000 : 0))
const spent = computed(() =>
  state.value && practice.practice
    ? spentOn(practice.practice, state.value.repairs, minutes.value, state.value.begun.body.shop)
    : undefined,
)
const harms = computed(() =>
  [...(state.value?.harms ?? [])]
    .reverse()
    .map(({ id, at, body }) => ({
      id,
      at: formatMinutes((at - (state.value?.begun.at ?? 0)) / 60_000),
      page: pageOfHarm(body.harm),
      ...harmInfo(body.harm),
    })),
)
const latest = computed(() => harms.value[0])
</script>

<template>
  <section
    v-if="state && spent"
    aria-label="practice"
    class="border-b border-rule px-5 py-3"
    data-testid="practice-panel"
  >
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h2 class="text-base">The lamp</h2>
      <div role="group" aria-label="how much of the lamp is seen" class="flex">
        <button
          v-for="id in LAMP_HELP"
          :key="id"
          type="button"
          class="toggle help"
          :aria-pressed="state.lamp === id"
          :data-testid="`lamp-${id}`"
          @click="practice.setLamp(id)"
        >
          {{ HELP[id] }}
        </button>
      </div>
    </div>
    <div class="mt-2 flex items-baseline justify-between gap-3">
      <p class="font-bold">As in life, {{ TIMES }} as fast</p>
      <button type="button" class="button button-quiet" data-testid="hold" @click="practice.hold(!practice.isHeld)">
        {{ practice.isHeld ? 'go on' : 'hold' }}
      </button>
    </div>
    <p class="number flex justify-between gap-4 text-[2rem] leading-tight">
      <span data-testid="practice-clock">{{ formatMinutes(minutes) }}</span><span data-testid="practice-spent">{{
        money(spent.total)
      }}</span>
    </p>
    <dl class="text-[0.95rem]">
      <div class="flex justify-between border-t border-rule py-1">
        <dt>the journey</dt>
        <dd class="number">{{ money(spent.trip) }}</dd>
      </div>
      <div class="flex justify-between border-t border-rule py-1">
        <dt>{{ Math.round(minutes) }} min at {{ money(state.begun.body.shop.rates.hourly) }} an hour</dt>
        <dd class="number">{{ money(spent.labour) }}</dd>
      </div>
      <div class="flex justify-between border-y border-rule py-1">
        <dt>{{ spent.parts > 0 ? 'parts' : 'parts, none yet' }}</dt>
        <dd class="number">{{ money(spent.parts) }}</dd>
      </div>
    </dl>
    <div v-if="latest" role="alert" class="mt-2 border-l-4 border-rust pl-3" data-testid="harm">
      <p>
        <strong class="text-rust">unsafe</strong>, <span class="number">{{ latest.at }}</span>: {{ latest.label }}
      </p>
      <p class="text-[0.95rem]">{{ latest.inLife }} {{ latest.instead }} <HandbookLink :page="latest.page" /></p>
      <p v-if="harms.length > 1" class="text-[0.92rem] text-slate">and {{ harms.length - 1 }} more before it</p>
    </div>
    <p v-if="practice.refused" role="status" class="mt-2 border-l-4 border-ochre pl-3" data-testid="refused">
      {{ practice.refused }}
    </p>
    <ByHand v-if="stage === 'test' || stage === 'prove'" />
  </section>
</template>

<style scoped>
.help {
  border-color: var(--ink);
  border-radius: 0;
  margin-left: -1.5px;
}
.help:first-child {
  border-radius: 6px 0 0 6px;
}
.help:last-child {
  border-radius: 0 6px 6px 0;
}
</style>
