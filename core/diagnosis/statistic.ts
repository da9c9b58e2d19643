import { capacitorBand } from '../electrical/capacitor'
import { correctInsulation } from '../electrical/insulation'
import { supplyWindow } from '../electrical/supply'
import { correctResistance } from '../electrical/winding'
import { CAPACITOR, CURRENT, INSULATION, PRESSURES } from '../knowledge/limits'
import type { MeasuredRow, Statistic } from '../knowledge/model-types'
import type { CompletePlate } from '../motor/nameplate'
import type { Finding } from './finding'

/** How a reading becomes the number that the likelihoods speak about, and back. */
export interface StatisticScale {
  /** From the canonical unit to the statistic. */
  from: (value: number, finding?: Finding) => number
  /** From the statistic to the canonical unit, for the ranges on the lamp's card. */
  back: (statistic: number) => number
  low: number
  high: number
  /** What `sd: 'band'` stands for. */
  bandSd: number
}

const ratio = (scale: number, low: number, high: number, bandSd = 0.05): StatisticScale => ({
  from: (value) => value / scale, back: (statistic) => statistic * scale, low: low / scale, high: high / scale, bandSd,
})

/** The scale of one measured check on one machine. Undefined when the machine has nothing to compare with. */
export function statisticScale(row: MeasuredRow, plate: CompletePlate): StatisticScale | undefined {
  const make: Record<Statistic, () => StatisticScale | undefined> = {
    'supply-ratio': () => {
      const { lowVolts, highVolts } = supplyWindow(plate.volts)
      return ratio(plate.volts, lowVolts, highVolts)
    },
    'load-ratio': () => ratio(plate.fullLoadAmps, plate.fullLoadAmps * CURRENT.lowFraction, plate.serviceFactorAmps),
    'run-capacitor-ratio': () => capacitorScale('run', plate.runCapacitorMicrofarads, plate.capacitorTolerancePercent),
    'start-capacitor-ratio': () => capacitorScale('start', plate.startCapacitorMicrofarads, undefined),
    'run-winding-ratio': () => windingScale(plate.runWinding),
    'start-winding-ratio': () => windingScale(plate.startWinding),
    'log-megohms': () => ({
      from: (value, finding) => Math.log10(Math.max(1e-3, finding?.celsius === undefined ? value : correctInsulation(value, finding.celsius, 40))),
      back: (statistic) => 10 ** statistic,
      low: Math.log10(INSULATION['surface-motor'].failedMegohms), high: Math.log10(INSULATION['surface-motor'].soundMegohms), bandSd: 0.3,
    }),
    plain: () => ({
      from: (value) => value, back: (statistic) => statistic, bandSd: 1,
      ...(row.check === 'filter-pressure' ? { low: 0, high: PRESSURES.filterHighPsi.value } : { low: PRESSURES.vacuum.lowInHg, high: PRESSURES.vacuum.highInHg }),
    }),
  }
  return make[row.statistic]()
}

function capacitorScale(role: 'run' | 'start', rated: number | [number, number] | undefined, tolerancePercent: number | undefined): StatisticScale | undefined {
  if (rated === undefined) return undefined
  const band = capacitorBand(role, rated, tolerancePercent)
  return ratio(band.ratedMicrofarads, band.lowMicrofarads, band.highMicrofarads, CAPACITOR.runTolerancePercent / 200)
}

function windingScale({ low, high }: { low: number; high: number }): StatisticScale {
  const middle = (low + high) / 2
  return {
    // A hot winding is brought to 20 °C before it is compared.
    from: (value, finding) => (finding?.celsius === undefined ? value : correctResistance(value, finding.celsius, 20)) / middle,
    back: (statistic) => statistic * middle, low: low / middle, high: high / middle, bandSd: Math.max(0.04, (high - low) / (2 * middle) / 1.8),
  }
}
