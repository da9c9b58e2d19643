<script setup lang="ts">
const problem = ref('')
async function picked(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  problem.value = ''
  try {
    const response = await fetch('/api/visits/import', { method: 'POST', headers: { 'content-type': 'application/json' }, body: await file.text() })
    const answer = (await response.json()) as { visitId?: string; title?: string }
    if (!response.ok || !answer.visitId) throw new Error(answer.title ?? response.statusText)
    await navigateTo(`/visits/${answer.visitId}`)
  } catch (error) {
    problem.value = error instanceof TypeError ? 'The server does not answer.' : (error as Error).message
  }
}
</script>

<template>
  <div>
    <label class="button">Take in a visit file<input type="file" accept=".json,application/json" class="sr-only" data-testid="import-file" @change="picked"></label>
    <p v-if="problem" role="alert" class="mt-2 max-w-xl text-rust">{{ problem }}</p>
  </div>
</template>
