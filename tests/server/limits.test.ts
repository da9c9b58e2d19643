import { readdirSync } from 'node:fs'
import { request } from 'node:http'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createHash } from 'node:crypto'
import type { EntryBodies } from '#core/visit/entry'
import { reading, testVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'

const folder = temporaryFolder()
let server: Served
beforeAll(async () => {
  server = await serve(folder.path)
})
afterAll(async () => {
  await server.kill('SIGTERM')
  folder.remove()
})

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: { r: width % 255, g: 90, b: height % 255 } } })
const send = (bytes: Buffer, type: string) =>
  post(`${server.url}/api/photos`, new Uint8Array(bytes), { 'content-type': type })
const kept = () =>
  readdirSync(folder.path).includes('photos')
    ? readdirSync(join(folder.path, 'photos'), { recursive: true }).filter((name) => /[0-9a-f]{64}/.test(String(name)))
    : []
interface Stored {
  hash: string
  type: string
  bytes: number
}

describe('pictures', () => {
  it('larger than anybody looks at are kept smaller, upright, under the hash of what is kept', async () => {
    const stored = (await (
      await send(await picture(3000, 1500).withMetadata({ orientation: 6 }).jpeg().toBuffer(), 'image/jpeg')
    ).json()) as Stored
    const back = Buffer.from(await (await fetch(`${server.url}/api/photos/${stored.hash}`)).arrayBuffer())
    expect(createHash('sha256').update(back).digest('hex')).toBe(stored.hash)
    expect(await sharp(back).metadata()).toMatchObject({ format: 'jpeg', width: 900, height: 1800 })
  })

  it(
    'of a hundred and forty-four million points, torn ones and false ones are refused in words, and nothing is ' +
      'kept of them',
    async () => {
      const before = kept().length
      const huge = await sharp({
        create: { width: 12000, height: 12000, channels: 3, background: 'white' },
        limitInputPixels: false,
      })
        .png({ compressionLevel: 9 })
        .toBuffer()
      const jpeg = await picture(900, 700).jpeg().toBuffer()
      const png = await picture(900, 700).png({ compressionLevel: 0 }).toBuffer()
      const webp = await picture(900, 700).webp({ lossless: true }).toBuffer()
      for (const [bytes, words] of [
        [huge, /million points/],
        [jpeg.subarray(0, jpeg.length / 2), /whole/],
        [png.subarray(0, png.length / 2), /whole/],
        [webp.subarray(0, webp.length - 40), /whole/],
        [Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(400, 7)]), /whole/],
      ] as const) {
        const answer = await send(bytes, 'image/png')
        expect(answer.status).toBe(422)
        expect(((await answer.json()) as { title: string }).title).toMatch(words)
      }
      expect(kept().length).toBe(before)
    },
    180_000,
  )

  it('the same one sent twenty times at once is kept once, whole', async () => {
    const bytes = await picture(640, 480).jpeg().toBuffer()
    const answers = await Promise.all(Array.from({ length: 20 }, () => send(bytes, 'image/jpeg')))
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 20 }, () => 200))
    const [stored] = (await Promise.all(answers.map((answer) => answer.json()))) as Stored[]
    expect(kept().filter((name) => String(name).includes(stored?.hash as string))).toHaveLength(1)
    expect(kept().filter((name) => String(name).endsWith('.tmp'))).toEqual([])
  })

  it('a WebP reaches the paper, and a broken one costs the sheet nothing but itself', async () => {
    const visit = testVisit()
    const webp = (await (await send(await picture(300, 200).webp().toBuffer(), 'image/webp')).json()) as Stored
    const lost = (await (await send(await picture(310, 200).jpeg().toBuffer(), 'image/jpeg')).json()) as Stored
    const { rmSync, writeFileSync } = await import('node:fs')
    const pathOf = (hash: string) => join(folder.path, 'photos', hash.slice(0, 2), hash)
    const photo = ({ hash, type, bytes }: Stored, caption: string) =>
      visit.write('photo', { hash, type, bytes, name: 'x.jpg', caption })
    expect(
      (
        await post(`${server.url}/api/entries`, {
          entries: [visit.opened, photo(webp, 'the seal plate'), photo(lost, 'the foot')],
        })
      ).status,
    ).toBe(200)
    const pdf = async () =>
      Buffer.from(await (await fetch(`${server.url}/api/visits/${visit.visitId}/sheet.pdf`)).arrayBuffer()).toString(
        'latin1',
      )
    const pictures = (text: string) => text.match(/\/Subtype \/Image/g)?.length ?? 0
    expect(pictures(await pdf())).toBe(2)
    writeFileSync(pathOf(lost.hash), 'no picture any more')
    expect(pictures(await pdf())).toBe(1)
    rmSync(pathOf(lost.hash))
    expect(pictures(await pdf())).toBe(1)
  })
})

describe('a visit file', () => {
  const file = (visit: ReturnType<typeof testVisit>, entries: object[], photos: unknown[] = []) =>
    JSON.stringify({ format: 'pike-lamp-visit', version: 2, visitId: visit.visitId, entries, photos })
  const inFile = async (bytes: Buffer) => ({
    hash: createHash('sha256').update(bytes).digest('hex'),
    type: 'image/png',
    base64: bytes.toString('base64'),
  })

  it('that is refused, at its first line or its last, keeps nothing: no line, no picture', async () => {
    const visit = testVisit()
    const own = await inFile(await picture(33, 44).png().toBuffer())
    const before = [
      kept().length,
      ((await (await fetch(`${server.url}/api/health`)).json()) as { entries: number }).entries,
    ]
    const photo = visit.write('photo', { hash: own.hash, type: 'image/png', bytes: 3, name: 'x' })
    for (const [entries, photos] of [
      [[visit.opened, photo, visit.write('note', { text: '', seenAndLeft: false })], [own]],
      [[visit.opened, photo, visit.write('retracted', {}, testVisit().visitId)], [own]],
      [
        [visit.opened, photo],
        [own, { ...own, hash: 'a'.repeat(64) }],
      ],
      [
        [visit.opened, photo],
        [own, null],
      ],
    ] as const) {
      expect((await post(`${server.url}/api/visits/import`, file(visit, [...entries], [...photos]))).status).toBe(422)
      expect([
        kept().length,
        ((await (await fetch(`${server.url}/api/health`)).json()) as { entries: number }).entries,
      ]).toEqual(before)
    }
    expect((await post(`${server.url}/api/visits/import`, file(visit, [visit.opened, photo], [own]))).status).toBe(200)
    expect(kept().length).toBe((before[0] as number) + 1)
  })

  it('that knows the customer otherwise says so, and overwrites nothing', async () => {
    const visit = testVisit()
    await post(`${server.url}/api/entries`, { entries: [visit.opened] })
    const elsewhere = testVisit()
    const body = visit.opened.body as EntryBodies['visit-opened']
    const opened = {
      ...elsewhere.opened,
      body: { ...body, scheduledAt: '2030-01-01T00:00:00Z', customer: { ...body.customer, phone: '555 0199' } },
    }
    const answer = (await (await post(`${server.url}/api/visits/import`, file(elsewhere, [opened]))).json()) as {
      differs: object[]
    }
    expect(answer.differs).toEqual([{ field: 'phone', here: '', there: '555 0199' }])
    const phone = async () =>
      (
        (await (await fetch(`${server.url}/api/machines`)).json()) as {
          machines: { customer: { id: string; phone?: string } }[]
        }
      ).machines.find(({ customer }) => customer.id === body.customer.id)?.customer.phone
    expect(await phone()).toBeUndefined()
    const asked = {
      ...visit.write('customer-set', { customer: { ...body.customer, phone: '555 0199' } }),
      visitId: null,
    }
    expect((await post(`${server.url}/api/entries`, { entries: [asked] })).status).toBe(200)
    expect(await phone()).toBe('555 0199')
  })
})

describe('heavy work', () => {
  const batchLine =
    '{"working":"diagnose","input":{"pump":{"kind":"pool","nameplate":{"volts":230}},"complaints":["hums-no-start"]}}'

  it('keeps nobody waiting: health is answered in between, though it is asked on the same two cores', async () => {
    const visit = testVisit()
    const readings = Array.from({ length: 400 }, (_, index) => reading(visit, 200 + (index % 50)))
    await post(`${server.url}/api/entries`, { entries: [visit.opened, ...readings] })
    const heavy = Promise.all([
      post(`${server.url}/api/workings/batch`, Array.from({ length: 40 }, () => batchLine).join('\n'), {
        'content-type': 'application/x-ndjson',
      }).then((answer) => answer.text()),
      ...Array.from({ length: 4 }, () =>
        fetch(`${server.url}/api/visits/${visit.visitId}/sheet.pdf`).then((answer) => answer.arrayBuffer()),
      ),
    ])
    let done = false
    void heavy.finally(() => {
      done = true
    })
    let between = 0
    while (!done) {
      expect((await fetch(`${server.url}/api/health`)).status).toBe(200)
      if (!done) between++
      // Asked as a page asks, now and then: asking without end would take a core from the work.
      await new Promise((pause) => setTimeout(pause, 25))
    }
    const [batch] = await heavy
    expect(batch.split('\n')).toHaveLength(40)
    // One that waited for the work to end would have been answered once. The figure itself is in bench/million.
    expect(between).toBeGreaterThan(20)
  })

  it('too deep or too big is refused at once', async () => {
    const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`
    for (const path of ['/api/entries', '/api/visits/import', '/api/workings/diagnose']) {
      const answer = await post(server.url + path, deep)
      expect(answer.status).toBe(400)
      expect(((await answer.json()) as { title: string }).title).toMatch(/nested deeper/)
    }
    const line = JSON.parse(
      await (
        await post(`${server.url}/api/workings/batch`, `{"working":"diagnose","input":${deep}}`, {
          'content-type': 'application/x-ndjson',
        })
      ).text(),
    ) as { error: { title: string } }
    expect(line.error.title).toMatch(/nested deeper/)
    expect((await post(`${server.url}/api/visits/import`, new Uint8Array(65 * 1024 * 1024))).status).toBe(413)
    expect((await post(`${server.url}/api/entries`, new Uint8Array([0x7b, 0xff, 0xfe, 0x7d]))).status).toBe(400)
  })
})

describe('what a page may do', () => {
  const raw = (path: string, headers: Record<string, string>, method = 'GET') =>
    new Promise<number>((resolve, reject) => {
      const { hostname, port } = new URL(server.url)
      request({ hostname, port, path, method, headers }, (response) => {
        response.resume()
        resolve(response.statusCode ?? 0)
      })
        .on('error', reject)
        .end()
    })

  it('its scripts are its own: none runs from the page itself but the one whose hash is told', async () => {
    const page = await fetch(`${server.url}/`)
    const html = await page.text()
    const policy = page.headers.get('content-security-policy') ?? ''
    const scripts = /script-src ([^;]*)/.exec(policy)?.[1] ?? ''
    expect(scripts).not.toContain('unsafe')
    const inline = [...html.matchAll(/<script>([\s\S]*?)<\/script>/g)].map(([, script]) =>
      createHash('sha256')
        .update(script as string)
        .digest('base64'),
    )
    expect(inline.length).toBeGreaterThan(0)
    for (const hash of inline) expect(scripts).toContain(`'sha256-${hash}'`)
  })

  it('static files are guarded like all others', async () => {
    const [, script] = /src="(\/_nuxt\/[^"]+\.js)"/.exec(await (await fetch(`${server.url}/`)).text()) as unknown as [
      string,
      string,
    ]
    const answer = await fetch(server.url + script)
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff')
    expect(answer.headers.get('content-security-policy')).toContain("default-src 'self'")
    for (const path of [script, '/lamp.svg', '/', '/api/health'])
      expect(await raw(path, { host: 'evil.example' })).toBe(421)
  })
})
