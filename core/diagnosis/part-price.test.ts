import { describe, expect, it } from 'vitest'
import { readSpec } from '../fits/read-spec'
import type { PricedArticle } from '../knowledge/shelf/priced'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { Pump } from '../motor/nameplate'
import { partsPrice, shelfPriceOf } from './part-price'

const POOL: Pump = {
  kind: 'pool',
  nameplate: { volts: 230, runCapacitorMicrofarads: 30, runCapacitorVolts: 370 },
  fitted: [{ part: 'bearings', identity: '6203 2RS' }],
}
const can = (microfarads: number, volts: number, price: number): PricedArticle => ({
  id: `${microfarads} ${volts}`,
  name: `${microfarads} μF ${volts} V`,
  part: 'run-capacitor',
  family: 'run-capacitor',
  spec: { microfarads, volts },
  price,
  pricedOn: '2026-03-02',
})
const BEARING: PricedArticle = {
  id: '6203',
  name: '6203 2RS C3',
  part: 'bearings',
  family: 'bearing',
  spec: readSpec('bearing', '6203 2RS C3'),
  price: 610,
  pricedOn: '2026-04-01',
}
const rates = (...articles: PricedArticle[]) => ({ ...DEFAULT_RATES, partsMarkup: 0.5, articles })

describe('what a part costs', () => {
  it('is by what fits this machine, else by the list', () => {
    const priced = rates(can(50, 440, 900), can(30, 440, 1230))
    expect(partsPrice(['run-capacitor'], priced, POOL)).toBeCloseTo(12.3 * 1.5, 9)
    expect(partsPrice(['run-capacitor'], rates(can(30, 250, 500)), POOL), 'never by one below its volts').toBeCloseTo(
      (DEFAULT_RATES.partPrices['run-capacitor'] as number) * 1.5,
      9,
    )
    expect(partsPrice(['run-capacitor'], priced, { kind: 'pool' }), 'of no machine in particular').toBeCloseTo(28.5, 9)
  })

  it('counts a bearing for each end, and says of when the price is', () => {
    expect(partsPrice(['bearings'], rates(BEARING), POOL)).toBeCloseTo(2 * 6.1 * 1.5, 9)
    expect(shelfPriceOf('bearings', rates(BEARING), POOL)?.of.map(({ pricedOn }) => pricedOn)).toEqual(['2026-04-01'])
    const two = { ...POOL, fitted: [{ part: 'bearings' as const, identity: '6203 drive, 6204 far' }] }
    expect(shelfPriceOf('bearings', rates(BEARING), two), 'a piece of it has no price').toBeUndefined()
  })

  it('cable is by the metre, and by the list where nobody knows how long', () => {
    const cable: PricedArticle = {
      ...BEARING,
      id: 'c',
      name: '10 AWG, 3 flat',
      part: 'cable',
      family: 'cable',
      price: 310,
    }
    const spec = readSpec('cable', '10 awg 3 wires submersible')
    const well: Pump = {
      kind: 'well-two-wire',
      nameplate: { volts: 230 },
      installation: { cableAwg: '10', cableMetres: 40 },
    }
    expect(partsPrice(['cable'], rates({ ...cable, spec }), well)).toBeCloseTo(40 * 3.1 * 1.5, 6)
    const unknown = { ...well, installation: { cableAwg: '10' as const } }
    expect(shelfPriceOf('cable', rates({ ...cable, spec }), unknown)).toBeUndefined()
  })
})
