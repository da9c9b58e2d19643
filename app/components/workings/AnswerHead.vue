<script setup lang="ts">
import type { Answer } from '#core/questions/question'
import { render, renderAmount } from '#core/quantity/sentence'

/** The answer first, its figures, and what must be minded. */
const { answer, stale } = defineProps<{ answer: Answer; stale: boolean }>()
const { reader } = useUnits()
</script>

<template>
  <div :class="{ 'opacity-45': stale }">
    <p class="flex items-start gap-3 text-[1.45rem] leading-snug font-bold" aria-live="polite" data-testid="answer">
      <StateMark v-if="!stale" :verdict="answer.solved.verdict" :size="30" class="mt-1" /><span>{{
        render(answer.told.answer, reader)
      }}</span>
    </p>
    <dl class="mt-4 flex flex-wrap gap-x-7 gap-y-3" data-testid="figures">
      <div v-for="{ label, amount } in answer.told.figures" :key="label">
        <dt class="text-[0.92rem] text-slate">{{ label }}</dt>
        <dd class="number text-[1.35rem]">{{ renderAmount(amount, reader) }}</dd>
      </div>
    </dl>
    <ul v-if="answer.told.cautions.length > 0" class="mt-4 border-l-4 border-ink pl-3 text-[0.95rem]">
      <li v-for="(caution, index) in answer.told.cautions" :key="index" class="py-0.5">
        <CautionText :text="render(caution, reader)" />
      </li>
    </ul>
  </div>
</template>
