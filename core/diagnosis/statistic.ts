import { capacitorBand } from '../electrical/capacitor'
import { correctInsulation } from '../electrical/insulation'
import { supplyWindow } from '../electrical/supply'
import { BATTERY_VOLTS, CAPACITOR, CURRENT, INSULATION } from '../knowledge/electrical/limits'
import { PRESSURES } from '../knowledge/water/pressures'
import type { MeasuredRow, Statistic } from '../knowledge/faults/model-types'
import type { CompletePlate, Pump } from '../motor/nameplate'
import { METRES_PER_FOOT } from '../quantity/conversions'
import type { Finding } from './finding'
import { batteryCells, plainBand, shutoffPsi } from './expected-reading'
import { windingOhmsAt20 } from './winding-reading'

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
  from: (value) => value / scale,
  back: (statistic) => statistic * scale,
  low: low / scale,
  high: high / scale,
  bandSd,
})
const gap = (from: number | undefined): StatisticScale | undefined =>
  from === undefined
    ? undefined
    : {
        from: (value) => value - from,
        back: (statistic) => statistic + from,
        low: -PRESSURES.cutTolerancePsi.value,
        high: PRESSURES.cutTolerancePsi.value,
        bandSd: 1,
      }

/** The scale of one measured check on one machine. Undefined when the machine has nothing to compare with. */
export function statisticScale(
  row: Pick<MeasuredRow, 'check' | 'setup' | 'statistic'>,
  plate: CompletePlate,
  pump: Pump,
): StatisticScale | undefined {
  const make: Record<Statistic, () => StatisticScale | undefined> = {
    'supply-ratio': () => {
      const { lowVolts, highVolts } = supplyWindow(plate.volts)
      return ratio(plate.volts, lowVolts, highVolts)
    },
    'load-ratio': () => ratio(plate.fullLoadAmps, plate.fullLoadAmps * CURRENT.lowFraction, plate.serviceFactorAmps),
    'run-capacitor-ratio': () => capacitorScale('run', plate.runCapacitorMicrofarads, plate.capacitorTolerancePercent),
    'start-capacitor-ratio': () => capacitorScale('start', plate.startCapacitorMicrofarads, undefined),
    'run-winding-ratio': () => windingScale(plate.runWinding, pump),
    'start-winding-ratio': () => windingScale(plate.startWinding, pump),
    'log-megohms': () => insulationScale(row.setup ?? 'surface-motor'),
    'precharge-gap': () =>
      gap(plate.cutInPsi === undefined ? undefined : plate.cutInPsi - PRESSURES.precharge.belowCutInPsi),
    'cut-in-gap': () => gap(plate.cutInPsi),
    'cut-out-gap': () => gap(plate.cutOutPsi),
    'log-seconds': () => ({
      from: (value) => Math.log10(Math.max(value, 0.5)),
      back: (statistic) => 10 ** statistic,
      low: 1.2,
      high: 3,
      bandSd: 0.2,
    }),
    'shutoff-ratio': () => {
      const expected = shutoffPsi(pump)
      return expected === undefined
        ? undefined
        : ratio(expected, expected * PRESSURES.shutoff.soundFraction, expected * 1.1)
    },
    'battery-cell': () => ({
      from: (value) => value / batteryCells(value),
      back: (statistic) => statistic * batteryCells(statistic * 6),
      low: BATTERY_VOLTS.perSix.failed,
      high: BATTERY_VOLTS.perSix.low,
      bandSd: 0.02,
    }),
    'water-over-intake': () => {
      const depth = pump.installation?.wellDepthMetres
      return depth === undefined
        ? undefined
        : {
            from: (feet) => (depth - feet * METRES_PER_FOOT) / depth,
            back: (share) => (depth * (1 - share)) / METRES_PER_FOOT,
            low: PRESSURES.waterOverIntake.lowFraction,
            high: 1,
            bandSd: 0.05,
          }
    },
    plain: () => {
      const { low = 0, high = 0 } = plainBand(row.check, pump.kind) ?? {}
      return { from: (value) => value, back: (statistic) => statistic, low, high, bandSd: 1 }
    },
  }
  return make[row.statistic]()
}

function insulationScale(setup: keyof typeof INSULATION): StatisticScale {
  const { failedMegohms, soundMegohms, correctedTo } = INSULATION[setup]
  return {
    from: (value, finding) =>
      Math.log10(
        Math.max(
          1e-3,
          correctedTo === undefined || finding?.celsius === undefined
            ? value
            : correctInsulation(value, finding.celsius, correctedTo),
        ),
      ),
    back: (statistic) => 10 ** statistic,
    low: Math.log10(failedMegohms),
    high: Math.log10(soundMegohms),
    bandSd: 0.3,
  }
}

function capacitorScale(
  role: 'run' | 'start',
  rated: number | [number, number] | undefined,
  tolerancePercent: number | undefined,
): StatisticScale | undefined {
  if (rated === undefined) return undefined
  const band = capacitorBand(role, rated, tolerancePercent)
  return ratio(band.ratedMicrofarads, band.lowMicrofarads, band.highMicrofarads, CAPACITOR.runTolerancePercent / 200)
}

function windingScale({ low, high }: { low: number; high: number }, pump: Pump): StatisticScale {
  const middle = (low + high) / 2
  return {
    // Cable off, copper at 20 °C, before it is compared.
    from: (value, finding) =>
      (windingOhmsAt20({ check: 'winding-resistance', ...finding, value }, pump).ohms as number) / middle,
    back: (statistic) => statistic * middle,
    low: low / middle,
    high: high / middle,
    bandSd: Math.max(0.04, (high - low) / (2 * middle) / 1.8),
  }
}
