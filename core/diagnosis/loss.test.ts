import { describe, expect, it } from 'vitest'
import type { ActionRow } from '../knowledge/faults/model-types'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { Pump } from '../motor/nameplate'
import {
  actionCost,
  actionMinutes,
  chanceOfEnding,
  cureChance,
  expectedLosses,
  lifeLoss,
  lossTable,
  stakesOf,
} from './loss'
import { partsPrice } from './part-price'
import type { DiagnosisModel } from './model'

const pump: Pump = { kind: 'pool', nameplate: { volts: 230 } }
const action = (id: string, parts: ActionRow['parts'], minutes: number, cures: string[], access = false): ActionRow =>
  ({ id, label: id, reason: '', parts, minutes, cures, access, tools: [] }) as unknown as ActionRow
const cheap = action('cheap', ['timer'], 30, ['a'])
const dear = action('dear', ['motor'], 60, ['a', 'b'], true)
const small = action('small', [], 5, ['b'])
const leave = action('leave', [], 10, ['nothing-wrong'])
const HYPOTHESES = [['a'], ['b'], ['a', 'b'], ['nothing-wrong'], ['c']].map((faults) => ({ faults, prior: 0.2 }))
const model = (...actions: ActionRow[]) => ({ actions, hypotheses: HYPOTHESES, pump }) as unknown as DiagnosisModel

// 96 an hour is 1.6 a minute; 72 and 310 with a quarter of markup.
const CHEAP = 72 * 1.25 + 30 * 1.6
const DEAR = 310 * 1.25 + 60 * 1.6
/** A new motor ends early three times in a hundred; four fifths of that, with its way in, the warranty bears. */
const DEAR_LOSS = DEAR + (DEAR + 20 * 1.6) * 0.006

describe('what a repair costs', () => {
  it('is parts with the markup and minutes, and the way in unless it stands open', () => {
    expect(actionCost(cheap, pump, DEFAULT_RATES)).toBeCloseTo(CHEAP, 9)
    expect(actionCost(dear, pump, DEFAULT_RATES, true)).toBeCloseTo(DEAR, 9)
    expect(actionCost(dear, pump, DEFAULT_RATES)).toBeCloseTo(DEAR + 20 * 1.6, 9)
    expect([actionMinutes(dear, pump), actionMinutes(dear, pump, true), actionMinutes(cheap, pump)]).toEqual([
      80, 60, 30,
    ])
  })
  it('has a kind’s own price before the general one, and none for a part without', () => {
    expect(partsPrice(['motor'], DEFAULT_RATES, pump)).toBeCloseTo(310 * 1.25, 9)
    expect(partsPrice(['motor', 'shims'], DEFAULT_RATES, { kind: 'booster' })).toBeCloseTo((230 + 4) * 1.25, 9)
    expect(partsPrice(['volute'], DEFAULT_RATES, pump)).toBe(0)
  })
})

describe('what being wrong costs', () => {
  const { table, hypotheses, actions, carryOn } = lossTable(model(cheap, dear, leave), DEFAULT_RATES, { open: true })
  const loss = (row: number, h: number) => table[row * hypotheses + h] as number
  // Seven of ten are noticed on site (an hour), the rest on a second trip (trip, an hour, the customer’s trouble).
  const WRONG = 0.7 * 60 * 1.6 + 0.3 * (65 + 60 * 1.6 + 60)
  const COMEBACK = 65 + 60 * 1.6 + 60
  const LEAVE = 10 * 1.6

  it('is nothing where the repair cures all that is wrong', () => {
    expect([actions, hypotheses, carryOn]).toEqual([4, 5, 3])
    expect(loss(0, 0)).toBeCloseTo(CHEAP, 9)
    for (const h of [0, 1, 2]) expect(loss(1, h)).toBeCloseTo(DEAR_LOSS, 9)
  })
  it('is finding out, and then the cheapest repair of what is left', () => {
    expect(loss(0, 1)).toBeCloseTo(CHEAP + WRONG + DEAR_LOSS, 9)
    expect(loss(0, 2), 'of two, the one that it leaves').toBeCloseTo(CHEAP + WRONG + DEAR_LOSS, 9)
    expect(loss(1, 3), 'what was never wrong leaves the complaint').toBeCloseTo(DEAR_LOSS + WRONG + LEAVE, 9)
  })
  it('is always a second call where a faulty machine was left running', () => {
    expect(loss(2, 3)).toBeCloseTo(LEAVE, 9)
    expect(loss(2, 0)).toBeCloseTo(LEAVE + COMEBACK + CHEAP, 9)
  })
  it('of testing on is half an hour and then the right repair', () => {
    expect(loss(3, 0)).toBeCloseTo(30 * 1.6 + CHEAP, 9)
    expect(loss(3, 1)).toBeCloseTo(30 * 1.6 + DEAR_LOSS, 9)
    expect(loss(3, 4), 'what nothing cures costs as the dearest').toBeCloseTo(30 * 1.6 + DEAR_LOSS, 9)
  })
  it('takes two small repairs where they cost less than one large', () => {
    const both = lossTable(model(cheap, dear, small), DEFAULT_RATES, { open: true })
    expect(both.table[both.carryOn * both.hypotheses + 2]).toBeCloseTo(30 * 1.6 + CHEAP + 5 * 1.6, 9)
  })
  it('counts the way in where it is shut', () => {
    const shut = lossTable(model(cheap, dear), DEFAULT_RATES)
    expect(shut.table[shut.hypotheses]).toBeCloseTo((DEAR + 32) * 1.006, 9)
  })
})

describe('what is to be expected', () => {
  const probabilities = Float64Array.from([0.5, 0.2, 0.1, 0.15, 0.05])
  it('weighs each loss by its chance', () => {
    const losses = {
      table: Float64Array.from([1, 2, 3, 4, 5, 10, 0, 0, 0, 0]),
      actions: 2,
      hypotheses: 5,
      carryOn: 1,
      cures: new Uint8Array(5),
    }
    expect([...expectedLosses(losses, probabilities)]).toEqual([
      expect.closeTo(0.5 + 0.4 + 0.3 + 0.6 + 0.25, 9),
      expect.closeTo(5, 9),
    ])
  })
  it('calls a cure what cures everything that is wrong', () => {
    expect(cureChance(HYPOTHESES, probabilities, ['a'])).toBeCloseTo(0.5, 9)
    expect(cureChance(HYPOTHESES, probabilities, ['a', 'b'])).toBeCloseTo(0.8, 9)
    expect(cureChance(HYPOTHESES, probabilities, [])).toBe(0)
  })
})

describe('what hangs on a pump beside its price', () => {
  const well: Pump = {
    kind: 'well-two-wire',
    ageYears: 6,
    nameplate: { volts: 230 },
    installation: { wellDepthMetres: 80, cableMetres: 90 },
  }
  const shallow: Pump = { ...well, installation: { wellDepthMetres: 20, cableMetres: 25 } }
  const tableOf = (of: Pump, action: ActionRow, scene = {}) =>
    lossTable(
      {
        actions: [action],
        hypotheses: HYPOTHESES,
        pump: of,
        plate: { ageYears: of.ageYears ?? 6 },
      } as unknown as DiagnosisModel,
      DEFAULT_RATES,
      { open: true, ...scene },
    ).table
  it('cable and drop pipe are paid by the metre', () => {
    const price = (of: Pump) => partsPrice(['cable'], DEFAULT_RATES, of)
    expect(price(well) / price(shallow)).toBeCloseTo(90 / 25, 9)
    expect(partsPrice(['cable'], DEFAULT_RATES, { kind: 'well-two-wire' })).toBeCloseTo(130 * 1.25, 9)
  })
  it('a long string takes two to bring up, a short one one', () => {
    const pull = { parts: [], minutes: 60, access: 'pulled' as const }
    const minutes = (of: Pump) => actionMinutes(pull, of)
    expect(actionCost(pull, shallow, DEFAULT_RATES)).toBeCloseTo(minutes(shallow) * 1.6, 9)
    expect(actionCost(pull, well, DEFAULT_RATES)).toBeCloseTo(minutes(well) * 1.6 + (15 + 0.6 * 80) * 0.8, 9)
    expect(actionCost(pull, well, DEFAULT_RATES, true), 'it is up already').toBeCloseTo(60 * 1.6, 9)
  })
  it('being wrong costs more where animals, an only supply or a cellar hang on it', () => {
    const wrong = (installation: Pump['installation'], complaints: string[] = []) =>
      tableOf({ ...shallow, installation }, small, { complaints })[0] as number
    const usual = wrong({})
    expect(stakesOf({ installation: {} })).toBe(1)
    expect(wrong({ onlySupply: true }) - usual).toBeCloseTo(0.3 * 60 * 1.5, 9)
    expect(wrong({ livestock: true }) - usual).toBeCloseTo(0.3 * 60 * 3, 9)
    expect(wrong({}, ['pit-flooded']) - usual).toBeCloseTo(0.3 * 60 * 4, 9)
  })
  it('what runs into the evening costs more there', () => {
    const loss = (minutesLeft?: number) => tableOf(shallow, small, { minutesLeft })[1] as number
    expect(loss(240)).toBeCloseTo(loss(), 9)
    expect(loss(2) - loss()).toBeCloseTo(3 * 1.6 * 0.5, 9)
  })
  it('a return under warranty is weeks without the pump and another journey', () => {
    const back = { ...small, onlyUnderWarranty: true }
    expect((tableOf(shallow, back)[1] as number) - (tableOf(shallow, small)[1] as number)).toBeCloseTo(1.5 * 60 + 65, 9)
  })
  it('bearings in a motor of twelve years are likelier lost than in one of four; a new motor hardly', () => {
    const bearings = action('bearings', ['bearings'], 60, ['a'])
    const lost = (ageYears: number, of = bearings) => lifeLoss(of, 100, { kind: 'pool' }, ageYears)
    expect(lost(4)).toBeGreaterThan(5)
    expect(lost(12)).toBeGreaterThan(2 * lost(4))
    expect(lost(12, dear)).toBeCloseTo(0.6, 9)
    expect(lost(12, small)).toBe(0)
    expect(chanceOfEnding([8, 15], 0, 1)).toBeLessThan(0.01)
  })
})
