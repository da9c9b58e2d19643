import type { Entry } from '#core/visit/entry'
import type { Refusal } from './waiting-lines'

/**
 * What became of lines that were sent. Three different things can go wrong: nobody answers; the server answers and
 * cannot keep anything
 * now; the server will never take this.
 */
export type Sent =
  { is: 'accepted' } | { is: 'unreachable' } | { is: 'failing'; title: string } | { is: 'refused'; refusal: Refusal }

/**
 * Answers about the lines themselves. Any other answer is about the server or the way to it, and the lines are tried
 * again.
 */
const ABOUT_THE_LINES = new Set([400, 409, 413, 422])

export async function sendEntries(entries: readonly Entry[], ask: typeof fetch = fetch): Promise<Sent> {
  const answer = await ask('/api/entries', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries }),
  }).catch(() => undefined)
  if (!answer) return { is: 'unreachable' }
  if (answer.ok) return { is: 'accepted' }
  const { title, problems } = (await answer.json().catch(() => ({}))) as Partial<Refusal>
  const said = title ?? (answer.statusText || `answer ${answer.status}`)
  return ABOUT_THE_LINES.has(answer.status)
    ? { is: 'refused', refusal: { title: said, status: answer.status, problems: problems ?? [] } }
    : { is: 'failing', title: said }
}
