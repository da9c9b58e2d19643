import type { Basis } from '../../judgement/judgement'
import type { Measure } from '../../quantity/measures'
import type { Part } from '../vocabulary'

/** How far a size may be off on one side once something is done about it, and what that is. */
export interface Bridge {
  /** In the field's unit, or a share where the rule is in shares; Infinity where it may be any. */
  within: number
  needs: string
}

/** How a number of what is offered is held against what is wanted. */
export interface NumberRule {
  /** Off by at most so much below and above: the same for all that is done here. */
  under: number
  over: number
  /** Both, and the bridges, are shares of what is wanted. */
  inShares?: true
  smaller?: Bridge
  larger?: Bridge
  /** Why it does not fit on that side. */
  tooSmall: string
  tooLarge: string
  basis: Basis
}
/** How one of several kinds is held against another: the same, or with something done about it. */
export interface ChoiceRule {
  /** By what is wanted, then by what is offered: what has to be done. */
  bridges?: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** What has to be done for every other one; without it no other fits. */
  needs?: string
  /** Choices stand from the least to the most: more than wanted fits. */
  isAtLeast?: true
  otherwise: string
  basis: Basis
}

export interface NumberField {
  as: 'number'
  label: string
  measure: Measure
  above?: number
  max: number
  significant?: number
  /** Without it nothing can be said to fit. */
  isEssential?: true
  /** Absent where it tells two apart for people and decides nothing. */
  rule?: NumberRule
}
/** One of several kinds: what it is kept as, and what it is called. */
export interface Choice {
  id: string
  label: string
}
export interface ChoiceField {
  as: 'choice'
  label: string
  /** A list, for sizes would lose their order as names of an object. */
  choices: readonly Choice[]
  isEssential?: true
  rule?: ChoiceRule
}
export interface TextField {
  as: 'text'
  label: string
  most: number
}
export type SpecField = NumberField | ChoiceField | TextField

/** Articles that are told apart by the same measures. */
export interface Family {
  name: string
  /** The parts of a machine that are such articles; none for what belongs to the work. */
  parts: readonly Part[]
  fields: Readonly<Record<string, SpecField>>
  /** How long it keeps on a shelf, months; absent where it keeps. */
  shelfMonths?: number
  /** Said with every answer. */
  caution?: string
}
/** Measures of an article, or of what is wanted; what is absent was not read. */
export type Spec = Readonly<Record<string, number | string>>

/** Measures without what was not read. */
export function readOf(measures: Readonly<Record<string, number | string | undefined>>): Spec {
  return Object.fromEntries(
    Object.entries(measures).filter((pair): pair is [string, number | string] => pair[1] !== undefined),
  )
}

/** Choices by their words, in that order. */
export function choicesOf(words: Readonly<Record<string, string>>): Choice[] {
  return Object.entries(words).map(([id, label]) => ({ id, label }))
}
