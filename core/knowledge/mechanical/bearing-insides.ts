import type { Basis } from '../../judgement/judgement'

/** What is inside of a deep-groove ball bearing, by its designation: balls, their size, the circle that they run on. */
export const BEARING_INSIDES: Readonly<
  Record<string, readonly [balls: number, ballMillimetres: number, pitchMillimetres: number]>
> = {
  '6200': [8, 4.762, 20],
  '6201': [7, 5.953, 22],
  '6202': [8, 5.953, 25],
  '6203': [8, 6.747, 28.5],
  '6204': [8, 7.938, 33.5],
  '6205': [9, 7.938, 39.04],
  '6206': [9, 9.525, 46],
  '6207': [9, 11.112, 53.5],
  '6303': [7, 8.731, 32],
  '6304': [7, 9.525, 36],
}
export const BEARING_INSIDES_BASIS: Basis = {
  kind: 'common-practice',
  name: 'usual insides of deep-groove ball bearings (from memory); makers differ by a ball',
}
/** What a bearing's rates follow from. */
export interface BearingInside {
  balls: number
  ballMillimetres: number
  pitchMillimetres: number
}

/** What is inside of a bearing, with or without its suffix; nothing where the table does not have it. */
export function bearingInside(designation: string): BearingInside | undefined {
  const base = /^\s*(6[0-3]\d\d)/.exec(designation)?.[1]
  if (base === undefined || !Object.hasOwn(BEARING_INSIDES, base)) return undefined
  const [balls, ballMillimetres, pitchMillimetres] = BEARING_INSIDES[base] as (typeof BEARING_INSIDES)[string]
  return { balls, ballMillimetres, pitchMillimetres }
}

/** In most motors of these sizes. */
export const USUAL_BEARING = '6203'
export const USUAL_INSIDE = bearingInside(USUAL_BEARING) as BearingInside
