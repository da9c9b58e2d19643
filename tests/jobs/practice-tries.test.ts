import { describe, expect, it } from 'vitest'
import { BenchHand, byLamp, learn } from '../../bench/practice/learners'
import type { Harm } from '#core/knowledge/practice/harms'
import type { Kind } from '#core/knowledge/vocabulary'
import { US_READER } from '#core/quantity/sentence'
import { afterwardsOf } from '#core/practice/afterwards'
import { byHand, onBench, part, probe, turnControl } from '#core/practice/acting'
import { foldTry, harmsIn } from '#core/practice/fold-try'
import { practiceCase, type PracticeCase } from '#core/practice/practice-case'

/** A case of a kind in which just this is wrong. */
function caseWith(kind: Kind, fault: string, motorType?: string): PracticeCase {
  for (let seed = 1; seed < 400; seed++) {
    const practice = practiceCase({ kind, hardness: 'one', seed })
    if (practice.faults[0] === fault && (!motorType || practice.machine.motorType === motorType)) return practice
  }
  throw new Error(`no ${kind} with ${fault}`)
}
const harmsOf = (hand: BenchHand): Harm[] => harmsIn(hand.state)
const seal = () => caseWith('pool', 'shaft-seal-leaking')

describe('hands at a machine', () => {
  it('inside with the power on are hurt, and read nothing', () => {
    const hand = new BenchHand(seal())
    expect(hand.check({ check: 'shaft-turn' }, false)).toBe(false)
    expect(harmsOf(hand)).toEqual(['live-hands'])
    expect(hand.state.reads).toEqual([])
    expect(hand.state.minutes).toBeGreaterThan(0)
  })
  it('inside without having proved it dead read, and it is held against them', () => {
    const hand = new BenchHand(seal())
    hand.gate('power-off')
    hand.gate('discharged')
    expect(hand.check({ check: 'fan-look' }, false)).toBe(true)
    expect(harmsOf(hand)).toContain('not-proved')
  })
  it('that do it in its order are hurt by nothing', () => {
    const hand = new BenchHand(seal())
    expect(hand.check({ check: 'shaft-turn' })).toBe(true)
    expect(hand.check({ check: 'insulation-resistance', setup: 'surface-motor' })).toBe(true)
    expect(hand.check({ check: 'weep-hole' })).toBe(true)
    expect(harmsOf(hand)).toEqual([])
  })
  it('see nothing of what is closed, and hear nothing of what stands still', () => {
    const practice = seal()
    const hand = new BenchHand(practice)
    expect(byHand(practice, hand.state, { check: 'seal-look' }).refused).toMatch(/closed/)
    hand.gate('power-off')
    expect(byHand(practice, hand.state, { check: 'listen' }).refused).toMatch(/off/)
    hand.gate('power-on')
    expect(byHand(practice, hand.state, { check: 'listen' }).refused).toBeUndefined()
    expect(byHand(practice, hand.state, { check: 'no-such' }).refused).toBeDefined()
  })
  it('run a motor without its wet end only with its shaft guarded, and hear it', () => {
    const practice = seal()
    const open = (hand: BenchHand) => {
      for (const gate of ['power-off', 'proved-dead', 'valves-shut', 'depressurised', 'wet-end-open'] as const)
        hand.gate(gate)
    }
    const careful = new BenchHand(practice)
    open(careful)
    careful.gate('guards-on')
    careful.gate('power-on')
    expect(careful.check({ check: 'motor-alone-listen' }, false)).toBe(true)
    expect(harmsOf(careful)).toEqual([])
    const bare = new BenchHand(practice)
    open(bare)
    bare.gate('power-on')
    expect(harmsOf(bare)).toEqual(['power-open'])
    bare.gate('wet-end-open', false)
    bare.gate('power-off')
    bare.gate('power-on')
    expect(harmsOf(bare), 'closed, and not filled').toEqual(['power-open', 'run-dry'])
  })
  it('open nothing under pressure, and no splice that is down the well', () => {
    const hand = new BenchHand(seal())
    hand.gate('power-off')
    hand.gate('proved-dead')
    hand.gate('wet-end-open')
    expect(harmsOf(hand)).toEqual(['under-pressure'])
    const well = new BenchHand(practiceCase({ kind: 'well-two-wire', hardness: 'one', seed: 1 }))
    expect(part(well.state, 'splice', true).refused).toMatch(/pull/)
  })
})

describe('power', () => {
  it('is on as somebody comes, off by either handle, and leaves its charge in the can', () => {
    const hand = new BenchHand(caseWith('pool', 'shaft-seal-leaking', 'permanent-split'))
    expect(hand.state.hands).toMatchObject({ power: true, charged: false })
    hand.write('gate', { gate: 'power-on', shut: false })
    expect(hand.state.hands).toMatchObject({ power: false, charged: true })
    hand.gate('power-on')
    hand.gate('power-off')
    expect(hand.state.hands).toMatchObject({ power: false, charged: true })
    hand.gate('discharged')
    expect(hand.state.hands.charged).toBe(false)
  })
  it('on what has tripped before its insulation was read is harm, and after a sound reading is none', () => {
    const practice = caseWith('circulation', 'winding-to-ground')
    expect(practice.complaints.some((complaint) => complaint.startsWith('trips'))).toBe(true)
    const hand = new BenchHand(practice)
    hand.gate('power-off')
    hand.gate('power-on')
    expect(harmsOf(hand)).toContain('power-after-trip')
    const careful = new BenchHand(practice)
    careful.check({ check: 'insulation-resistance', setup: 'surface-motor' })
    careful.gate('power-on')
    expect(harmsOf(careful)).toEqual(['power-after-trip', 'power-grounded'])
  })
  it('on a grounded motor lets the supply go, and nothing is read behind it until it is reset', () => {
    const practice = caseWith('circulation', 'winding-to-ground')
    const hand = new BenchHand(practice)
    hand.gate('power-off')
    hand.gate('power-on')
    expect(hand.state.hands.tripped).toBe(true)
    const { shows } = onBench(practice, hand.state, { dial: 'volts', a: 't1', b: 't2' })
    expect(shows).toMatchObject({ is: 'figure' })
    expect(shows.is === 'figure' && shows.value).toBeLessThan(1)
    expect(byHand(practice, hand.state, { check: 'listen' }).refused).toMatch(/let go/)
  })
  it('on a shaft that is seized burns its winding, and only a new motor cures both', () => {
    const practice = caseWith('pool', 'motor-seized')
    const hand = new BenchHand(practice)
    hand.check({ check: 'shaft-turn' })
    hand.gate('power-on')
    expect(harmsOf(hand)).toContain('power-seized')
    expect(hand.state.broken).toEqual(['winding-shorted'])
    expect(hand.state.machine.motor.shortedTurns).toBeGreaterThan(0)
    hand.repair('swap-motor')
    expect(hand.state.broken).toEqual([])
    expect(hand.state.left).toEqual([])
  })
})

describe('a figure', () => {
  it('of the bench is read, costs the minutes of its check, and is then a finding for nothing', () => {
    const hand = new BenchHand(caseWith('pool', 'run-capacitor-failed'))
    hand.check({ check: 'capacitance', part: 'run-capacitor' })
    const [read] = hand.state.reads
    expect(read?.body).toMatchObject({ by: 'bench', question: { check: 'capacitance', part: 'run-capacitor' } })
    const before = hand.state.minutes
    hand.write('finding', {
      check: 'capacitance',
      part: 'run-capacitor',
      value: read?.body.answer.value,
      unit: 'uF',
      stage: 'test',
    })
    expect(hand.state.minutes).toBe(before)
    expect(harmsOf(hand)).toEqual([])
  })
  it('that nobody read is written down as that, zeros of a line that is live among them', () => {
    const live = new BenchHand(seal())
    live.gate('proved-dead')
    expect(harmsOf(live)).toEqual(['not-read'])
    const hand = new BenchHand(seal())
    hand.write('finding', { check: 'running-current', value: 9.4, unit: 'A', stage: 'test' })
    expect(harmsOf(hand)).toEqual(['not-read'])
  })
  it('on live ohms hurts, and 1000 V on a small motor is held against whoever puts them on', () => {
    const practice = seal()
    const hand = new BenchHand(practice)
    expect(probe(practice, hand.state, { dial: 'ohms', a: 't1', b: 't2' })).toMatchObject([
      { act: 'harmed', body: { harm: 'live-ohms' } },
    ])
    for (const gate of ['power-off', 'proved-dead', 'discharged'] as const) hand.gate(gate)
    const drafts = probe(practice, hand.state, { dial: 'volts-1000', a: 'm1', b: 'ground' })
    expect(drafts.map(({ act }) => act)).toEqual(['harmed', 'read'])
  })
  it('behind a control that is off is none', () => {
    const practice = seal()
    const hand = new BenchHand(practice)
    for (const { act } of turnControl(hand.state, false)) expect(act).toBe('asked')
    const off = { ...hand.state, hands: { ...hand.state.hands, asked: false } }
    const { shows } = onBench(practice, off, { dial: 'amps', a: 'jaw-one' })
    expect(shows.is === 'figure' && shows.value).toBeLessThan(0.2)
  })
})

describe('a repair', () => {
  it('that is the wrong one costs its parts and leaves the fault where it is; the right one cures it', () => {
    const hand = new BenchHand(caseWith('pool', 'run-capacitor-failed'))
    expect(hand.repair('replace-shaft-seal')).toBe(true)
    const wrong = hand.state
    expect(wrong.left).toEqual(['run-capacitor-failed'])
    expect(wrong.spent.parts).toBeGreaterThan(0)
    hand.comeBack()
    expect(hand.repair('replace-run-capacitor')).toBe(true)
    expect(hand.state.left).toEqual([])
    expect(hand.state.spent.parts).toBeGreaterThan(wrong.spent.parts)
  })
  it('that is half done has changed nothing yet', () => {
    const hand = new BenchHand(caseWith('pool', 'run-capacitor-failed'))
    hand.write('decision', { option: 'replace-run-capacitor' })
    expect(hand.state.repairs).toEqual([])
    expect(hand.state.spent.parts).toBe(0)
  })
  it('closes behind it what was opened by hand', () => {
    const hand = new BenchHand(seal())
    hand.check({ check: 'seal-look' })
    expect(hand.state.visit.gates.has('wet-end-open')).toBe(true)
    hand.repair('replace-shaft-seal')
    expect(hand.state.visit.gates.has('wet-end-open')).toBe(false)
    expect(harmsOf(hand)).toEqual([])
  })
})

describe('folded again', () => {
  it('is the same, whatever was folded before', () => {
    const practice = practiceCase({ kind: 'sump', hardness: 'one', seed: 4 })
    const hand = learn(practice, byLamp, 1)
    const again = practiceCase({ kind: 'sump', hardness: 'one', seed: 4 })
    expect(foldTry(again, structuredClone(hand.lines))).toEqual(hand.state)
  })
  it('is nothing without its beginning', () => {
    expect(foldTry(seal(), [])).toBeUndefined()
  })
})

describe('afterwards', () => {
  const lookBack = (hand: BenchHand) => afterwardsOf(hand.practice, hand.lines, hand.state, US_READER)
  it('of what was given up at once there is something to learn: what it was about', () => {
    const practice = caseWith('pool', 'suction-air-leak')
    const hand = new BenchHand(practice)
    hand.end('given-up')
    const after = lookBack(hand)
    expect(after).toMatchObject({ isFound: false, isGivenUp: true, unsafe: [], needless: [] })
    expect(after.lesson?.idea).toBe('suction')
    expect(after.marks).toContainEqual({ idea: 'suction', right: 0, of: expect.any(Number) })
  })

  it('who does what the lamp says is right beside it, and has nothing to learn of harm', () => {
    const hand = learn(caseWith('utility', 'run-capacitor-failed'), byLamp, 1)
    const after = lookBack(hand)
    expect(after.isFound).toBe(true)
    expect(after.unsafe).toEqual([])
    expect(after.missed).toEqual([])
    expect(after.totals.you.minutes).toBeLessThan(after.totals.lamp.minutes * 1.5)
    const both = after.rows.filter(({ you, lamp }) => you && lamp)
    expect(both.length).toBeGreaterThan(2)
  })

  it('names the wrong repair as needless, what it did not read as missed, and the idea behind it', () => {
    const hand = new BenchHand(caseWith('pool', 'run-capacitor-failed'))
    hand.repair('replace-shaft-seal')
    hand.comeBack()
    hand.repair('replace-run-capacitor')
    hand.end('handed-over')
    const after = lookBack(hand)
    expect(after.isFound).toBe(true)
    const wrong = after.rows.find(({ key }) => key === 'job:replace-shaft-seal')
    expect(wrong?.flags).toEqual(['needless'])
    expect(wrong?.told).toBe('it was not that')
    expect(after.missed.length).toBeGreaterThan(0)
    expect(after.lesson).toBeDefined()
    expect(after.leftAt).toBeDefined()
    expect(after.totals.you.price).toBeGreaterThan(after.totals.best.price)
  })

  it('puts harm before whatever else there is to learn, at the minute at which it was done', () => {
    const hand = new BenchHand(caseWith('pool', 'run-capacitor-failed'))
    hand.check({ check: 'shaft-turn' }, false)
    hand.end('given-up')
    const after = lookBack(hand)
    expect(after.isFound).toBe(false)
    expect(after.isGivenUp).toBe(true)
    expect(after.lesson).toMatchObject({ idea: 'order' })
    expect(after.unsafe).toMatchObject([{ harm: 'live-hands' }])
    expect(after.rows.find(({ flags }) => flags.includes('unsafe'))?.title).toBe('Turn the shaft by hand')
  })

  it('every rung of every way is in the ladder once, in its order', () => {
    const hand = learn(practiceCase({ kind: 'jet', hardness: 'one', seed: 2 }), byLamp, 1)
    const after = lookBack(hand)
    for (const way of ['you', 'lamp', 'best'] as const) {
      const numbers = after.rows.flatMap((row) => row[way]?.number ?? [])
      expect(new Set(numbers)).toEqual(new Set(numbers.map((_, index) => index + 1)))
      const minutes = after.rows.reduce((sum, row) => sum + (row[way]?.minutes ?? 0), 0)
      expect(minutes, way).toBeCloseTo(after.totals[way].minutes, 3)
    }
    const own = after.rows.flatMap(({ you }) => you?.number ?? [])
    expect(own).toEqual([...own].sort((a, b) => a - b))
  })
})
