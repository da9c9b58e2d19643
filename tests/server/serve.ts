import { mkdtempSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { spawn, type ChildProcess } from 'node:child_process'

/** What a test that failed in the middle would leave running. */
const running = new Set<ChildProcess>()
export function endServers(): void {
  for (const child of running) child.kill('SIGKILL')
}
process.once('exit', endServers)

const SERVER = join(import.meta.dirname, '../../.output/server')

export interface Served {
  url: string
  child: ChildProcess
  output: () => string
  exited: Promise<number | null>
  kill: (signal: NodeJS.Signals) => Promise<void>
}

export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => resolve(port))
    })
  })
}

/** Spawns the production build on a data folder, by way of a command where one is given; does not wait for it. */
export async function spawnServer(
  dataDir: string,
  env: Record<string, string> = {},
  by: readonly string[] = [],
): Promise<Served> {
  const port = env.PORT ?? (await freePort())
  const serverDir = env.PIKE_LAMP_SERVER_DIR ?? SERVER
  const [command = process.execPath, ...args] = [...by, process.execPath, join(serverDir, 'index.mjs')]
  const child = spawn(command, args, {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_PORT: String(port),
      PIKE_LAMP_DATA: dataDir,
      PIKE_LAMP_SERVER_DIR: serverDir,
      ...env,
    },
  })
  let output = ''
  child.stdout.on('data', (chunk: Buffer) => {
    output += chunk.toString()
  })
  child.stderr.on('data', (chunk: Buffer) => {
    output += chunk.toString()
  })
  running.add(child)
  const exited = new Promise<number | null>((resolve) =>
    child.once('exit', (code) => {
      running.delete(child)
      resolve(code)
    }),
  )
  return {
    url: `http://127.0.0.1:${port}`,
    child,
    output: () => output,
    exited,
    kill: async (signal) => {
      child.kill(signal)
      await exited
    },
  }
}

/** Serves and waits until the data is open. */
export async function serve(dataDir: string, env: Record<string, string> = {}): Promise<Served> {
  const served = await spawnServer(dataDir, env)
  for (let attempt = 0; attempt < 400; attempt++) {
    if (served.child.exitCode !== null) break
    if (
      await fetch(`${served.url}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return served
    await new Promise((wait) => setTimeout(wait, 50))
  }
  throw new Error(`the server did not start: ${served.output()}`)
}

export function temporaryFolder(): { path: string; remove: () => void } {
  const path = mkdtempSync(join(tmpdir(), 'pike-lamp-http-'))
  return { path, remove: () => rmSync(path, { recursive: true, force: true }) }
}

export const post = (url: string, body: unknown, headers: Record<string, string> = {}): Promise<Response> =>
  fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: typeof body === 'string' || body instanceof Uint8Array ? (body as BodyInit) : JSON.stringify(body),
  })
