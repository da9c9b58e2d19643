import type { H3Event } from 'h3'
import { getRequestHeader } from 'h3'
import { Problem } from './problem'

/** Reads a body up to a limit and no further: a huge one is refused before it is held. */
export async function readLimited(event: H3Event, mostBytes: number): Promise<Buffer> {
  const tooLarge = () => new Problem(413, `The body is larger than ${Math.round(mostBytes / 1024 / 1024)} MB.`, [{ field: 'body', value: getRequestHeader(event, 'content-length'), expected: `at most ${mostBytes} bytes` }])
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > mostBytes) throw tooLarge()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req) {
    size += (chunk as Buffer).length
    if (size > mostBytes) throw tooLarge()
    chunks.push(chunk as Buffer)
  }
  return Buffer.concat(chunks)
}

/** JSON from a body that says it is JSON. */
export async function readJson(event: H3Event, mostBytes = 4 * 1024 * 1024): Promise<unknown> {
  const type = getRequestHeader(event, 'content-type') ?? ''
  if (!/^application\/(?:[\w.-]+\+)?json\b/i.test(type)) throw new Problem(415, 'The content type must be application/json.', [{ field: 'content-type', value: type, expected: 'application/json' }])
  const text = (await readLimited(event, mostBytes)).toString('utf8')
  return JSON.parse(text)
}
