import { setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { startSentence } from '../database/database-trouble'
import { openApp } from '../utils/app'
import { guard, pagePolicy } from '../utils/guard'
import { log } from '../utils/log'
import { watched } from '../utils/watch'

const LOOPBACK = /^(127(\.\d+){3}|localhost|::1|\[::1\])$/

/**
 * Opens the shop's data as the server starts, and closes it as the server stops. A failure is one clear sentence, not a
 * stack.
 */
export default defineNitroPlugin((nitro) => {
  if ((import.meta as { prerender?: boolean }).prerender) return
  listenWhereTold()
  // Before Nitro's own handler of static files, which no middleware precedes.
  nitro.h3App.stack.unshift({ route: '/', handler: watched }, { route: '/', handler: guard })
  nitro.hooks.hook('render:response', (response, { event }) => {
    if (typeof response.body === 'string')
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
 * On loopback unless told otherwise; beyond it only with the names it answers to, since there is no login to keep
 * strangers out.
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

function fail(sentence: string): never {
  log.trouble(sentence)
  process.exit(1)
}
