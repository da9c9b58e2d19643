import { CONDUCTOR, WIRE_SIZES } from '../knowledge/electrical/wire'
import { badField } from '../validation/input-error'
import { correctResistance, type Metal } from './winding'

/** A conductor as people name it: by gauge, by area, or by its resistance. */
export interface ConductorSpec {
  awg?: string
  squareMillimetres?: number
  ohmsPerKilometre?: number
  stranded?: boolean
}

/** "12" is 12, "1/0" is 0, "4/0" is −3. */
function gaugeNumber(awg: string): number {
  const aught = /^([1-4])\/0$/.exec(awg.trim())
  const number = aught ? 1 - Number(aught[1]) : /^\d{1,2}$/.test(awg.trim()) ? Number(awg) : Number.NaN
  if (!(number >= CONDUCTOR.thickest && number <= CONDUCTOR.thinnest))
    throw badField('awg', awg, 'a gauge from "40" to "1", or "1/0" to "4/0"')
  return number
}

/**
 * Diameter of a solid wire by gauge, millimetres.
 *
 * @source ASTM B258
 * @throws InputError for a gauge outside the table
 */
export function gaugeMillimetres(awg: string): number {
  const { gaugeMillimetres: base, gaugeRatio, gaugeAt, gaugeSteps } = CONDUCTOR
  return base * gaugeRatio ** ((gaugeAt - gaugeNumber(awg)) / gaugeSteps)
}

/** Cross-section of a gauge, mm². */
export function gaugeArea(awg: string): number {
  return (Math.PI / 4) * gaugeMillimetres(awg) ** 2
}

/**
 * Resistance of one conductor, ohms per kilometre at a temperature.
 *
 * A resistance given outright is taken as it stands: its table names its own temperature.
 *
 * @source ASTM B258 and IEC 60028; stranding adds 2 %
 * @throws InputError when the conductor is named by none of the three, or by more than one
 */
export function ohmsPerKilometre(spec: ConductorSpec, celsius: number, material: Metal = 'copper'): number {
  const given = [spec.awg, spec.squareMillimetres, spec.ohmsPerKilometre].filter((value) => value !== undefined)
  if (given.length !== 1)
    throw badField('awg', spec.awg, 'the conductor by exactly one of awg, squareMillimetres, ohmsPerKilometre')
  if (spec.ohmsPerKilometre !== undefined) return spec.ohmsPerKilometre
  const area = spec.awg === undefined ? (spec.squareMillimetres as number) : gaugeArea(spec.awg)
  const resistivity =
    material === 'copper'
      ? CONDUCTOR.copperOhmSquareMillimetresPerMetre
      : CONDUCTOR.aluminiumOhmSquareMillimetresPerMetre
  return (
    correctResistance((1000 * resistivity) / area, 20, celsius, material) *
    (spec.stranded ? CONDUCTOR.strandedFactor : 1)
  )
}

export interface LineLoad {
  sourceVolts: number
  amps: number
  powerFactor: number
  phases: 1 | 3
}

/** Ohms of line per metre of one-way length: there and back on one phase, one conductor on three. */
const lineConductors = (phases: 1 | 3): number => (phases === 1 ? 2 : 1)
/** Volts that the line's drop is taken from: line to line on one phase, line to neutral on three. */
const baseVolts = ({ sourceVolts, phases }: LineLoad): number =>
  phases === 1 ? sourceVolts : sourceVolts / Math.sqrt(3)

/** I·Z of a line, split along the motor's volts and across them, volts. */
function lineDrop(
  { amps, powerFactor, phases }: LineLoad,
  ohms: number,
  reactance: number,
): { inPhase: number; across: number } {
  const sine = Math.sqrt(1 - powerFactor ** 2)
  const [r, x] = [ohms * lineConductors(phases), reactance * lineConductors(phases)]
  return { inPhase: amps * (r * powerFactor + x * sine), across: amps * (x * powerFactor - r * sine) }
}

/**
 * Volts left at the motor at the end of a line, with the power factor taken at the motor: |Vm + I·Z| = Vs, exactly.
 *
 * @param ohms and `reactance` of one conductor over the one-way length
 * @returns volts at the motor, line to line
 * @throws InputError when no voltage at all would be left
 */
export function motorVolts(load: LineLoad, ohms: number, reactance = 0): number {
  const { inPhase, across } = lineDrop(load, ohms, reactance)
  const source = baseVolts(load)
  const left = source > Math.abs(across) ? Math.sqrt(source ** 2 - across ** 2) - inPhase : -1
  if (left <= 0)
    throw badField('amps', load.amps, `less: this line drops all of its ${load.sourceVolts} V before the motor`)
  return load.phases === 1 ? left : left * Math.sqrt(3)
}

/**
 * The one-way length at which the drop reaches a share of the source, metres.
 *
 * @param ohmsPerMetre and `reactancePerMetre` of one conductor
 */
export function longestRun(load: LineLoad, dropFraction: number, ohmsPerMetre: number, reactancePerMetre = 0): number {
  const { inPhase, across } = lineDrop(load, ohmsPerMetre, reactancePerMetre)
  const source = baseVolts(load)
  const motor = source * (1 - dropFraction)
  // (Vm + a·L)² + (b·L)² = Vs², the positive root.
  const square = inPhase ** 2 + across ** 2
  return (-motor * inPhase + Math.sqrt((motor * inPhase) ** 2 + square * (source ** 2 - motor ** 2))) / square
}

export interface SizeCandidate {
  awg: string
  dropPercent: number
  ampacity: number
  keepsDrop: boolean
}

/**
 * Every building-wire size with its drop on this run, thinnest first. A size that would drop everything reads 100 %.
 */
export function sizeCandidates(
  load: LineLoad,
  oneWayMetres: number,
  dropPercent: number,
  celsius: number,
): SizeCandidate[] {
  return WIRE_SIZES.map(({ awg, ampacity }) => {
    const ohms = (ohmsPerKilometre({ awg }, celsius) * oneWayMetres) / 1000
    const straight = (100 * load.amps * ohms * lineConductors(load.phases)) / baseVolts(load)
    const drop = Math.min(100, straight)
    return { awg, dropPercent: drop, ampacity, keepsDrop: drop <= dropPercent }
  })
}

/** The thinnest size that carries a current by its ampacity. */
export function sizeByAmpacity(amps: number): string | undefined {
  return WIRE_SIZES.find(({ ampacity }) => ampacity >= amps)?.awg
}

/**
 * Volts and amps at a locked rotor at the end of a line: the rotor as a constant impedance in series with the loop.
 *
 * @returns torqueFraction: start torque as a share of that at rated volts, which goes with the square
 */
export function startingVoltage({
  sourceVolts,
  ratedVolts,
  lockedRotorAmps,
  lockedRotorPowerFactor,
  loopOhms,
}: {
  sourceVolts: number
  ratedVolts: number
  lockedRotorAmps: number
  lockedRotorPowerFactor: number
  loopOhms: number
}): { motorVolts: number; startAmps: number; torqueFraction: number } {
  const ohms = ratedVolts / lockedRotorAmps
  const [resistance, reactance] = [ohms * lockedRotorPowerFactor, ohms * Math.sqrt(1 - lockedRotorPowerFactor ** 2)]
  const startAmps = sourceVolts / Math.hypot(resistance + loopOhms, reactance)
  const volts = startAmps * ohms
  return { motorVolts: volts, startAmps, torqueFraction: (volts / ratedVolts) ** 2 }
}
