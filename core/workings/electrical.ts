import { IsIn, IsObject } from 'class-validator'
import {
  capacitanceFromCurrent,
  capacitorBand,
  capacitorBleed,
  judgeCapacitance,
  type CapacitorRole,
} from '../electrical/capacitor'
import { judgeRunningCurrent } from '../electrical/current'
import {
  correctInsulation,
  correctionCaution,
  judgeInsulation,
  splitInsulation,
  splitRange,
  type InsulationRule,
} from '../electrical/insulation'
import { dropPercent, judgeLoadedSupply, judgeSupply, supplyWindow } from '../electrical/supply'
import { correctResistance, identifyLeads, type Metal } from '../electrical/winding'
import { badField } from '../validation/input-error'
import { worstVerdict } from '../judgement/judgement'
import {
  BLEED,
  CAPACITOR,
  CURRENT,
  INSULATION,
  INSULATION_RULES,
  METALS,
  SUPPLY,
  WINDING,
  type InsulationSetup,
} from '../knowledge/electrical/limits'
import { formatNumber as n, formatSeconds } from '../quantity/format'
import { cautioned, defineWorking } from './define-working'
import { MayBeAbsent, OptionalQuantity, Quantity, QuantityRange } from '../validation/rules'

class SupplyInput {
  @Quantity({ above: 0, max: 1000 }) nameplateVolts!: number
  @Quantity({ min: 0, max: 2000 }) restVolts!: number
  @OptionalQuantity({ min: 0, max: 2000 }) loadedVolts?: number
}

export const supplyJudgement = defineWorking({
  name: 'supply-judgement',
  title: 'Is the supply good?',
  input: SupplyInput,
  basis: SUPPLY.basis,
  run: ({ nameplateVolts, restVolts, loadedVolts }) => {
    const { lowVolts, highVolts } = supplyWindow(nameplateVolts)
    const rest = judgeSupply(nameplateVolts, restVolts)
    const loaded = loadedVolts === undefined ? undefined : judgeLoadedSupply(nameplateVolts, loadedVolts, restVolts)
    const drop = loadedVolts === undefined || restVolts <= 0 ? undefined : dropPercent(restVolts, loadedVolts)
    return {
      verdict: worstVerdict([rest.verdict, ...(loaded ? [loaded.verdict] : [])]),
      lowVolts,
      highVolts,
      ...(drop === undefined ? {} : { dropPercent: drop }),
      because: [rest.because, ...(loaded ? [loaded.because] : [])].join('; '),
      basis: SUPPLY.basis,
      steps: [
        `window = ${n(nameplateVolts)} V ± 10 % = ${n(lowVolts)} to ${n(highVolts)} V`,
        `at rest ${n(restVolts)} V: ${rest.because}`,
        ...(loadedVolts === undefined || drop === undefined
          ? []
          : [`drop = (${n(restVolts)} − ${n(loadedVolts)}) / ${n(restVolts)} = ${n(drop)} %`]),
      ],
    }
  },
})

class CurrentInput {
  @Quantity({ min: 0, max: 5000 }) amps!: number
  @Quantity({ above: 0, max: 1000 }) fullLoadAmps!: number
  @OptionalQuantity({ above: 0, max: 1000 }) serviceFactorAmps?: number
}

export const currentJudgement = defineWorking({
  name: 'current-judgement',
  title: 'Is the motor working too hard?',
  input: CurrentInput,
  basis: CURRENT.basis,
  run: ({ amps, fullLoadAmps, serviceFactorAmps }) => {
    const judged = judgeRunningCurrent(amps, fullLoadAmps, serviceFactorAmps)
    return {
      verdict: judged.verdict,
      loadPercent: (100 * amps) / fullLoadAmps,
      because: judged.because,
      basis: judged.basis,
      steps: [`load = ${n(amps)} A / ${n(fullLoadAmps)} A = ${n((100 * amps) / fullLoadAmps)} %`, judged.because],
    }
  },
})

class CapacitanceFromCurrentInput {
  @Quantity({ above: 0, max: 2000 }) volts!: number
  @Quantity({ min: 0, max: 1000 }) amps!: number
  @Quantity({ above: 0, max: 1000 }) hertz!: number
}

export const capacitanceFromCurrentWorking = defineWorking({
  name: 'capacitance-from-current',
  title: 'What is the running capacitor worth?',
  input: CapacitanceFromCurrentInput,
  basis: { kind: 'standard', name: 'C = I / (2π f V)' },
  run: ({ volts, amps, hertz }) => {
    const microfarads = capacitanceFromCurrent(volts, amps, hertz)
    return {
      microfarads,
      basis: { kind: 'standard' as const, name: 'C = I / (2π f V)' },
      steps: [`C = ${n(amps)} A × 10⁶ / (2π × ${n(hertz)} Hz × ${n(volts)} V) = ${n(microfarads, 4)} μF`],
      cautions: ['Live test: V across the capacitor itself, I in its own lead; only by qualified people.'],
    }
  },
})

class CapacitorJudgementInput {
  @IsIn(['run', 'start']) role!: CapacitorRole
  @OptionalQuantity({ above: 0, max: 10000 }) ratedMicrofarads?: number
  @MayBeAbsent() @QuantityRange() ratedRangeMicrofarads?: [number, number]
  @OptionalQuantity({ above: 0, max: 50 }) tolerancePercent?: number
  @Quantity({ min: 0, max: 100000 }) measuredMicrofarads!: number
}

export const capacitorJudgement = defineWorking({
  name: 'capacitor-judgement',
  title: 'Is the capacitor good?',
  input: CapacitorJudgementInput,
  basis: CAPACITOR.runBasis,
  run: ({ role, ratedMicrofarads, ratedRangeMicrofarads, tolerancePercent, measuredMicrofarads }) => {
    const rated = ratedRangeMicrofarads ?? ratedMicrofarads
    if (rated === undefined)
      throw badField(
        'ratedMicrofarads',
        undefined,
        'give the rating printed on the can, or its range as ratedRangeMicrofarads [low, high]',
      )
    const band = capacitorBand(role, rated, tolerancePercent)
    const judged = judgeCapacitance(role, band, measuredMicrofarads)
    const deviationPercent = (100 * (measuredMicrofarads - band.ratedMicrofarads)) / band.ratedMicrofarads
    return {
      verdict: judged.verdict,
      lowMicrofarads: band.lowMicrofarads,
      highMicrofarads: band.highMicrofarads,
      deviationPercent,
      because: judged.because,
      basis: judged.basis,
      steps: [
        `band = ${n(band.lowMicrofarads)} to ${n(band.highMicrofarads)} μF`,
        `deviation = (${n(measuredMicrofarads)} − ${n(band.ratedMicrofarads)}) / ${n(band.ratedMicrofarads)} = ` +
          `${n(deviationPercent)} %`,
        judged.because,
      ],
    }
  },
})

class CapacitorBleedInput {
  @Quantity({ above: 0, max: 1e6 }) microfarads!: number
  @Quantity({ min: 0, max: 10000 }) volts!: number
  @Quantity({ above: 0, max: 1e9 }) ohms!: number
  @OptionalQuantity({ above: 0, max: 1000 }) safeVolts?: number
}

export const capacitorBleedWorking = defineWorking({
  name: 'capacitor-bleed',
  title: 'How long must the resistor stay on?',
  input: CapacitorBleedInput,
  basis: BLEED.basis,
  run: ({ microfarads, volts, ohms, safeVolts = BLEED.safeVolts }) => {
    const bleed = capacitorBleed(microfarads, volts, ohms, safeVolts)
    const cautions = [
      'Prove it with a meter afterwards. A dead short arcs and can burst the can.',
      ...(bleed.peakWatts > BLEED.watts * 10
        ? [`The first instant is ${n(bleed.peakWatts)} W: use a larger resistance.`]
        : []),
    ]
    return {
      ...bleed,
      basis: BLEED.basis,
      cautions,
      steps: [
        `t = R C ln(V / Vsafe) = ${n(ohms)} Ω × ${n(microfarads)} μF × ln(${n(volts)} / ${n(safeVolts)}) = ` +
          `${formatSeconds(bleed.seconds)}`,
        `E = C V² / 2 = ${n(bleed.joules)} J`,
        `P = V² / R = ${n(bleed.peakWatts)} W at the first instant`,
      ],
    }
  },
})

class ThreeLeadsInput {
  @IsObject() ohms!: Record<string, number | null>
  @OptionalQuantity({ min: 0, max: 1000 }) cableOhms?: number
  @OptionalQuantity({ above: 0, max: 100 }) tolerancePercent?: number
}

export const threeLeads = defineWorking({
  name: 'three-leads',
  title: 'Which lead is which?',
  input: ThreeLeadsInput,
  basis: { kind: 'common-practice', name: 'the largest pair is run + start; the lead not in it is common' },
  run: ({ ohms, cableOhms, tolerancePercent = WINDING.sumTolerancePercent }) => {
    for (const [pair, value] of Object.entries(ohms))
      if (value !== null && typeof value !== 'number')
        throw badField(`ohms.${pair}`, value, 'a number of ohms, or null where the meter reads open')
    const { because, ...found } = identifyLeads(ohms, { cableOhms, tolerancePercent })
    return {
      ...found,
      because,
      basis: { kind: 'common-practice' as const, name: `sum within ${n(tolerancePercent)} %` },
      steps: [...(cableOhms ? [`${n(cableOhms)} Ω of cable taken off each pair`] : []), because],
    }
  },
})

class ResistanceCorrectedInput {
  @Quantity({ above: 0, max: 1e9 }) ohms!: number
  @Quantity({ min: -100, max: 400 }) celsius!: number
  @Quantity({ min: -100, max: 400 }) toCelsius!: number
  @MayBeAbsent() @IsIn(Object.keys(METALS)) material?: Metal
}

export const resistanceCorrected = defineWorking({
  name: 'resistance-corrected',
  title: 'What would it read at another temperature?',
  input: ResistanceCorrectedInput,
  basis: METALS.copper.basis,
  run: ({ ohms, celsius, toCelsius, material = 'copper' }) => {
    const { alphaPer20: alpha, basis } = METALS[material]
    const corrected = correctResistance(ohms, celsius, toCelsius, material)
    return {
      ohms: corrected,
      basis,
      steps: [
        `R = ${n(ohms)} Ω × (1 + ${alpha} × (${n(toCelsius)} − 20)) / (1 + ${alpha} × (${n(celsius)} − 20)) = ` +
          `${n(corrected, 4)} Ω`,
      ],
    }
  },
})

class InsulationCorrectedInput {
  @Quantity({ above: 0, max: 1e9 }) megohms!: number
  @Quantity({ min: -60, max: 250 }) celsius!: number
  @OptionalQuantity({ min: -60, max: 250 }) toCelsius?: number
  @MayBeAbsent() @IsIn(Object.keys(INSULATION_RULES)) rule?: InsulationRule
}

export const insulationCorrected = defineWorking({
  name: 'insulation-corrected',
  title: 'What is the insulation worth at 40 °C?',
  input: InsulationCorrectedInput,
  basis: INSULATION_RULES.halving.basis,
  run: ({ megohms, celsius, toCelsius = 40, rule = 'halving' }) => {
    const corrected = correctInsulation(megohms, celsius, toCelsius, rule)
    const caution = correctionCaution(celsius, toCelsius, rule)
    const formula =
      rule === 'halving'
        ? `R = ${n(megohms)} MΩ × 2^((${n(celsius)} − ${n(toCelsius)}) / 10)`
        : `R = ${n(megohms)} MΩ × exp(−B (1/(${n(celsius)}+273) − 1/313)), B from the rule`
    return {
      megohms: corrected,
      rule,
      basis: INSULATION_RULES[rule].basis,
      steps: [`${formula} = ${n(corrected, 4)} MΩ`],
      ...(caution ? { cautions: [caution] } : {}),
    }
  },
})

class InsulationJudgementInput {
  @Quantity({ min: 0, max: 1e9 }) megohms!: number
  @IsIn(Object.keys(INSULATION)) setup!: InsulationSetup
  @OptionalQuantity({ min: -60, max: 250 }) celsius?: number
  @OptionalQuantity({ above: 0, max: 15000 }) testVolts?: number
  @MayBeAbsent() @IsIn(['new', 'used']) ageState?: 'new' | 'used'
}

export const insulationJudgement = defineWorking({
  name: 'insulation-judgement',
  title: 'Is the insulation sound?',
  input: InsulationJudgementInput,
  basis: INSULATION['surface-motor'].basis,
  run: (input) => {
    const judged = judgeInsulation(input)
    const caution =
      input.celsius === undefined || judged.megohmsAt40 === undefined
        ? undefined
        : correctionCaution(input.celsius, 40, 'halving')
    const cautions = [
      ...(input.setup === 'surface-motor' && input.celsius === undefined
        ? ['No temperature given: compared as read. Give it to compare at 40 °C.']
        : []),
      ...(caution ? [caution] : []),
    ]
    return {
      verdict: judged.verdict,
      ...(judged.megohmsAt40 === undefined ? {} : { megohmsAt40: judged.megohmsAt40 }),
      lowMegohms: judged.low,
      because: judged.because,
      basis: judged.basis,
      ...cautioned(cautions),
      steps: [
        ...(judged.megohmsAt40 === undefined
          ? []
          : [
              `at 40 °C: ${n(input.megohms)} × 2^((${n(input.celsius as number)} − 40) / 10) = ` +
                `${n(judged.megohmsAt40)} MΩ`,
            ]),
        `limit ${n(judged.low as number)} MΩ: ${judged.because}`,
      ],
    }
  },
})

class InsulationSplitInput {
  @Quantity({ above: 0, max: 1e9 }) totalMegohms!: number
  @Quantity({ above: 0, max: 1e9 }) cableMegohms!: number
  @OptionalQuantity({ above: 0, max: 50 }) readingErrorPercent?: number
}

export const insulationSplit = defineWorking({
  name: 'insulation-split',
  title: 'Is it the cable or the motor?',
  input: InsulationSplitInput,
  basis: { kind: 'common-practice', name: '1/R = 1/Rm + 1/Rc' },
  run: ({ totalMegohms, cableMegohms, readingErrorPercent }) => {
    const motorMegohms = splitInsulation(totalMegohms, cableMegohms)
    return {
      motorMegohms,
      ...(readingErrorPercent === undefined ? {} : splitRange(totalMegohms, cableMegohms, readingErrorPercent / 100)),
      basis: { kind: 'common-practice' as const, name: '1/R = 1/Rm + 1/Rc' },
      steps: [`1 / (1/${n(totalMegohms)} − 1/${n(cableMegohms)}) = ${n(motorMegohms, 4)} MΩ`],
    }
  },
})
