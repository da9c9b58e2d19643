import { randomUUID } from 'node:crypto'
import { mkdir, open, rename, rm } from 'node:fs/promises'
import { dirname } from 'node:path'

/** Writes a file that is whole and on the disk, or not there: beside its place first, then renamed into it. */
export async function writeWhole(path: string, content: Uint8Array | string, mode = 0o666): Promise<void> {
  await mkdir(dirname(path), { recursive: true })
  // A name of its own for each writer: two who write the same file at once do not take each other's away.
  const aside = `${path}.${randomUUID()}.tmp`
  try {
    const handle = await open(aside, 'wx', mode)
    try {
      await handle.writeFile(content)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(aside, path)
    // Until the folder is on the disk too, a machine that goes down may have the file under its old name.
    await flush(dirname(path))
  } finally {
    await rm(aside, { force: true })
  }
}

/** Waits until the disk has a file, or what a folder holds, where the system can say so. */
export async function flush(path: string): Promise<void> {
  const handle = await open(path, 'r')
  await handle.sync().catch(() => undefined)
  await handle.close()
}
