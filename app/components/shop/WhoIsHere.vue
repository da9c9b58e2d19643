<script setup lang="ts">
import { ROLES } from '#core/people/roles'
import { useSelf } from '~/stores/self'

/** Whoever is signed in: another device of theirs, another passphrase, signing out. */
const emit = defineEmits<{ changed: [] }>()
const self = useSelf()
const { problem, leave } = useDoor()
const invitation = ref<{ token: string; until: string }>()
const changing = ref(false)
const form = reactive({ was: '', passphrase: '' })
const said = ref('')
const me = computed(() => (self.session.is === 'in' ? self.session.person : undefined))

async function inviteDevice(): Promise<void> {
  problem.value = ''
  const made = await told<{ token: string; until: string }>('/api/session/device', 'POST')
  if ('problem' in made) problem.value = made.problem
  else invitation.value = made.said
  emit('changed')
}
const changePassphrase = oneAtATime(async () => {
  problem.value = ''
  const made = await told('/api/session/passphrase', 'POST', form)
  if ('problem' in made) {
    problem.value = made.problem
    return
  }
  Object.assign(form, { was: '', passphrase: '' })
  changing.value = false
  said.value = 'Changed. Your other devices are signed out.'
  emit('changed')
})
</script>

<template>
  <section v-if="me" aria-labelledby="me-title" data-testid="who-is-here">
    <h2 id="me-title" class="text-xl">{{ me.name }}</h2>
    <p class="text-slate">{{ ROLES[me.role].name }}: {{ ROLES[me.role].does }}</p>
    <InvitationCard v-if="invitation" v-bind="invitation" class="mt-4" words="For another device of yours" />
    <p v-if="problem" role="alert" class="mt-2 font-bold">{{ problem }}</p>
    <p v-if="said" role="status" class="mt-2">{{ said }}</p>
    <form v-if="changing" class="mt-3 grid max-w-md gap-3" @submit.prevent="changePassphrase">
      <!-- A keeper of passphrases wants to know whose it is. -->
      <input class="sr-only" tabindex="-1" aria-hidden="true" autocomplete="username" :value="me.name" readonly />
      <label
        ><span class="label">Passphrase until now</span
        ><input v-model="form.was" type="password" class="field" required autocomplete="current-password"
      /></label>
      <label
        ><span class="label">The new one, 12 letters or more: some words in a row</span
        ><input v-model="form.passphrase" type="password" class="field" required autocomplete="new-password"
      /></label>
      <div class="flex gap-3">
        <button type="submit" class="button button-lit" data-testid="passphrase-keep">Change</button>
        <button type="button" class="button button-quiet" @click="changing = false">Not now</button>
      </div>
    </form>
    <div class="mt-3 flex flex-wrap gap-3">
      <button type="button" class="button" data-testid="another-device" @click="inviteDevice">
        Another device of mine
      </button>
      <button v-if="!changing" type="button" class="button" data-testid="passphrase-change" @click="changing = true">
        Another passphrase
      </button>
      <button type="button" class="button" data-testid="sign-out" @click="leave">Sign out</button>
    </div>
  </section>
</template>
