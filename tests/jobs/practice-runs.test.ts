import { describe, expect, it } from 'vitest'
import { BOOK_ORDER } from '../../bench/diagnosis/symptom-orders'
import { byBook, byChance, byLamp, learn, type BenchHand, type Choosing } from '../../bench/practice/learners'
import { pickAsked, type Finding } from '#core/diagnosis/finding'
import { infer } from '#core/diagnosis/inference'
import { cureChance } from '#core/diagnosis/loss'
import { ideasOfFault } from '#core/knowledge/practice/ideas'
import { checkInfo, isAsked } from '#core/knowledge/checks/checks'
import { KINDS, type Kind } from '#core/knowledge/vocabulary'
import { findingOf } from '#core/practice/readings'
import { afterwardsOf, type Afterwards } from '#core/practice/afterwards'
import { isOfBench } from '#core/practice/by-hand'
import { drawCase, worldOf } from '#core/practice/cases'
import { rightRepairs } from '#core/practice/hindsight'
import { practiceCase, type PracticeCase } from '#core/practice/practice-case'
import { skillsOf, triedIn, type Skills } from '#core/practice/skills'
import { triedOf } from '#core/practice/tried'
import { buildModel, faultsPossible } from '#core/diagnosis/model'
import { chance } from '#core/quantity/random'
import { US_READER } from '#core/quantity/sentence'
import { answer } from '#core/virtual/answer'
import { AS_FOUND, type Hands } from '#core/virtual/bench/hands'
import { letsGo, meterShows } from '#core/virtual/bench/meter'
import { placesFor } from '#core/virtual/bench/places'
import { benchReads } from '#core/virtual/bench/reads'
import { buildMachine } from '#core/virtual/build'
import { ENTRY_VERSION, type Entry, type EntryBodies } from '#core/visit/entry'
import { validEntry } from '#core/visit/entry-rules'
import { UNNAMED_SHOP } from '#core/visit/shop'

const KINDS_ALL = Object.keys(KINDS) as Kind[]

describe('simulated learners work through pumps of every kind', () => {
  const ways: Record<string, Choosing> = { lamp: byLamp, book: byBook(BOOK_ORDER), chance: byChance }
  const after = new Map<string, { hand: BenchHand; after: Afterwards }[]>()
  const runs = (name: string) => after.get(name) ?? []

  it('and come to an end, each line after the one before', () => {
    for (const kind of KINDS_ALL)
      for (const seed of [1]) {
        const practice = practiceCase({ kind, hardness: 'one', seed })
        for (const [name, choose] of Object.entries(ways)) {
          const hand = learn(practice, choose, seed)
          expect(hand.state.ended).toBeDefined()
          const times = hand.lines.map(({ at }) => at)
          expect(times).toEqual([...times].sort((a, b) => a - b))
          after.set(name, [...runs(name), { hand, after: afterwardsOf(practice, hand.lines, hand.state, US_READER) }])
        }
      }
  })

  it('the lamp finds most, chance least; the lamp hurts nobody, chance somebody', () => {
    const found = (name: string) => runs(name).filter((run) => run.after.isFound).length
    expect(found('lamp')).toBeGreaterThan(0.75 * runs('lamp').length)
    expect(found('lamp')).toBeGreaterThanOrEqual(found('book'))
    expect(found('book')).toBeGreaterThan(found('chance'))
    const hurt = (name: string) => runs(name).filter((run) => run.after.unsafe.length > 0).length
    expect(hurt('lamp')).toBe(0)
    expect(hurt('chance')).toBeGreaterThan(0)
  })

  it('marks put them in that order', () => {
    const share = (name: string) => {
      const marks = runs(name).flatMap((run) => run.after.marks)
      const sum = (of: (mark: (typeof marks)[number]) => number) => marks.reduce((total, mark) => total + of(mark), 0)
      return sum(({ right }) => right) / sum((mark) => mark.of)
    }
    expect(share('lamp')).toBeGreaterThan(share('book'))
    expect(share('book')).toBeGreaterThan(share('chance'))
  })

  it('each try marks what its case is about: right by whoever mends it and nothing else before it', () => {
    for (const { hand, after: looked } of [...after.values()].flat()) {
      const about = hand.practice.faults.flatMap(ideasOfFault).filter((idea) => idea !== 'order')
      for (const idea of about) {
        const mark = looked.marks.find((each) => each.idea === idea)
        expect(mark).toBeDefined()
        if (!looked.isFound) expect(mark!.right).toBeLessThan(mark!.of)
      }
    }
  })

  it('and so do the estimates of their skill, from the one line that each try leaves', () => {
    const skills = (name: string): Skills =>
      skillsOf(
        triedIn(
          runs(name).map(({ hand, after: looked }, index) => {
            const { begun } = hand.state
            const of = { ...begun.body.of, code: hand.practice.code }
            const state = { ...hand.state, begun: { ...begun, body: { ...begun.body, of } } }
            return triedLine(index, triedOf(looked, state, hand.lines))
          }),
        ),
      )
    const [lamp, book, byLuck] = [skills('lamp'), skills('book'), skills('chance')]
    expect(lamp.all.tries).toBe(KINDS_ALL.length)
    expect(lamp.all.low).toBeGreaterThan(book.all.estimate)
    expect(book.all.estimate).toBeGreaterThan(byLuck.all.estimate)
    expect(lamp.ideas.order.low).toBeGreaterThan(byLuck.ideas.order.high)
  })
})

/** The line of a try, as it is read from the journal. */
function triedLine(index: number, body: EntryBodies['practice-tried']): Entry {
  const id = `0190a8c0-0000-7000-8000-${String(index).padStart(12, '0')}`
  const entry = {
    id,
    v: ENTRY_VERSION,
    visitId: null,
    kind: 'practice-tried',
    at: '2026-05-12T08:00:00.000Z',
    author: 'x',
  }
  return validEntry({ ...entry, body })
}

const AT_SUPPLY = new Set(['breaker', 'gfci', 'interlock', 'breaker-voltage', 'outlet-voltage'])

/** Reads a check as the bench or a hand would, everything it asks for done before. */
function readOf(practice: PracticeCase, asked: Finding): Finding | undefined {
  const { machine, seed } = practice
  const live = checkInfo(asked.check)?.gates.includes('power-on') ?? false
  // Nothing live is read of what lets go.
  if (live && letsGo(machine, AS_FOUND) && !AT_SUPPLY.has(asked.check)) return undefined
  if (!isOfBench(asked.check)) return findingOf({ question: asked, answer: answer(machine, asked, chance(seed), 0) })
  const places = placesFor(asked, machine)
  if (!places) return undefined
  const parted = new Set(places.parted)
  const hands: Hands = {
    ...AS_FOUND,
    power: live,
    electronicsOff: !live,
    asked: places.asked ?? true,
    pulled: parted.has('splice') || asked.check === 'capacitance',
    parted,
  }
  const now = { ...hands, tripped: false }
  const read = benchReads(machine, now, places.probing, meterShows(machine, now, places.probing, chance(seed))).find(
    ({ question }) => question.check === asked.check,
  )
  return read && findingOf({ question: asked, answer: read.answer })
}

/** What is believed after the four readings that tell most, one after the other. */
function mostTelling(findings: readonly Finding[], believed: (read: readonly Finding[]) => number): number {
  const read: Finding[] = []
  for (let turn = 0; turn < 4; turn++) {
    const next = findings
      .filter((each) => !read.includes(each))
      .map((each) => ({ each, belief: believed([...read, each]) }))
      .sort((a, b) => b.belief - a.belief)[0]
    if (next) read.push(next.each)
  }
  return believed(read)
}

describe('every fault of every kind can be found at the bench by instruments, eyes and hands', () => {
  it.each(KINDS_ALL)('%s', (kind) => {
    const machine = buildMachine(kind, chance(5))
    const hidden: string[] = []
    for (const { fault } of faultsPossible(kind, machine.construction, machine.motorType)) {
      const beliefs: number[] = []
      for (let seed = 1; seed <= 6 && Math.max(0, ...beliefs) < 0.6; seed++) {
        const drawn = drawCase(seed * 31, kind, worldOf(41), fault)
        if (!drawn) continue
        const practice = { ...drawn, code: '', hardness: 'one', callerSays: '' } as PracticeCase
        const model = buildModel(practice.pump)
        const findings = model.checks.flatMap((check) => {
          const asked = pickAsked(check)
          const info = checkInfo(asked.check)
          if (!info || !isAsked(info) || check.standings) return []
          return readOf(practice, asked) ?? []
        })
        const cures = rightRepairs(model, practice, UNNAMED_SHOP).flatMap((repair) => repair.cures)
        const believed = (read: readonly Finding[]) =>
          cureChance(
            model.hypotheses,
            infer(model, { complaints: practice.complaints, findings: [...read] }).probabilities,
            cures,
          )
        beliefs.push(believed(findings), mostTelling(findings, believed))
      }
      if (beliefs.length > 0 && Math.max(...beliefs) < 0.6) hidden.push(`${fault} ${Math.max(...beliefs).toFixed(2)}`)
    }
    expect(hidden).toEqual([])
  })
})
