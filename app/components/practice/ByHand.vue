<script setup lang="ts">
import { checkKey, type Asked } from '#core/diagnosis/finding'
import { accessGateOf, gateMinutes } from '#core/diagnosis/gates'
import { checkTitle } from '#core/diagnosis/words/check-title'
import { checkInfo } from '#core/knowledge/checks/checks'
import { BY_HAND, checksByHand, groupOf, type ByHand } from '#core/practice/by-hand'
import { usePractice } from '~/stores/practice'

/** What is done without the meter: each with the minutes that it takes. */
const { visit, state } = useVisitContext()
const practice = usePractice()
const open = ref<ByHand>()
const groups = computed(() => practice.practice && checksByHand(practice.practice))
const listed = computed(() => (open.value && groups.value ? groups.value[open.value] : []))
const access = computed(() => accessGateOf(state.value.machine.kind))
const isOpen = computed(() => state.value.gates.has(access.value))
const opening = computed(() => Math.round(gateMinutes(access.value, state.value.pump)))
const WORDS = { 'wet-end-open': ['Open', 'Close'], pulled: ['Pull', 'Lower'] } as const
const shown = computed(() => (Object.keys(BY_HAND) as ByHand[]).filter((id) => (groups.value?.[id].length ?? 0) > 0))
function make(asked: Asked): void {
  practice.doByHand(asked)
  open.value = undefined
}
/** It was listened to last: what is there to hear can be heard. */
const isHeard = computed(() => {
  const last = practice.state?.reads.at(-1)?.body.question.check
  return last !== undefined && groupOf(last) === 'listen'
})
const WAITED = 10
</script>

<template>
  <div class="mt-3" data-testid="by-hand">
    <div class="flex items-baseline justify-between">
      <h3 class="text-base">By hand</h3>
      <span class="text-slate">minutes</span>
    </div>
    <div class="mt-1 grid grid-cols-3 gap-2">
      <button
        v-for="id in shown"
        :key="id"
        type="button"
        class="toggle justify-center font-bold"
        :aria-expanded="open === id"
        :aria-pressed="open === id"
        :data-testid="`hand-${id}`"
        @click="open = open === id ? undefined : id"
      >
        {{ BY_HAND[id] }}
      </button>
      <button
        type="button"
        class="toggle justify-center"
        data-testid="hand-access"
        @click="visit.append('gate', { gate: access, shut: !isOpen })"
      >
        <strong>{{ WORDS[access][isOpen ? 1 : 0] }}</strong> <span class="number">{{ opening }}</span>
      </button>
      <button type="button" class="toggle justify-center" data-testid="hand-wait" @click="practice.wait(WAITED)">
        <strong>Wait</strong> <span class="number">{{ WAITED }}</span>
      </button>
    </div>
    <LazyPracticeSound v-if="isHeard && !open" :key="practice.state?.reads.length" />
    <ul
      v-if="open"
      class="ruled mt-2 max-h-96 overflow-y-auto border-y border-rule"
      :aria-label="BY_HAND[open]"
      tabindex="0"
    >
      <li v-for="asked in listed" :key="checkKey(asked)">
        <button
          type="button"
          class="flex min-h-12 w-full items-center justify-between gap-3 py-1 text-left hover:underline"
          :data-testid="`do-${checkKey(asked)}`"
          @click="make(asked)"
        >
          <span>{{ checkTitle(asked) }}</span><span class="number text-slate">{{
            checkInfo(asked.check)?.minutes
          }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>
