<script setup lang="ts">
import type { TakeDownStep } from '#core/takedown/plan'
import { couldComeFirst } from '#core/takedown/step-plan'
import { isOpening, jointOf } from '#core/takedown/step-ref'
import { isCount } from '#core/takedown/tray'

/** This machine has it otherwise than its construction: said once, and remembered with the machine. */
const { step } = defineProps<{ step: TakeDownStep }>()
const emit = defineEmits<{ done: [] }>()
const { correct, steps } = useRepair()
const { state } = useVisitContext()
/** What was said of it before stands until it is said otherwise. */
const known = computed(() => state.value.machine.joints?.find(({ joint }) => joint === jointOf(step.id)))
const hand = ref<'right' | 'left' | ''>(step.hand ?? '')
const tool = ref(step.tool ?? '')
const count = ref(step.count?.toString() ?? '')
const orientation = ref(step.orientation ?? '')
const extra = ref(known.value?.extra ?? '')
const behind = ref('')
/** What still holds and does not lie behind it: that could be what keeps it. */
const others = computed(() => {
  const { machine, plate, standing } = state.value
  const first = couldComeFirst(machine.kind, machine.construction, jointOf(step.id) as string, {
    machineCorrections: machine.joints,
    motorType: plate.motorType,
    standing,
  })
  return steps.value.filter(({ id, record }) => isOpening(id) && !record?.done && first.has(jointOf(id) as string))
})
const problem = ref('')
function keep(): void {
  const number = count.value.trim() === '' ? undefined : Number(count.value)
  problem.value = number !== undefined && !isCount(number) ? 'A count is a whole number, 0 to 200.' : ''
  if (problem.value) return
  correct(step.id, {
    ...(number !== undefined && number !== step.count ? { count: number } : {}),
    ...(hand.value && hand.value !== step.hand ? { hand: hand.value } : {}),
    ...(tool.value.trim() && tool.value.trim() !== step.tool ? { tool: tool.value.trim() } : {}),
    ...(orientation.value.trim() && orientation.value.trim() !== step.orientation
      ? { orientation: orientation.value.trim() }
      : {}),
    ...(extra.value.trim() && extra.value.trim() !== known.value?.extra ? { extra: extra.value.trim() } : {}),
    ...(behind.value ? { after: [...(known.value?.after ?? []), behind.value] } : {}),
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
    <label
      ><span class="label">how it lies</span
      ><input v-model="orientation" class="field" maxlength="120" placeholder="stamp up, fin at 10"
    /></label>
    <label
      ><span class="label">pieces besides</span
      ><input v-model="extra" class="field" maxlength="120" placeholder="3 washers under one nut"
    /></label>
    <label v-if="others.length > 0"
      ><span class="label">comes off only after</span
      ><select v-model="behind" class="field" data-testid="only-after">
        <option value="">as it stands</option>
        <option v-for="other in others" :key="other.id" :value="jointOf(other.id)">{{ other.title }}</option>
      </select></label
    >
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
    <div class="flex flex-wrap gap-2">
      <button type="submit" class="button">Remember it</button
      ><button type="button" class="button button-quiet" @click="emit('done')">Leave it</button>
    </div>
  </form>
</template>
