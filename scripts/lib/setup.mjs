// Runs before node_modules exists: node: imports only.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync, utimesSync, writeFileSync } from 'node:fs'
import http from 'node:http'
import https from 'node:https'
import { createServer } from 'node:net'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..')

/** Says one sentence and stops. */
export function fail(sentence) {
  console.error(sentence)
  process.exit(1)
}

/** The oldest Node this runs on is the one in package.json. */
export function needNode(
  version = process.versions.node,
  needed = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')).engines.node,
) {
  const [wantMajor, wantMinor] = needed.replace('>=', '').split('.').map(Number)
  const [major, minor] = version.split('.').map(Number)
  if (major < wantMajor || (major === wantMajor && minor < wantMinor))
    fail(`Pike Lamp needs Node ${wantMajor}.${wantMinor} or newer; this is Node ${version}.`)
}

/** Runs a command in the project; rejects with its exit code. */
export function run(command, args, { env = {}, quiet = false } = {}) {
  return new Promise((done, refuse) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    })
    let output = ''
    child.stdout?.on('data', (chunk) => {
      output += chunk
    })
    child.stderr?.on('data', (chunk) => {
      output += chunk
    })
    child.on('error', refuse)
    child.on('close', (code) =>
      code === 0
        ? done(output)
        : refuse(
            Object.assign(new Error(`${command} ${args.join(' ')} ended with ${code}\n${output.slice(-4000)}`), {
              code,
            }),
          ),
    )
  })
}

/** Installs the locked packages where they are missing or older than the lock file. */
export async function installPackages() {
  const stamp = join(root, 'node_modules/.pike-lamp-installed')
  const lock = join(root, 'package-lock.json')
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs) return
  console.log('Installing the locked packages (about a minute, once).')
  await run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], { quiet: true }).catch((error) =>
    fail(`The packages could not be installed: ${error.message}`),
  )
  writeFileSync(stamp, '')
  const now = new Date()
  utimesSync(stamp, now, now)
}

const NEWER_THAN_BUILD = ['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json']

/** Is there a build, and is it newer than everything it is made from? */
export function buildIsCurrent() {
  const marker = join(root, '.output/built.json')
  if (!existsSync(marker)) return false
  const built = statSync(marker).mtimeMs
  const found = spawnSync(
    'find',
    [...NEWER_THAN_BUILD, '-newer', marker, '-type', 'f', '-not', '-name', '*.test.ts', '-print', '-quit'],
    { cwd: root, encoding: 'utf8' },
  )
  return found.status === 0 && found.stdout.trim() === '' && built > 0
}

export async function buildIfNeeded() {
  if (buildIsCurrent()) return
  console.log('Building (about a minute, once).')
  await run('node', ['scripts/build.mjs', '--quiet'], { quiet: true }).catch((error) =>
    fail(`The build failed: ${error.message}`),
  )
}

/** Resolves when the port is free on the host, else says who to ask. */
export function needFreePort(host, port) {
  return new Promise((done) => {
    const probe = createServer()
    probe.once('error', (error) =>
      fail(
        error.code === 'EADDRINUSE'
          ? `Port ${port} is taken on ${host}. Stop what listens there, or choose another with ` +
              `PORT=${Number(port) + 1}.`
          : `Cannot listen on ${host}:${port}: ${error.message}`,
      ),
    )
    probe.listen(Number(port), host, () => probe.close(done))
  })
}

/**
 * Starts the built server and resolves when its shop is open; the child is the caller's to end. A long journal may take
 * `patience` milliseconds.
 */
export async function startServer({
  host = '127.0.0.1',
  port = '4173',
  dataDir,
  env = {},
  stdio = 'inherit',
  patience = 60_000,
}) {
  const child = spawn('node', [join(root, '.output/server/index.mjs')], {
    cwd: root,
    stdio,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      PIKE_LAMP_DATA: dataDir,
      PIKE_LAMP_SERVER_DIR: join(root, '.output/server'),
      ...env,
    },
  })
  let ended
  child.once('exit', (code) => {
    ended = code ?? 1
  })
  const scheme = { ...process.env, ...env }.PIKE_LAMP_TLS_CERT ? 'https' : 'http'
  const started = Date.now()
  let said = started
  let patienceFrom = started
  while (ended === undefined && Date.now() - patienceFrom < patience) {
    const health = await healthAt(`${scheme}://${asAsked(host)}:${port}/api/health`)
    if (health?.ok) return { child, address: `${scheme}://${host}:${port}`, milliseconds: Date.now() - started }
    if (health?.opening?.done > 0) {
      // It gets on: as long as it does, it is waited for.
      patienceFrom = Date.now()
      if (stdio === 'inherit' && Date.now() - said > SAY_EVERY) {
        console.log(health.title)
        said = Date.now()
      }
    }
    await new Promise((wait) => setTimeout(wait, 40))
  }
  if (ended === undefined) child.kill()
  throw Object.assign(new Error('The server did not start.'), { code: ended ?? 1 })
}

const SAY_EVERY = 3_000

/** How a server of this machine is; undefined where nobody answers. Its certificate may bear another name. */
function healthAt(url) {
  return new Promise((done) => {
    const asked = url.startsWith('https:')
      ? https.get(url, { rejectUnauthorized: false, agent: false }, heard)
      : http.get(url, { agent: false }, heard)
    asked.on('error', () => done(undefined))
    async function heard(answer) {
      try {
        let text = ''
        for await (const chunk of answer) text += chunk
        done(JSON.parse(text))
      } catch {
        done(undefined)
      }
    }
  })
}

/** Where a server that listens everywhere is asked from here. */
function asAsked(host) {
  return host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host
}
