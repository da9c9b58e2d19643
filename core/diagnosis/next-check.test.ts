import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { completePlate, type Pump } from '../motor/nameplate'
import type { LossTable } from './loss'
import type { DiagnosisModel, ModelCheck } from './model'
import {
  activeHypotheses,
  informationBits,
  lossOfActing,
  mostTelling,
  outcomesOf,
  rankChecks,
  type RankOptions,
} from './next-check'

const pump: Pump = {
  kind: 'pool',
  construction: 'band-clamp',
  nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1 },
}
/** A check that says which of two causes it is, as surely as given. */
const check = (id: string, sure: number, more: Partial<ModelCheck> = {}): ModelCheck =>
  ({
    check: id,
    key: id,
    states: [{ id: 'one' }, { id: 'other' }],
    rows: Float64Array.from([sure, 1 - sure, 1 - sure, sure]),
    weigh: () => null,
    ...more,
  }) as ModelCheck
const model = (...checks: ModelCheck[]) => ({ pump, plate: completePlate(pump), checks }) as unknown as DiagnosisModel
// Each of two repairs is right for one cause; the wrong one costs a thousand more; testing on is no way out.
const LOSSES: LossTable = {
  table: Float64Array.from([100, 1100, 1100, 100, 5000, 5000]),
  actions: 3,
  hypotheses: 2,
  carryOn: 2,
  cures: Uint8Array.from([1, 0, 0, 1]),
}
const EVEN = Float64Array.from([0.5, 0.5])
const none: ReadonlySet<string> = new Set()
const options = (more: Partial<RankOptions> = {}): RankOptions => ({
  held: none,
  repairing: 0,
  standing: 'installed',
  rates: { ...DEFAULT_RATES, hourly: 60, liveRisk: 3 },
  ...more,
})
const rank = (checks: ModelCheck[], more: Partial<RankOptions> = {}, losses = { now: LOSSES, opened: LOSSES }) =>
  rankChecks(model(...checks), losses, EVEN, checks, options(more))
const DEAD = ['power-off', 'proved-dead', 'discharged']

describe('what a check is worth (expected value of sample information)', () => {
  it('is what knowing its answer saves', () => {
    // Blind, either repair costs 600 in the mean; told truly 100; told at nine of ten 200.
    expect(rank([check('listen', 1)])[0]?.worth).toBeCloseTo(500, 9)
    expect(rank([check('listen', 0.9)])[0]?.worth).toBeCloseTo(400, 9)
    expect(rank([check('listen', 0.5)])[0]?.worth).toBeCloseTo(0, 9)
  })
  it('grows where it opens what makes the repairs behind it cheaper', () => {
    const opened = { ...LOSSES, table: LOSSES.table.map((loss) => loss - 50) }
    const [found] = rank([check('seal-look', 1)], {}, { now: LOSSES, opened })
    expect(found?.gates).toContain('wet-end-open')
    expect(found?.worth).toBeCloseTo(550, 9)
    const [there] = rank([check('seal-look', 1)], { held: new Set(['wet-end-open']) }, { now: LOSSES, opened })
    expect(there?.worth, 'it stands open already').toBeCloseTo(500, 9)
  })
  it('puts first what is worth most over its cost, whichever order the model has them in', () => {
    const order = (...list: ModelCheck[]) => rank(list).map(({ check: { check: id } }) => id)
    const [sure, likely, idle] = [check('shaft-turn', 0.95), check('shaft-rock', 0.8), check('weep-hole', 0.5)]
    const net = rank([sure, likely, idle]).map(({ worth, cost }) => worth - cost)
    expect(net).toEqual([...net].sort((a, b) => b - a))
    expect(new Set(net).size).toBe(3)
    for (const list of [
      [sure, likely, idle],
      [idle, likely, sure],
      [likely, idle, sure],
    ])
      expect(order(...list)).toEqual(order(sure, likely, idle))
    // As telling, and dearer: behind.
    const cheap = rank([check('capacitance', 0.9), check('listen', 0.9)])
    expect(cheap.map(({ check: { check: id } }) => id)).toEqual(['listen', 'capacitance'])
  })
  it('is reckoned by the rule that acts: a repair too unlikely to be the cure is no way out, however cheap', () => {
    // The first repair is the cheaper one under either cause, and cures only the one that is hardly there.
    const decisions = {
      losses: [Float64Array.from([1, 1]), Float64Array.from([50, 50])],
      cures: [Uint8Array.from([0, 1]), Uint8Array.from([1, 0])],
    }
    const testingOn = { ...decisions, losses: [...decisions.losses, Float64Array.from([80, 80])] }
    expect(lossOfActing(testingOn, Float64Array.from([0.9, 0.1]))).toBeCloseTo(50, 9)
    expect(lossOfActing(testingOn, Float64Array.from([0.5, 0.5]))).toBeCloseTo(1, 9)
    const cheapTest = { ...decisions, losses: [...decisions.losses, Float64Array.from([20, 20])] }
    expect(lossOfActing(cheapTest, Float64Array.from([0.9, 0.1]))).toBeCloseTo(20, 9)
  })
})

describe('what a check costs', () => {
  // At 1 a minute: two for reaching and writing down, its own, and the gates.
  it('is its minutes and those of its gates that are not yet held', () => {
    const [shaft] = rank([check('shaft-turn', 1)])
    expect(shaft?.missingGates).toEqual(['power-off', 'proved-dead', 'discharged'])
    const held = rank([check('shaft-turn', 1)], { held: new Set(DEAD) })[0]
    expect(held?.missingGates).toEqual([])
    expect((shaft?.cost ?? 0) - (held?.cost ?? 0)).toBeCloseTo(5, 9)
    const [before] = rank([check('shaft-turn', 1)], { repairing: 0.4 })
    expect((before?.cost ?? 0) - (held?.cost ?? 0), 'the repair that follows needs them too').toBeCloseTo(3, 9)
    expect(held?.cost).toBeCloseTo(2 + (held?.minutes ?? 0), 9)
  })
  it('shares gates among up to three checks that want the same and are worth making', () => {
    const gatesOf = (...others: ModelCheck[]) => {
      const found = rank([check('shaft-turn', 1), ...others]).find(({ check: { key } }) => key === 'shaft-turn')
      return (found?.cost ?? 0) - 2 - (found?.minutes ?? 0)
    }
    const like = (key: string, sure = 1) => check('shaft-turn', sure, { key })
    expect(gatesOf()).toBeCloseTo(5, 9)
    expect(gatesOf(like('b'))).toBeCloseTo(2.5, 9)
    expect(gatesOf(like('b'), like('c'))).toBeCloseTo(5 / 3, 9)
    expect(gatesOf(like('b'), like('c'), like('d')), 'three, no more').toBeCloseTo(5 / 3, 9)
    expect(gatesOf(like('b', 0.5)), 'one that tells nothing shares nothing').toBeCloseTo(5, 9)
    expect(gatesOf(check('weep-hole', 1)), 'nor one with other gates').toBeCloseTo(5, 9)
  })
  it('has a price on live work, and undoes dead gates that must then be proved again', () => {
    const live = rank([check('running-current', 1)], { held: new Set(['power-on', 'primed', 'guards-on']) })[0]
    expect(live?.missingGates).toEqual([])
    expect(live?.cost).toBeCloseTo(2 + (live?.minutes ?? 0) + 3, 9)
    const dead = rank([check('running-current', 1)], {
      held: new Set(['power-off', 'power-on', 'primed', 'guards-on']),
    })[0]
    expect((dead?.cost ?? 0) - (live?.cost ?? 0)).toBeCloseTo(4, 9)
    const open = rank([check('running-current', 1)], {
      held: new Set(['wet-end-open', 'power-on', 'primed', 'guards-on']),
    })[0]
    expect((open?.cost ?? 0) - (live?.cost ?? 0), 'what stands open goes back first').toBeCloseTo(20, 9)
  })
  it('asks for priming only once it was drained', () => {
    const missing = (...held: string[]) => rank([check('running-current', 1)], { held: new Set(held) })[0]?.missingGates
    expect(missing()).toEqual(['power-on'])
    expect(missing('drained')).toEqual(expect.arrayContaining(['power-on', 'primed', 'guards-on']))
  })
  it('puts first what is worth most over its cost', () => {
    const found = rank([check('shaft-turn', 0.9), check('listen', 0.9), check('weep-hole', 0.6)])
    expect(found.map(({ worth, cost }) => worth - cost)).toEqual(
      [...found.map(({ worth, cost }) => worth - cost)].sort((a, b) => b - a),
    )
  })
})

describe('looking one step further', () => {
  it('a free check that tells nothing alone is worth what it makes of the next', () => {
    // Two readings of which neither tells, and both together do: four causes, two repairs by their parity.
    const four = (one: boolean): Float64Array =>
      Float64Array.from([0, 1, 2, 3].flatMap((h) => (((one ? h : h >> 1) & 1) === 0 ? [1, 0] : [0, 1])))
    const losses: LossTable = {
      table: Float64Array.from([100, 1100, 1100, 100, 1100, 100, 100, 1100, 5000, 5000, 5000, 5000]),
      actions: 3,
      hypotheses: 4,
      carryOn: 2,
      cures: Uint8Array.from([1, 0, 0, 1, 0, 1, 1, 0]),
    }
    const even = Float64Array.from([0.25, 0.25, 0.25, 0.25])
    const quick = check('weep-hole', 1, { rows: four(true) })
    const other = check('listen', 1, { rows: four(false), key: 'listen' })
    const ranked = (...checks: ModelCheck[]) =>
      rankChecks(model(...checks), { now: losses, opened: losses }, even, checks, options())
    const found = ranked(quick, other)
    const weep = found.find(({ check: { key } }) => key === 'weep-hole')
    expect(weep?.minutes).toBeLessThanOrEqual(1.5)
    const next = found.find(({ check: { key } }) => key === 'listen')
    expect(weep?.worth).toBeCloseTo(500 - (next?.cost ?? 0), 6)
    expect(ranked(quick)[0]?.worth).toBeCloseTo(0, 9)
    // Seven that tell nothing and cost more stand before it in the table: the look goes to the likeliest six.
    const idle = Array.from({ length: 7 }, (_, index) =>
      check('shaft-runout', 1, { key: `idle-${index}`, rows: new Float64Array(8).fill(0.5) }),
    )
    const crowded = ranked(quick, ...idle, other)
    expect(crowded.find(({ check: { key } }) => key === 'weep-hole')?.worth).toBeCloseTo(weep?.worth as number, 6)
  })
  it('a check is not made twice: what it tells once is all it tells', () => {
    // The first cause always says "one", the other says it half the time: wrong in a quarter of cases, 250 of 500 left.
    const quick = check('weep-hole', 1, { rows: Float64Array.from([1, 0, 0.5, 0.5]) })
    expect(rank([quick])[0]?.worth).toBeCloseTo(250, 9)
  })
})

describe('what a check tells', () => {
  const active = activeHypotheses(EVEN)
  it('in bits: one for a true answer between two even causes, none for a coin', () => {
    expect(informationBits(check('listen', 1), active)).toBeCloseTo(1, 9)
    expect(informationBits(check('listen', 0.5), active)).toBeCloseTo(0, 9)
    // 1 − H(0.9).
    expect(informationBits(check('listen', 0.9), active)).toBeCloseTo(
      1 + 0.9 * Math.log2(0.9) + 0.1 * Math.log2(0.1),
      9,
    )
  })
  it('leaves out causes of next to no weight, and makes the rest whole', () => {
    const { indices, probabilities } = activeHypotheses(Float64Array.from([0.6, 0.0002, 0.3998]))
    expect([...indices]).toEqual([0, 2])
    expect(probabilities[0]).toBeCloseTo(0.6 / 0.9998, 12)
  })
  it('most for its cost, and nothing where no check tells enough', () => {
    const [a, b] = [rank([check('listen', 0.8)])[0]!, rank([check('shaft-turn', 0.9)])[0]!]
    const perMoney = (of: typeof a) => informationBits(of.check, active) / of.cost
    const best = perMoney(a) > perMoney(b) ? a : b
    const two = {
      hypotheses: [
        { faults: ['a'], prior: 0.5 },
        { faults: ['b'], prior: 0.5 },
      ],
    }
    expect(mostTelling(two, [a, b], EVEN)).toBe(best)
    expect(mostTelling(two, [b, a], EVEN)).toBe(best)
    expect(mostTelling(two, rank([check('listen', 0.55)]), EVEN), '0.007 bits').toBeUndefined()
    expect(mostTelling(two, rank([check('listen', 0.65)]), EVEN), '0.066 bits').toBeDefined()
    expect(mostTelling(two, [], EVEN)).toBeUndefined()
    const chance = {
      hypotheses: [
        { faults: ['a'], prior: 0.5 },
        { faults: ['a', 'b'], prior: 0.5, byChance: true },
      ],
    }
    expect(mostTelling(chance, [a, b], EVEN), 'what only chance brings together is nobody’s question').toBeUndefined()
  })
  it('the free look first, where it tells nearly as much for its cost', () => {
    const two = {
      hypotheses: [
        { faults: ['a'], prior: 0.5 },
        { faults: ['b'], prior: 0.5 },
      ],
    }
    const [free, paid] = [rank([check('water-level', 0.8)])[0]!, rank([check('listen', 0.9)])[0]!]
    const score = informationBits(free.check, active) / free.cost
    const scoring = (share: number) => ({ ...paid, cost: informationBits(paid.check, active) / (score / share) })
    expect(mostTelling(two, [scoring(0.9), free], EVEN)).toBe(free)
    expect(mostTelling(two, [scoring(0.7), free], EVEN)?.check.check).toBe('listen')
  })
  it('for each outcome: how likely, and what is then likely', () => {
    const [one, other] = outcomesOf(check('listen', 0.9), Float64Array.from([0.8, 0.2]))
    expect(one?.probability).toBeCloseTo(0.74, 9)
    expect(one?.posterior[0]).toBeCloseTo(0.72 / 0.74, 9)
    expect(other?.posterior[1]).toBeCloseTo(0.18 / 0.26, 9)
    expect([one?.state.id, other?.state.id]).toEqual(['one', 'other'])
  })
})
