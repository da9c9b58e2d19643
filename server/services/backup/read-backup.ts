import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { text } from 'node:stream/consumers'
import { createGunzip } from 'node:zlib'
import { extract } from 'tar-stream'
import { MANIFEST_PART, NoBackup, PART_NAME, PHOTOS, readManifest, type BackupManifest } from './backup-parts'
import { sealing, type Seal } from './seal'

/**
 * Unpacks a backup into a folder and holds it against its own list of contents.
 *
 * @param folder made anew; whatever is in it stays only where all of it is as it was made
 * @throws NoBackup with what is wrong
 */
export async function unpackBackup(file: string, folder: string): Promise<BackupManifest> {
  await rm(folder, { recursive: true, force: true })
  await mkdir(folder, { recursive: true })
  try {
    return await unpackChecked(file, folder)
  } catch (error) {
    await rm(folder, { recursive: true, force: true })
    if (error instanceof NoBackup || isMissing(error)) throw error
    throw new NoBackup('It is no whole archive.', { cause: error })
  }
}

async function unpackChecked(file: string, folder: string): Promise<BackupManifest> {
  const found = new Map<string, Seal>()
  let manifest: BackupManifest | undefined
  const archive = extract()
  const reading = pipeline(createReadStream(file), createGunzip(), archive)
  // Whoever walks through the parts is told of a broken archive too.
  reading.catch(() => undefined)
  for await (const part of archive) {
    const { name } = part.header
    if (name === MANIFEST_PART) manifest = readManifest(await text(part))
    else if (!PART_NAME.test(name)) throw new NoBackup(`It holds ${name.slice(0, 80)}, which no backup does.`)
    else found.set(name, await unpackPart(part as AsyncIterable<Buffer>, join(folder, name)))
  }
  await reading
  if (!manifest) throw new NoBackup('Its list of contents is missing: it was not finished.')
  for (const { name, bytes, sha256 } of manifest.parts) {
    const part = found.get(name)
    if (!part) throw new NoBackup(`${name} is missing.`)
    if (part.bytes !== bytes || part.sha256 !== sha256) throw new NoBackup(`${name} is not as it was made.`)
    if (name.startsWith(PHOTOS) && name !== `${PHOTOS}${sha256}`) throw new NoBackup(`${name} is another picture.`)
  }
  if (found.size !== manifest.parts.length) throw new NoBackup('It holds more than its list of contents says.')
  return manifest
}

async function unpackPart(part: AsyncIterable<Buffer>, path: string): Promise<Seal> {
  const { passed, seal } = sealing(part)
  await mkdir(dirname(path), { recursive: true })
  await pipeline(passed, createWriteStream(path))
  return seal()
}

const isMissing = (error: unknown) => (error as NodeJS.ErrnoException).code === 'ENOENT'
