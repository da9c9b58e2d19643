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

/** The command line of workings, with everything in it. */
export function lampBundle() {
  return bundledSince('lamp', 'scripts/lib/lamp-main.ts', ['core'], { packages: 'bundle', minify: true })
}

/** The commands that read and write a whole shop; what they share with the server stays in its packages. */
export function backupBundle() {
  return bundledSince('lamp-backup', 'scripts/lib/backup-main.ts', ['core', 'server'])
}

export function peopleBundle() {
  return bundledSince('lamp-people', 'scripts/lib/people-main.ts', ['core', 'server'])
}

/** A bundle, made anew only when its sources have changed since. */
async function bundledSince(name, entry, folders, options) {
  const outfile = join(root, '.cache', `${name}.mjs`)
  const newest = await Promise.all([entry, ...folders].map((path) => newestUnder(join(root, path))))
  if (existsSync(outfile) && (await stat(outfile)).mtimeMs > Math.max(...newest)) return pathToFileURL(outfile).href
  return bundle(entry, name, options)
}

/** When a file was changed, or the newest of a folder. */
async function newestUnder(path) {
  const found = await stat(path)
  if (!found.isDirectory()) return found.mtimeMs
  return Math.max(0, ...(await Promise.all((await readdir(path)).map((name) => newestUnder(join(path, name))))))
}
