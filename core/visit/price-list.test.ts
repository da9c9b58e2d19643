import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { priceName, priceRows, readPrices } from './price-list'

describe('a price list as a file', () => {
  it('read back as it was written changes nothing', () => {
    const prices = DEFAULT_RATES.partPrices
    const rows = priceRows(prices)
    expect(rows).toHaveLength(Object.keys(prices).length)
    expect(readPrices(rows, prices)).toEqual({ changes: [], same: rows.length, problems: [] })
  })
  it('says what would change, and keeps what it does not name', () => {
    const rows = [
      { part: 'shaft-seal', kind: '', price: '34,50' },
      { part: 'motor', kind: 'pool', price: '400' },
      { part: 'bearings', kind: '', price: '24' },
    ]
    expect(readPrices(rows, { 'shaft-seal': 32, bearings: 24, tank: 240 })).toEqual({
      changes: [
        { key: 'shaft-seal', name: 'shaft seal', from: 32, to: 34.5 },
        { key: 'motor:pool', name: 'motor, pool pump', to: 400 },
      ],
      same: 1,
      problems: [],
    })
  })
  it.each([
    [{ part: 'rocket', price: '1' }, 'line 2, part', 'rocket'],
    [{ part: 'motor', kind: 'pond', price: '1' }, 'line 2, kind', 'pond'],
    [{ part: 'motor', price: 'dear' }, 'line 2, price', 'dear'],
    [{ part: 'motor', price: '' }, 'line 2, price', ''],
    [{ part: 'motor', price: '-3' }, 'line 2, price', '-3'],
    [{}, 'line 2, part', ''],
  ])('%o is refused by its line and field', (row, field, value) =>
    expect(readPrices([row], {})).toMatchObject({ changes: [], problems: [{ field, value }] }),
  )
  it('a part that stands twice is refused the second time', () =>
    expect(
      readPrices(
        [
          { part: 'fan', price: '1' },
          { part: 'fan', price: '2' },
        ],
        {},
      ),
    ).toMatchObject({ changes: [{ to: 1 }], problems: [{ field: 'line 3, part' }] }))
  it('names what a price is for', () =>
    expect(['motor', 'motor:sump', 'x'].map(priceName)).toEqual(['motor', 'motor, sump pump', 'x']))
})
