import { execFile } from 'node:child_process'
import { join } from 'node:path'
import { promisify } from 'node:util'

/** The command line, run as somebody would: how it ended, and what it said as JSON. */
export async function lamp(args: string[], env: Record<string, string>) {
  const done = await promisify(execFile)('node', ['scripts/lamp.mjs', ...args], {
    cwd: join(import.meta.dirname, '../..'),
    env: { ...process.env, ...env },
  }).then(
    ({ stdout, stderr }) => ({ code: 0, stdout, stderr }),
    (error: { code: number; stdout: string; stderr: string }) => error,
  )
  return { ...done, said: JSON.parse(done.stdout || done.stderr) as Record<string, unknown> }
}
