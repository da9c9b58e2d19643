import { describe, expect, it } from 'vitest'
import { UNNAMED_SHOP, type Shop } from '#core/visit/shop'
import { readSettings, settingsForm } from './settings-form'

const EMPTY: Shop = {
  ...UNNAMED_SHOP,
  name: '',
  unset: true,
  guessedPrices: Object.keys(UNNAMED_SHOP.rates.partPrices),
}
const SHOP: Shop = {
  ...UNNAMED_SHOP,
  name: 'Lantern & Leat',
  rates: {
    ...UNNAMED_SHOP.rates,
    chargesJourney: true,
    minimum: 80,
    workWarrantyMonths: 12,
    taxes: [{ name: 'Sales tax', percent: 6, on: 'parts' }],
  },
}
const problems = (change: object, shop = SHOP) => {
  const read = readSettings({ ...settingsForm(shop), ...change }, shop)
  return 'problems' in read ? Object.keys(read.problems) : []
}

describe('the shop’s settings', () => {
  it('read back as they stand change nothing', () =>
    expect(readSettings(settingsForm(SHOP), SHOP)).toEqual({ shop: SHOP }))
  it('of an empty shop are empty, and ask for name, currency and hour', () => {
    expect(settingsForm(EMPTY)).toMatchObject({
      name: '',
      currency: '',
      hourly: '',
      trip: '',
      partsMarkup: '',
      taxes: [],
    })
    expect(problems({}, EMPTY)).toEqual(['name', 'currency', 'hourly'])
    expect(problems({ name: 'X', currency: 'eur', hourly: '60' }, EMPTY)).toEqual([])
  })
  it('of a new shop charge nothing that it left empty, and no journey without its price', () => {
    const read = readSettings({ ...settingsForm(EMPTY), name: 'X', currency: 'EUR', hourly: '60' }, EMPTY)
    expect(read).toMatchObject({
      shop: { rates: { hourly: 60, trip: 0, partsMarkup: 0, helperHourly: 0, partPrices: {}, chargesJourney: false } },
    })
    const journey = { name: 'X', currency: 'EUR', hourly: '60', chargesJourney: true }
    expect(problems(journey, EMPTY)).toEqual(['trip'])
  })
  it('take off what is emptied, and read a comma', () => {
    const read = readSettings({ ...settingsForm(SHOP), minimum: '', taxes: [], hourly: '92,50' }, SHOP)
    expect(read).toMatchObject({ shop: { rates: { hourly: 92.5 } } })
    for (const gone of ['minimum', 'taxes']) expect((read as { shop: Shop }).shop.rates).not.toHaveProperty(gone)
  })
  it.each([
    [{ name: ' ' }, 'name'],
    [{ currency: 'dollar' }, 'currency'],
    [{ hourly: 'dear' }, 'hourly'],
    [{ trip: '-5' }, 'trip'],
    [{ taxes: [{ name: 'T', percent: 'x', on: 'all' }] }, 'taxes.0'],
    [{ taxes: [{ name: '', percent: '5', on: 'all' }] }, 'taxes.0'],
  ])('%o is refused by its field', (change, field) => expect(problems(change)).toEqual([field]))
})

describe('the vans and the hours of the settings', () => {
  const read = (change: Partial<ReturnType<typeof settingsForm>>) =>
    readSettings({ ...settingsForm(SHOP), ...change }, SHOP)

  it('are said once they are not the usual ones', () => {
    const vans = [{ id: 'van-1', name: ' The long van ', people: 2, litres: '240' }]
    const day = { start: '06:55', end: '18:00', breakFrom: '12:00', breakMinutes: '30' }
    expect(read({ vans, day })).toMatchObject({
      shop: {
        vans: [{ id: 'van-1', name: 'The long van', people: 2, litres: 240 }],
        day: { start: 415, end: 1080, breakFrom: 720, breakMinutes: 30 },
      },
    })
    expect(settingsForm({ ...SHOP, day: { start: 415, end: 1080, breakFrom: 720, breakMinutes: 30 } }).day).toEqual(day)
  })

  it('are refused by their field where they are none', () => {
    expect(problems({ vans: [] })).toEqual(['vans'])
    expect(problems({ vans: [{ id: 'van-1', name: 'The van', people: 1, litres: 'small' }] })).toEqual([
      'vans.0.litres',
    ])
    expect(problems({ day: { ...settingsForm(SHOP).day, start: 'early' } })).toEqual(['day.start'])
    expect(problems({ day: { ...settingsForm(SHOP).day, breakMinutes: 'short' } })).toEqual(['day.breakMinutes'])
  })
})
