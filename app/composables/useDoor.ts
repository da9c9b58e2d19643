import { useDevice } from '~/stores/device'
import { useOutbox } from '~/stores/outbox'
import { useSelf } from '~/stores/self'
import type { Session } from '~/utils/self'

/** The way in and out of a shop where people sign in. */
export function useDoor() {
  const [self, outbox, device] = [useSelf(), useOutbox(), useDevice()]
  const problem = ref('')

  /** Goes in, by what is asked for there; what waits here is sent, and the shop's days are read. */
  async function enter(path: string, body: object, then: string): Promise<void> {
    const made = await told<Session>(path, 'POST', body)
    problem.value = 'problem' in made ? made.problem : ''
    if ('problem' in made) return
    self.session = made.said
    outbox.claim()
    void outbox.flush()
    if (self.may('look')) void device.refresh()
    await navigateTo(then)
  }
  async function leave(): Promise<void> {
    await outbox.flush()
    const made = await told<Session>('/api/session', 'DELETE')
    problem.value = 'problem' in made ? made.problem : ''
    if (!('problem' in made)) self.session = made.said
  }
  return { problem, enter, leave }
}
