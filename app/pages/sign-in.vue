<script setup lang="ts">
import { useOutbox } from '~/stores/outbox'
import { useSelf } from '~/stores/self'

/** Signing in; or, on the server's own machine while nobody is written down, writing down who owns the shop. */
const [self, outbox] = [useSelf(), useOutbox()]
const door = useDoor()
const route = useRoute()
const form = reactive({ name: '', passphrase: '' })
const isBusy = ref(false)
const isFirst = computed(() => self.session.is === 'alone')
onMounted(() => void self.look())
const then = computed(() => {
  const asked = typeof route.query.then === 'string' ? route.query.then : '/'
  // Only within this app: an address from outside leads nowhere else.
  return /^\/(?!\/)/.test(asked) ? asked : '/'
})
const enter = oneAtATime(async () => {
  isBusy.value = true
  await door.enter(isFirst.value ? '/api/people/first' : '/api/session', form, then.value)
  isBusy.value = false
  form.passphrase = ''
})
useHead({ title: 'Sign in · Pike Lamp' })
</script>

<template>
  <main class="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-5 p-5">
    <div class="flex items-center justify-between"><LampLogo /><SchemeSwitch bare /></div>
    <h1 class="text-2xl">{{ isFirst ? 'Whose shop is it?' : 'Sign in' }}</h1>
    <p v-if="isFirst" class="text-slate">
      Whoever is written down here owns the shop: settings, people and money. From then on everybody signs in, on this
      machine too.
    </p>
    <p v-if="self.session.is === 'unclaimed'" class="font-bold">
      Nobody is written down in this shop yet. Its owner is, on the server’s own machine.
    </p>
    <form v-else class="grid gap-4" @submit.prevent="enter">
      <label
        ><span class="label">Name</span
        ><input v-model="form.name" class="field" maxlength="80" autocomplete="username" required autofocus
      /></label>
      <label
        ><span class="label">{{
          isFirst ? 'A passphrase, 12 letters or more: some words in a row' : 'Passphrase'
        }}</span
        ><input
          v-model="form.passphrase"
          type="password"
          class="field"
          required
          :autocomplete="isFirst ? 'new-password' : 'current-password'"
      /></label>
      <p v-if="door.problem.value" role="alert" class="font-bold">{{ door.problem.value }}</p>
      <button type="submit" class="button button-lit" :disabled="isBusy" data-testid="sign-in">
        {{ isFirst ? 'Own this shop' : 'Sign in' }}
      </button>
    </form>
    <p v-if="outbox.waiting > 0" class="text-slate">
      {{ outbox.waiting === 1 ? '1 line waits' : `${outbox.waiting} lines wait` }} on this device, to be sent once
      whoever wrote here is signed in.
    </p>
  </main>
</template>
