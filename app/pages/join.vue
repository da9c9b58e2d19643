<script setup lang="ts">
/** Takes an invitation up. Its secret stands behind the # of the address, which no server and no log is told. */
const { problem, enter } = useDoor()
const token = ref('')
const invited = ref<{ name: string; isNew: boolean }>()
const passphrase = ref('')
onMounted(async () => {
  token.value = location.hash.slice(1)
  // It is good once: it does not stay in the address, where it would be seen and kept.
  history.replaceState(history.state, '', '/join')
  const made = await told<{ name: string; isNew: boolean }>('/api/session/invited', 'POST', {
    token: token.value || '-',
  })
  if ('problem' in made) problem.value = made.problem
  else invited.value = made.said
})
const join = oneAtATime(() =>
  enter(
    '/api/session/join',
    { token: token.value, ...(invited.value?.isNew ? { passphrase: passphrase.value } : {}) },
    '/',
  ),
)
useHead({ title: 'Join · Pike Lamp' })
</script>

<template>
  <main class="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-5 p-5">
    <div class="flex items-center justify-between"><LampLogo /><SchemeSwitch bare /></div>
    <h1 class="text-2xl">{{ invited ? `Welcome, ${invited.name}` : 'An invitation' }}</h1>
    <form v-if="invited" class="grid gap-4" @submit.prevent="join">
      <label v-if="invited.isNew"
        ><span class="label">A passphrase of your own, 12 letters or more: some words in a row</span
        ><input v-model="passphrase" type="password" class="field" required autocomplete="new-password"
      /></label>
      <p v-else class="text-slate">This device is signed in as yours.</p>
      <button type="submit" class="button button-lit" data-testid="join">Go in</button>
    </form>
    <p v-if="problem" role="alert" class="font-bold">{{ problem }}</p>
  </main>
</template>
