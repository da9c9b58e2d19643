import { BLEED, CAPACITOR } from '../knowledge/electrical/limits'
import { badField } from '../validation/input-error'
import { judgeRange, type PlainJudgement } from '../judgement/judgement'
import { formatNumber } from '../quantity/format'

export type CapacitorRole = 'run' | 'start'

export interface CapacitorBand {
  ratedMicrofarads: number
  lowMicrofarads: number
  highMicrofarads: number
}

/**
 * The band a capacitor must read in.
 *
 * @param role run: rating ± tolerance; start: −0/+20 % of the lower printed figure
 * @param rated one figure, or the printed range, in microfarads
 * @param tolerancePercent printed tolerance of a run capacitor; default 6
 * @source printed tolerance; common practice for start types
 */
export function capacitorBand(
  role: CapacitorRole,
  rated: number | readonly [number, number],
  tolerancePercent?: number,
): CapacitorBand {
  if (typeof rated !== 'number')
    return { ratedMicrofarads: rated[0], lowMicrofarads: rated[0], highMicrofarads: rated[1] }
  if (tolerancePercent !== undefined || role === 'run') {
    const tolerance = (tolerancePercent ?? CAPACITOR.runTolerancePercent) / 100
    return {
      ratedMicrofarads: rated,
      lowMicrofarads: rated * (1 - tolerance),
      highMicrofarads: rated * (1 + tolerance),
    }
  }
  return { ratedMicrofarads: rated, lowMicrofarads: rated, highMicrofarads: rated * CAPACITOR.startHighFraction }
}

/** Judges a measured capacitance against its band. Microfarads. */
export function judgeCapacitance(
  role: CapacitorRole,
  band: CapacitorBand,
  measuredMicrofarads: number,
): PlainJudgement {
  const { ratedMicrofarads: rated, lowMicrofarads: low, highMicrofarads: high } = band
  const { verdict, margin } = judgeRange(measuredMicrofarads, { low, high })
  const deviation = (100 * (measuredMicrofarads - rated)) / rated
  const limits = `${formatNumber(low)} to ${formatNumber(high)} μF`
  // A run capacitor wears downwards only: the low side alone has a tired strip. A start type may sit anywhere in its
  // band.
  const tiredBelow = low + ((high - low) / 2) * CAPACITOR.tiredFraction
  const tired = role === 'run' && verdict === 'sound' && measuredMicrofarads < tiredBelow
  const because =
    measuredMicrofarads < rated * CAPACITOR.openFraction
      ? `reads next to nothing: open`
      : measuredMicrofarads > rated * CAPACITOR.shortedFraction
        ? `far over its rating: shorted, or not the part on the can`
        : verdict === 'failed'
          ? `${formatNumber(Math.abs(deviation))} % ${deviation < 0 ? 'under' : 'over'} ${formatNumber(rated)} μF, ` +
            `outside ${limits}`
          : tired
            ? `inside ${limits}, ${formatNumber(Math.abs(deviation))} % under: near the end of its life`
            : `inside ${limits}`
  return {
    subject: `${role} capacitor`,
    value: measuredMicrofarads,
    unit: 'uF',
    verdict: tired ? 'tired' : verdict,
    low,
    high,
    margin,
    because,
    basis: role === 'run' ? CAPACITOR.runBasis : CAPACITOR.startBasis,
  }
}

/**
 * Capacitance of a capacitor that is running: C = I / (2π f V).
 *
 * @param volts across the capacitor itself, V RMS
 * @param amps in the capacitor's own lead, A RMS
 * @returns microfarads
 */
export function capacitanceFromCurrent(volts: number, amps: number, hertz: number): number {
  return (amps * 1e6) / (2 * Math.PI * hertz * volts)
}

export interface Bleed {
  seconds: number
  joules: number
  peakWatts: number
}

/**
 * How long a resistor needs to bring a charged capacitor down: t = RC·ln(V/Vsafe).
 *
 * @param volts DC at the start; √2 × the RMS working voltage across the can
 * @param ohms of the bleed resistor
 * @throws InputError when the safe voltage is not a positive voltage
 */
export function capacitorBleed(
  microfarads: number,
  volts: number,
  ohms: number = BLEED.ohms,
  safeVolts: number = BLEED.safeVolts,
): Bleed {
  if (!(safeVolts > 0))
    throw badField(
      'safeVolts',
      safeVolts,
      'a voltage above 0 V; a capacitor never reaches exactly zero through a resistor',
    )
  const farads = microfarads * 1e-6
  return {
    seconds: volts <= safeVolts ? 0 : ohms * farads * Math.log(volts / safeVolts),
    joules: (farads * volts * volts) / 2,
    peakWatts: (volts * volts) / ohms,
  }
}
