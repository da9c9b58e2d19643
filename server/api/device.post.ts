import { Readable } from 'node:stream'
import { createGzip } from 'node:zlib'
import { getRequestHeader, sendStream, setResponseHeaders } from 'h3'
import { knownWindow } from '../services/device-request'
import { windowLines } from '../services/device-window'
import { serverNow, useShopApp } from '../utils/app'
import { readJson } from '../utils/body'
import { api } from '../utils/problem'

/**
 * What a device keeps to work without the shop, as lines of JSON: what is in it, then each that is new or has changed,
 * then that it was all. A device that loses the way goes on from what it has.
 */
export default api('look', async (event) => {
  const { span, known } = knownWindow(await readJson(event))
  const app = await useShopApp()
  const lines = Readable.from(asJson(windowLines(app, span, known, serverNow())))
  const isSmall = /\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')
  setResponseHeaders(event, {
    'content-type': 'application/x-ndjson',
    'cache-control': 'no-store',
    ...(isSmall ? { 'content-encoding': 'gzip' as const } : {}),
  })
  return sendStream(event, isSmall ? lines.pipe(createGzip()) : lines)
})

async function* asJson(lines: AsyncIterable<object>): AsyncGenerator<string> {
  for await (const line of lines) yield `${JSON.stringify(line)}\n`
}
