import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Finding } from '../diagnosis/finding'
import { CHECKS, checkInfo, isAsked } from '../knowledge/checks/checks'
import { saidOf } from '../knowledge/said/said'
import { KINDS, MOTOR_TYPES, type Kind, type MotorType } from '../knowledge/vocabulary'
import { completePlate } from '../motor/nameplate'
import { lexicon } from './lexicon'
import { isHere, type Scene } from './scene'
import { understand } from './understand'

const SCENES: readonly Scene[] = (Object.keys(KINDS) as Kind[]).flatMap((kind) =>
  (Object.keys(MOTOR_TYPES) as MotorType[]).map((motorType): Scene => {
    const nameplate = { volts: 230, motorType }
    return {
      kind,
      plate: completePlate({ kind, nameplate }),
      printed: nameplate,
      standing: 'installed',
      gates: new Set(),
    }
  }),
)
/** Every check that is seen, with each of its outcomes and each way of saying it, on every machine that has it. */
const SEEN = SCENES.flatMap((scene) =>
  Object.keys(CHECKS)
    .filter((check) => isHere(check, scene) && isAsked(checkInfo(check)!))
    .flatMap((check) =>
      Object.entries(saidOf(check).outcomes ?? {}).flatMap(([outcome, words]) =>
        words.map((word) => ({
          scene,
          check,
          outcome,
          name: saidOf(check).names[0] as string,
          word: word.replace(/^[!+]/, ''),
        })),
      ),
    ),
)
const said = fc.constantFrom(...SEEN)
const RUNS = { numRuns: 800 }

const facts = (findings: readonly Finding[]) =>
  findings.map(({ check, outcome, value }) => `${check}=${outcome ?? value}`).sort()
const hear = (line: string, scene: Scene) => {
  const { findings, ask, note } = understand(line, scene)
  return { facts: facts(findings), findings, asked: ask !== null, noted: note !== null }
}

describe('whatever is done to a line, it says the same or asks, and never another thing', () => {
  it('said with its name', () => {
    fc.assert(
      fc.property(said, ({ scene, check, outcome, name, word }) => {
        const heard = hear(`${name} ${word}`, scene)
        for (const { check: heardCheck, outcome: heardOutcome } of heard.findings)
          expect(`${heardCheck}=${heardOutcome}`).toBe(`${check}=${outcome}`)
      }),
      RUNS,
    )
  })

  it('denied', () => {
    fc.assert(
      fc.property(said, ({ scene, check, outcome, name, word }) => {
        const { facts: denied } = hear(`${name} not ${word}`, scene)
        expect(denied).not.toContain(`${check}=${outcome}`)
        const { facts: none } = hear(`${name} is not ${word}`, scene)
        expect(none).not.toContain(`${check}=${outcome}`)
      }),
      RUNS,
    )
  })

  it('with a slip of the finger', () => {
    fc.assert(
      fc.property(said, fc.nat(), fc.constantFrom('swap', 'drop', 'double'), (case_, at, slip) => {
        const { scene, name, word } = case_
        const line = `${name} ${word}`
        const plain = hear(line, scene)
        const slipped = hear(slipIn(line, at, slip), scene)
        for (const fact of slipped.facts) expect(plain.facts).toContain(fact)
      }),
      RUNS,
    )
  })

  it('with the answer before the name', () => {
    fc.assert(
      fc.property(said, ({ scene, check, name, word }) => {
        const plain = hear(`${name} ${word}`, scene)
        const turned = hear(`${word} ${name}`, scene)
        for (const finding of turned.findings) {
          if (finding.check === check && plain.facts.length > 0)
            expect(plain.facts).toContain(`${finding.check}=${finding.outcome}`)
        }
      }),
      RUNS,
    )
  })

  it('beside another reading, before it and behind it', () => {
    fc.assert(
      fc.property(said, fc.boolean(), ({ scene, name, word }, before) => {
        const line = `${name} ${word}`
        const plain = hear(line, scene)
        const longer = hear(before ? `supply 231 v, ${line}` : `${line}, supply 231 v`, scene)
        if (longer.asked || plain.asked || plain.facts.length === 0) {
          for (const fact of longer.facts) expect([...plain.facts, 'supply-voltage=231']).toContain(fact)
        } else expect(longer.facts).toEqual([...plain.facts, 'supply-voltage=231'].sort())
      }),
      RUNS,
    )
  })

  it('two of them in one line', () => {
    fc.assert(
      fc.property(said, fc.nat(), (first, pick) => {
        const others = SEEN.filter(({ scene, check }) => scene === first.scene && check !== first.check)
        const second = others[pick % others.length] as (typeof SEEN)[number]
        const [a, b] = [first, second].map(({ name, word }) => `${name} ${word}`)
        const apart = [...hear(a as string, first.scene).facts, ...hear(b as string, first.scene).facts]
        for (const fact of hear(`${a}, ${b}`, first.scene).facts) expect(apart).toContain(fact)
      }),
      RUNS,
    )
  })
})

const READINGS = [
  { line: (figure: string, unit: string) => `supply ${figure}${unit}`, unit: 'v', check: 'supply-voltage' },
  { line: (figure: string, unit: string) => `amps ${figure}${unit}`, unit: 'a', check: 'running-current' },
  { line: (figure: string, unit: string) => `meg ${figure}${unit}`, unit: 'meg', check: 'insulation-resistance' },
  { line: (figure: string, unit: string) => `flow ${figure}${unit}`, unit: 'gpm', check: 'flow' },
]

describe('a figure', () => {
  it('is the same glued, spaced, with a decimal comma and behind its name or before it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SCENES.filter(({ kind }) => kind === 'pool')),
        fc.constantFrom(...READINGS),
        fc.integer({ min: 2, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        (scene, { line, unit, check }, whole, tenth) => {
          const ways = [
            line(`${whole}.${tenth}`, ` ${unit}`),
            line(`${whole}.${tenth}`, unit),
            line(`${whole},${tenth}`, ` ${unit}`),
          ].map((way) => hear(way, scene))
          for (const { findings, asked } of ways)
            if (!asked) expect(findings).toMatchObject([{ check, value: Number(`${whole}.${tenth}`) }])
          expect(new Set(ways.map(({ facts: heard, asked }) => `${heard} ${asked}`)).size).toBe(1)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('never becomes a reading of two things', () => {
    fc.assert(
      fc.property(said, fc.integer({ min: 3, max: 900 }), ({ scene, name, word }, figure) => {
        const { findings } = hear(`${name} ${word} ${figure}`, scene)
        expect(findings.filter(({ value }) => value === figure).length).toBeLessThanOrEqual(1)
      }),
      RUNS,
    )
  })
})

/** One slip in the longest word of a line. */
function slipIn(line: string, at: number, kind: string): string {
  const words = line.split(' ')
  const index = words.reduce((longest, word, here) => (word.length > (words[longest]?.length ?? 0) ? here : longest), 0)
  const word = words[index] as string
  if (word.length < 5) return line
  const place = 1 + (at % (word.length - 2))
  const [before, here, after] = [word.slice(0, place), word[place] as string, word.slice(place + 1)]
  const slipped =
    kind === 'drop'
      ? before + after
      : kind === 'double'
        ? before + here + here + after
        : before + (after[0] ?? '') + here + after.slice(1)
  // A slip that makes another known word says that word, and nobody can tell: a hose for a house.
  if (lexicon().words.has(slipped)) return line
  words[index] = slipped
  return words.join(' ')
}
