import { capacitorBand } from '../electrical/capacitor'
import { correctInsulation } from '../electrical/insulation'
import { supplyWindow } from '../electrical/supply'
import { BATTERY_VOLTS, CAPACITOR, CURRENT, INSULATION, SUPPLY } from '../knowledge/electrical/limits'
import { PRESSURES } from '../knowledge/water/pressures'
import type { MeasuredRow, Statistic } from '../knowledge/faults/model-types'
import type { CompletePlate, Pump } from '../motor/nameplate'
import { GUESS_SPREAD } from '../knowledge/electrical/motors'
import { METRES_PER_FOOT } from '../quantity/conversions'
import { batteryCells, jetVacuum, plainBand, shutoffPsi } from './expected-reading'
import type { Guess } from './likelihood'
import type { OwnFinding } from './own-findings'
import { windingOhmsAt20 } from './winding-reading'

/** How a reading becomes the number that the likelihoods speak about, and back. */
export interface StatisticScale {
  /** From the canonical unit to the statistic. */
  from: (value: number, finding?: OwnFinding) => number
  /** From the statistic to the canonical unit, for the ranges on the lamp's card. */
  back: (statistic: number) => number
  low: number
  high: number
  /** What `sd: 'band'` stands for. */
  bandSd: number
  /** How unsure the figure is that the reading is compared with; absent where a plate or card gave it. */
  guess?: Guess
  /** Findings that are compared with a reading instead of the guess. */
  sure?: (finding: OwnFinding) => boolean
}

const ratio = (scale: number, low: number, high: number, bandSd = 0.05): StatisticScale => ({
  from: (value) => value / scale,
  back: (statistic) => statistic * scale,
  low: low / scale,
  high: high / scale,
  bandSd,
})
const gap = (from: number | undefined, guessed: boolean): StatisticScale | undefined =>
  from === undefined
    ? undefined
    : {
        from: (value) => value - from,
        back: (statistic) => statistic + from,
        low: -PRESSURES.cutTolerancePsi.value,
        high: PRESSURES.cutTolerancePsi.value,
        bandSd: 1,
        ...(guessed ? { guess: { shift: GUESS_SPREAD.pressureSwitchPsi } } : {}),
      }

/** The scale of one measured check on one machine. Undefined when the machine has nothing to compare with. */
export function statisticScale(
  row: Pick<MeasuredRow, 'check' | 'setup' | 'statistic'>,
  plate: CompletePlate,
  pump: Pump,
): StatisticScale | undefined {
  const { guessed } = plate
  const switchGuessed = guessed.has('pressureSwitch')
  const make: Record<Statistic, () => StatisticScale | undefined> = {
    'supply-ratio': () => {
      const { lowVolts, highVolts } = supplyWindow(plate.volts)
      return ratio(plate.volts, lowVolts, highVolts)
    },
    'volts-share': () => ratio(plate.volts, 0, plate.volts * SUPPLY.jointDropFraction),
    'load-ratio': () => ({
      ...ratio(plate.fullLoadAmps, plate.fullLoadAmps * CURRENT.lowFraction, plate.serviceFactorAmps),
      ...(guessed.has('fullLoadAmps') ? { guess: { share: GUESS_SPREAD.fullLoadAmps } } : {}),
    }),
    'run-capacitor-ratio': () =>
      capacitorScale(
        'run',
        plate.runCapacitorMicrofarads,
        plate.capacitorTolerancePercent,
        guessed.has('runCapacitor') ? { share: GUESS_SPREAD.runCapacitor } : undefined,
      ),
    'start-capacitor-ratio': () =>
      capacitorScale(
        'start',
        plate.startCapacitorMicrofarads,
        undefined,
        guessed.has('startCapacitor')
          ? { share: GUESS_SPREAD.startCapacitor, alsoTimes: GUESS_SPREAD.startCapacitorAlsoTimes }
          : undefined,
      ),
    'run-winding-ratio': () =>
      windingScale(plate.runWinding, pump, guessed.has('runWinding') ? GUESS_SPREAD.runWinding : undefined),
    'start-winding-ratio': () => startWindingScale(plate, pump),
    'log-megohms': () => insulationScale(row.setup ?? 'surface-motor'),
    'precharge-gap': () => prechargeScale(plate, switchGuessed),
    'cut-in-gap': () => gap(plate.cutInPsi, switchGuessed),
    'cut-out-gap': () => gap(plate.cutOutPsi, switchGuessed),
    'log-seconds': () => ({
      from: (value) => Math.log10(Math.max(value, 0.5)),
      back: (statistic) => 10 ** statistic,
      low: 1.2,
      high: 3,
      bandSd: 0.2,
    }),
    'shutoff-ratio': () => {
      const expected = shutoffPsi(pump)
      if (expected !== undefined) return ratio(expected, expected * PRESSURES.shutoff.soundFraction, expected * 1.1)
      // Without a curve only this is known: the pump was chosen to reach its cut-out with some to spare.
      if (plate.cutOutPsi === undefined) return undefined
      const usual = plate.cutOutPsi * PRESSURES.shutoff.overCutOut
      return {
        ...ratio(usual, usual * PRESSURES.shutoff.soundFraction, usual * 1.1),
        guess: { share: PRESSURES.shutoff.overCutOutSpread },
      }
    },
    'jet-vacuum': () => {
      const { inHg, spread } = jetVacuum(pump)
      return {
        from: (value) => value - inHg,
        back: (statistic) => Math.max(0, statistic + inHg),
        low: -PRESSURES.jetVacuum.toleranceInHg,
        high: PRESSURES.jetVacuum.toleranceInHg,
        bandSd: 1,
        ...(spread > 0 ? { guess: { shift: spread } } : {}),
      }
    },
    'static-level': () => {
      const depth = pump.installation?.wellDepthMetres
      const feet = depth === undefined ? PRESSURES.jetLift.feet : depth / METRES_PER_FOOT
      return ratio(feet, 0, feet * (1 - PRESSURES.waterOverIntake.lowFraction))
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
      const { low = 0, high = 0 } = plainBand(row.check, pump) ?? {}
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
  guess: Guess | undefined,
): StatisticScale | undefined {
  if (rated === undefined) return undefined
  const band = capacitorBand(role, rated, tolerancePercent)
  return {
    ...ratio(band.ratedMicrofarads, band.lowMicrofarads, band.highMicrofarads, CAPACITOR.runTolerancePercent / 200),
    ...(guess ? { guess } : {}),
  }
}

/** The tank's air against its cut-in: against the one that was seen, where it was, before the one on the card. */
function prechargeScale({ cutInPsi }: CompletePlate, guessed: boolean): StatisticScale | undefined {
  const scale = gap(cutInPsi === undefined ? undefined : cutInPsi - PRESSURES.precharge.belowCutInPsi, guessed)
  return (
    scale && {
      ...scale,
      sure: (finding) => finding.beside?.cutInPsi !== undefined,
      from: (value, finding) => {
        const seen = finding?.beside?.cutInPsi
        return seen === undefined ? scale.from(value) : value - (seen - PRESSURES.precharge.belowCutInPsi)
      },
    }
  )
}

/**
 * The start winding against its range; without one, and with the main winding read on the same leads, against so many
 * times that: what was read beats what was guessed.
 */
function startWindingScale(plate: CompletePlate, pump: Pump): StatisticScale {
  const guessed = plate.guessed.has('startWinding')
  const scale = windingScale(plate.startWinding, pump, guessed ? GUESS_SPREAD.startWinding : undefined)
  if (!guessed) return scale
  const middle = ({ low, high }: { low: number; high: number }) => (low + high) / 2
  const multiple = middle(plate.startWinding) / middle(plate.runWinding)
  return {
    ...scale,
    from: (value, finding) => {
      const main = finding?.beside?.runOhms
      if (main === undefined) return scale.from(value, finding)
      const bare = (ohms: number) =>
        windingOhmsAt20({ check: 'winding-resistance', ...finding, value: ohms }, pump).ohms as number
      return bare(value) / (multiple * Math.max(0.05, bare(main)))
    },
  }
}

function windingScale(
  { low, high }: { low: number; high: number },
  pump: Pump,
  guess: number | undefined,
): StatisticScale {
  const middle = (low + high) / 2
  return {
    // Cable off, copper at 20 °C, before it is compared.
    from: (value, finding) =>
      (windingOhmsAt20({ check: 'winding-resistance', ...finding, value }, pump).ohms as number) / middle,
    back: (statistic) => statistic * middle,
    low: low / middle,
    high: high / middle,
    bandSd: guess ?? Math.max(0.04, (high - low) / (2 * middle) / 1.8),
    ...(guess === undefined ? {} : { guess: { share: guess } }),
  }
}
