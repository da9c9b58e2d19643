import type { H3Event } from 'h3'
import { getRequestHeader } from 'h3'
import { jsonOf } from '../services/json'
import { Problem } from './problem'

const MOST_JSON_BYTES = 4 * 1024 * 1024

/** Reads a body up to a limit and no further: a huge one is refused before it is held. */
export async function readLimited(event: H3Event, mostBytes: number): Promise<Buffer> {
  const tooLarge = () =>
    new Problem(413, `The body is larger than ${Math.round(mostBytes / 1024 / 1024)} MB.`, [
      { field: 'body', value: getRequestHeader(event, 'content-length'), expected: `at most ${mostBytes} bytes` },
    ])
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

/** The bytes of a body that says it is JSON. */
export async function readJsonBytes(event: H3Event, mostBytes = MOST_JSON_BYTES): Promise<Buffer> {
  const type = getRequestHeader(event, 'content-type') ?? ''
  if (!/^application\/(?:[\w.-]+\+)?json\b/i.test(type))
    throw new Problem(415, 'The content type must be application/json.', [
      { field: 'content-type', value: type, expected: 'application/json' },
    ])
  return readLimited(event, mostBytes)
}

/** JSON from a body that says it is JSON. */
export async function readJson(event: H3Event, mostBytes = MOST_JSON_BYTES): Promise<unknown> {
  return jsonOf(await readJsonBytes(event, mostBytes))
}
