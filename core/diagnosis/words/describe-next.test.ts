import { describe, expect, it } from 'vitest'
import { METRIC_READER, US_READER, type Reader } from '../../quantity/sentence'
import type { CheckState, ModelCheck } from '../model'
import type { Candidate } from '../next-check'
import type { Reasoning } from '../reasoning'
import { describeNext } from './describe-next'

const FAULTS = ['bearings-worn', 'run-capacitor-failed', 'no-supply'] as const

/** Three causes with their chances; each has its repair, and the right one is the cheapest by far. */
function reasoning(chances: readonly number[], carryOn = 9000): Reasoning {
  const actions = FAULTS.map((fault) => ({ id: fault, label: `Mend ${fault}`, cures: [fault] }))
  return {
    model: {
      hypotheses: FAULTS.map((fault) => ({ faults: [fault] })),
      holding: new Map(FAULTS.map((fault, index) => [fault, Int32Array.from([index])])),
      actions,
    },
    posterior: { probabilities: Float64Array.from(chances) },
    losses: {
      table: Float64Array.from([0, 900, 900, 900, 0, 900, 900, 900, 0, carryOn, carryOn, carryOn]),
      actions: 4,
      hypotheses: 3,
      carryOn: 3,
    },
  } as unknown as Reasoning
}

/** A check of so many states, each with its probability under the three causes. */
function candidate(check: string, states: readonly [CheckState, readonly number[]][], minutes = 4): Candidate {
  const rows = FAULTS.flatMap((_, fault) => states.map(([, given]) => given[fault] as number))
  return {
    check: { check, key: check, states: states.map(([state]) => state), rows: Float64Array.from(rows) } as ModelCheck,
    minutes,
    worth: 10,
    cost: 1,
    gates: ['power-off'],
    missingGates: [],
  }
}
const turn = (minutes?: number) =>
  candidate(
    'shaft-turn',
    [
      [{ id: 'gritty' }, [0.9, 0.1, 0.1]],
      [{ id: 'free' }, [0.1, 0.9, 0.9]],
    ],
    minutes,
  )
const say = (from: Candidate, chances: readonly number[], reader: Reader = US_READER, carryOn?: number) =>
  plain(describeNext(from, reasoning(chances, carryOn), reader))
/** Amounts hold together by spaces that do not break; here they are any space. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value).replace(/[\u00a0\u202f]/g, ' ')) as T

describe('why this check', () => {
  it('names the causes it moves, the most moved first, with their chances and the minutes', () => {
    expect(say(turn(), [0.3, 0.6, 0.1]).because).toBe(
      'It parts bearings worn (30 %) from run capacitor weak (60 %) and no supply (10 %) for ' + '4 minutes of work.',
    )
    expect(say(turn(1), [0.5, 0.5, 0]).because).toBe(
      'It parts bearings worn (50 %) from run capacitor weak (50 %) for one minute of work.',
    )
  })
  it('puts the most moved first, wherever it stands in the table', () => {
    const other = candidate('shaft-turn', [
      [{ id: 'gritty' }, [0.5, 0.1, 0.95]],
      [{ id: 'free' }, [0.5, 0.9, 0.05]],
    ])
    expect(say(other, [0.2, 0.4, 0.4]).because).toMatch(/^It parts no supply \(40 %\) from run capacitor weak/)
    expect(say(other, [0.2, 0.45, 0.35]).because).toMatch(/^It parts run capacitor weak \(45 %\) from no supply/)
  })
  it('leaves out what it hardly moves and what is hardly there', () => {
    // Two in a thousand is moved, but is no matter; what the check says the same of is not moved.
    expect(say(turn(), [0.5, 0.498, 0.002]).because).not.toContain('no supply')
    const same = candidate('shaft-turn', [
      [{ id: 'gritty' }, [0.9, 0.1, 0.5]],
      [{ id: 'free' }, [0.1, 0.9, 0.5]],
    ])
    expect(say(same, [0.25, 0.25, 0.5]).because).toBe(
      'It parts bearings worn (25 %) from run capacitor weak (25 %) for 4 minutes of work.',
    )
  })
  it('settles the one that is there, or speaks of the leading one', () => {
    expect(say(turn(), [0.002, 0.995, 0.003]).because).toBe('It settles the leading suspect for 4 minutes of work.')
    const found = candidate('shaft-turn', [
      [{ id: 'gritty' }, [1, 0, 0]],
      [{ id: 'free' }, [0, 1, 1]],
    ])
    expect(say(found, [0.992, 0.004, 0.004]).because).toBe(
      'It settles bearings worn (over 99 %) for 4 minutes of work.',
    )
  })
})

describe('what each outcome would come to', () => {
  it('says the likelier first, the two that lead after it, and the repair where it settles', () => {
    const { outcomes, title, tool, gates, minutes } = say(turn(), [0.5, 0.3, 0.2])
    expect({ title, gates, minutes }).toEqual({ title: 'Turn the shaft by hand', gates: ['power-off'], minutes: 4 })
    expect(tool).not.toBe('')
    expect(outcomes.map(({ if: seen, then }) => [seen, then])).toEqual([
      ['gritty', 'bearings worn, 90 %: mend bearings-worn'],
      ['free', 'run capacitor weak, 54 %; no supply, 36 %'],
    ])
    expect(outcomes.map(({ probability }) => probability)).toEqual([0.5, 0.5])
  })
  it('says the cause alone where testing on costs less than any repair', () => {
    expect(say(turn(), [0.5, 0.3, 0.2], US_READER, 1).outcomes[0]?.then).toBe('bearings worn, 90 %')
  })
  it('leaves out what hardly ever happens, and tells three at most', () => {
    const four = candidate('listen', [
      [{ id: 'quiet' }, [0.4, 0.4, 0.4]],
      [{ id: 'hum' }, [0.3, 0.3, 0.3]],
      [{ id: 'squeal' }, [0.2, 0.2, 0.2]],
      [{ id: 'grind' }, [0.1, 0.1, 0.1]],
    ])
    expect(say(four, [0.4, 0.3, 0.3]).outcomes.map(({ if: seen }) => seen)).toEqual(['quiet', 'hum', 'squeal'])
    const rare = candidate('listen', [
      [{ id: 'grind' }, [0.003, 0.003, 0.003]],
      [{ id: 'quiet' }, [0.997, 0.997, 0.997]],
    ])
    expect(say(rare, [0.4, 0.3, 0.3]).outcomes.map(({ if: seen }) => seen)).toEqual(['quiet'])
  })
  it('says ranges in the reader’s units, open readings in their words, and one range for what comes to the same', () => {
    const ranges = (rows: readonly (readonly number[])[]) =>
      candidate('tank-precharge', [
        [{ id: 'low', range: { to: 20 } }, rows[0] as number[]],
        [{ id: 'middle', range: { from: 20, to: 30 } }, rows[1] as number[]],
        [{ id: 'high', range: { from: 30 } }, rows[2] as number[]],
      ])
    const apart = ranges([
      [0.9, 0.05, 0.05],
      [0.05, 0.9, 0.05],
      [0.05, 0.05, 0.9],
    ])
    const words = (reader: Reader) => say(apart, [0.5, 0.3, 0.2], reader).outcomes.map(({ if: seen }) => seen)
    expect(words(US_READER)).toEqual(['under 20 psi', '20 to 30 psi', 'over 30 psi'])
    expect(words(METRIC_READER)).toEqual(['under 138 kPa', '138 to 207 kPa', 'over 207 kPa'])
    const alike = ranges([
      [0.05, 0.5, 0.1],
      [0.05, 0.45, 0.1],
      [0.9, 0.05, 0.8],
    ])
    const [first, second] = say(alike, [0.4, 0.55, 0.05]).outcomes
    expect([first?.if, second?.if]).toEqual(['under 30 psi', 'over 30 psi'])
    expect(first?.probability).toBeCloseTo(0.4 * 0.1 + 0.55 * 0.95 + 0.05 * 0.2, 12)
    const open = candidate('winding-resistance', [
      [{ id: 'over', open: 'open' }, [0.9, 0.05, 0.05]],
      [{ id: 'any', range: {} }, [0.1, 0.95, 0.95]],
    ])
    expect(say(open, [0.3, 0.4, 0.3]).outcomes.map(({ if: seen }) => seen)).toEqual(['any reading', 'open'])
  })
})
