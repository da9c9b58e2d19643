import { useDevice } from '~/stores/device'
import { useLive } from '~/stores/live'
import { useSelf } from '~/stores/self'

/** The header in which an answer says which line had arrived last before it was worked out. */
const ARRIVAL = 'x-arrival'
/** On a way that is there and carries nothing, so long is waited where this device has an answer, milliseconds. */
const PATIENCE = 4_000
/** An answer that came too late is good for so long, milliseconds. */
const LATE = 10_000
/** Answers of the shop that are kept as they are, by what they are asked under. */
const KEPT_AS_IS: readonly [path: RegExp, name: (query: URLSearchParams) => string][] = [
  [/^\/api\/shop$/, () => 'shop'],
  [/^\/api\/plan$/, (query) => `plan:${query.get('on')}`],
]

/** What is said where nobody answers and this device does not know either. */
export const NO_WAY = 'No way to the shop just now, and this is not kept on this device. It is read once there is one.'

/** Asked for while the page was still being put together. */
const ahead = new Map<string, Promise<Response>>()
/** Asks for what the page that is being opened will ask for first. */
export function askAhead(path: string): void {
  const asked = fetch(path)
  // Whoever asks for it hears of it.
  asked.catch(() => undefined)
  ahead.set(path, asked)
}

/** Answers that came after this device had given its own. */
const late = new Map<string, Response>()

/**
 * Asks the shop's server; where nobody answers, this device says what it knows. What is written after the server's
 * answer is heard of as it arrives.
 *
 * @throws TypeError where nobody answers, and this device does not know either
 */
export async function ask(path: string): Promise<Response> {
  const answered = late.get(path)
  if (answered) {
    late.delete(path)
    return heard(path, answered)
  }
  const asked = ahead.get(path) ?? fetch(path)
  ahead.delete(path)
  const first = await Promise.race([asked.catch(() => undefined), impatient()])
  if (first) return heard(path, first)
  const own = await useDevice().answer(path)
  if (!own) return heard(path, await asked)
  asked.then(
    (response) => hearLate(path, response),
    () => undefined,
  )
  return Response.json(own)
}

/** Resolves once nothing more is waited for. */
function impatient(): Promise<undefined> {
  return new Promise((done) => setTimeout(() => done(undefined), navigator.onLine ? PATIENCE : 0))
}

/** The shop has answered after all: what is shown is read anew, and this is the answer. */
function hearLate(path: string, response: Response): void {
  if (!response.ok) return
  late.set(path, response)
  setTimeout(() => late.delete(path), LATE)
  useLive().miss()
}

/** The line that had arrived last before an answer of the shop was worked out; nothing of this device's own. */
export function arrivalOf(response: Response): number | undefined {
  const said = response.headers.get(ARRIVAL)
  return said === null ? undefined : Number(said)
}

function heard(path: string, response: Response): Response {
  const arrival = arrivalOf(response)
  const device = useDevice()
  const self = useSelf()
  if (arrival !== undefined && response.ok && self.may('look')) device.reached(arrival)
  if (response.status === 401) self.lost()
  if (!response.ok) return response
  const { pathname, searchParams } = new URL(path, location.origin)
  const kept = KEPT_AS_IS.find(([pattern]) => pattern.test(pathname))
  if (kept)
    void response
      .clone()
      .json()
      .then((answer: unknown) => device.keepFact(kept[1](searchParams), answer))
      .catch(() => undefined)
  return response
}
