import type { Entry } from '#core/visit/entry'

/** An event as it came over the wire. */
export interface HeardEvent {
  id: string
  event: string
  data: { entries?: Entry[] }
}

/** Listens to a server's live lines as a browser does, until it is ended. */
export async function listenTo(url: string, { after, lastId }: { after?: number; lastId?: string } = {}) {
  const left = new AbortController()
  const response = await fetch(`${url}/api/live${after === undefined ? '' : `?after=${after}`}`, {
    signal: left.signal,
    headers: lastId === undefined ? {} : { 'last-event-id': lastId },
  })
  const heard: HeardEvent[] = []
  const waiting = new Set<() => void>()
  const ended = (async () => {
    let text = ''
    const decoder = new TextDecoder()
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += decoder.decode(chunk, { stream: true })
      const parts = text.split('\n\n')
      text = parts.pop() ?? ''
      heard.push(...parts.map(parsed))
      for (const look of [...waiting]) look()
    }
  })()
    .then(() => ({ brokeOff: false }))
    .catch(() => ({ brokeOff: true }))
  /** Waits until what was heard holds. */
  const until = (holds: (events: readonly HeardEvent[]) => boolean): Promise<void> =>
    new Promise((done) => {
      const look = () => {
        if (!holds(heard)) return
        waiting.delete(look)
        done()
      }
      waiting.add(look)
      look()
    })
  return {
    response,
    heard,
    until,
    /** Once nothing more comes: whether it was ended, or broke off. */
    ended,
    lines: () => heard.flatMap(({ data }) => data.entries ?? []),
    end: async () => {
      left.abort()
      await ended
    },
  }
}

function parsed(part: string): HeardEvent {
  const fields = new Map(
    part.split('\n').map((line) => [line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 1).trim()]),
  )
  return {
    id: fields.get('id') ?? '',
    event: fields.get('event') ?? '',
    data: JSON.parse(fields.get('data') ?? '{}') as HeardEvent['data'],
  }
}
