import { ENTRY_VERSION, type Entry } from '#core/visit/entry'
import { attachedIn } from '#core/visit/attached'
import type { Refusal } from './waiting-lines'

/**
 * What became of lines that were sent. Three different things can go wrong: nobody answers; the server answers and
 * cannot keep anything now; the server will never take this.
 */
export type Sent =
  | { is: 'accepted' }
  | { is: 'unreachable' }
  | { is: 'failing'; title: string; isOut?: true }
  | { is: 'refused'; refusal: Refusal }

/**
 * Answers about the lines themselves. Any other answer is about the server or the way to it, and the lines are tried
 * again.
 */
const ABOUT_THE_LINES = new Set([400, 409, 413, 422])

/** A way that carries nothing is given up after so long: sending anew does no harm, milliseconds. */
const LONGEST = 60_000

/** Sends lines. */
export function sendEntries(entries: readonly Entry[], ask: typeof fetch = fetch): Promise<Sent> {
  return send('/api/entries', 'application/json', JSON.stringify({ entries }), ask)
}

/**
 * Sends the pictures and recordings that lines speak of and that are on this device alone: a line is not taken before
 * them.
 *
 * @param waiting the picture, while the shop may not have it
 */
export async function sendPictures(
  entries: readonly Entry[],
  waiting: (hash: string) => Promise<Blob | undefined>,
  ask: typeof fetch = fetch,
): Promise<Sent> {
  for (const hash of attachedIn(entries)) {
    const picture = await waiting(hash)
    const sent = picture && (await send('/api/photos', picture.type, picture, ask))
    if (sent && sent.is !== 'accepted') return sent
  }
  return { is: 'accepted' }
}

async function send(path: string, type: string, body: string | Blob, ask: typeof fetch): Promise<Sent> {
  const signal = AbortSignal.timeout(LONGEST)
  const headers = { 'content-type': type }
  const answer = await ask(path, { method: 'POST', headers, body, signal }).catch(() => undefined)
  if (!answer) return { is: 'unreachable' }
  if (answer.ok) return { is: 'accepted' }
  const { title, problems = [] } = (await answer.json().catch(() => ({}))) as Partial<Refusal>
  if (isOlder(problems))
    return { is: 'failing', title: 'The shop runs an older Pike Lamp, which cannot read these lines yet.' }
  const said = title ?? (answer.statusText || `answer ${answer.status}`)
  return ABOUT_THE_LINES.has(answer.status)
    ? { is: 'refused', refusal: { title: said, status: answer.status, problems } }
    : { is: 'failing', title: said, ...(answer.status === 401 ? { isOut: true as const } : {}) }
}

/** A server that does not know this version of a line will, once it is brought up to date. */
function isOlder(problems: Refusal['problems']): boolean {
  return problems.some(({ field, value }) => /(^|\.)v$/.test(field) && value === ENTRY_VERSION)
}
