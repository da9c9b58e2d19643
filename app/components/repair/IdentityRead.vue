<script setup lang="ts">
import { IDENTITIES } from '#core/knowledge/repairs/identities'
import { PARTS, type Part } from '#core/knowledge/vocabulary'
import { identifiedAs, identityOf } from '#core/visit/fitted'

/** What is read off the part that comes out, kept on the machine: the new one is ordered by it. */
const { part } = defineProps<{ part: Part }>()
const { visit, state } = useVisitContext()
const known = computed(() => identityOf(state.value.machine, part) ?? '')
const typed = ref<string>()
const text = computed({ get: () => typed.value ?? known.value, set: (value) => (typed.value = value) })
const isChanged = computed(() => text.value.trim() !== '' && text.value.trim() !== known.value)
const sizes = computed(() => bearingSizes(text.value))
function keep(): void {
  if (!isChanged.value) return
  visit.append('machine-set', { machine: identifiedAs(state.value.machine, part, text.value.trim().slice(0, 200)) })
  typed.value = undefined
}
</script>

<template>
  <form class="grid gap-1" data-testid="identity-read" @submit.prevent="keep">
    <div class="flex items-end gap-2">
      <label class="min-w-0 flex-1"
        ><span class="label first-letter:uppercase">{{ PARTS[part] }} that came out: {{ IDENTITIES[part]?.asks }}</span
        ><input v-model="text" class="field" maxlength="200" :placeholder="IDENTITIES[part]?.example" /></label
      ><button v-if="isChanged" type="submit" class="button">Keep</button>
    </div>
    <p v-for="size in sizes" :key="size" class="number text-[0.88rem]">{{ size }}</p>
  </form>
</template>
