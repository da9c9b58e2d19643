import { defineStore } from 'pinia'
import { computed } from 'vue'
import { mayWrite, type Permission } from '#core/people/roles'
import type { EntryKind, WrittenBy } from '#core/visit/entry'
import { useLocalStorageRef } from '~/composables/useLocalStorageRef'
import { mayHere, SESSION_KEY, type Session } from '~/utils/self'
import { SOMEBODY } from '~/utils/write-line'

/** So long is waited for the shop to say who is here, milliseconds. */
const PATIENCE = 4_000

/** Who works on this device: as the shop said it last, so that it is known without a way to it too. */
export const useSelf = defineStore('self', () => {
  const session = useLocalStorageRef<Session>(SESSION_KEY, { is: 'alone' })
  /** This browser was never told who is here. */
  const isNew = localStorage.getItem(SESSION_KEY) === null
  /** The name that lines bear where nobody signs in. */
  const typed = useLocalStorageRef<string>('pike-lamp.author', SOMEBODY)

  /** Asks the shop who is signed in here; where there is no way it is as it was. */
  async function look(): Promise<Session> {
    const response = await fetch('/api/session', { signal: AbortSignal.timeout(PATIENCE) }).catch(() => undefined)
    if (response?.ok) session.value = (await response.json()) as Session
    return session.value
  }

  return {
    session,
    isNew,
    /** Under which name lines are written here. */
    author: computed({
      get: () => (session.value.is === 'in' ? session.value.person.name : typed.value),
      set: (name: string) => {
        typed.value = name
      },
    }),
    by: computed((): WrittenBy | undefined =>
      session.value.is === 'in' ? { person: session.value.person.id, device: session.value.device } : undefined,
    ),
    may: (permission: Permission) => mayHere(session.value, permission),
    /** Writes whoever is here lines of this kind? */
    writes: (kind: EntryKind) => session.value.is !== 'in' || mayWrite(session.value.person.role, kind),
    look,
    /** The shop knows nobody here any more. */
    lost: () => {
      session.value = { is: 'out' }
    },
  }
})
