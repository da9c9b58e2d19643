<script setup lang="ts">
import { causeChain, faultLabel } from '#core/diagnosis/words/fault-label'
import { KIND_KNOWLEDGE } from '#core/knowledge/faults/kinds'

/**
 * The replaced machine opened later at the shop: what failed, why, what of it is worth keeping. It closes the cause and
 * teaches the shop.
 */
const { visit, state } = useVisitContext()
const found = computed(() => state.value.postMortem)
const faults = computed(() =>
  KIND_KNOWLEDGE[state.value.machine.kind].faults
    .map(({ fault }) => ({ fault, label: faultLabel(fault) }))
    .sort((a, b) => (a.label < b.label ? -1 : 1)),
)
const form = reactive({ fault: '', then: [] as string[], why: '', keeping: '' })
const follow = ref('')
/** What the first brought about, one after the other. */
function addFollowing(): void {
  if (follow.value && form.then.length < MOST_FOLLOWING) form.then.push(follow.value)
  follow.value = ''
}
const MOST_FOLLOWING = 8
function keep(): void {
  if (!form.fault) return
  visit.append('post-mortem', {
    fault: form.fault,
    ...(form.then.length > 0 ? { then: [...form.then] } : {}),
    why: form.why.trim(),
    keeping: form.keeping.trim(),
  })
  Object.assign(form, { fault: '', then: [], why: '', keeping: '' })
}
</script>

<template>
  <section
    class="no-print mx-auto max-w-3xl border-t border-rule px-5 py-6"
    aria-labelledby="bench-title"
    data-testid="bench-findings"
  >
    <h2 id="bench-title" class="text-xl">Opened later at the bench</h2>
    <p class="mb-3 text-slate">
      When the machine that came out is opened, what failed settles this visit’s cause and teaches the shop.
    </p>
    <p v-if="found" class="mb-3 border-l-4 border-moss pl-3">
      <strong>{{ causeChain(found) }}.</strong> {{ found.why }}
      <span v-if="found.keeping">Worth keeping: {{ found.keeping }}</span>
    </p>
    <form class="grid gap-3 sm:grid-cols-3" @submit.prevent="keep">
      <label
        ><span class="label">what failed first</span
        ><select v-model="form.fault" class="field" data-testid="bench-fault" required>
          <option value="" disabled>choose</option>
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
      <button
        type="submit"
        class="button sm:col-span-3 sm:justify-self-start"
        data-testid="bench-keep"
        :disabled="!form.fault"
      >
        {{ found ? 'Write it anew' : 'Write it down' }}
      </button>
    </form>
  </section>
</template>
