import { PRESSURES } from '../knowledge/water/pressures'
import { CAPACITOR, CURRENT, WINDING } from '../knowledge/electrical/limits'
import {
  CAPACITOR_MODEL_BASIS,
  CAPACITOR_WORKING_RATIO,
  FULL_LOAD_AMPS_230,
  FULL_LOAD_BASIS,
  PLATE_FILLING,
  RUN_CAPACITOR_230,
  START_CAPACITOR_230,
  USUAL_BASIS,
  USUAL_MOTOR,
  WINDING_MODEL,
} from '../knowledge/electrical/motors'
import {
  HOUSE_WATER,
  MOTOR_TYPES,
  type Construction,
  type Kind,
  type MotorType,
  type Part,
} from '../knowledge/vocabulary'
import type { Basis } from '../judgement/judgement'
import { formatNumber, formatShare } from '../quantity/format'

/** What is printed on the motor; all but `volts` may be unreadable. */
export interface Nameplate {
  volts: number
  /** A motor for two voltages: the other one, to which its selector can be set. */
  otherVolts?: number
  hertz?: number
  motorType?: MotorType
  horsepower?: number
  serviceFactor?: number
  fullLoadAmps?: number
  serviceFactorAmps?: number
  lockedRotorAmps?: number
  codeLetter?: string
  poles?: number
  rpm?: number
  frame?: string
  flange?: string
  runCapacitorMicrofarads?: number
  runCapacitorVolts?: number
  startCapacitorMicrofarads?: number | [number, number]
  startCapacitorVolts?: number
  capacitorTolerancePercent?: number
  runWindingOhms?: [number, number]
  startWindingOhms?: [number, number]
  thermalClass?: string
}

export interface Installation {
  cableAwg?: string
  cableMetres?: number
  pumpCurve?: { flowLitresPerSecond: number; headMetres: number }[]
  cutInPsi?: number
  cutOutPsi?: number
  tankLitres?: number
  liftMetres?: number
  pitDiameterMetres?: number
  wellDepthMetres?: number
  dutyHoursPerDay?: number
  onlySupply?: boolean
  livestock?: boolean
}

/** A machine as the computation sees it. */
export interface Pump {
  kind: Kind
  construction?: Construction
  ageYears?: number
  underWarranty?: boolean
  /** Years of parts that are not as old as the machine. */
  partAges?: Partial<Record<Part, number>>
  /** What identifies the parts that are in it, where it was written down. */
  fitted?: readonly { part: Part; identity?: string; until?: string }[]
  nameplate: Nameplate
  installation?: Installation
}

/** The plate with every gap filled, and the fillings said aloud. */
export interface CompletePlate {
  volts: number
  hertz: number
  motorType: MotorType
  horsepower: number
  serviceFactor: number
  fullLoadAmps: number
  serviceFactorAmps: number
  lockedRotorAmps?: number
  runCapacitorMicrofarads?: number
  runCapacitorVolts?: number
  startCapacitorMicrofarads?: number | [number, number]
  capacitorTolerancePercent?: number
  runWinding: { low: number; high: number; basis: Basis }
  startWinding: { low: number; high: number; basis: Basis }
  /** Only where the water is kept under pressure by a switch and a tank. */
  cutInPsi?: number
  cutOutPsi?: number
  ageYears: number
  dutyHoursPerDay: number
  assumed: string[]
  /** The figures that no plate gave: what is judged by them cannot be judged for certain. */
  guessed: ReadonlySet<GuessedFigure>
}

/** What a silent plate leaves to be guessed, of what readings are judged by. */
export type GuessedFigure =
  'motorType' | 'fullLoadAmps' | 'runCapacitor' | 'startCapacitor' | 'runWinding' | 'startWinding' | 'pressureSwitch'

/** Has this motor type a run capacitor, a start capacitor, a start switch? */
export const MOTOR_HAS = {
  runCapacitor: (type: MotorType) => type === 'permanent-split' || type === 'capacitor-start-run',
  startCapacitor: (type: MotorType) => type === 'capacitor-start' || type === 'capacitor-start-run',
  startSwitch: (type: MotorType) =>
    type === 'split-phase' || type === 'capacitor-start' || type === 'capacitor-start-run',
  startWinding: (type: MotorType) => type !== 'electronic',
} as const

/**
 * Fills what the plate does not say from kind, horsepower and voltage, and lists each filling in `assumed`.
 *
 * @source the rows of `knowledge/motors`, each with its basis
 */
export function completePlate(pump: Pump): CompletePlate {
  const { kind, nameplate: plate, installation } = pump
  const usual = USUAL_MOTOR[kind]
  const assumed: string[] = []
  const guessed = new Set<GuessedFigure>()
  const assume = <T>(value: T | undefined, fallback: T, sentence: string, figure?: GuessedFigure): T => {
    if (value !== undefined && value !== null) return value
    assumed.push(sentence)
    if (figure) guessed.add(figure)
    return fallback
  }
  const volts = plate.volts
  const hertz = assume(plate.hertz, PLATE_FILLING.hertz, `mains ${PLATE_FILLING.hertz} Hz`)
  const motorType = assume(
    plate.motorType,
    inferMotorType(plate) ?? usual.motorType,
    `motor ${MOTOR_TYPES[inferMotorType(plate) ?? usual.motorType]}`,
    inferMotorType(plate) ? undefined : 'motorType',
  )
  const horsepower = assume(
    plate.horsepower,
    usual.horsepower,
    `${formatNumber(usual.horsepower)} hp (${USUAL_BASIS.name})`,
  )
  const ratio = 230 / volts
  const serviceFactor = plate.serviceFactor ?? usual.serviceFactor
  const modelAmps = interpolate(FULL_LOAD_AMPS_230, horsepower) * ratio
  // The plate's own service-factor amps say its full load more surely than any table: what they forbid is forbidden.
  const byServiceAmps = plate.serviceFactorAmps && plate.serviceFactorAmps / CURRENT.serviceFactorAmpsRatio
  const fullLoadAmps = assume(
    plate.fullLoadAmps,
    byServiceAmps ?? modelAmps,
    byServiceAmps
      ? `full load ${formatNumber(byServiceAmps)} A, from the plate’s service-factor amps`
      : `full load ${formatNumber(modelAmps)} A (${FULL_LOAD_BASIS.name})`,
    byServiceAmps ? undefined : 'fullLoadAmps',
  )
  const modelServiceAmps = fullLoadAmps * CURRENT.serviceFactorAmpsRatio
  const serviceFactorAmps = assume(
    plate.serviceFactorAmps,
    modelServiceAmps,
    `service-factor amps ${formatNumber(modelServiceAmps)} A, ${formatShare(CURRENT.serviceFactorAmpsRatio - 1)} ` +
      'over full load',
  )

  let runCapacitorMicrofarads = plate.runCapacitorMicrofarads
  let runCapacitorVolts = plate.runCapacitorVolts
  if (MOTOR_HAS.runCapacitor(motorType)) {
    const model = Math.round(interpolate(RUN_CAPACITOR_230, horsepower) * ratio ** 2 * (60 / hertz))
    runCapacitorMicrofarads = assume(
      runCapacitorMicrofarads,
      model,
      `run capacitor ${model} μF (${CAPACITOR_MODEL_BASIS.name}); read the can`,
      'runCapacitor',
    )
    const { above, volts: higher, belowVolts } = PLATE_FILLING.runCapacitor
    runCapacitorVolts ??= volts > above ? higher : belowVolts
  }
  let startCapacitorMicrofarads = plate.startCapacitorMicrofarads
  if (MOTOR_HAS.startCapacitor(motorType)) {
    const scale = ratio ** 2 * (60 / hertz)
    const low = Math.round(
      interpolate(
        START_CAPACITOR_230.map(([hp, value]) => [hp, value] as const),
        horsepower,
      ) * scale,
    )
    const high = Math.round(low * CAPACITOR.startHighFraction)
    startCapacitorMicrofarads = assume<number | [number, number]>(
      startCapacitorMicrofarads,
      [low, high],
      `start capacitor ${low} to ${high} μF (${CAPACITOR_MODEL_BASIS.name}); read the can`,
      'startCapacitor',
    )
  }
  const modelRun = WINDING_MODEL.runOhmsOneHorsepower230 / ratio ** 2 / horsepower
  const modelStart =
    modelRun * (kind === 'well-three-wire' ? WINDING_MODEL.startMultipleOfBox : WINDING_MODEL.startMultiple[motorType])
  const range = (given: [number, number] | undefined, model: number, name: string, figure: GuessedFigure) => {
    if (given) return { low: given[0], high: given[1], basis: WINDING.basis }
    assumed.push(`${name} about ${formatNumber(model)} Ω (${WINDING_MODEL.basis.name})`)
    guessed.add(figure)
    return {
      low: model * (1 - WINDING.modelBandFraction),
      high: model * (1 + WINDING.modelBandFraction),
      basis: WINDING.modelBasis,
    }
  }
  const runWinding = range(plate.runWindingOhms, modelRun, 'run winding', 'runWinding')
  const startWinding = MOTOR_HAS.startWinding(motorType)
    ? range(plate.startWindingOhms, modelStart, 'start winding', 'startWinding')
    : runWinding
  return {
    volts,
    hertz,
    motorType,
    horsepower,
    serviceFactor,
    fullLoadAmps,
    serviceFactorAmps,
    lockedRotorAmps: plate.lockedRotorAmps,
    runCapacitorMicrofarads,
    runCapacitorVolts,
    startCapacitorMicrofarads,
    capacitorTolerancePercent: plate.capacitorTolerancePercent,
    runWinding,
    startWinding,
    ageYears: assume(pump.ageYears, PLATE_FILLING.ageYears, `age about ${PLATE_FILLING.ageYears} years`),
    dutyHoursPerDay: assume(
      installation?.dutyHoursPerDay,
      usual.dutyHoursPerDay,
      `${formatNumber(usual.dutyHoursPerDay)} h a day`,
    ),
    ...(HOUSE_WATER.includes(kind) ? switchSetting(installation, assumed, guessed) : {}),
    assumed,
    guessed,
  }
}

function switchSetting(
  installation: Installation = {},
  assumed: string[],
  guessed: Set<GuessedFigure>,
): { cutInPsi: number; cutOutPsi: number } {
  const { cutInPsi, cutOutPsi } = PRESSURES.usualSwitch
  const between = cutOutPsi - cutInPsi
  if (installation.cutInPsi !== undefined && installation.cutOutPsi !== undefined)
    return { cutInPsi: installation.cutInPsi, cutOutPsi: installation.cutOutPsi }
  const low =
    installation.cutInPsi ?? (installation.cutOutPsi === undefined ? cutInPsi : installation.cutOutPsi - between)
  const high = installation.cutOutPsi ?? low + between
  if (installation.cutInPsi === undefined && installation.cutOutPsi === undefined) guessed.add('pressureSwitch')
  assumed.push(
    `pressure switch ${formatNumber(low)}/${formatNumber(high)} psi (${PRESSURES.usualSwitch.basis.name}); read ` +
      'the label',
  )
  return { cutInPsi: low, cutOutPsi: high }
}

/** Capacitor figures on the plate betray the type when the type itself cannot be read. */
function inferMotorType(plate: Nameplate): MotorType | undefined {
  const run = plate.runCapacitorMicrofarads !== undefined
  const start = plate.startCapacitorMicrofarads !== undefined
  return run && start ? 'capacitor-start-run' : run ? 'permanent-split' : start ? 'capacitor-start' : undefined
}

/** Straight line between rows, ends held. */
function interpolate(rows: readonly (readonly [number, number])[], at: number): number {
  const first = rows[0] as readonly [number, number]
  const last = rows[rows.length - 1] as readonly [number, number]
  if (at <= first[0]) return first[1] * (at / first[0])
  if (at >= last[0]) return last[1] * (at / last[0])
  const upper = rows.findIndex(([x]) => x >= at)
  const [x1, y1] = rows[upper - 1] as readonly [number, number]
  const [x2, y2] = rows[upper] as readonly [number, number]
  return y1 + ((y2 - y1) * (at - x1)) / (x2 - x1)
}

/**
 * The DC voltage a capacitor of this motor may hold when the power goes: √2 × the largest working voltage across the
 * can.
 *
 * @returns volts DC
 */
export function worstCapacitorVolts(plate: Pick<CompletePlate, 'volts' | 'runCapacitorVolts' | 'motorType'>): number {
  const working = MOTOR_HAS.runCapacitor(plate.motorType)
    ? Math.max(plate.runCapacitorVolts ?? 0, plate.volts * CAPACITOR_WORKING_RATIO)
    : plate.volts
  return Math.SQRT2 * working
}
