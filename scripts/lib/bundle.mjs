import { mkdir, readdir, rename, stat } from 'node:fs/promises'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { root } from './setup.mjs'

/** How every bundle of this project's sources for Node is made. */
const NODE_BUNDLE = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  alias: { '#core': join(root, 'core') },
  tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } },
  logLevel: 'error',
  banner: {
    js:
      "import { createRequire as __createRequire } from 'node:module'; const require = " +
      '__createRequire(import.meta.url);',
  },
}

/**
 * The server's worker thread as one file beside the built server; what lies in the server's own node_modules stays
 * there.
 */
export async function bundleWorker(outfile) {
  const { build } = await import('esbuild')
  await build({
    ...NODE_BUNDLE,
    entryPoints: [join(root, 'server/workers/heavy.ts')],
    outfile,
    packages: 'bundle',
    external: ['pdfmake', 'sharp'],
  })
}

/** Bundles one TypeScript file with what it imports from this project; packages stay where they are. */
export async function bundle(entry, name, { minify = false, packages = 'external' } = {}) {
  const { build } = await import('esbuild')
  const outfile = join(root, '.cache', `${name}.mjs`)
  // Two that bundle at once never read each other's half.
  const half = join(root, '.cache', `${name}.${process.pid}.${Date.now()}.half.mjs`)
  await mkdir(join(root, '.cache'), { recursive: true })
  await build({ ...NODE_BUNDLE, entryPoints: [join(root, entry)], outfile: half, packages, minify })
  await rename(half, outfile)
  return pathToFileURL(outfile).href
}

/** The command line with everything in it. */
export function bundleLamp() {
  return bundle('scripts/lib/lamp-main.ts', 'lamp', { packages: 'bundle', minify: true })
}

/** Rebuilds the command line only when core has changed since. */
export async function lampBundle() {
  const outfile = join(root, '.cache/lamp.mjs')
  if (existsSync(outfile)) {
    const built = (await stat(outfile)).mtimeMs
    const newest = Math.max(
      await newestUnder(join(root, 'core')),
      (await stat(join(root, 'scripts/lib/lamp-main.ts'))).mtimeMs,
    )
    if (built > newest) return pathToFileURL(outfile).href
  }
  return bundleLamp()
}

async function newestUnder(folder) {
  const names = await readdir(folder, { withFileTypes: true })
  const times = await Promise.all(
    names.map((name) =>
      name.isDirectory()
        ? newestUnder(join(folder, name.name))
        : stat(join(folder, name.name)).then(({ mtimeMs }) => mtimeMs),
    ),
  )
  return Math.max(0, ...times)
}
