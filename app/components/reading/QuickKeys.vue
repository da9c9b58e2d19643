<script setup lang="ts">
import { checkInfo, outcomeLabel } from '#core/knowledge/checks/checks'
import type { Scene } from '#core/language/scene'

/** Big keys for gloves: what the lit check can answer, one tap each, the last used first. */
const { lit = null } = defineProps<{ lit?: Scene['lit'] }>()
const emit = defineEmits<{ say: [line: string]; begin: [line: string] }>()
const used = useLocalStorageRef<Record<string, string[]>>('pike-lamp-last-said', {})

const keys = computed(() => {
  const info = lit ? checkInfo(lit.check) : undefined
  if (!info?.outcomes || !lit) return []
  const last = used.value[lit.check] ?? []
  const rank = (outcome: string) => (last.includes(outcome) ? last.indexOf(outcome) : last.length)
  return Object.keys(info.outcomes)
    .sort((a, b) => rank(a) - rank(b))
    .map((outcome) => ({ outcome, label: outcomeLabel(outcome), line: `${lineSubject(lit)} ${outcomeLabel(outcome)}` }))
})
function say({ outcome, line }: { outcome: string; line: string }): void {
  if (!lit) return
  const last = used.value[lit.check] ?? []
  used.value = { ...used.value, [lit.check]: [outcome, ...last.filter((each) => each !== outcome)] }
  emit('say', line)
}
</script>

<template>
  <ul v-if="lit" class="flex gap-2 overflow-x-auto px-4 pt-2" aria-label="answers to the lit check">
    <li v-for="key in keys" :key="key.label">
      <button type="button" class="toggle whitespace-nowrap" @click="say(key)">{{ key.label }}</button>
    </li>
    <li v-if="keys.length === 0">
      <button type="button" class="toggle whitespace-nowrap" @click="emit('begin', `${lineSubject(lit)} `)">
        {{ lineSubject(lit) }} …
      </button>
    </li>
  </ul>
</template>
