/** Nothing was asked of the server for so long: the page has all it wants, milliseconds. */
const STILL = 400
const LOOK = 40

/** The stream on which a page hears of lines as they arrive, which stays open as long as the page. */
const isStream = (request) => new URL(request.url()).pathname === '/api/live'

/**
 * Watches what a page asks of the server. The browser driver's own wait for a quiet network would wait for the stream
 * of live lines too, which never ends.
 *
 * @param {import('@playwright/test').Page} page before it goes anywhere
 * @returns {() => Promise<void>} waits until every other request is answered and no more follow
 */
export function watchRequests(page) {
  const open = new Set()
  let last = performance.now()
  const moved = (change) => (request) => {
    if (isStream(request)) return
    open[change](request)
    last = performance.now()
  }
  page.on('request', moved('add'))
  page.on('requestfinished', moved('delete'))
  page.on('requestfailed', moved('delete'))
  return async () => {
    while (open.size > 0 || performance.now() - last < STILL) await new Promise((look) => setTimeout(look, LOOK))
  }
}
