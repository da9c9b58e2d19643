import type { Basis } from '../../judgement/judgement'
import type { Kind, Part } from '../vocabulary'

/** Years that a part usually lives, from and to. */
export const LIVES: Readonly<Partial<Record<Part, readonly [from: number, to: number]>>> = {
  'shaft-seal': [3, 8],
  'housing-o-ring': [5, 12],
  'diffuser-o-ring': [5, 12],
  'lid-o-ring': [5, 12],
  bearings: [5, 10],
  motor: [5, 10],
  'run-capacitor': [5, 10],
  'start-capacitor': [5, 10],
  'start-switch': [8, 16],
  impeller: [8, 20],
  diffuser: [10, 25],
  'pressure-switch': [6, 12],
  tank: [7, 15],
  'check-valve': [6, 12],
  'float-switch': [5, 9],
  battery: [3, 5],
  splice: [12, 30],
  cable: [15, 35],
  stages: [8, 15],
  'thrust-bearing': [8, 15],
  pump: [7, 12],
  'start-relay': [8, 15],
  union: [10, 25],
  fan: [10, 25],
  'thermal-protector': [10, 25],
}
export const LIVES_BASIS: Basis = {
  kind: 'common-practice',
  name:
    'usual lives: seal 3–8 years, O-rings 5 and more, motor and capacitor 5–10, submersible 8–15, sump pump 7–10; ' +
    'else shop estimate',
}
/** Where a kind’s own life differs: `part:kind`. */
export const LIVES_OF_KIND: Readonly<Partial<Record<`${Part}:${Kind}`, readonly [from: number, to: number]>>> = {
  'motor:well-two-wire': [8, 15],
  'motor:well-three-wire': [8, 15],
  'pump:well-two-wire': [8, 15],
  'pump:well-three-wire': [8, 15],
  'pump:sump': [7, 10],
}

/** Years that a part of this kind usually lives; undefined where no table has it. */
export function livesOf(part: Part, kind: Kind): readonly [from: number, to: number] | undefined {
  return LIVES_OF_KIND[`${part}:${kind}`] ?? LIVES[part]
}

/** How sharply failures gather about the usual life, and how far ahead a second visit is looked for. */
export const WEAR_OUT = { shape: 3, horizonYears: 3 } as const
/** A part that reads tired fails this many times as readily as its age alone says. Shop estimate. */
export const TIRED_HAZARD = 3
/**
 * A machine that reads sound fails this many times as readily as its age alone says: the weak of its years have failed
 * already. Shop estimate.
 */
export const SOUND_HAZARD = 0.35
/** What a new motor or pump comes with, years. Common practice; the sheet in the box wins. */
export const NEW_WARRANTY_YEARS = 1
