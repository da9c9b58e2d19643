import { createHash } from 'node:crypto'
import type { H3Event } from 'h3'
import { defineEventHandler, getRequestHeader, setResponseHeader, setResponseHeaders, setResponseStatus } from 'h3'

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]']
const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** The names this server answers to: loopback, and what PIKE_LAMP_HOST lists. */
function ownNames(): Set<string> {
  const told = (process.env.PIKE_LAMP_HOST ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean)
  return new Set([...LOOPBACK, ...told])
}

const hostName = (host: string) => host.toLowerCase().replace(/:\d+$/, '')
/** Is it a name by which a machine reaches itself? */
export const isLoopbackName = (host: string): boolean => LOOPBACK.includes(hostName(host))

/**
 * What a page may load and run: its own scripts by address, and the few lines that stand in the page itself by their
 * hash.
 */
function contentPolicy(scriptHashes: readonly string[] = []): string {
  const scripts = ["'self'", ...scriptHashes.map((hash) => `'sha256-${hash}'`)].join(' ')
  return (
    `default-src 'self'; script-src ${scripts}; style-src 'self' 'unsafe-inline'; img-src 'self' blob: data:; ` +
    `media-src 'self' blob:; ` +
    `worker-src 'self' blob:; connect-src 'self'; object-src 'none'; base-uri 'self'; form-action 'self'; ` +
    `frame-ancestors 'none'`
  )
}

const INLINE_SCRIPT = /<script(?![^>]*\b(?:src|type="application\/json"))[^>]*>([\s\S]*?)<\/script>/g

/** The policy of one page, with the hashes of the scripts that stand in it. */
export function pagePolicy(html: string): string {
  return contentPolicy(
    [...html.matchAll(INLINE_SCRIPT)].map(([, script]) =>
      createHash('sha256')
        .update(script as string)
        .digest('base64'),
    ),
  )
}

/** Over https, directly or by way of the proxy before it. */
export function isSafeWay(event: H3Event): boolean {
  return 'encrypted' in event.node.req.socket || getRequestHeader(event, 'x-forwarded-proto') === 'https'
}

/**
 * Answers only to its own host names (a rebinding name is refused), refuses writes from another origin, and says what a
 * browser may do with a
 * page. It stands before everything else, static files too.
 */
export const guard = defineEventHandler((event) => {
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'no-referrer',
    'x-frame-options': 'DENY',
    'cross-origin-opener-policy': 'same-origin',
    ...(isSafeWay(event) ? { 'strict-transport-security': 'max-age=31536000' } : {}),
    'permissions-policy': 'camera=(self), microphone=(self), serial=(self), geolocation=()',
    'content-security-policy': contentPolicy(),
  })
  const refuse = (status: number, title: string, field: string, value: string | undefined, expected: string) => {
    setResponseStatus(event, status)
    setResponseHeader(event, 'content-type', 'application/problem+json')
    return JSON.stringify({ type: 'about:blank', title, status, problems: [{ field, value, expected }] })
  }
  const host = getRequestHeader(event, 'host') ?? ''
  if (!ownNames().has(hostName(host)))
    return refuse(
      421,
      'This server does not answer to that name.',
      'host',
      host,
      'one of its own names; tell it others with PIKE_LAMP_HOST',
    )
  if (SAFE_METHODS.has(event.method)) return
  const origin = getRequestHeader(event, 'origin')
  const foreign = origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`
  if (foreign || getRequestHeader(event, 'sec-fetch-site') === 'cross-site')
    return refuse(403, 'Writes from another origin are refused.', 'origin', origin, `http://${host}`)
})
