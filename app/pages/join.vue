<script setup lang="ts">
import { useDevice } from '~/stores/device'
import { useOutbox } from '~/stores/outbox'
import { useSelf } from '~/stores/self'

/** Takes an invitation up. Its secret stands behind the # of the address, which no server and no log is told. */
const [self, outbox, device] = [useSelf(), useOutbox(), useDevice()]
const token = ref('')
const invited = ref<{ name: string; isNew: boolean }>()
const passphrase = ref('')
const problem = ref('')
onMounted(async () => {
  token.value = location.hash.slice(1)
  // It is good once: it does not stay in the address, where it would be seen and kept.
  history.replaceState(history.state, '', '/join')
  const response = await fetch('/api/session/invited', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ token: token.value || '-' }),
  }).catch(() => undefined)
  const said = (await response?.json().catch(() => ({}))) as
    { name: string; isNew: boolean; title?: string } | undefined
  if (response?.ok) invited.value = said
  else problem.value = said?.title ?? NO_WAY
})
const join = oneAtATime(async () => {
  problem.value = ''
  try {
    const isNew = invited.value?.isNew
    await self.enter('/api/session/join', { token: token.value, ...(isNew ? { passphrase: passphrase.value } : {}) })
    outbox.claim()
    void outbox.flush()
    if (self.may('look')) void device.refresh()
    await navigateTo('/')
  } catch (error) {
    problem.value = error instanceof TypeError ? NO_WAY : (error as Error).message
  }
})
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
