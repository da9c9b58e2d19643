<script setup lang="ts">
import { format } from 'date-fns'
import { ROLES, type Role } from '#core/people/roles'
import { useSelf } from '~/stores/self'
import { AUDIT_WORDS, type AuditView } from '~/utils/audit-words'

/** Who works here: people, their devices, invitations, and what was done that the owner may want to know of. */
interface PeopleView {
  people: { id: string; name: string; role: Role; since: string }[]
  devices: { id: string; person: string; name: string; since: string; seen: string }[]
}
const self = useSelf()
const { view, problem, load } = useServed<PeopleView>(() => '/api/people', { isFresh: false })
const audit = useServed<{ lines: AuditView[] }>(() => '/api/people/audit', { isFresh: false })
const form = reactive({ name: '', role: 'technician' as Role })
const invitation = ref<{ token: string; until: string; words: string }>()
const trouble = ref('')
const nameOf = (id: string | undefined) => view.value?.people.find((person) => person.id === id)?.name ?? 'somebody who left'
const devicesOf = (id: string) => (view.value?.devices ?? []).filter(({ person }) => person === id)
const dayOf = (instant: string) => format(new Date(instant), 'd MMM yyyy')

async function change(path: string, method: string, body?: object): Promise<unknown> {
  trouble.value = ''
  const response = await fetch(path, {
    method,
    ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
  }).catch(() => undefined)
  const said = (await response?.json().catch(() => ({}))) as { title?: string } | undefined
  if (!response?.ok) trouble.value = said?.title ?? NO_WAY
  await Promise.all([load(), audit.load()])
  return response?.ok ? said : undefined
}
async function invite(): Promise<void> {
  const made = (await change('/api/people/invitations', 'POST', form)) as { token: string; until: string } | undefined
  if (!made) return
  invitation.value = { ...made, words: `For ${form.name}` }
  form.name = ''
}
async function inviteDevice(): Promise<void> {
  const made = (await change('/api/session/device', 'POST')) as { token: string; until: string } | undefined
  if (made) invitation.value = { ...made, words: 'For another device of yours' }
}
useHead({ title: 'People · Pike Lamp' })
</script>

<template>
  <div class="min-h-dvh">
    <PlaceHeader title="People" />
    <main class="mx-auto grid max-w-5xl gap-8 p-5 max-sm:p-3">
      <div v-if="self.session.is === 'alone'">
        <p class="mb-3">
          Nobody signs in here: whoever sits at this machine works under the name they type. Others can reach this shop
          once it has an owner.
        </p>
        <NuxtLink class="button button-lit" to="/sign-in">Own this shop</NuxtLink>
      </div>
      <template v-else>
        <p v-if="problem || trouble" role="alert" class="font-bold">{{ trouble || problem }}</p>
        <InvitationCard v-if="invitation" v-bind="invitation" />
        <section v-if="view" aria-labelledby="people-title">
          <h2 id="people-title" class="text-xl">Who works here</h2>
          <ul>
            <li v-for="person in view.people" :key="person.id" class="border-b border-rule py-3" data-testid="person">
              <div class="flex flex-wrap items-center gap-3">
                <strong class="min-w-40 grow">{{ person.name }}</strong>
                <label
                  ><span class="sr-only">role of {{ person.name }}</span
                  ><select
                    class="field"
                    :value="person.role"
                    @change="change(`/api/people/${person.id}`, 'PATCH', { role: ($event.target as HTMLSelectElement).value })"
                  >
                    <option v-for="(label, role) in ROLES" :key="role" :value="role">{{ label }}</option>
                  </select></label
                >
                <button
                  type="button"
                  class="button button-quiet"
                  :aria-label="`${person.name} works here no more`"
                  @click="change(`/api/people/${person.id}`, 'DELETE')"
                >
                  works here no more
                </button>
              </div>
              <ul class="mt-1">
                <li v-for="each in devicesOf(person.id)" :key="each.id" class="flex flex-wrap items-center gap-3">
                  <span class="grow text-slate"
                    >{{ each.name }}, since {{ dayOf(each.since) }}, seen {{ dayOf(each.seen) }}</span
                  ><button
                    type="button"
                    class="button button-quiet"
                    data-testid="shut-out"
                    @click="change(`/api/people/devices/${each.id}`, 'DELETE')"
                  >
                    shut out
                  </button>
                </li>
              </ul>
            </li>
          </ul>
        </section>
        <form class="flex flex-wrap items-end gap-3" @submit.prevent="invite">
          <label class="min-w-56 grow"
            ><span class="label">Somebody new</span><input v-model="form.name" class="field" maxlength="80" required
          /></label>
          <label
            ><span class="label">As</span
            ><select v-model="form.role" class="field">
              <option v-for="(label, role) in ROLES" :key="role" :value="role">{{ label }}</option>
            </select></label
          >
          <button type="submit" class="button button-lit" data-testid="invite">Invite</button>
          <button type="button" class="button" data-testid="another-device" @click="inviteDevice">
            Another device of mine
          </button>
        </form>
        <section v-if="audit.view.value" aria-labelledby="audit-title">
          <h2 id="audit-title" class="text-xl">What was done</h2>
          <ul class="ruled" data-testid="audit">
            <li v-for="(line, index) in audit.view.value.lines" :key="index" class="flex flex-wrap gap-4 py-1.5">
              <span class="number text-slate">{{ format(new Date(line.at), 'd MMM HH:mm') }}</span
              ><span>{{ AUDIT_WORDS[line.what] }}</span
              ><span class="text-slate"
                ><template v-if="line.by">{{ nameOf(line.by) }}</template
                ><template v-if="line.about">, {{ nameOf(line.about) }}</template></span
              >
            </li>
          </ul>
        </section>
      </template>
    </main>
  </div>
</template>
