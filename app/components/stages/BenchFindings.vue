<script setup lang="ts">
import { causeChain } from '#core/diagnosis/words/fault-label'
import type { EntryBodies } from '#core/visit/entry'

/**
 * The replaced machine opened later at the shop: what failed, why, what of it is worth keeping. It closes the cause and
 * teaches the shop.
 */
const { visit, state } = useVisitContext()
const found = computed(() => state.value.postMortem)
const written = ref<EntryBodies['post-mortem']>()
function keep(): void {
  if (!written.value) return
  visit.append('post-mortem', written.value)
  written.value = undefined
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
    <form class="grid gap-3" @submit.prevent="keep">
      <BenchForm v-model="written" :kind="state.machine.kind" />
      <button type="submit" class="button justify-self-start" data-testid="bench-keep" :disabled="!written">
        {{ found ? 'Write it anew' : 'Write it down' }}
      </button>
    </form>
  </section>
</template>
