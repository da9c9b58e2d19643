import type { Verdict } from '../../judgement/judgement'
import type { Telling } from '../../quantity/sentence'

/** A number of a lesson that can be pushed about. */
export interface Slider {
  is: 'slider'
  id: string
  label: string
  min: number
  max: number
  /** Where it stands at first. */
  at: number
  /** Even steps of the number, or of its logarithm. */
  scale: 'even' | 'log'
  told: (value: number) => Telling
}
/** One of a few states. */
export interface Choice {
  is: 'choice'
  id: string
  label: string
  options: readonly string[]
  /** Which of them it is at first. */
  at: number
}
export type LiveInput = Slider | Choice
/** What stands now, by input: a slider’s number, or which option. */
export type Values = Readonly<Record<string, number>>

export interface LiveFigure {
  id: string
  label: string
  told: Telling
  verdict?: Verdict
}
/** What follows from the values: figures as instruments and sums give them, and what they say together. */
export interface LiveNow {
  figures: readonly LiveFigure[]
  says: Telling
}

/** A picture of a lesson with its numbers live. */
export interface Live {
  inputs: readonly LiveInput[]
  now: (values: Values) => LiveNow
}

/** Declares one: its values are those of its inputs. */
export function defineLive<const Inputs extends readonly LiveInput[]>(
  inputs: Inputs,
  now: (values: Readonly<Record<Inputs[number]['id'], number>>) => LiveNow,
): Live {
  return { inputs, now: now as Live['now'] }
}

/** The values as they stand at first. */
export const valuesAtFirst = ({ inputs }: Live): Values => Object.fromEntries(inputs.map(({ id, at }) => [id, at]))

export const slider = <const Id extends string>(
  id: Id,
  label: string,
  [min, max]: readonly [number, number],
  at: number,
  told: Slider['told'],
  scale: Slider['scale'] = 'even',
) => ({ is: 'slider', id, label, min, max, at, scale, told }) as const

export const choice = <const Id extends string>(id: Id, label: string, options: readonly string[], at = 0) =>
  ({ is: 'choice', id, label, options, at }) as const
