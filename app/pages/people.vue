<script setup lang="ts">
import { format } from 'date-fns'
import { ROLES, type Role } from '#core/people/roles'
import { useSelf } from '~/stores/self'
import { auditSentence, type AuditView } from '~/utils/audit-words'

/** Who works here: people, their devices, invitations, and what was done that the owner may want to know of. */
interface PeopleView {
  people: { id: string; name: string; role: Role; since: string }[]
  devices: { id: string; person: string; name: string; since: string; seen: string }[]
}
const self = useSelf()
const isOwner = computed(() => self.session.is === 'in' && self.may('people'))
const view = shallowRef<PeopleView>()
const lines = shallowRef<AuditView[]>([])
const form = reactive({ name: '', role: 'technician' as Role })
const invitation = ref<{ token: string; until: string; words: string }>()
const trouble = ref('')
/** Asked once more before it is done: it cannot be taken back. */
const asking = ref<{ title: string; words: string; path: string }>()

async function load(): Promise<void> {
  if (!isOwner.value) return
  const answers = await Promise.all([ask('/api/people'), ask('/api/people/audit')]).catch(() => undefined)
  if (!answers?.every(({ ok }) => ok)) {
    trouble.value = NO_WAY
    return
  }
  view.value = (await answers[0].json()) as PeopleView
  lines.value = ((await answers[1].json()) as { lines: AuditView[] }).lines
}
watch(isOwner, load, { immediate: true })
const nameOf = (id: string) => view.value?.people.find((person) => person.id === id)?.name
const devicesOf = (id: string) => (view.value?.devices ?? []).filter(({ person }) => person === id)
const dayOf = (instant: string) => format(new Date(instant), 'd MMM yyyy')

async function change(path: string, method: 'PATCH' | 'DELETE', body?: object): Promise<void> {
  const done = await told(path, method, body)
  trouble.value = 'problem' in done ? done.problem : ''
  asking.value = undefined
  // It may have been about whoever asks.
  await self.look()
  await load()
}
async function invite(path: string, name: string, body?: object): Promise<void> {
  const made = await told<{ token: string; until: string }>(path, 'POST', body)
  trouble.value = 'problem' in made ? made.problem : ''
  if ('problem' in made) return
  invitation.value = { ...made.said, words: `For ${name}` }
  form.name = ''
  await load()
}
const inviteNew = oneAtATime(() => invite('/api/people/invitations', form.name, { ...form }))
function askToShutOut(person: string, { id, name }: { id: string; name: string }): void {
  asking.value = {
    title: `Shut out: ${name} of ${person}?`,
    words: 'It is out at once, and keeps nothing of the shop when it next asks. What it has not sent yet stays on it.',
    path: `/api/people/devices/${id}`,
  }
}
function askToRemove({ id, name }: { id: string; name: string }): void {
  asking.value = {
    title: `${name} works here no more?`,
    words: 'All of their devices are out at once. What they wrote stays, under their name.',
    path: `/api/people/${id}`,
  }
}
useHead({ title: 'People · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="People" />
    <main class="mx-auto grid max-w-5xl gap-8 p-5 max-sm:p-3">
      <div v-if="self.session.is === 'alone'" class="max-w-2xl">
        <p class="mb-4">
          Nobody signs in here: whoever sits at this machine works under the name they type. Others can reach this shop
          once it has an owner; from then on everybody signs in.
        </p>
        <NuxtLink class="button button-lit" to="/sign-in" data-testid="own">Own this shop</NuxtLink>
      </div>
      <WhoIsHere v-else @changed="load" />
      <p v-if="trouble" role="alert" class="font-bold">{{ trouble }}</p>
      <template v-if="isOwner">
        <section v-if="view" aria-labelledby="people-title">
          <h2 id="people-title" class="text-xl">Who works here</h2>
          <ul class="mt-2 border-t border-rule">
            <li v-for="person in view.people" :key="person.id" class="border-b border-rule py-3" data-testid="person">
              <div class="flex flex-wrap items-center gap-3">
                <strong class="min-w-40 flex-1 break-words">{{ person.name }}</strong>
                <label
                  ><span class="sr-only">role of {{ person.name }}</span
                  ><select
                    class="field"
                    :value="person.role"
                    @change="
                      change(`/api/people/${person.id}`, 'PATCH', { role: ($event.target as HTMLSelectElement).value })
                    "
                  >
                    <option v-for="({ name }, role) in ROLES" :key="role" :value="role">{{ name }}</option>
                  </select></label
                >
                <button
                  type="button"
                  class="button button-quiet"
                  :aria-label="`${person.name} has forgotten the passphrase`"
                  data-testid="forgotten"
                  @click="invite(`/api/people/${person.id}/way-in`, person.name)"
                >
                  forgot the passphrase
                </button>
                <button
                  type="button"
                  class="button button-quiet"
                  :aria-label="`${person.name} works here no more`"
                  @click="askToRemove(person)"
                >
                  works here no more
                </button>
              </div>
              <ul class="mt-1">
                <li v-for="each in devicesOf(person.id)" :key="each.id" class="flex flex-wrap items-center gap-x-3">
                  <span class="flex-1 text-slate"
                    >{{ each.name }}, since {{ dayOf(each.since) }}, seen {{ dayOf(each.seen) }}</span
                  ><button
                    type="button"
                    class="button button-quiet"
                    :aria-label="`shut out ${each.name} of ${person.name}`"
                    data-testid="shut-out"
                    @click="askToShutOut(person.name, each)"
                  >
                    shut out
                  </button>
                </li>
              </ul>
            </li>
          </ul>
        </section>
        <section aria-labelledby="invite-title">
          <h2 id="invite-title" class="text-xl">Somebody new</h2>
          <form class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="inviteNew">
            <label class="min-w-56 flex-1"
              ><span class="label">Name</span
              ><input v-model="form.name" class="field" maxlength="80" required autocomplete="off"
            /></label>
            <label
              ><span class="label">As</span
              ><select v-model="form.role" class="field">
                <option v-for="({ name }, role) in ROLES" :key="role" :value="role">{{ name }}</option>
              </select></label
            >
            <button type="submit" class="button" data-testid="invite">Invite</button>
          </form>
          <p class="mt-2 text-slate">{{ ROLES[form.role].name }}: {{ ROLES[form.role].does }}.</p>
          <InvitationCard v-if="invitation" v-bind="invitation" class="mt-4" />
        </section>
        <section v-if="lines.length > 0" aria-labelledby="audit-title">
          <h2 id="audit-title" class="text-xl">What was done</h2>
          <ul class="ruled mt-2" data-testid="audit">
            <li v-for="(line, index) in lines" :key="index" class="flex gap-x-4 py-1.5 max-sm:flex-col">
              <span class="number w-36 shrink-0 text-slate">{{
                format(new Date(line.at), 'd MMM HH:mm')
              }}</span><span>{{ auditSentence(line, nameOf) }}</span>
            </li>
          </ul>
        </section>
      </template>
    </main>
    <SmallDialog v-if="asking" :title="asking.title" test="people-asking" @close="asking = undefined">
      <p class="mt-3">{{ asking.words }}</p>
      <div class="mt-4 flex gap-3">
        <button type="button" class="button button-lit" data-testid="people-yes" @click="change(asking.path, 'DELETE')">
          Yes
        </button>
        <button type="button" class="button button-quiet" @click="asking = undefined">No</button>
      </div>
    </SmallDialog>
  </div>
</template>
