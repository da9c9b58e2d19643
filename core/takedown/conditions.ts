import { CEMENT_CURE, COOLING_MINUTES, RETAINING_COMPOUND, USUAL_JOINT } from '../knowledge/repairs/cures'
import type { Assembly, SelfRunning, WorkStep } from '../knowledge/constructions/joint'
import { about } from '../knowledge/constructions/shared'
import { wayOf, type PracticeWays } from '../knowledge/shop/practices'
import type { Part } from '../knowledge/vocabulary'
import { formatNumber as n } from '../quantity/format'
import { q, render, say, type Reader, type Telling } from '../quantity/sentence'

/** What was measured at this job that its steps and waits hang on. */
export interface JobConditions {
  /** Nominal size of the pipe that is glued, inches. */
  pipeInches?: number
  /** The colder of air and pipe, °C. */
  celsius?: number
  /** Diametral clearance of a new bearing on the shaft, mm. */
  bearingClearanceMm?: number
  /** Only one of the two bearings is renewed: the other spins silent. */
  oneBearing?: boolean
  /** The new pump’s outlet above the old one’s, mm; below it, negative. */
  outletHigherMm?: number
  /** A hand cannot rest on the motor’s shell. */
  hot?: boolean
}

/** Between what a measurement of a job can be. */
export const CONDITION_BOUNDS = {
  pipeInches: { above: 0, max: 12 },
  celsius: { min: -30, max: 60 },
  bearingClearanceMm: { min: 0, max: 5 },
  outletHigherMm: { min: -2000, max: 2000 },
} as const

/** Can this have been measured? */
export function isMeasurable(field: keyof typeof CONDITION_BOUNDS, value: number): boolean {
  const {
    above = -Infinity,
    min = -Infinity,
    max,
  }: { above?: number; min?: number; max: number } = CONDITION_BOUNDS[field]
  return Number.isFinite(value) && value > above && value >= min && value <= max
}

/**
 * Minutes before pressure on a cemented joint, by pipe size and temperature.
 *
 * @returns the last row of the table for a pipe or a frost beyond it
 */
export function cementCureMinutes({
  pipeInches = USUAL_JOINT.pipeInches,
  celsius = USUAL_JOINT.celsius,
}: JobConditions): number {
  const size = CEMENT_CURE.sizes.find(({ upToInches }) => pipeInches <= upToInches) ?? CEMENT_CURE.sizes.at(-1)
  const row = size?.minutes.find(({ fromCelsius }) => celsius >= fromCelsius) ?? size?.minutes.at(-1)
  return (row as { minutes: number }).minutes
}

/** A wait as it is at this job; none where what it waits for is not so. */
export function waitHere(wait: SelfRunning | undefined, conditions: JobConditions): SelfRunning | undefined {
  if (wait?.by === 'heat') return conditions.hot ? { ...wait, minutes: COOLING_MINUTES } : undefined
  if (wait?.by !== 'cement') return wait
  const { pipeInches = USUAL_JOINT.pipeInches, celsius = USUAL_JOINT.celsius } = conditions
  return {
    ...wait,
    minutes: cementCureMinutes(conditions),
    // Pipe is named by its nominal inches in either system.
    what: say`the cement cures: ${n(pipeInches)} in at ${q(celsius, 'temperature')}${
      conditions.pipeInches === undefined && conditions.celsius === undefined ? ', taken as usual' : ''
    }`,
  }
}

/** How a new bearing sits on its shaft, by its measured clearance. */
export type BearingFit = 'not-measured' | 'snug' | 'compound' | 'renew'
/**
 * Within the compound's limit a loose bearing is packed where the shop does so; beyond it the shaft or the motor is
 * renewed.
 */
export function bearingFit({ bearingClearanceMm }: JobConditions, ways?: PracticeWays): BearingFit {
  if (bearingClearanceMm === undefined) return 'not-measured'
  if (bearingClearanceMm <= RETAINING_COMPOUND.snugMm) return 'snug'
  return bearingClearanceMm <= RETAINING_COMPOUND.fillsMm && wayOf('loose-bearing', ways) === 'compound'
    ? 'compound'
    : 'renew'
}

/** The work at a part as its construction has it, with what this job’s measurements add to it. */
export function workHere(
  part: Part,
  assembly: Assembly,
  steps: readonly WorkStep[],
  conditions: JobConditions,
  ways?: PracticeWays,
): readonly WorkStep[] {
  if (part === 'bearings')
    return steps.flatMap((step) =>
      step.id === 'press-drive'
        ? [...bearingSteps(conditions, ways), ...oneOf(step, conditions)]
        : oneOf(step, conditions),
    )
  if (part === 'pump' && assembly === 'sump-sealed') return [...steps, ...outletSteps(conditions)]
  return steps
}

/** One bearing instead of two: the other spins silent, without play, and stays. */
function oneOf(step: WorkStep, { oneBearing }: JobConditions): WorkStep[] {
  if (!oneBearing) return [step]
  if (step.id.endsWith('-far')) return []
  if (step.id === 'pull-drive')
    return [
      { ...step, text: 'Draw the bad bearing by the inner ring; the other spins silent, without play, and stays' },
    ]
  return step.id === 'press-drive'
    ? [{ ...step, text: 'Press the new one on by the inner ring only, square, to the shoulder' }]
    : [step]
}

function bearingSteps(conditions: JobConditions, ways?: PracticeWays): WorkStep[] {
  const { fillsMm, handleMinutes, loadHours } = RETAINING_COMPOUND
  const clearance = q(conditions.bearingClearanceMm ?? 0, 'bore')
  const fills = q(fillsMm, 'bore')
  const fit = bearingFit(conditions, ways)
  if (fit === 'compound')
    return [
      {
        id: 'dry-fit',
        text: 'Alcohol on shaft and bore, everything dry-fitted, apart again: the compound waits for nobody',
        tool: 'alcohol',
        minutes: about(3),
      },
      {
        id: 'compound',
        text: say`Primer, then retaining compound on the shaft: ${clearance} of clearance, it fills up to ${fills};
          a thin ring, the bearing straight on. Full load after ${loadHours} h`,
        tool: 'primer',
        minutes: about(4),
        bench: true,
        materials: ['retaining compound'],
        practices: ['loose-bearing'],
        wait: { minutes: handleMinutes, what: 'the retaining compound takes', closes: 'through-bolts' },
      },
    ]
  if (fit === 'renew')
    return [
      {
        id: 'renew-shaft',
        text: say`Stop: ${clearance} of clearance ${
          (conditions.bearingClearanceMm ?? 0) > fillsMm
            ? say`is more than the ${fills} a retaining compound fills`
            : 'is not packed in this shop'
        }; a new shaft or motor`,
        minutes: about(2),
        spends: ['motor'],
        practices: ['loose-bearing'],
      },
    ]
  return []
}

function outletSteps({ outletHigherMm }: JobConditions): WorkStep[] {
  if (!outletHigherMm) return []
  const by = q(Math.abs(outletHigherMm), 'bore')
  return [
    {
      id: 'outlet',
      text:
        outletHigherMm > 0
          ? say`Piece between pump and check valve ${by} shorter: the new outlet is higher by that. Cut square,
              deburred, dry-fitted, marked, then primer on both and cement on both`
          : say`Piece between pump and check valve ${by} longer: the new outlet is lower by that. A new piece cut, or
              a coupling and ${by} added, dry-fitted, marked, then primer on both and cement on both`,
      tool: 'pipe saw, primer, cement',
      minutes: about(outletHigherMm > 0 ? 10 : 14),
      caution: 'Primer and cement vapours: air the cellar, no flame.',
      materials: ['primer and cement', ...(outletHigherMm > 0 ? [] : ['pipe and a coupling'])],
      wait: { minutes: 0, what: 'the cement cures', closes: 'unplug', by: 'cement' },
    },
  ]
}

/** What was measured, as a person would write it. */
export function conditionText(
  { pipeInches, celsius, bearingClearanceMm, outletHigherMm, oneBearing, hot }: JobConditions,
  reader: Reader,
): string {
  const told = (telling: Telling) => render(telling, reader)
  return [
    pipeInches === undefined ? '' : `pipe ${n(pipeInches)} in`,
    celsius === undefined ? '' : told(say`${q(celsius, 'temperature')}`),
    bearingClearanceMm === undefined ? '' : told(say`bearing clearance ${q(bearingClearanceMm, 'bore')}`),
    outletHigherMm === undefined
      ? ''
      : told(say`new outlet ${q(Math.abs(outletHigherMm), 'bore')} ${outletHigherMm < 0 ? 'lower' : 'higher'}`),
    oneBearing === undefined ? '' : oneBearing ? 'one bearing' : 'both bearings',
    hot === undefined ? '' : hot ? 'motor hot' : 'motor cool',
  ]
    .filter(Boolean)
    .join(', ')
}
