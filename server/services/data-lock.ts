import { readFileSync, rmSync } from 'node:fs'
import { mkdir, open, readFile, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'

/** The data folder is held by another server. */
export class DataFolderBusy extends Error {}

interface Holder {
  pid: number
  started: string
  /** Which start of the machine it was; absent where the system does not say, and in locks of before. */
  boot?: string
}

/**
 * How the folder was left: given back; by a server that was killed, of which the system kept all that was written; or
 * with the machine going down under it, after which only what was flushed to the disk is certain.
 */
export type Left = 'closed' | 'killed' | 'power-lost'
export interface DataLock {
  left: Left
  /** Gives the lock back. */
  release: () => void
}

/**
 * Takes the lock on a data folder for this process.
 *
 * The embedded engine has no lock of its own and two of them on one folder corrupt it without a word. The lock file
 * names a process and its
 * start, so that one left behind by a killed server is known as stale at once and taken over.
 *
 * @throws DataFolderBusy when a living server holds it
 */
export async function lockDataFolder(dataDir: string): Promise<DataLock> {
  await mkdir(dataDir, { recursive: true })
  const file = join(dataDir, 'server.lock')
  const boot = bootId()
  const mine: Holder = { pid: process.pid, started: startOf(process.pid) ?? '', ...(boot ? { boot } : {}) }
  let left: Left = 'closed'
  for (let attempt = 0; attempt < 5; attempt++) {
    if (await createExclusively(file, mine)) return { left, release: () => releaseLock(file, mine) }
    const holder = await readHolder(file)
    left = holder?.boot !== undefined && boot !== undefined && holder.boot !== boot ? 'power-lost' : 'killed'
    if (holder && isAlive(holder))
      throw new DataFolderBusy(
        `The data folder ${dataDir} is in use by another Pike Lamp server (process ${holder.pid}). Stop that one ` +
          'first, or choose another folder with PIKE_LAMP_DATA.',
      )
    await setAside(file, holder)
  }
  throw new DataFolderBusy(`The data folder ${dataDir} is being opened by several servers at once. Start one.`)
}

async function createExclusively(file: string, holder: Holder): Promise<boolean> {
  try {
    const handle = await open(file, 'wx')
    await handle.writeFile(JSON.stringify(holder))
    await handle.sync()
    await handle.close()
    return true
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false
    throw error
  }
}

async function readHolder(file: string): Promise<Holder | undefined> {
  const text = await readFile(file, 'utf8').catch(() => '')
  try {
    const holder = JSON.parse(text) as Holder
    return Number.isInteger(holder.pid) ? holder : undefined
  } catch {
    // An empty or torn lock: its writer died between creating and writing, or is writing now. Give it a moment.
    await new Promise((resolve) => setTimeout(resolve, 150))
    const again = await readFile(file, 'utf8').catch(() => '')
    return again && again !== text ? (JSON.parse(again) as Holder) : undefined
  }
}

/**
 * A stale lock is renamed to a name of our own and looked at again, so that of two who find it stale only one removes
 * it.
 */
async function setAside(file: string, stale: Holder | undefined): Promise<void> {
  const aside = `${file}.${process.pid}.stale`
  try {
    await rename(file, aside)
  } catch {
    return
  }
  const taken = await readHolder(aside)
  if (taken && stale?.pid !== taken.pid && isAlive(taken)) await rename(aside, file)
  else await rm(aside, { force: true })
}

function releaseLock(file: string, mine: Holder): void {
  try {
    const holder = JSON.parse(readFileSync(file, 'utf8')) as Holder
    if (holder.pid === mine.pid && holder.started === mine.started) rmSync(file)
  } catch {
    // Already gone: nothing to give back.
  }
}

function isAlive({ pid, started, boot }: Holder): boolean {
  // No process outlives its machine, whatever number is used again.
  if (boot !== undefined && boot !== (bootId() ?? boot)) return false
  try {
    process.kill(pid, 0)
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
  const now = startOf(pid)
  // Process numbers are used again: a process that started at another time is another one.
  return now === undefined || started === '' || now === started
}

/** When a process started, in the kernel's ticks; undefined where /proc does not exist. */
function startOf(pid: number): string | undefined {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]
  } catch {
    return undefined
  }
}

/** Which start of this machine it is; undefined where the system does not say. */
function bootId(): string | undefined {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
  } catch {
    return undefined
  }
}
