import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { fail } from './setup.mjs'
import { postgresBin } from './postgres.mjs'

export const CHROMIUM = '/usr/bin/chromium'
/** How Debian's Chromium is started here: also as root, without a GPU, and without a word to the network. */
export const CHROMIUM_LAUNCH = {
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

/**
 * Installs from Debian's packages what the tests need and the machine lacks: a browser, a PostgreSQL server, a PDF
 * reader.
 */
export async function installSystemPackages() {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(postgresBin() ? [] : ['postgresql']),
    ...(spawnSync('which', ['pdftotext']).status === 0 ? [] : ['poppler-utils']),
  ]
  if (missing.length === 0) return
  console.log(`Installing ${missing.join(', ')} from Debian’s packages.`)
  const asRoot = process.getuid?.() === 0
  const apt = (...args) =>
    spawnSync(asRoot ? 'apt-get' : 'sudo', asRoot ? args : ['-n', 'apt-get', ...args], {
      stdio: ['ignore', 'ignore', 'pipe'],
      encoding: 'utf8',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  apt('update')
  const installed = apt('install', '-y', '--no-install-recommends', ...missing)
  if (installed.status !== 0)
    fail(
      `${missing.join(', ')} could not be installed from Debian’s packages: ` +
        `${installed.stderr?.slice(-400) ?? installed.error}`,
    )
}
