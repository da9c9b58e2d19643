import { spawn, spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdtempSync, readdirSync, readlinkSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { killAtOnce, processesWhere } from './processes.mjs'

const HOME = '/usr/lib/postgresql'

/** The newest PostgreSQL server binaries of Debian's packages, if any. */
export function postgresBin() {
  if (!existsSync(HOME)) return undefined
  const version = readdirSync(HOME)
    .filter((name) => existsSync(join(HOME, name, 'bin/initdb')))
    .sort((a, b) => Number(b) - Number(a))[0]
  return version && join(HOME, version, 'bin')
}

/**
 * Starts a private cluster on loopback in a folder of its own, with a password where one is asked for. PostgreSQL
 * refuses to run as root, so root lends it the postgres user.
 *
 * `kill` ends it and all its processes at once, `again` starts it on what that left.
 *
 * @param {{ password?: string, fsync?: boolean }} options `fsync`: it flushes what it acknowledges, as one that is
 *   meant to keep it
 */
export async function startPostgres({ password, fsync = false } = {}) {
  const bin = postgresBin()
  if (!bin) throw new Error('PostgreSQL is not installed; npm test installs it from Debian’s packages.')
  const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-postgres-'))
  const asRoot = process.getuid?.() === 0
  if (asRoot) {
    const ids = spawnSync('id', ['-u', 'postgres'], { encoding: 'utf8' }).stdout.trim()
    chownSync(folder, Number(ids), Number(spawnSync('id', ['-g', 'postgres'], { encoding: 'utf8' }).stdout.trim()))
  }
  const command = (program, args) =>
    asRoot ? ['runuser', ['-u', 'postgres', '--', join(bin, program), ...args]] : [join(bin, program), args]
  const data = join(folder, 'data')
  const secret = join(folder, 'password')
  if (password) writeFileSync(secret, password, { mode: 0o644 })
  const [initdb, initArgs] = command('initdb', [
    '-D',
    data,
    '-U',
    'pike',
    ...(password ? ['-A', 'scram-sha-256', `--pwfile=${secret}`] : ['-A', 'trust']),
    '--no-sync',
    '-E',
    'UTF8',
    '--locale=C',
  ])
  const made = spawnSync(initdb, initArgs, { encoding: 'utf8', cwd: '/' })
  if (made.status !== 0) throw new Error(`The private PostgreSQL cluster could not be made: ${made.stderr}`)
  const port = await freePort()
  const [postgres, args] = command('postgres', [
    '-D',
    data,
    '-p',
    String(port),
    '-k',
    folder,
    '-c',
    'listen_addresses=127.0.0.1',
    '-c',
    `fsync=${fsync ? 'on' : 'off'}`,
  ])
  const url = `postgresql://pike${password ? `:${password}` : ''}@127.0.0.1:${port}/postgres`
  let child
  const begin = async () => {
    child = spawn(postgres, args, { stdio: ['ignore', 'ignore', 'pipe'], cwd: '/' })
    let log = ''
    child.stderr.on('data', (chunk) => {
      log += chunk
    })
    for (let attempt = 0; attempt < 400; attempt++) {
      if (/ready to accept connections/.test(log)) return
      if (child.exitCode !== null) break
      await new Promise((wait) => setTimeout(wait, 50))
    }
    throw new Error(`The private PostgreSQL cluster did not start: ${log.slice(-500)}`)
  }
  await begin()
  return {
    url,
    stop: () => stop(child, data, folder, command),
    kill: () =>
      new Promise((done) => {
        child.once('exit', done)
        killAll(data)
      }),
    again: begin,
  }
}

/** The server and all that it has forked: each works in the data folder. Again until there is none. */
function killAll(data) {
  const own = () => processesWhere((folder) => readlinkSync(`${folder}/cwd`) === data)
  for (let pids = own(); pids.length > 0; pids = own()) killAtOnce(pids)
}

function stop(child, data, folder, command) {
  const [pgCtl, args] = command('pg_ctl', ['-D', data, '-m', 'immediate', '-w', 'stop'])
  spawnSync(pgCtl, args, { cwd: '/' })
  rmSync(folder, { recursive: true, force: true })
  return child.exitCode
}

function freePort() {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}
