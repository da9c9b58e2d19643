<script setup lang="ts">
import { checkInfo, outcomeLabel } from '#core/knowledge/checks/checks'
import { DAMAGE_LOOKS } from '#core/knowledge/repairs/damage-looks'
import { PARTS, type Part } from '#core/knowledge/vocabulary'

/**
 * What is wrong with a part that was found damaged: seen, it is a finding like any other, and the lamp, the options and
 * the price move with it.
 */
const { part } = defineProps<{ part: Part }>()
const emit = defineEmits<{ done: [] }>()
const { visit } = useVisitContext()
const { damaged } = useRepair()
const check = computed(() => DAMAGE_LOOKS[part])
const outcomes = computed(() =>
  Object.entries(checkInfo(check.value ?? '')?.outcomes ?? {})
    .filter(([, verdict]) => verdict !== 'sound')
    .map(([outcome]) => outcome),
)
const named = computed(() => checkInfo(check.value ?? '')?.parts !== undefined)
function seen(outcome?: string): void {
  if (check.value && outcome)
    visit.append('finding', { check: check.value, outcome, ...(named.value ? { part } : {}), stage: 'test' })
  damaged(part)
  emit('done')
}
</script>

<template>
  <div
    class="border-y border-[#14242b33] py-3"
    role="group"
    aria-label="what is wrong with it"
    data-testid="damage-choice"
  >
    <p class="mb-2 font-bold">The {{ PARTS[part] }} is</p>
    <div class="flex flex-wrap gap-2">
      <button v-for="outcome in outcomes" :key="outcome" type="button" class="button" @click="seen(outcome)">
        {{ outcomeLabel(outcome) }}</button><button
        type="button"
        class="button"
        data-testid="damage-otherwise"
        @click="seen()"
      >
        damaged otherwise</button
      ><button type="button" class="button button-quiet" @click="emit('done')">not damaged</button>
    </div>
  </div>
</template>
