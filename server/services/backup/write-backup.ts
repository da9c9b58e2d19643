import { createReadStream, createWriteStream } from 'node:fs'
import { open, readdir, readFile, rename, rm } from 'node:fs/promises'
import { once } from 'node:events'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import { pack, type Pack } from 'tar-stream'
import { ATTACHING, attachedTo } from '../../../core/visit/attached'
import type { Entry } from '../../../core/visit/entry'
import type { Repository } from '../../database/repository'
import { JOURNAL_NAME } from '../journal-file'
import type { KeptPeople } from '../people/people-backup'
import { hashOf } from '../photos/photo-store'
import { isHash, type PictureKeeper } from '../photos/picture-keeper'
import {
  BACKUP_FORMAT,
  BACKUP_VERSION,
  JOURNAL_PART,
  MANIFEST_PART,
  OUTLET,
  PEOPLE_PART,
  PHOTOS,
  type BackupManifest,
  type BackupPart,
} from './backup-parts'
import { sealing, type Seal } from './seal'

/** What a backup is made of. */
export interface BackupSource {
  /** Whole lines, each with its end, in the order of their arrival. */
  lines: AsyncIterable<Buffer>
  pictures: Pick<PictureKeeper, 'all' | 'get'>
  /** Who works in the shop; left out where nobody signs in. */
  people?: KeptPeople
  /** Where mails lie that have left; left out where there are none. */
  outlet?: string
}

/** What was made, and the archive's own seal. */
export interface BackupMade extends Seal {
  lines: number
  pictures: number
}

const NEWLINE = 0x0a
const CHUNK = 1024 * 1024
const ROWS_AT_ONCE = 5_000

/**
 * Makes a backup: one compressed tar archive with the journal, the pictures, the mails that left, and last a list of
 * all with their checksums. The lines are taken first: every picture that one speaks of was kept before it.
 *
 * @param file written beside itself and renamed, so that what bears its name is whole
 */
export async function writeBackup(file: string, source: BackupSource, now: string): Promise<BackupMade> {
  const [half, journal] = [`${file}.part`, `${file}.lines.part`]
  try {
    const { lines, bytes } = await spool(source.lines, journal)
    const archive = pack()
    const written = pipeline(archive, createGzip(), createWriteStream(half))
    // A disk that is full ends both sides; whoever waits for the other hears of it here.
    const parts = await Promise.race([
      packAll(archive, { ...source, journal, bytes }),
      written.then(() => Promise.reject(new Error('The archive ended before it was whole.'))),
    ])
    const manifest: BackupManifest = { format: BACKUP_FORMAT, version: BACKUP_VERSION, madeAt: now, lines, parts }
    archive.entry({ name: MANIFEST_PART }, JSON.stringify(manifest, null, 1))
    archive.finalize()
    await written
    const made = {
      lines,
      pictures: parts.filter(({ name }) => name.startsWith(PHOTOS)).length,
      ...(await sealOf(half)),
    }
    await rename(half, file)
    return made
  } finally {
    await rm(half, { force: true })
    await rm(journal, { force: true })
  }
}

/** The lines of a journal file while a server may be writing on: whole lines up to where it ended. */
export async function* linesOfFile(dataDir: string): AsyncGenerator<Buffer> {
  const handle = await open(join(dataDir, JOURNAL_NAME))
  try {
    const { size } = await handle.stat()
    let rest: Buffer = Buffer.alloc(0)
    for (let at = 0; at < size;) {
      const buffer = Buffer.alloc(Math.min(CHUNK, size - at))
      const { bytesRead } = await handle.read(buffer, 0, buffer.length, at)
      // What was refused at its very end was cut back meanwhile.
      if (bytesRead === 0) break
      at += bytesRead
      const all = Buffer.concat([rest, buffer.subarray(0, bytesRead)])
      const whole = all.lastIndexOf(NEWLINE) + 1
      rest = all.subarray(whole)
      if (whole > 0) yield all.subarray(0, whole)
    }
  } finally {
    await handle.close()
  }
}

/** The lines of a database server, all of one moment. */
export async function* linesOfServer(repository: Repository): AsyncGenerator<Buffer> {
  for (let after = 0; ;) {
    const rows = await repository.entriesAfter(after, ROWS_AT_ONCE)
    if (rows.length === 0) return
    after = rows.at(-1)?.arrival as number
    yield Buffer.from(rows.map(({ entry }) => `${JSON.stringify(entry)}\n`).join(''))
  }
}

/** Read of a line before it is parsed: of a million few name a file. */
const NAMES_A_FILE = new RegExp(ATTACHING.map((kind) => `"${kind}"`).join('|'))

/** The hashes of the pictures and recordings that lines speak of. */
export async function picturesNamedIn(lines: AsyncIterable<Buffer>): Promise<string[]> {
  const hashes = new Set<string>()
  for await (const chunk of lines)
    for (const line of chunk.toString().split('\n')) {
      const entry = NAMES_A_FILE.test(line) ? parsed(line) : undefined
      const hash = entry?.body && attachedTo(entry)
      if (hash && isHash(`${hash}`)) hashes.add(hash)
    }
  return [...hashes]
}

/** A line that is no entry names no picture; restoring sets it aside. */
function parsed(line: string): Entry | undefined {
  try {
    return JSON.parse(line) as Entry
  } catch {
    return undefined
  }
}

async function spool(lines: AsyncIterable<Buffer>, path: string): Promise<{ lines: number; bytes: number }> {
  const counted = { lines: 0, bytes: 0 }
  async function* counting() {
    for await (const chunk of lines) {
      for (let at = chunk.indexOf(NEWLINE); at >= 0; at = chunk.indexOf(NEWLINE, at + 1)) counted.lines++
      counted.bytes += chunk.length
      yield chunk
    }
  }
  await pipeline(counting, createWriteStream(path))
  return counted
}

async function packAll(
  archive: Pack,
  { journal, bytes, pictures, people, outlet }: BackupSource & { journal: string; bytes: number },
): Promise<BackupPart[]> {
  const parts: BackupPart[] = []
  const { passed, seal } = sealing(createReadStream(journal))
  const entry: NodeJS.WritableStream = archive.entry({ name: JOURNAL_PART, size: bytes })
  for await (const chunk of passed) if (!entry.write(chunk)) await once(entry, 'drain')
  const ended = once(entry, 'finish')
  entry.end()
  await ended
  parts.push({ name: JOURNAL_PART, ...seal() })
  const add = async (name: string, content: Buffer | undefined) => {
    if (!content) return
    await new Promise<void>((done, refuse) =>
      archive.entry({ name }, content, (error) => (error ? refuse(error) : done())),
    )
    parts.push({ name, bytes: content.length, sha256: hashOf(content) })
  }
  for (const hash of (await pictures.all()).sort()) await add(`${PHOTOS}${hash}`, await pictures.get(hash))
  if (people) await add(PEOPLE_PART, Buffer.from(JSON.stringify(people)))
  const mails = outlet ? await readdir(outlet).catch(() => []) : []
  for (const name of mails.filter((each) => each.endsWith('.eml')).sort())
    await add(`${OUTLET}${name}`, await readFile(join(outlet as string, name)))
  return parts
}

async function sealOf(path: string): Promise<Seal> {
  const { passed, seal } = sealing(createReadStream(path))
  for await (const _ of passed);
  return seal()
}
