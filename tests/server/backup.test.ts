import { createHash } from 'node:crypto'
import { createReadStream, existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createGunzip, gzipSync } from 'node:zlib'
import sharp from 'sharp'
import { extract, pack } from 'tar-stream'
import { buffer } from 'node:stream/consumers'
import { afterAll, describe, expect, it } from 'vitest'
import type { Entry } from '#core/visit/entry'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { restoreToFolder } from '../../server/services/backup/restore'
import { PictureFolder } from '../../server/services/photos/picture-folder'
import { reading, testVisit, type TestVisit } from './entries'
import { lamp } from './lamp'
import { startObjectStore } from './object-store'
import { post, serve, temporaryFolder, type Served } from './serve'

const folders: ReturnType<typeof temporaryFolder>[] = []
const folder = () => folders[folders.push(temporaryFolder()) - 1]?.path as string
afterAll(() => folders.forEach(({ remove }) => remove()))

const entriesAt = async ({ url }: Served, visitId: string) =>
  ((await (await fetch(`${url}/api/visits/${visitId}`)).json()) as { entries: Entry[] }).entries

async function send(server: Served, ...entries: Entry[]): Promise<void> {
  expect((await post(`${server.url}/api/entries`, { entries })).status).toBe(200)
}

/** A visit with a picture, and writers that go on until they are told to stop. */
async function busyShop(server: Served) {
  const visit = testVisit()
  const picture = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#375' } })
    .png()
    .toBuffer()
  const sent = await post(`${server.url}/api/photos`, new Uint8Array(picture), { 'content-type': 'image/png' })
  const photo = (await sent.json()) as { hash: string; type: string; bytes: number }
  await send(server, visit.opened, visit.write('photo', { ...photo, name: 'plate.png' }))
  let goesOn = true
  const acknowledged: string[] = []
  const writing = (async () => {
    for (let volts = 200; goesOn; volts = volts === 240 ? 200 : volts + 1) {
      const line = reading(visit, volts)
      await send(server, line)
      acknowledged.push(line.id)
    }
  })()
  return {
    visit,
    picture,
    hash: photo.hash,
    acknowledged,
    stop: async () => {
      goesOn = false
      await writing
    },
  }
}

async function holds(server: Served, busy: { visit: TestVisit; hash: string; picture: Buffer }, lines: string[]) {
  const entries = await entriesAt(server, busy.visit.visitId)
  expect(entries.map(({ id }) => id)).toEqual(expect.arrayContaining(lines))
  const photo = await fetch(`${server.url}/api/photos/${busy.hash}`)
  expect(Buffer.from(await photo.arrayBuffer())).toEqual(busy.picture)
  return entries
}

describe('a backup', () => {
  it('is made while the shop is written to, and becomes the same shop on a server, and from there in a folder', async () => {
    const [from, at] = [folder(), folder()]
    const file = join(at, 'shop.tgz')
    const postgres = await startPostgres()
    const server = await serve(from)
    const busy = await busyShop(server)
    try {
      const before = [...busy.acknowledged]
      const made = await lamp(['backup', file], { PIKE_LAMP_DATA: from })
      await busy.stop()
      expect(made.code).toBe(0)
      expect(made.said).toMatchObject({ pictures: 1, sha256: expect.stringMatching(/^[0-9a-f]{64}$/) })
      expect(made.said.lines).toBeGreaterThanOrEqual(before.length + 2)

      const env = { PIKE_LAMP_DATA: folder(), DATABASE_URL: postgres.url, PIKE_LAMP_PHOTOS: 'database' }
      const restored = await lamp(['restore', file], env)
      expect(restored.said).toEqual({ lines: made.said.lines, pictures: 1, setAside: 0 })
      const there = await serve(env.PIKE_LAMP_DATA, env)
      const entries = await holds(there, busy, before)
      // What came after is new there: it goes on from its backup.
      await send(there, reading(busy.visit, 247))

      const second = join(at, 'server.tgz')
      expect((await lamp(['backup', second], env)).said).toMatchObject({ lines: entries.length + 1, pictures: 1 })
      await there.kill('SIGTERM')
      const back = folder()
      expect((await lamp(['restore', second], { PIKE_LAMP_DATA: back })).said).toMatchObject({
        lines: entries.length + 1,
      })
      const here = await serve(back)
      expect((await holds(here, busy, before)).map(({ id }) => id).slice(0, -1)).toEqual(entries.map(({ id }) => id))
      await here.kill('SIGTERM')

      // A shop that is there is never written over, whichever kind it is.
      for (const target of [env, { PIKE_LAMP_DATA: back }]) {
        const refused = await lamp(['restore', file], target)
        expect(refused.code).toBe(2)
        expect(refused.said.title).toContain('There is a shop in')
      }
      const again = await lamp(['backup', file], { PIKE_LAMP_DATA: from })
      expect([again.code, again.said.title]).toEqual([2, 'There is a file of that name already'])
    } finally {
      await server.kill('SIGKILL')
      postgres.stop()
    }
  })

  it('holds the pictures of an embedded shop that keeps them in a store', async () => {
    const [from, store, visit] = [folder(), await startObjectStore(), testVisit()]
    const picture = Buffer.from('a picture')
    const hash = createHash('sha256').update(picture).digest('hex')
    store.objects.set(`/pump-pictures/${hash}`, picture)
    const photo = visit.write('photo', { hash, type: 'image/png', bytes: picture.length, name: 'plate.png' })
    const lines = [visit.opened, photo, { kind: 'photo' }].map((line) => `${JSON.stringify(line)}\n`)
    writeFileSync(join(from, 'journal.jsonl'), [...lines, '{"kind":"photo"\n', '{"torn'].join(''))
    const file = join(from, 'shop.tgz')
    const { said } = await lamp(['backup', file], { PIKE_LAMP_DATA: from, ...store.env })
    expect(said).toMatchObject({ lines: 4, pictures: 1 })
    const into = folder()
    expect((await lamp(['restore', file], { PIKE_LAMP_DATA: into })).said).toMatchObject({ lines: 4, pictures: 1 })
    expect(readFileSync(join(into, 'photos', hash.slice(0, 2), hash))).toEqual(picture)
    await store.stop()
  })

  it('that was cut, changed or made by somebody else is refused whole', async () => {
    const [from, at] = [folder(), folder()]
    const visit = testVisit()
    writeFileSync(join(from, 'journal.jsonl'), `${JSON.stringify(visit.opened)}\n`)
    const good = join(at, 'good.tgz')
    expect((await lamp(['backup', good], { PIKE_LAMP_DATA: from })).code).toBe(0)
    const bytes = readFileSync(good)
    const parts = await partsOf(good)
    const bad: [name: string, content: Buffer, says: string][] = [
      ['cut', bytes.subarray(0, Math.floor(bytes.length / 2)), 'no whole archive'],
      ['text', Buffer.from('a shop'), 'no whole archive'],
      ['unfinished', await archiveOf(parts.slice(0, -1)), 'was not finished'],
      [
        'changed',
        await archiveOf(parts.map(([name, content]) => [name, changed(name, content)])),
        'not as it was made',
      ],
      ['lacking', await archiveOf(parts.slice(1)), 'is missing'],
      ['outside', await archiveOf([['../journal.jsonl', Buffer.from('{}')], ...parts]), 'which no backup does'],
      ['more', await archiveOf([[`photos/${'0'.repeat(64)}`, Buffer.from('x')], ...parts]), 'more than its list'],
      ['other', await archiveOf([['manifest.json', Buffer.from('{"format":"x"}')]]), 'not that of a pike-lamp-backup'],
    ]
    for (const [name, content, says] of bad) {
      const file = join(at, name)
      writeFileSync(file, content)
      const into = folder()
      await expect(restoreToFolder(file, into, new PictureFolder(join(into, 'photos'))), name).rejects.toThrow(says)
      expect(readdirSync(into)).toEqual([])
    }
    expect(existsSync(join(at, '../journal.jsonl'))).toBe(false)
    for (const [args, says] of [
      [['restore', join(at, 'cut')], 'no backup that can be restored. It is no whole archive.'],
      [['restore', join(at, 'nowhere')], 'cannot be read'],
      [['restore'], 'needs a file'],
      [['backup', join(at, 'new.tgz')], 'no shop to back up'],
    ] as const) {
      const { code, said } = await lamp([...args], { PIKE_LAMP_DATA: folder() })
      expect([code, said.title]).toEqual([2, expect.stringContaining(says)])
    }
  })
})

async function partsOf(file: string): Promise<[name: string, content: Buffer][]> {
  const parts: [string, Buffer][] = []
  for await (const part of createReadStream(file).pipe(createGunzip()).pipe(extract()))
    parts.push([part.header.name, await buffer(part as AsyncIterable<Uint8Array>)])
  return parts
}

async function archiveOf(parts: readonly [name: string, content: Buffer][]): Promise<Buffer> {
  const archive = pack()
  for (const [name, content] of parts) archive.entry({ name }, content)
  archive.finalize()
  return gzipSync(await buffer(archive as AsyncIterable<Uint8Array>))
}

/** One letter of the journal, otherwise of the same length. */
const changed = (name: string, content: Buffer) =>
  name === 'journal.jsonl' ? Buffer.from(content.toString().replace('hums', 'hunt')) : content
