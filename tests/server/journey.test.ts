import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import PostalMime from 'postal-mime'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import type { Entry } from '#core/visit/entry'
import { sheetHash } from '#core/visit/issue-together'
import { testVisit, type TestVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'

interface View {
  entries: Entry[]
  journey: { visitId: string; entries: Entry[] }[]
}
interface Day {
  visits: { id: string; of?: { id: string }[]; arranged: object; done: boolean }[]
}

/** A visit at another machine of the same customer, on the same journey. */
function along(first: TestVisit, name: string): TestVisit {
  const own = testVisit()
  const opened = first.opened.body as { customer: object; machine: object }
  const body = { ...own.opened.body, ...opened, machine: { ...opened.machine, id: uuidv7(), name } }
  return { ...own, opened: { ...own.opened, body } as unknown as Entry }
}

describe('a visit to several machines', () => {
  const folder = temporaryFolder()
  let server: Served
  const first = testVisit()
  const second = along(first, 'booster pump')
  const lines = (amount: number) => [{ label: 'Work', amount, kind: 'work' as const }]
  const append = async (...entries: Entry[]) =>
    expect((await post(`${server.url}/api/entries`, { entries })).status).toBe(200)
  const viewOf = async (id: string) => (await (await fetch(`${server.url}/api/visits/${id}`)).json()) as View
  const textOf = async (id: string, query = '') => {
    const response = await fetch(`${server.url}/api/visits/${id}/sheet.pdf${query}`)
    expect(response.status).toBe(200)
    const file = join(folder.path, 'sheet.pdf')
    writeFileSync(file, Buffer.from(await response.arrayBuffer()))
    return execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ')
  }
  const dayOf = async () =>
    (await (
      await fetch(`${server.url}/api/day?from=2026-05-12T00:00:00.000Z&to=2026-05-13T00:00:00.000Z&on=2026-05-12`)
    ).json()) as Day

  beforeAll(async () => {
    server = await serve(folder.path)
    const shop = {
      ...first.write(
        'shop-set' as 'note',
        {
          name: 'Weir Lane Pumps',
          place: 'Weir Lane 3',
          mail: 'post@weir-lane.example',
          units: 'us',
          rates: { ...DEFAULT_RATES, chargesJourney: true, trip: 55 },
        } as never,
      ),
      visitId: null,
    }
    await append(shop, first.opened, second.opened, second.write('together', { with: first.visitId }))
  })
  afterAll(async () => {
    await server.kill('SIGTERM')
    folder.remove()
  })

  it('is served with its others, whichever of them is asked for', async () => {
    expect((await viewOf(first.visitId)).journey.map(({ visitId }) => visitId)).toEqual([second.visitId])
    expect((await viewOf(second.visitId)).journey.map(({ visitId }) => visitId)).toEqual([first.visitId])
  })

  it('is one stop of its day, planned from the work of both', async () => {
    const { visits } = await dayOf()
    expect(visits.map(({ id, of }) => [id, of?.map((each) => each.id)])).toEqual([
      [first.visitId, [first.visitId, second.visitId]],
    ])
    const query = 'from=2026-05-12T00:00:00.000Z&to=2026-05-13T00:00:00.000Z&on=2026-05-12'
    const { grounds } = (await (await fetch(`${server.url}/api/plan?${query}`)).json()) as {
      grounds: { work: Record<string, { minutes: { p50: number } }> }
    }
    const alone = testVisit()
    await append(alone.opened)
    const again = (await (await fetch(`${server.url}/api/plan?${query}`)).json()) as { grounds: typeof grounds }
    const [both, rider, one] = [first, second, alone].map(
      ({ visitId }) => again.grounds.work[visitId]?.minutes.p50 as number,
    ) as [number, number, number]
    expect(grounds.work[first.visitId]?.minutes.p50).toBe(both)
    expect(both).toBeGreaterThan(one)
    // Somebody who is there need not arrive again.
    expect(rider).toBeLessThan(one)
    await append(alone.write('cancelled', { why: 'only for this test' }))
  })

  it('has one sheet with a part for each, an issue when the last is handed over, and keeps the old one', async () => {
    expect(await textOf(second.visitId)).toContain('Not handed over yet')
    await append(
      second.write('handed-over', {
        watch: 'the drip',
        price: 120,
        lines: lines(120),
        beside: [{ visit: first.visitId, issue: 0 }],
      }),
    )
    expect((await fetch(`${server.url}/api/visits/${second.visitId}/sheet.pdf?issue=1`)).status).toBe(422)
    expect((await dayOf()).visits[0]?.done).toBe(false)
    await append(
      first.write('handed-over', {
        watch: '',
        price: 80,
        lines: lines(80),
        beside: [{ visit: second.visitId, issue: 1 }],
      }),
    )
    expect((await dayOf()).visits[0]?.done).toBe(true)
    const sheet = await textOf(second.visitId)
    expect(sheet).toBe(await textOf(first.visitId))
    for (const words of ['filter pump 2', 'booster pump', 'All together', '$200.00', 'Sheet, issue 1'])
      expect(sheet).toContain(words)
    await append(
      second.write('handed-over', {
        watch: 'drier now',
        price: 120,
        lines: lines(120),
        beside: [{ visit: first.visitId, issue: 1 }],
      }),
    )
    expect(await textOf(first.visitId)).toContain('Sheet, issue 2')
    expect(await textOf(first.visitId, '?issue=1')).toContain('the drip')
    expect(await textOf(first.visitId, '?issue=2')).toContain('drier now')
  })

  it('is mailed as it is seen: with all of its machines, under the fingerprint of all', async () => {
    const { entries, journey } = await viewOf(first.visitId)
    const hash = sheetHash(
      [entries, ...journey.map((each) => each.entries)].map((each) => ({ entries: each, isIssued: true })),
    )
    const asked = { id: uuidv7(), paper: 'sheet', to: 'harrow@bell-lane.example', author: 'test' }
    const mail = (with_: string) => post(`${server.url}/api/visits/${second.visitId}/mail`, { ...asked, hash: with_ })
    const alone = sheetHash([{ entries: journey[0]?.entries ?? [], isIssued: true }])
    expect((await mail(alone)).status).toBe(409)
    expect((await mail(hash)).status).toBe(200)
    const read = await new PostalMime().parse(
      await (await fetch(`${server.url}/api/mail/${asked.id}/message.eml`)).arrayBuffer(),
    )
    expect(read.subject).toBe('filter pump 2 and booster pump · Weir Lane Pumps')
    expect(read.text).toContain('BOOSTER PUMP')
  })

  it('is one account, and open in none of its visits once one payment has paid for both', async () => {
    const month = new Date().toISOString().slice(0, 7)
    const next = `${new Date().getUTCFullYear() + 1}-01`
    const ledger = async (of: string) =>
      (await (await fetch(`${server.url}/api/ledger?month=${of}`)).json()) as {
        rows: { visitId: string; total: number; open: number }[]
        open: { visitId: string; open: number }[]
      }
    expect((await ledger(month)).rows).toMatchObject([
      { visitId: first.visitId, machine: 'filter pump 2, booster pump', total: 200, open: 200 },
    ])
    await append(first.write('paid', { amount: 150, on: '2026-05-12' }))
    expect((await ledger(next)).open).toMatchObject([{ visitId: first.visitId, open: 50 }])
    await append(second.write('paid', { amount: 50, on: '2026-05-12' }))
    expect((await ledger(next)).open).toEqual([])
  })

  it('is left by one of them again; another customer’s is never of it', async () => {
    const stranger = testVisit()
    await append(stranger.opened, stranger.write('together', { with: first.visitId }))
    expect((await viewOf(first.visitId)).journey.map(({ visitId }) => visitId)).toEqual([second.visitId])
    expect((await viewOf(stranger.visitId)).journey).toEqual([])
    await append(second.write('together', {}))
    expect((await viewOf(first.visitId)).journey).toEqual([])
  })

  it('a line that names no visit by its id is refused', async () => {
    const response = await post(`${server.url}/api/entries`, {
      entries: [second.write('together', { with: 'next door' })],
    })
    expect(response.status).toBe(422)
    expect(await response.text()).toContain('is a UUID in lower case')
  })
})
