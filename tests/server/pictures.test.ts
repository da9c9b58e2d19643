import sharp from 'sharp'
import { afterAll, describe, expect, it } from 'vitest'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { testVisit } from './entries'
import { startObjectStore } from './object-store'
import { openPictures } from '../../server/services/photos/open-pictures'
import { settingsIn } from '../../server/services/settings'
import { post, serve, temporaryFolder } from './serve'

const folders: ReturnType<typeof temporaryFolder>[] = []
const folder = () => folders[folders.push(temporaryFolder()) - 1]?.path as string
afterAll(() => folders.forEach(({ remove }) => remove()))

const pictureOf = (red: number) =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: { r: red, g: 90, b: 90 } } })
    .png()
    .toBuffer()
const send = async (url: string, picture: Buffer) => {
  const response = await post(`${url}/api/photos`, new Uint8Array(picture), { 'content-type': 'image/png' })
  const said = (await response.json()) as { hash: string; type: string; bytes: number; title?: string }
  return { status: response.status, ...said }
}

const NONE = { known: async () => [] }

describe('pictures of a shop with several servers', () => {
  it.each(['database', 'bucket'] as const)('are one’s as much as the other’s, kept in a %s', async (where) => {
    const postgres = await startPostgres()
    const store = await startObjectStore()
    const env = { DATABASE_URL: postgres.url, ...(where === 'bucket' ? store.env : { PIKE_LAMP_PHOTOS: 'database' }) }
    const [one, two] = [await serve(folder(), env), await serve(folder(), env)]
    try {
      const [first, second] = [await pictureOf(10), await pictureOf(200)]
      const { hash, type, bytes, status } = await send(one.url, first)
      expect(status).toBe(200)
      expect(Buffer.from(await (await fetch(`${two.url}/api/photos/${hash}`)).arrayBuffer())).toEqual(first)
      // The same picture at the other server is the same picture.
      expect((await send(two.url, first)).hash).toBe(hash)
      const visit = testVisit()
      const photo = visit.write('photo', { hash, type, bytes, name: 'plate.png' })
      expect((await post(`${two.url}/api/entries`, { entries: [visit.opened, photo] })).status).toBe(200)
      const file = (await (await fetch(`${one.url}/api/visits/${visit.visitId}/visit.json`)).json()) as {
        photos: { base64: string }[]
      }
      expect(file.photos.map(({ base64 }) => Buffer.from(base64, 'base64'))).toEqual([first])
      if (where === 'database') return
      expect([...store.objects.keys()]).toEqual([`/pump-pictures/${hash}`])
      expect(store.refused).toBe(0)
      await store.stop()
      // Away, it is said, and nothing speaks of a picture that is nowhere.
      const away = await send(one.url, second)
      expect(away.status).toBe(503)
      expect(away.title).toContain('does not answer')
      expect(away.title).not.toContain('a-secret')
      expect(await (await fetch(`${one.url}/api/ready`)).json()).toEqual({
        ready: false,
        database: true,
        pictures: false,
      })
    } finally {
      await Promise.all([one, two].map((server) => server.kill('SIGTERM')))
      await store.stop()
      postgres.stop()
    }
  })

  it.each([
    ['database', 'asks for a database server'],
    ['somewhere', 'PIKE_LAMP_PHOTOS is no place for pictures'],
    ['http://127.0.0.1:1/pictures', 'PIKE_LAMP_PHOTOS_KEY and PIKE_LAMP_PHOTOS_SECRET'],
  ])('are refused a place like %s, in one sentence', (at, sentence) => {
    expect(() => openPictures('data', settingsIn({ PIKE_LAMP_PHOTOS: at }).pictures ?? {}, NONE)).toThrow(sentence)
  })
})
