import { describe, expect, it } from 'vitest'
import { checkKey } from '../diagnosis/finding'
import { KINDS, type Kind } from '../knowledge/vocabulary'
import { noticeableComplaints } from '../virtual/complaint'
import { HARDNESS, readCode, writeCode, type Hardness } from '../knowledge/practice/case-code'
import { ideasOfFault } from '../knowledge/practice/ideas'
import { checksByHand, isOfBench } from './by-hand'
import { caseFor } from './case-for'
import { kindsFor } from './next-up'
import { drawPractice, practiceCase, practiceOf } from './practice-case'
import { instantAfter, practiceNow, TIMES_LIFE } from './practice-clock'

const KINDS_ALL = Object.keys(KINDS) as Kind[]
const MINUTE = 60_000

describe('a code of a case', () => {
  it('is read as it was written, for every kind and hardness', () => {
    for (const kind of KINDS_ALL)
      for (const hardness of Object.keys(HARDNESS) as Hardness[]) {
        const code = { kind, hardness, seed: 48_211 }
        expect(readCode(writeCode(code))).toEqual(code)
      }
  })
  it('is none where its kind, its hardness or its number is none', () => {
    for (const wrong of [
      '',
      'jet',
      'jet.two',
      'jet.two.',
      'jet.easy.4',
      'boat.one.4',
      'jet.one.4.5',
      'jet.one.-4',
      'jet.one.zzzzzz',
    ])
      expect(readCode(wrong), wrong).toBeUndefined()
  })
})

describe('a case', () => {
  it('is the same pump for everybody who has its code', () => {
    const code = { kind: 'jet', hardness: 'one', seed: 7 } as const
    expect(drawPractice(code)).toEqual(drawPractice(code))
    expect(drawPractice({ ...code, seed: 8 })).not.toEqual(drawPractice(code))
  })
  it('comes back whole from what is kept of it', () => {
    const data = drawPractice({ kind: 'pool', hardness: 'one', seed: 3 })
    const kept = structuredClone(data)
    expect(practiceOf(kept).machine).toEqual(practiceOf(data).machine)
    expect(practiceOf(kept).machineAfter(['nothing-wrong'])).toEqual(practiceOf(data).machine)
  })

  it.each(KINDS_ALL)('%s: is as hard as was asked, and somebody would call about it', (kind) => {
    for (const hardness of Object.keys(HARDNESS) as Hardness[]) {
      const practice = practiceCase({ kind, hardness, seed: 11 })
      expect(practice.faults).toHaveLength(hardness === 'two' ? 2 : 1)
      expect(practice.faults).not.toContain('nothing-wrong')
      expect(practice.machine.plateState).toBe(hardness === 'foreign' ? 'foreign' : 'whole')
      const noticed = noticeableComplaints(practice.machine)
      const told = practice.complaints.filter((complaint) => noticed.includes(complaint))
      expect(told.length, hardness).toBeGreaterThan(0)
      // Only who misleads tells of what is not there.
      expect(practice.complaints.length - told.length).toBe(hardness === 'misled' ? 1 : 0)
    }
  })

  it('a repair done badly before is known to have been done, where such a kind has one', () => {
    const practice = practiceCase({ kind: 'pool', hardness: 'redone', seed: 5 })
    expect(practice.alreadyReplaced).toHaveLength(1)
  })

  it('what is cured is gone from the machine, and what it was called about with it', () => {
    for (const kind of KINDS_ALL) {
      const practice = practiceCase({ kind, hardness: 'one', seed: 21 })
      expect(practice.toldStill(practice.faults)).toEqual([])
      expect(practice.toldStill([])).not.toEqual([])
    }
  })
})

describe('a case for an idea', () => {
  it.each(['windings', 'suction', 'pressure'] as const)('%s: has something wrong that asks for it', (idea) => {
    const code = caseFor(idea, { kinds: kindsFor(idea), hardness: 'one' }, 300)
    expect(code).toBeDefined()
    expect(drawPractice(code!).faults.flatMap(ideasOfFault)).toContain(idea)
  })
  it('is none where no kind is left to look at', () => {
    expect(caseFor('pressure', { kinds: [], hardness: 'one' }, 1)).toBeUndefined()
  })
})

describe('what is done by hand', () => {
  it.each(KINDS_ALL)('%s: every check once, and none that the meter reads', (kind) => {
    const practice = practiceCase({ kind, hardness: 'one', seed: 2 })
    const all = Object.values(checksByHand(practice)).flat()
    expect(all.length).toBeGreaterThan(10)
    expect(new Set(all.map(checkKey)).size).toBe(all.length)
    expect(all.filter(({ check }) => isOfBench(check))).toEqual([])
  })
})

describe('the clock of practice', () => {
  it('goes six times as fast as life, and stands while it is held', () => {
    expect(practiceNow(0, { since: 1_000 }, 11_000)).toBe(TIMES_LIFE * 10_000)
    expect(practiceNow(5_000, {}, 99_000)).toBe(5_000)
    expect(practiceNow(0, { since: 5_000 }, 4_000), 'a device’s clock that was set back').toBe(0)
  })
  it('an act takes as long as in life, and longer where it was thought about for longer', () => {
    expect(instantAfter(0, { since: 0 }, 10_000, 5)).toBe(5 * MINUTE)
    expect(instantAfter(0, { since: 0 }, 100_000, 5)).toBe(10 * MINUTE)
  })
})
