import { CHECK_SAID, saidOf } from './said/said'
import { describe, expect, it } from 'vitest'
import { CHECKS, checkInfo, outcomeVerdict, partOfFinding } from './checks/checks'
import { DAMAGE_LOOKS } from './repairs/damage-looks'
import { KIND_KNOWLEDGE } from './faults/kinds'
import type { Component, Distribution, KindKnowledge } from './faults/model-types'
import { DEFAULT_RATES, RATES_BASIS } from './shop/rates'
import {
  COMPLAINTS,
  COMPLAINT_KINDS,
  complaintFits,
  CONSTRUCTIONS,
  FAULTS,
  GATES,
  isIdOf,
  KIND_CONSTRUCTIONS,
  KINDS,
  PARTS,
  type Kind,
} from './vocabulary'
import { WIRING_VIEWS } from './electrical/wiring'

const KIND_IDS = Object.keys(KINDS) as Kind[]
const knownOf = ({ faults }: KindKnowledge) => new Set<string>(faults.map(({ fault }) => fault))

describe('looks at what is found damaged', () => {
  it.each(Object.entries(DAMAGE_LOOKS))(
    '%s is looked at by %s, which has an outcome that is not sound',
    (part, check) => {
      expect(isIdOf(PARTS, part)).toBe(true)
      const info = checkInfo(check)
      expect(Object.values(info?.outcomes ?? {}).some((verdict) => verdict !== 'sound')).toBe(true)
      if (info?.parts) expect(info.parts).toContain(part)
    },
  )
})

describe('the vocabulary', () => {
  it('gives every kind its constructions, and every construction a kind', () => {
    expect(new Set(Object.values(KIND_CONSTRUCTIONS).flat())).toEqual(new Set(Object.keys(CONSTRUCTIONS)))
  })

  it('keeps ids lower-case and hyphenated, and labels written', () => {
    for (const table of [KINDS, CONSTRUCTIONS, COMPLAINTS, PARTS, FAULTS, GATES, CHECKS]) {
      for (const id of Object.keys(table)) expect(id).toMatch(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/)
    }
  })

  it('offers a complaint only to the kinds that can raise it', () => {
    expect(complaintFits('pit-flooded', 'pool')).toBe(false)
    expect(complaintFits('hums-no-start', 'sump')).toBe(true)
    for (const kinds of Object.values(COMPLAINT_KINDS)) expect(kinds.length).toBeGreaterThan(0)
  })

  it('takes no inherited key for an id', () => expect(isIdOf(PARTS, 'constructor')).toBe(false))
})

describe('the checks', () => {
  it.each(Object.keys(CHECKS))('%s is measured or seen, with gates that exist and words to name it', (id) => {
    const info = checkInfo(id)
    expect((info?.unit === undefined) !== (info?.outcomes === undefined)).toBe(true)
    for (const gate of info?.gates ?? []) expect(Object.keys(GATES)).toContain(gate)
    // What comes out of a recording is not said in words.
    if (info?.recorded) return expect(CHECK_SAID).not.toHaveProperty(id)
    const { names, outcomes = {} } = saidOf(id)
    expect(names.length).toBeGreaterThan(1)
    expect(names.every((name) => name === name.toLowerCase())).toBe(true)
    expect(Object.keys(outcomes)).toEqual(Object.keys(info?.outcomes ?? {}))
    for (const words of Object.values(outcomes)) expect(words.length).toBeGreaterThan(1)
    if (info?.unit) expect(info.plausible).toBeDefined()
    if (info?.gates.includes('power-on') && info.unit === 'V') expect(info.caution).toBeDefined()
  })

  it('never offers a live hand at a shaft: spinning it is history only', () => {
    expect(checkInfo('spin-start')?.historyOnly).toBe(true)
    expect(checkInfo('shaft-turn')?.gates).toEqual(['power-off', 'proved-dead'])
  })

  it('never measures a capacitor that is not discharged, nor insulation with electronics on', () => {
    expect(checkInfo('capacitance')?.gates).toContain('discharged')
    expect(checkInfo('insulation-resistance')?.gates).toEqual(
      expect.arrayContaining(['discharged', 'electronics-disconnected', 'hands-clear']),
    )
  })

  it('knows nothing of an unknown one', () => {
    expect(checkInfo('toString')).toBeUndefined()
    expect(outcomeVerdict('shaft-turn', 'wobbly')).toBeUndefined()
    expect(partOfFinding({ check: 'winding-resistance', leads: 'start-common' })).toBe('start-winding')
  })
})

describe.each(KIND_IDS)('what is known of a %s', (kind) => {
  const knowledge = KIND_KNOWLEDGE[kind]
  const known = knownOf(knowledge)

  it('has a basis on every row', () => {
    for (const row of [
      ...knowledge.faults,
      ...knowledge.pairs,
      ...knowledge.seen,
      ...knowledge.measured,
      ...knowledge.actions,
      knowledge.nothingWrong,
      knowledge.replacement,
      { basis: RATES_BASIS },
    ])
      expect(row.basis.name.length).toBeGreaterThan(5)
  })

  it('has a repair for every fault, and every repair cures something', () => {
    const cured = new Set<string>(knowledge.actions.flatMap(({ cures }) => cures))
    expect([...known].filter((fault) => !cured.has(fault))).toEqual([])
    for (const action of knowledge.actions) expect(action.cures.length).toBeGreaterThan(0)
  })

  it('prices every part that a repair takes', () => {
    const priced = Object.keys(DEFAULT_RATES.partPrices)
    expect(
      knowledge.actions
        .flatMap(({ parts }) => parts)
        .filter((part) => !priced.includes(part) && !priced.includes(`${part}:${kind}`)),
    ).toEqual([])
  })

  it('speaks only of faults that this kind can have', () => {
    const spoken = [
      ...knowledge.seen.flatMap(({ effects }) => Object.keys(effects)),
      ...knowledge.measured.flatMap(({ effects }) => Object.keys(effects)),
      ...knowledge.pairs.flatMap(({ faults }) => faults),
      ...knowledge.blocking,
      ...Object.values(knowledge.replacement.masks).flat(),
    ]
    expect(spoken.filter((fault) => !known.has(fault as string))).toEqual([])
  })

  it('has a check that speaks about every fault', () => {
    const spoken = new Set([
      ...knowledge.seen.flatMap(({ effects }) => Object.keys(effects)),
      ...knowledge.measured.flatMap(({ effects }) => Object.keys(effects)),
    ])
    expect([...known].filter((fault) => !spoken.has(fault))).toEqual([])
  })

  it('gives probabilities that are probabilities, over outcomes that exist', () => {
    const sum = (distribution: Distribution) => Object.values(distribution).reduce((total, value) => total + value, 0)
    for (const { check, order, leak, effects } of knowledge.seen) {
      const outcomes = order ?? Object.keys(checkInfo(check)?.outcomes ?? {})
      expect(
        outcomes.filter((outcome) => checkInfo(check)?.outcomes?.[outcome] === undefined),
        check,
      ).toEqual([])
      for (const distribution of [leak, ...Object.values(effects)]) {
        expect(
          Object.keys(distribution).filter((outcome) => !outcomes.includes(outcome)),
          check,
        ).toEqual([])
        expect(sum(distribution), check).toBeLessThanOrEqual(1)
      }
    }
    const weight = (components: readonly Component[]) =>
      components.reduce((total, component) => total + component.weight, 0)
    for (const { check, normal, effects } of knowledge.measured)
      for (const components of [normal, ...Object.values(effects)]) expect(weight(components), check).toBeCloseTo(1, 9)
    for (const { complaints } of knowledge.faults)
      expect(Object.values(complaints).every((chance) => chance > 0 && chance <= 1)).toBe(true)
  })

  it('names each construction’s and each complaint’s words, and a drawing of its wiring', () => {
    expect(WIRING_VIEWS.some(({ kinds }) => kinds.includes(kind))).toBe(true)
    for (const { points } of WIRING_VIEWS.filter(({ kinds }) => kinds.includes(kind)))
      for (const { checks } of points) for (const { check } of checks) expect(checkInfo(check), check).toBeDefined()
  })
})
