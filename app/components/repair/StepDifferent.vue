<script setup lang="ts">
import type { TakeDownStep } from '#core/takedown/plan'
import { isCount } from '#core/takedown/tray'

/** This machine has it otherwise than its construction: said once, and remembered with the machine. */
const { step } = defineProps<{ step: TakeDownStep }>()
const emit = defineEmits<{ done: [] }>()
const { correct } = useRepair()
const hand = ref<'right' | 'left' | ''>(step.hand ?? '')
const tool = ref(step.tool ?? '')
const count = ref(step.count?.toString() ?? '')
const problem = ref('')
function keep(): void {
  const number = count.value.trim() === '' ? undefined : Number(count.value)
  problem.value = number !== undefined && !isCount(number) ? 'A count is a whole number, 0 to 200.' : ''
  if (problem.value) return
  correct(step.id, {
    ...(number !== undefined && number !== step.count ? { count: number } : {}),
    ...(hand.value && hand.value !== step.hand ? { hand: hand.value } : {}),
    ...(tool.value.trim() && tool.value.trim() !== step.tool ? { tool: tool.value.trim() } : {}),
  })
  emit('done')
}
</script>

<template>
  <form class="grid gap-2 border-y border-[#14242b33] py-3" data-testid="step-different-form" @submit.prevent="keep">
    <p class="font-bold">On this machine it is</p>
    <div class="grid grid-cols-2 gap-2">
      <label v-if="step.count !== undefined"
        ><span class="label">how many</span><input v-model="count" class="field number" inputmode="numeric"
      /></label>
      <label v-if="step.turn"
        ><span class="label">hand of the thread</span
        ><select v-model="hand" class="field">
          <option value="right">right-handed</option>
          <option value="left">left-handed</option>
        </select></label
      >
    </div>
    <label><span class="label">tool</span><input v-model="tool" class="field" maxlength="80" /></label>
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
    <div class="flex flex-wrap gap-2">
      <button type="submit" class="button">Remember it</button
      ><button type="button" class="button button-quiet" @click="emit('done')">Leave it</button>
    </div>
  </form>
</template>
