import { v7 as uuidv7 } from 'uuid'
import { ref } from 'vue'
import type { Entry, EntryBodies, MailedPaper } from '#core/visit/entry'
import { sheetHash } from '#core/visit/issue-together'
import { useOutbox } from '~/stores/outbox'

/**
 * Sends a paper of the open visit by mail: as it is on the screen, once, and to an address that is remembered.
 *
 * @param shown the fingerprint of what is on the screen, where that is more than the open visit
 */
export function useMail(paper: MailedPaper, shown: () => string | undefined) {
  const { visit, state } = useVisitContext()
  const outbox = useOutbox()
  const to = ref(addressee())
  const note = ref('')
  const problem = ref('')
  const sending = ref(false)
  const sent = ref<EntryBodies['mailed']>()
  /** One id for one mail, however often it is tried. */
  const id = uuidv7()

  /** Who had a paper of this kind last; a claim goes to nobody who is known before. */
  function addressee(): string {
    const last = state.value.mailed.findLast((mail) => (mail.paper === 'claim') === (paper === 'claim'))
    return last?.to ?? (paper === 'claim' ? '' : (state.value.customer.mail ?? ''))
  }

  async function send(): Promise<void> {
    problem.value = ''
    if (!/^\S+@\S+\.\S+$/.test(to.value.trim())) {
      problem.value = 'A mail address is needed, such as name@example.org.'
      return
    }
    sending.value = true
    try {
      await outbox.flush()
      const response = await fetch(`/api/visits/${state.value.id}/mail`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          id,
          paper,
          to: to.value.trim(),
          ...(note.value.trim() ? { note: note.value.trim() } : {}),
          author: visit.author,
          hash: shown() ?? sheetHash([{ entries: visit.entries, isIssued: state.value.isIssued }]),
        }),
      })
      const answer = (await response.json()) as { entry?: Entry; title?: string }
      if (!response.ok || answer.entry?.kind !== 'mailed') throw new Error(answer.title ?? response.statusText)
      visit.take([answer.entry])
      sent.value = answer.entry.body
    } catch (error) {
      problem.value =
        error instanceof TypeError
          ? 'The server does not answer: nothing was sent. Try it again when it does.'
          : `Not sent. ${(error as Error).message}`
    } finally {
      sending.value = false
    }
  }

  return { to, note, problem, sending, sent, send }
}
