import { PRESSURES } from '../knowledge/water/pressures'
import { ATMOSPHERE } from '../knowledge/water/water'
import { KPA_PER_PSI } from '../quantity/conversions'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

export interface TankSetting {
  tankLitres: number
  prechargeKpa: number
  cutInKpa: number
  cutOutKpa: number
  atmosphereKpa?: number
}

/**
 * Water a tank gives between cut-out and cut-in, by Boyle's law.
 *
 * With more air than cut-in the tank is empty before the switch closes; then the water between cut-out and empty is
 * what it gives.
 *
 * @returns litres; `emptyBeforeCutIn` where the precharge stands above cut-in
 * @throws InputError when cut-out is not above cut-in, or the precharge not below cut-out
 */
export function tankDrawdown({
  tankLitres,
  prechargeKpa,
  cutInKpa,
  cutOutKpa,
  atmosphereKpa = ATMOSPHERE.seaLevelKpa,
}: TankSetting): { drawdownLitres: number; waterAtCutInLitres: number; emptyBeforeCutIn: boolean } {
  if (cutOutKpa <= cutInKpa) throw badField('cutOutKpa', cutOutKpa, say`above the cut-in of ${q(cutInKpa, 'pressure')}`)
  if (prechargeKpa >= cutOutKpa)
    throw badField(
      'prechargeKpa',
      prechargeKpa,
      say`below the cut-out of ${q(cutOutKpa, 'pressure')}: with more air the tank never takes water`,
    )
  const air = tankLitres * (prechargeKpa + atmosphereKpa)
  const water = (kpa: number) => Math.max(0, tankLitres - air / (kpa + atmosphereKpa))
  const { emptyBeforeCutIn } = judgePrecharge(prechargeKpa, cutInKpa)
  return { drawdownLitres: water(cutOutKpa) - water(cutInKpa), waterAtCutInLitres: water(cutInKpa), emptyBeforeCutIn }
}

/** What the air should stand at with the tank empty of water: a little below cut-in, kPa. */
export function wantedPrecharge(cutInKpa: number): number {
  return Math.max(0, cutInKpa - PRESSURES.precharge.belowCutInPsi * KPA_PER_PSI)
}

/** A precharge as it stands against what it should be. */
export interface PrechargeJudged {
  verdict: 'sound' | 'tired' | 'failed'
  wantedKpa: number
  /** Above what is wanted; negative below. */
  offKpa: number
  lowKpa: number
  highKpa: number
  emptyBeforeCutIn: boolean
}

/** Rounding of the units between which a pressure was turned. */
const SAME_KPA = 1e-9

/**
 * Judges a precharge, tank empty of water. Within the tolerance it is sound; above cut-in the taps run dry before the
 * pump starts, and far below the bladder is nearly all water: both fail. Between these it wants charging.
 *
 * @param cutInKpa the switch's cut-in
 */
export function judgePrecharge(prechargeKpa: number, cutInKpa: number): PrechargeJudged {
  const wantedKpa = wantedPrecharge(cutInKpa)
  const { tolerancePsi, failedBelowPsi } = PRESSURES.precharge
  const tolerance = tolerancePsi * KPA_PER_PSI
  const offKpa = prechargeKpa - wantedKpa
  const emptyBeforeCutIn = prechargeKpa > cutInKpa + SAME_KPA
  const verdict =
    emptyBeforeCutIn || offKpa < -failedBelowPsi * KPA_PER_PSI - SAME_KPA
      ? 'failed'
      : Math.abs(offKpa) <= tolerance + SAME_KPA
        ? 'sound'
        : 'tired'
  return { verdict, wantedKpa, offKpa, lowKpa: wantedKpa - tolerance, highKpa: wantedKpa + tolerance, emptyBeforeCutIn }
}

/**
 * The tank that gives a run of at least so many seconds with nobody drawing, litres; `share` is what each litre of tank
 * gives.
 */
export function tankSize({
  flowLitresPerSecond,
  minimumRunSeconds,
  ...setting
}: Omit<TankSetting, 'tankLitres'> & { flowLitresPerSecond: number; minimumRunSeconds: number }): {
  tankLitres: number
  drawdownLitres: number
  share: number
} {
  const drawdownLitres = flowLitresPerSecond * minimumRunSeconds
  const share = tankDrawdown({ ...setting, tankLitres: 1 }).drawdownLitres
  if (!(share > Number.EPSILON))
    throw badField(
      'cutOutKpa',
      setting.cutOutKpa,
      say`farther above the cut-in of ${q(setting.cutInKpa, 'pressure')}: between these the tank gives nothing`,
    )
  return { tankLitres: drawdownLitres / share, drawdownLitres, share }
}

/**
 * On and off at a steady draw.
 *
 * @throws InputError when the pump does not give more than is drawn: then it never stops
 */
export function cycleOf({
  drawLitresPerSecond,
  pumpLitresPerSecond,
  storedLitres,
}: {
  drawLitresPerSecond: number
  pumpLitresPerSecond: number
  storedLitres: number
}): { onSeconds: number; offSeconds: number; startsPerHour: number } {
  if (pumpLitresPerSecond <= drawLitresPerSecond)
    throw badField(
      'pumpLitresPerSecond',
      pumpLitresPerSecond,
      say`more than the ${q(drawLitresPerSecond, 'flow')} that is drawn: otherwise it never stops`,
    )
  const onSeconds = storedLitres / (pumpLitresPerSecond - drawLitresPerSecond)
  const offSeconds = storedLitres / drawLitresPerSecond
  return { onSeconds, offSeconds, startsPerHour: 3600 / (onSeconds + offSeconds) }
}
