import { createPinia, setActivePinia } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { ToldOfShelf } from '#core/shelf/told-of-shelf'
import type { Entry } from '#core/visit/entry'
import { validEntry } from '#core/visit/entry-rules'
import { freshBrowser } from '~/utils/browser.fixture'
import { writeLine } from '~/utils/write-line'
import { useLive } from './live'
import { useOutbox } from './outbox'
import { useShelf } from './shelf'

/** The shop, with the lines it was sent; nobody answers while it is away. */
const shop = { lines: [] as Entry[], isAway: false }
const VANS: ToldOfShelf['vans'] = [{ id: 'van-1', name: 'The long van', people: 2 }]
let ARTICLE = ''
beforeEach(() => {
  freshBrowser()
  ARTICLE = uuidv7()
  Object.assign(shop, { lines: [], isAway: false })
  vi.stubGlobal('fetch', async (url: string, init?: { body: string }) => {
    if (shop.isAway) throw new TypeError('fetch failed')
    if (url === '/api/shelf')
      return Response.json({ lines: shop.lines, vans: VANS, currency: 'USD' } satisfies ToldOfShelf)
    shop.lines.push(...(JSON.parse(init?.body ?? '{}') as { entries: Entry[] }).entries)
    return Response.json({ accepted: [] })
  })
  setActivePinia(createPinia())
})
const article = () => ({ id: ARTICLE, name: '6203 2RS', family: 'bearing' as const, spec: { bore: 17 } })
const received = (count: number) =>
  ({ article: ARTICLE, count, from: 'supplier', to: 'van:van-1', why: 'received' }) as const

describe('the shelf on a device', () => {
  it('what is written is seen at once, keeps the rules, and stands once when the shop tells it again', async () => {
    const shelf = useShelf()
    await shelf.read()
    await shelf.keepArticle(article())
    await shelf.move(received(4))
    expect(shelf.countOf(ARTICLE, 'van:van-1')).toBe(4)
    for (const line of shop.lines) expect(validEntry(JSON.parse(JSON.stringify(line)))).toMatchObject({ visitId: null })
    await shelf.read()
    expect(shelf.countOf(ARTICLE)).toBe(4)
    expect(shelf.placeName('van:van-1')).toBe('The long van')
  })

  it('without a way to the shop it is as it was told last, with what was written since', async () => {
    const shelf = useShelf()
    await shelf.read()
    await shelf.keepArticle(article())
    await shelf.move(received(4))
    await shelf.read()
    shop.isAway = true
    setActivePinia(createPinia())
    const again = useShelf()
    await again.read()
    expect(again.isOld).toBe(true)
    expect(again.countOf(ARTICLE)).toBe(4)
    void again.move(received(1))
    await vi.waitFor(() => expect(again.countOf(ARTICLE)).toBe(5))
    await vi.waitFor(() => expect(useOutbox().pending).toHaveLength(1))
  })

  it('a line is taken back, and a count put right by the one that supersedes it', async () => {
    const shelf = useShelf()
    await shelf.read()
    await shelf.move(received(4))
    await shelf.write({ kind: 'stock-counted', body: { article: ARTICLE, place: 'van:van-1', counted: 3 } })
    const [difference] = shelf.stock.differences
    expect(difference).toMatchObject({ expected: 4, counted: 3 })
    const why = { article: ARTICLE, place: 'van:van-1', counted: 3, why: 'lent' } as const
    await shelf.write({ kind: 'stock-counted', body: why, supersedes: difference?.line as string })
    expect(shelf.stock.differences).toMatchObject([{ expected: 4, counted: 3, why: 'lent' }])
    await shelf.takeBack(shelf.lines.find(({ kind }) => kind === 'stock-moved')?.id as string)
    expect(shelf.countOf(ARTICLE)).toBe(3)
    expect(shelf.stock.differences).toMatchObject([{ expected: 0, counted: 3 }])
  })

  it('what another device takes is seen while one looks', async () => {
    const shelf = useShelf()
    await shelf.read()
    const told = vi.fn()
    useLive().onLines(told)
    shop.lines.push(writeLine({ visitId: null, author: 'Bo' }, 'stock-moved', received(2)))
    useLive().miss()
    await vi.waitFor(() => expect(shelf.countOf(ARTICLE)).toBe(2))
  })
})
