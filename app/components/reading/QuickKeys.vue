<script setup lang="ts">
import { checkInfo, outcomeLabel } from '#core/knowledge/checks/checks'

/** Big keys for gloves: what the lit check can answer, one tap each. */
const { lit = null } = defineProps<{ lit?: { check: string; part?: string; leads?: string } | null }>()
const emit = defineEmits<{ pick: [line: string] }>()

const keys = computed(() => {
  const info = lit ? checkInfo(lit.check) : undefined
  if (!info || !lit) return []
  const subject = lineSubject(lit)
  if (info.outcomes)
    return Object.keys(info.outcomes).map((outcome) => ({
      label: outcomeLabel(outcome),
      line: `${subject} ${outcomeLabel(outcome)}`,
    }))
  return [{ label: `${subject} …`, line: `${subject} ` }]
})
</script>

<template>
  <ul v-if="keys.length > 0" class="flex gap-2 overflow-x-auto px-4 pt-2" aria-label="answers to the lit check">
    <li v-for="key in keys" :key="key.label">
      <button type="button" class="toggle whitespace-nowrap" @click="emit('pick', key.line)">{{ key.label }}</button>
    </li>
  </ul>
</template>
