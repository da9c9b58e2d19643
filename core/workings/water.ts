import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, ValidateNested } from 'class-validator'
import { combine, operatingPoint, pumpCurve } from '../hydraulics/pump-curve'
import { frictionInSeries, pipeFriction, splitFlow, type Pipe } from '../hydraulics/pipe'
import { atmosphereKpa, metresOf, waterProperties, waterWatts } from '../hydraulics/water'
import {
  AFFINITY_BASIS,
  ATMOSPHERE,
  DARCY,
  GRAVITY,
  HAZEN_WILLIAMS,
  KELL,
  NPSH_BASIS,
  NPSH_MARGIN,
} from '../knowledge/water/water'
import { formatNumber as n } from '../quantity/format'
import { badField } from '../validation/input-error'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import { cautioned, defineWorking } from './define-working'

class WaterInput {
  @Quantity({ min: -100, max: 400 }) celsius!: number
}

export const waterPropertiesWorking = defineWorking({
  name: 'water-properties',
  title: 'What is this water like?',
  input: WaterInput,
  basis: KELL.basis,
  run: ({ celsius }) => {
    const found = waterProperties(celsius)
    return {
      ...found,
      basis: KELL.basis,
      steps: [
        `at ${n(celsius)} °C: ρ = ${n(found.densityKgPerM3, 6)} kg/m³ (Kell)`,
        `μ = ${n(found.viscosityPascalSeconds * 1000, 4)} mPa·s (IAPWS 2008)`,
        `vapour pressure = ${n(found.vapourPressureKpa, 4)} kPa (IAPWS-IF97)`,
      ],
    }
  },
})

class PipeFields implements Pipe {
  @Quantity({ above: 0, max: 5000 }) insideMillimetres!: number
  @Quantity({ min: 0, max: 1e6 }) lengthMetres!: number
  @IsIn(['darcy', 'hazen-williams']) method!: 'darcy' | 'hazen-williams'
  @OptionalQuantity({ min: 0, max: 50 }) roughnessMillimetres?: number
  @OptionalQuantity({ above: 0, max: 200 }) hazenWilliamsC?: number
  @OptionalQuantity({ min: 0.01, max: 100 }) celsius?: number
  @OptionalQuantity({ min: 0, max: 10000 }) minorLossK?: number
}
class PipeFrictionInput extends PipeFields {
  @Quantity({ min: 0, max: 1e5 }) flowLitresPerSecond!: number
}

/** Where a method is used beyond what it was made for. */
function pipeCautions(pipe: Pipe, found: { reynolds?: number; velocityMetresPerSecond: number }): string[] {
  const [low, high] = HAZEN_WILLIAMS.validC
  const c = pipe.hazenWilliamsC ?? HAZEN_WILLIAMS.usualC
  return [
    ...(pipe.method === 'hazen-williams' && (c < low || c > high)
      ? [`C of ${n(c)} lies outside ${low} to ${high}, where the method was made.`]
      : []),
    ...(pipe.method === 'hazen-williams' && found.velocityMetresPerSecond > 3
      ? ['Above about 3 m/s Hazen–Williams gives too little: use darcy.']
      : []),
    ...(found.reynolds !== undefined && found.reynolds > DARCY.laminarBelow && found.reynolds < DARCY.turbulentAbove
      ? ['Between laminar and turbulent flow nobody can say: the figure lies on a curve between the two.']
      : []),
  ]
}

export const pipeFrictionWorking = defineWorking({
  name: 'pipe-friction',
  title: 'How much head does this pipe eat?',
  input: PipeFrictionInput,
  basis: DARCY.basis,
  run: ({ flowLitresPerSecond, ...pipe }) => {
    const found = pipeFriction(pipe, flowLitresPerSecond)
    const { headMetres, velocityMetresPerSecond: v, reynolds, frictionFactor } = found
    const basis = pipe.method === 'darcy' ? DARCY.basis : HAZEN_WILLIAMS.basis
    const cautions = pipeCautions(pipe, found)
    return {
      ...found,
      basis,
      ...cautioned(cautions),
      steps: [
        `v = Q / (π/4 · d²) = ${n(flowLitresPerSecond)} L/s through ${n(pipe.insideMillimetres)} mm = ${n(v)} m/s`,
        ...(reynolds === undefined
          ? [
              `h = 10.67 · ${n(pipe.lengthMetres)} · Q^1.852 / ` +
                `(${n(pipe.hazenWilliamsC ?? HAZEN_WILLIAMS.usualC)}^1.852 · d^4.8704)`,
            ]
          : [`Re = ρ v d / μ = ${n(reynolds, 5)}`, `f = ${n(frictionFactor as number, 4)}, h = f · L/d · v²/2g`]),
        ...(pipe.minorLossK
          ? [`fittings: K = ${n(pipe.minorLossK)} · v²/2g = ${n((pipe.minorLossK * v ** 2) / (2 * GRAVITY))} m`]
          : []),
        `h = ${n(headMetres, 4)} m`,
      ],
    }
  },
})

class TotalHeadInput {
  @Quantity({ min: -1000, max: 5000 }) liftMetres!: number
  @OptionalQuantity({ min: 0, max: 1e5 }) pressureKpa?: number
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => PipeFields) pipes!: PipeFields[]
  @Quantity({ min: 0, max: 1e5 }) flowLitresPerSecond!: number
}
const FRESH_WATER_CELSIUS = 15

export const totalHead = defineWorking({
  name: 'total-head',
  title: 'How much head must the pump make?',
  input: TotalHeadInput,
  basis: DARCY.basis,
  run: ({ liftMetres, pressureKpa = 0, pipes, flowLitresPerSecond }) => {
    const pressureMetres = metresOf(pressureKpa, waterProperties(FRESH_WATER_CELSIUS).densityKgPerM3)
    const frictionMetres = frictionInSeries(pipes, flowLitresPerSecond)
    const staticMetres = liftMetres + pressureMetres
    return {
      headMetres: staticMetres + frictionMetres,
      staticMetres,
      frictionMetres,
      basis: DARCY.basis,
      steps: [
        `static: ${n(liftMetres)} m lift + ${n(pressureKpa)} kPa = ${n(pressureMetres)} m → ${n(staticMetres)} m`,
        `friction at ${n(flowLitresPerSecond)} L/s: ${n(frictionMetres)} m`,
        `total = ${n(staticMetres + frictionMetres, 4)} m`,
      ],
    }
  },
})

class CurvePointInput {
  @Quantity({ min: 0, max: 1e5 }) flowLitresPerSecond!: number
  @Quantity({ min: 0, max: 1e5 }) headMetres!: number
  @OptionalQuantity({ min: 0, max: 1 }) efficiency?: number
  @OptionalQuantity({ min: 0, max: 1e4 }) amps?: number
}
class PumpCurveInput {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => CurvePointInput)
  points!: CurvePointInput[]
  @OptionalQuantity({ min: 0.05, max: 3 }) speedRatio?: number
  @OptionalQuantity({ min: 0.3, max: 1.5 }) diameterRatio?: number
  @OptionalQuantity({ min: 1, max: 200 }) stages?: number
  @OptionalQuantity({ min: 1, max: 20 }) parallel?: number
}
class OperatingPointInput {
  @MayBeAbsent() @ValidateNested() @Type(() => PumpCurveInput) pump?: PumpCurveInput
  @MayBeAbsent()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => PumpCurveInput)
  pumps?: PumpCurveInput[]
  @MayBeAbsent() @IsIn(['series', 'parallel']) arrangement?: 'series' | 'parallel'
  @Quantity({ min: -1000, max: 5000 }) staticMetres!: number
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => PipeFields) pipes!: PipeFields[]
}
const DRAWN_POINTS = 24

export const operatingPointWorking = defineWorking({
  name: 'operating-point',
  title: 'Where will this pump run?',
  input: OperatingPointInput,
  basis: DARCY.basis,
  run: ({ pump, pumps, arrangement = 'parallel', staticMetres, pipes }) => {
    if ((pump === undefined) === (pumps === undefined)) throw badField('pump', pump, 'exactly one of pump, pumps')
    const curves = (pumps ?? [pump as PumpCurveInput]).map((each) => pumpCurve(each))
    const together = combine(curves, arrangement)
    const { flowLitresPerSecond, headMetres } = operatingPoint(together, staticMetres, pipes)
    const perPump = curves.map((curve) =>
      curves.length > 1 && arrangement === 'series'
        ? { flowLitresPerSecond, headMetres: curve.headAt(flowLitresPerSecond) }
        : { flowLitresPerSecond: curve.flowAt(headMetres), headMetres },
    )
    const flows = Array.from(
      { length: DRAWN_POINTS + 1 },
      (_, step) => (step / DRAWN_POINTS) * together.runoutLitresPerSecond,
    )
    const cautions = perPump.flatMap((each, index) =>
      each.flowLitresPerSecond === 0
        ? [`Pump ${index + 1} is held shut by the other: it churns and heats its water.`]
        : [],
    )
    return {
      flowLitresPerSecond,
      headMetres,
      shutoffHeadMetres: together.shutoffMetres,
      waterWatts: waterWatts(flowLitresPerSecond, headMetres),
      perPump,
      curve: flows.map((flow) => ({ flowLitresPerSecond: flow, headMetres: together.headAt(flow) })),
      system: flows.map((flow) => ({
        flowLitresPerSecond: flow,
        headMetres: staticMetres + frictionInSeries(pipes, flow),
      })),
      basis: DARCY.basis,
      ...cautioned(cautions),
      steps: [
        `pump at no flow: ${n(together.shutoffMetres)} m, static ${n(staticMetres)} m`,
        `pipes: h = ${n(staticMetres)} m + friction(Q)`,
        `both are ${n(headMetres, 4)} m at ${n(flowLitresPerSecond, 4)} L/s`,
      ],
    }
  },
})

class PipeSplitInput {
  @Quantity({ above: 0, max: 1e5 }) flowLitresPerSecond!: number
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => PipeFields)
  branches!: PipeFields[]
}

export const pipeSplit = defineWorking({
  name: 'pipe-split',
  title: 'How does the flow split?',
  input: PipeSplitInput,
  basis: DARCY.basis,
  run: ({ flowLitresPerSecond, branches }) => {
    const free = branches.findIndex((pipe) => pipe.lengthMetres === 0 && !pipe.minorLossK)
    if (free >= 0)
      throw badField(
        `branches.${free}.lengthMetres`,
        0,
        'a length or a minorLossK above 0: a branch without resistance takes everything',
      )
    const { flowsLitresPerSecond, headMetres } = splitFlow(branches, flowLitresPerSecond)
    return {
      flowsLitresPerSecond,
      headMetres,
      basis: DARCY.basis,
      steps: [
        'the same head is lost in every branch',
        ...flowsLitresPerSecond.map((flow, index) => `branch ${index + 1}: ${n(flow, 4)} L/s`),
        `head: ${n(headMetres, 4)} m`,
      ],
    }
  },
})

class AffinityInput {
  @Quantity({ min: 0, max: 1e9 }) flow!: number
  @Quantity({ min: 0, max: 1e9 }) head!: number
  @Quantity({ min: 0, max: 1e9 }) power!: number
  @OptionalQuantity({ above: 0, max: 10 }) speedRatio?: number
  @OptionalQuantity({ above: 0, max: 10 }) diameterRatio?: number
}

export const affinity = defineWorking({
  name: 'affinity',
  title: 'What does another speed or a trimmed wheel do?',
  input: AffinityInput,
  basis: AFFINITY_BASIS,
  run: ({ flow, head, power, speedRatio = 1, diameterRatio = 1 }) => {
    const r = speedRatio * diameterRatio
    const cautions =
      diameterRatio < 0.8 || diameterRatio > 1
        ? ['A wheel is trimmed by a fifth at most, and never made larger: beyond that the law does not hold.']
        : []
    return {
      flow: flow * r,
      head: head * r ** 2,
      power: power * r ** 3,
      basis: AFFINITY_BASIS,
      ...cautioned(cautions),
      steps: [`ratio ${n(r)}`, `flow × ${n(r)}, head × ${n(r ** 2)}, power × ${n(r ** 3)}`],
    }
  },
})

class WireToWaterInput {
  @Quantity({ min: 0, max: 1e5 }) flowLitresPerSecond!: number
  @Quantity({ min: 0, max: 1e5 }) headMetres!: number
  @Quantity({ above: 0, max: 1e7 }) inputWatts!: number
}

export const wireToWater = defineWorking({
  name: 'wire-to-water',
  title: 'How much of the power ends in water?',
  input: WireToWaterInput,
  basis: DARCY.basis,
  run: ({ flowLitresPerSecond, headMetres, inputWatts }) => {
    const carried = waterWatts(flowLitresPerSecond, headMetres)
    if (carried > inputWatts)
      throw badField(
        'inputWatts',
        inputWatts,
        `more than the ${carried.toFixed(0)} W that the water carries: measure flow, head and watts again`,
      )
    return {
      waterWatts: carried,
      efficiency: carried / inputWatts,
      basis: DARCY.basis,
      steps: [
        `water: ρ g Q H = ${n(carried, 4)} W`,
        `${n(carried, 4)} / ${n(inputWatts)} = ${n((100 * carried) / inputWatts)} %`,
      ],
    }
  },
})

class SuctionLiftInput {
  @Quantity({ min: -500, max: 5000 }) altitudeMetres!: number
  @Quantity({ min: 0.01, max: 100 }) celsius!: number
  @Quantity({ min: 0, max: 100 }) frictionMetres!: number
  @Quantity({ min: 0, max: 100 }) npshRequiredMetres!: number
  @OptionalQuantity({ min: 0, max: 20 }) marginMetres?: number
}

export const suctionLift = defineWorking({
  name: 'suction-lift',
  title: 'Can a jet pump lift it here?',
  input: SuctionLiftInput,
  basis: NPSH_BASIS,
  run: ({ altitudeMetres, celsius, frictionMetres, npshRequiredMetres, marginMetres = NPSH_MARGIN.metres }) => {
    const { densityKgPerM3, vapourPressureKpa } = waterProperties(celsius)
    const atmosphere = atmosphereKpa(altitudeMetres)
    const held = metresOf(atmosphere - vapourPressureKpa, densityKgPerM3)
    const npshAvailableMetres = held - frictionMetres
    const longestLiftMetres = npshAvailableMetres - npshRequiredMetres - marginMetres
    const cautions = longestLiftMetres <= 0 ? ['No lift is left: the pump must stand below the water.'] : []
    return {
      longestLiftMetres,
      npshAvailableMetres,
      atmosphereKpa: atmosphere,
      vapourPressureKpa,
      basis: NPSH_BASIS,
      ...cautioned(cautions),
      steps: [
        `atmosphere at ${n(altitudeMetres)} m: ${n(atmosphere, 4)} kPa (${ATMOSPHERE.basis.name})`,
        `(${n(atmosphere, 4)} − ${n(vapourPressureKpa, 3)}) kPa = ${n(held, 4)} m of water at ${n(celsius)} °C`,
        `less friction ${n(frictionMetres)} m: ${n(npshAvailableMetres, 4)} m`,
        `less ${n(npshRequiredMetres)} m the pump needs and ${n(marginMetres)} m kept: lift up to ` +
          `${n(longestLiftMetres, 3)} m`,
      ],
    }
  },
})
