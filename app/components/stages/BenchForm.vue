<script setup lang="ts">
import { causeChain, faultLabel } from '#core/diagnosis/words/fault-label'
import { KIND_KNOWLEDGE } from '#core/knowledge/faults/kinds'
import type { Kind } from '#core/knowledge/vocabulary'
import type { EntryBodies } from '#core/visit/entry'

/** What the bench found: what failed first, what that brought about, why, and what is worth keeping. */
const { kind } = defineProps<{ kind: Kind }>()
const found = defineModel<EntryBodies['post-mortem'] | undefined>({ required: true })
const faults = computed(() =>
  KIND_KNOWLEDGE[kind].faults
    .map(({ fault }) => ({ fault, label: faultLabel(fault) }))
    .sort((a, b) => (a.label < b.label ? -1 : 1)),
)
const empty = () => ({ fault: '', then: [] as string[], why: '', keeping: '' })
const form = reactive(empty())
const follow = ref('')
const MOST_FOLLOWING = 8
/** What the first brought about, one after the other. */
function addFollowing(): void {
  if (follow.value && form.then.length < MOST_FOLLOWING) form.then.push(follow.value)
  follow.value = ''
}
watch(form, () => {
  found.value = form.fault
    ? {
        fault: form.fault,
        ...(form.then.length > 0 ? { then: [...form.then] } : {}),
        why: form.why.trim(),
        keeping: form.keeping.trim(),
      }
    : undefined
})
watch(found, (now) => {
  if (!now && form.fault) Object.assign(form, empty())
})
</script>

<template>
  <div class="grid gap-3 sm:grid-cols-3">
    <label
      ><span class="label">what failed first</span
      ><select v-model="form.fault" class="field" data-testid="bench-fault">
        <option value="">choose</option>
        <option v-for="each in faults" :key="each.fault" :value="each.fault">{{ each.label }}</option>
      </select></label
    >
    <label
      ><span class="label">{{ form.then.length > 0 ? 'and then' : 'which brought about' }}</span
      ><select v-model="follow" class="field" data-testid="bench-then" :disabled="!form.fault" @change="addFollowing">
        <option value="">nothing more</option>
        <option v-for="each in faults" :key="each.fault" :value="each.fault">{{ each.label }}</option>
      </select></label
    >
    <p v-if="form.fault" class="sm:col-span-3" data-testid="bench-chain">
      {{ causeChain(form) }}
      <button v-if="form.then.length > 0" type="button" class="button button-quiet" @click="form.then.pop()">
        without the last
      </button>
    </p>
    <label
      ><span class="label">why</span><input v-model="form.why" class="field" maxlength="1000" data-testid="bench-why"
    /></label>
    <label
      ><span class="label">worth keeping</span
      ><input v-model="form.keeping" class="field" maxlength="500" placeholder="fan, end bell, nothing"
    /></label>
  </div>
</template>
