import type { KnownWindow, WindowLine } from '#core/pumps/device-window'
import type { DaySpan } from '#core/visit/visit-row'
import type { DeviceStore, KeptWindow } from './device-store'

/** How far the reading of a window is. */
export interface Reading {
  done: number
  of: number
}

/** So many lines are put into the device's store at once. */
const AT_ONCE = 40

/**
 * Reads the window anew: what is new or has changed since. Broken off, what came so far is kept, and the next reading
 * goes on from there.
 *
 * @param now ISO instant
 * @throws TypeError where the way is lost, Error where the shop does not give it
 * @returns the window; nothing where the device would not keep it
 */
export async function readWindow(
  store: DeviceStore,
  span: DaySpan,
  now: string,
  tell: (reading: Reading) => void,
): Promise<KeptWindow | undefined> {
  const [before, sent] = await Promise.all([store.window(), store.sent()])
  const known: KnownWindow = {
    // What came of a reading that was broken off is sent again: nobody knows which of it has changed since.
    ...(before?.since === undefined ? {} : { since: before.since }),
    visits: before ? await store.idsOf('visits') : [],
    machines: before ? await store.idsOf('machines') : [],
    customers: before ? await store.idsOf('customers') : [],
  }
  const response = await fetch('/api/device', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...span, ...known }),
  })
  if (!response.ok || !response.body) throw new Error(response.statusText)
  let window: Extract<WindowLine, { is: 'window' }> | undefined
  let isWhole = false
  let done = 0
  let batch: WindowLine[] = []
  const put = async () => {
    const lines = batch
    batch = []
    done += lines.length
    if (!(await store.take(lines))) return false
    tell({ done, of: window?.of ?? 0 })
    return true
  }
  for await (const line of linesIn(response.body)) {
    if (line.is === 'window') window = line
    else if (line.is === 'whole') isWhole = true
    else batch.push(line)
    if (batch.length >= AT_ONCE && !(await put())) return undefined
  }
  if (!(await put()) || !window || !isWhole) return undefined
  const { arrival, since, visits, machines, customers, shop } = window
  const kept: KeptWindow = { ...(since === undefined ? {} : { since }), heard: arrival, at: now, ...span, visits, shop }
  // Where the shop is still taking in what arrived, its cards may not say yet what was sent before.
  const read = since === arrival ? sent : []
  return (await store.closeWindow(kept, { visits, machines, customers }, read)) ? kept : undefined
}

async function* linesIn(body: ReadableStream<Uint8Array>): AsyncGenerator<WindowLine> {
  const reader = body.pipeThrough(new TextDecoderStream() as TransformStream<Uint8Array, string>).getReader()
  let rest = ''
  for (let { done, value } = await reader.read(); !done; { done, value } = await reader.read()) {
    const lines = (rest + value).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) yield JSON.parse(line) as WindowLine
  }
}
