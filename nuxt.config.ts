import { existsSync } from 'node:fs'
import { cp } from 'node:fs/promises'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { bundleWorker } from './scripts/lib/bundle.mjs'
import { writeServiceWorker } from './scripts/lib/service-worker.mjs'

const core = fileURLToPath(new URL('./core', import.meta.url))
const spaEntry = fileURLToPath(new URL('./node_modules/nuxt/dist/app/entry-spa.js', import.meta.url))
/** Decorators of class-validator: esbuild must see this in every place that compiles core. */
const decorators = { compilerOptions: { experimentalDecorators: true } }

const REQUIRED_BY_CONDITION = ['async-function', 'async-generator-function', 'generator-function']
  .map((name) => `node_modules/${name}/require.mjs`)
  .filter((file) => existsSync(file))

const SHEET_FONTS = [
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  'noto-sans/files/noto-sans-greek-400-normal.woff',
]

/** The library of the rules is wanted by forms and workings alone: it travels in no chunk that every page loads. */
const RULES = /node_modules\/(class-validator|class-transformer|validator|libphonenumber-js|reflect-metadata)\//
const apart = (module: string): string | undefined => (RULES.test(module) ? 'rules' : undefined)

/** A file costs a way of its own: what is smaller travels with what it is needed by, bytes. */
const SMALL = 12_000

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  alias: { '#core': core },
  css: ['~/assets/main.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  app: {
    head: {
      title: 'Pike Lamp',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
        { name: 'description', content: 'One visit, one journal, one lit next thing.' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/lamp.svg' },
        { rel: 'manifest', href: '/lamp.webmanifest' },
      ],
    },
  },
  spaLoadingTemplate: 'spa-loading.html',
  // A link fetches nothing of what it leads to: the service worker has it.
  experimental: { defaults: { nuxtLink: { prefetch: false } } },
  typescript: {
    strict: true,
    tsConfig: {
      ...decorators,
      include: ['../core/**/*.d.ts'],
      compilerOptions: { ...decorators.compilerOptions, noUncheckedIndexedAccess: true },
    },
    nodeTsConfig: decorators,
    sharedTsConfig: decorators,
  },
  vite: {
    plugins: [tailwindcss()],
    $client: { build: { rollupOptions: { output: { manualChunks: apart, experimentalMinChunkSize: SMALL } } } },
    worker: { format: 'es' },
    esbuild: { tsconfigRaw: decorators },
    optimizeDeps: {
      include: [
        'apexcharts',
        'vue3-apexcharts',
        'comlink',
        '@headlessui/vue',
        '@lucide/vue',
        'uuid',
        'convert',
        'date-fns',
      ],
    },
  },
  nitro: {
    preset: 'node-server',
    // A phone on a weak way has a quarter of it to fetch.
    compressPublicAssets: { gzip: true, brotli: true },
    alias: { '#core': core },
    moduleSideEffects: ['reflect-metadata'],
    esbuild: { options: { tsconfigRaw: decorators } },
    typescript: { tsConfig: decorators },
    // The tracer does not see what these reach only by the export condition of the running Node.
    // Many small CommonJS files load slowly; bundled, the server starts half a second sooner.
    externals: {
      inline: ['class-validator', 'class-transformer', 'validator', 'drizzle-orm', 'reflect-metadata', 'convert'],
      traceInclude: ['node_modules/pdfmake/src/printer.js', ...REQUIRED_BY_CONDITION],
    },
  },
  // Nuxt 4.4.5 looks for a server entry even where nothing is rendered on the server, and `nuxt dev` dies without one.
  $development: { vite: { environments: { ssr: { build: { rollupOptions: { input: { server: spaEntry } } } } } } },
  hooks: {
    // The service worker fetches every file, once the first page stands; asked for in the page's head they would come
    // before what it shows.
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
    // Before the server is built: it serves the files that it finds then.
    'nitro:build:public-assets': async (nitro) => {
      await writeServiceWorker(nitro.options.output.publicDir)
    },
    // The migrations, the worker and the sheet's fonts are read at run time, so they travel with the build.
    'nitro:build:before': (nitro) => {
      nitro.hooks.hook('compiled', async () => {
        const { serverDir } = nitro.options.output
        await cp('server/database/migrations', join(serverDir, 'migrations'), { recursive: true })
        await bundleWorker(join(serverDir, 'workers/heavy.mjs'))
        for (const file of SHEET_FONTS)
          await cp(`node_modules/@fontsource/${file}`, join(serverDir, 'fonts', file.split('/').at(-1) as string))
      })
    },
  },
})
