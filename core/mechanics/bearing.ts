import { BEARINGS } from '../knowledge/mechanical/bearings'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

/**
 * Boundary dimensions of a deep-groove ball bearing by its designation; suffixes for seals and clearance do not matter.
 *
 * @throws InputError for a designation the table does not hold
 */
export function bearingSize(designation: string): {
  boreMillimetres: number
  outsideMillimetres: number
  widthMillimetres: number
} {
  const base = /^\s*(6[023]\d\d|6[02]\d(?!\d))/.exec(designation)?.[1]
  const found = base === undefined || !Object.hasOwn(BEARINGS, base) ? undefined : BEARINGS[base]
  if (!found)
    throw badField('designation', designation, `one of ${Object.keys(BEARINGS).join(', ')}, with or without its suffix`)
  return { boreMillimetres: found[0], outsideMillimetres: found[1], widthMillimetres: found[2] }
}

/**
 * The tones of a damaged ball bearing, Hz: outer and inner race, ball spin, a damaged ball (twice its spin), cage.
 *
 * @throws InputError when the balls do not fit on their circle
 */
export function bearingTones({
  balls,
  ballMillimetres,
  pitchMillimetres,
  contactDegrees = 0,
  rpm,
}: {
  balls: number
  ballMillimetres: number
  pitchMillimetres: number
  contactDegrees?: number
  rpm: number
}): { outerHz: number; innerHz: number; ballSpinHz: number; ballHz: number; cageHz: number } {
  if (balls * ballMillimetres >= Math.PI * pitchMillimetres)
    throw badField(
      'ballMillimetres',
      ballMillimetres,
      say`smaller: ${balls} balls of it do not fit on a circle of ${q(pitchMillimetres, 'bore')}`,
    )
  const shaft = rpm / 60
  const ratio = (ballMillimetres / pitchMillimetres) * Math.cos((contactDegrees * Math.PI) / 180)
  const ballSpinHz = (shaft * pitchMillimetres * (1 - ratio ** 2)) / (2 * ballMillimetres)
  return {
    outerHz: (shaft * balls * (1 - ratio)) / 2,
    innerHz: (shaft * balls * (1 + ratio)) / 2,
    ballSpinHz,
    ballHz: 2 * ballSpinHz,
    cageHz: (shaft * (1 - ratio)) / 2,
  }
}

/** Basic rating life: (C/P)^p million revolutions, and hours at a speed. */
export function bearingLife({
  dynamicNewtons,
  loadNewtons,
  rpm,
  exponent = 3,
}: {
  dynamicNewtons: number
  loadNewtons: number
  rpm: number
  exponent?: number
}): { millionRevolutions: number; hours: number } {
  const millionRevolutions = (dynamicNewtons / loadNewtons) ** exponent
  return { millionRevolutions, hours: (millionRevolutions * 1e6) / (60 * rpm) }
}
