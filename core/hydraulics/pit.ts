import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

/** A pit by its diameter or by its area. */
export interface PitShape {
  diameterMetres?: number
  areaSquareMetres?: number
}

/** @throws InputError unless exactly one of the two is given */
export function pitArea({ diameterMetres, areaSquareMetres }: PitShape): number {
  if ((diameterMetres === undefined) === (areaSquareMetres === undefined))
    throw badField('diameterMetres', diameterMetres, 'the pit by exactly one of diameterMetres, areaSquareMetres')
  return areaSquareMetres ?? (Math.PI / 4) * (diameterMetres as number) ** 2
}

export interface SumpCycle {
  storedLitres: number
  keepsUp: boolean
  onSeconds?: number
  offSeconds?: number
  startsPerHour?: number
}

/**
 * Run, rest and starts of a sump at a steady inflow. What drains back from the riser returns at once when the pump
 * stops.
 *
 * @param pumpLitresPerSecond leaving the pit
 * @returns no times where the pump does not keep up, or drains back all it took
 * @throws InputError when the on-level is not above the off-level, or more drains back than is stored
 */
export function sumpCycle(
  shape: PitShape,
  {
    onLevelMetres,
    offLevelMetres,
    inflowLitresPerSecond,
    pumpLitresPerSecond,
    drainBackLitres = 0,
  }: {
    onLevelMetres: number
    offLevelMetres: number
    inflowLitresPerSecond: number
    pumpLitresPerSecond: number
    drainBackLitres?: number
  },
): SumpCycle {
  if (onLevelMetres <= offLevelMetres)
    throw badField('onLevelMetres', onLevelMetres, say`above the off-level of ${q(offLevelMetres, 'level')}`)
  const storedLitres = 1000 * pitArea(shape) * (onLevelMetres - offLevelMetres)
  if (drainBackLitres >= storedLitres)
    throw badField(
      'drainBackLitres',
      drainBackLitres,
      say`less than the ${q(storedLitres, 'volume')} between the two levels: the pump would start again at once`,
    )
  if (pumpLitresPerSecond <= inflowLitresPerSecond) return { storedLitres, keepsUp: false }
  const onSeconds = storedLitres / (pumpLitresPerSecond - inflowLitresPerSecond)
  if (inflowLitresPerSecond === 0) return { storedLitres, keepsUp: true, onSeconds, startsPerHour: 0 }
  const offSeconds = (storedLitres - drainBackLitres) / inflowLitresPerSecond
  return { storedLitres, keepsUp: true, onSeconds, offSeconds, startsPerHour: 3600 / (onSeconds + offSeconds) }
}

/** Inflow from how fast the level rises with the pump off, and the pump's flow from how fast it falls with it on. */
export function pitDraw(
  shape: PitShape,
  {
    riseMetres,
    riseSeconds,
    fallMetres,
    fallSeconds,
  }: { riseMetres: number; riseSeconds: number; fallMetres: number; fallSeconds: number },
): { inflowLitresPerSecond: number; pumpLitresPerSecond: number } {
  const area = pitArea(shape)
  const inflowLitresPerSecond = (1000 * area * riseMetres) / riseSeconds
  return {
    inflowLitresPerSecond,
    pumpLitresPerSecond: (1000 * area * fallMetres) / fallSeconds + inflowLitresPerSecond,
  }
}

/** Water that runs back when a pump stops, litres. */
export function drainBackLitres(
  pipes: readonly { insideMillimetres: number; lengthMetres: number; fullFraction?: number }[],
  siphonLitres = 0,
): number {
  return (
    siphonLitres +
    pipes.reduce(
      (sum, { insideMillimetres, lengthMetres, fullFraction = 1 }) =>
        sum + 1000 * (Math.PI / 4) * (insideMillimetres / 1000) ** 2 * lengthMetres * fullFraction,
      0,
    )
  )
}
