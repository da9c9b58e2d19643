import { readFileSync } from 'node:fs'
import { createSecureContext } from 'node:tls'
import { setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { startSentence } from '../database/database-trouble'
import { openApp } from '../utils/app'
import { guard, pagePolicy } from '../utils/guard'
import { log } from '../utils/log'
import { nothingAnswers, PROBLEM_TYPE, problemText } from '../utils/problem'
import { watched } from '../utils/watch'

const LOOPBACK = /^(127(\.\d+){3}|localhost|::1|\[::1\])$/

/**
 * Opens the shop's data as the server starts, and closes it as the server stops. A failure is one clear sentence, not a
 * stack.
 */
export default defineNitroPlugin((nitro) => {
  if ((import.meta as { prerender?: boolean }).prerender) return
  listenWhereTold()
  encryptAsTold()
  // Before Nitro's own handler of static files, which no middleware precedes.
  nitro.h3App.stack.unshift({ route: '/', handler: watched }, { route: '/', handler: guard })
  nitro.hooks.hook('render:response', (response, { event }) => {
    // A route that knows other methods alone is passed over, and the page comes: no answer to whoever asks for data.
    if (/^\/api(\/|$)/.test(event.path)) {
      const problem = nothingAnswers(event)
      setResponseHeader(event, 'content-type', PROBLEM_TYPE)
      Object.assign(response, { statusCode: problem.status, body: problemText(problem), headers: {} })
    } else if (typeof response.body === 'string')
      setResponseHeader(event, 'content-security-policy', pagePolicy(response.body))
  })
  const opened = openApp()
  opened.catch((error: unknown) => fail(startSentence(error)))
  nitro.hooks.hook('close', async () => (await opened).close())
  const stop = () => void opened.then((app) => app.close()).finally(() => process.exit(0))
  process.once('SIGTERM', stop)
  process.once('SIGINT', stop)
})

/**
 * On loopback unless told otherwise; beyond it only with the names it answers to, so that no other name leads a browser
 * here.
 */
function listenWhereTold(): void {
  const host = process.env.NITRO_HOST || process.env.HOST || '127.0.0.1'
  process.env.NITRO_HOST = host
  if (!LOOPBACK.test(host) && !process.env.PIKE_LAMP_HOST?.trim()) {
    fail(
      `HOST is ${host}: others could reach this server. Say the names it may answer to with PIKE_LAMP_HOST=NAME, ` +
        'or leave HOST out to stay on this machine.',
    )
  }
}

/** With a certificate of its own the server speaks https alone; Nitro reads both as it begins to listen. */
function encryptAsTold(): void {
  const [certificate, key] = [process.env.PIKE_LAMP_TLS_CERT, process.env.PIKE_LAMP_TLS_KEY]
  if (!certificate && !key) return
  if (!certificate || !key)
    fail('A certificate needs its key: say both files, with PIKE_LAMP_TLS_CERT and PIKE_LAMP_TLS_KEY.')
  try {
    process.env.NITRO_SSL_CERT = readFileSync(certificate, 'utf8')
    process.env.NITRO_SSL_KEY = readFileSync(key, 'utf8')
    createSecureContext({ cert: process.env.NITRO_SSL_CERT, key: process.env.NITRO_SSL_KEY })
  } catch (error) {
    // The message of the library may repeat what stands in a file.
    const { code = 'no certificate and key that belong together' } = error as NodeJS.ErrnoException
    fail(`PIKE_LAMP_TLS_CERT (${certificate}) and PIKE_LAMP_TLS_KEY (${key}) cannot be used: ${code}.`)
  }
}

function fail(sentence: string): never {
  log.trouble(sentence)
  process.exit(1)
}
