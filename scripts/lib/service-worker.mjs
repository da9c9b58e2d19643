import { createHash } from 'node:crypto'
import { readFile, readdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { generateSW } from 'workbox-build'

/** A worker, its models and a chart library are chunks of some size; none is near this. */
const LARGEST = 6 * 1024 * 1024

const MOST_PICTURES = 400

/**
 * Files of the build are named by their content: a browser that can takes them from where they are kept without asking
 * the worker, each of some twenty a way less. Others ask it, and so does whatever is not there.
 *
 * @source W3C Service Workers, 4.6.1 event.addRoutes; the store's name as workbox-core says it
 */
const KEPT_DIRECTLY = `self.addEventListener('install', (event) => {
  if (!event.addRoutes || !self.URLPattern) return
  event.waitUntil(
    event.addRoutes({
      condition: { urlPattern: new URLPattern({ pathname: '/_nuxt/*' }) },
      source: { cacheName: 'workbox-precache-v2-' + self.registration.scope },
    }),
  )
})
`

/**
 * Writes the worker that keeps the whole app on a device: every script, style, font and picture of it, and the page
 * that all addresses open with. It keeps no answer of the shop's but pictures: those are the device's own store's.
 *
 * @param {string} publicDir the built files
 */
export async function writeServiceWorker(publicDir) {
  const names = (await readdir(publicDir, { recursive: true })).sort()
  // The page names its scripts, which have their content in their names: it is another when one of them is.
  const revision = createHash('sha256').update(names.join('\n')).digest('hex').slice(0, 16)
  const swDest = join(publicDir, 'sw.js')
  const { warnings, count, size } = await generateSW({
    globDirectory: publicDir,
    globPatterns: ['**/*.{js,mjs,css,woff,woff2,svg,png,webmanifest,wasm,json}'],
    globIgnores: ['sw.js', '_nuxt/builds/**'],
    additionalManifestEntries: [{ url: '/', revision }],
    swDest,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    maximumFileSizeToCacheInBytes: LARGEST,
    // Files of the build have their content in their names.
    dontCacheBustURLsMatching: /^_nuxt\//,
    // A picture's content is its name. What is shown or fetched ahead can be seen without a signal.
    runtimeCaching: [
      {
        urlPattern: /\/api\/photos\/[0-9a-f]{64}$/,
        handler: 'CacheFirst',
        options: {
          cacheName: 'pictures',
          cacheableResponse: { statuses: [200] },
          expiration: { maxEntries: MOST_PICTURES, purgeOnQuotaError: true },
        },
      },
    ],
    navigateFallback: '/',
    navigateFallbackDenylist: [/^\/api\//],
    cleanupOutdatedCaches: true,
    clientsClaim: true,
    skipWaiting: false,
  })
  await writeFile(swDest, KEPT_DIRECTLY + (await readFile(swDest, 'utf8')))
  if (warnings.length > 0) throw new Error(`The service worker is not whole: ${warnings.join(' ')}`)
  console.log(`The app on a device: ${count} files, ${Math.round(size / 1024)} KB.`)
}
