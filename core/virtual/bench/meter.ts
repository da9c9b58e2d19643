import { electricState, type ElectricState } from '../electrics'
import { INSTRUMENTS, read, type Instrument } from '../instruments'
import type { VirtualMachine } from '../machine'
import type { Chance } from '../../quantity/random'
import { alternating, circuitOf, directCurrent, isAsked, live } from './circuit'
import type { Hands } from './hands'
import { nodeVolts, type Branch } from './network'

/** What the dial of the bench meter can be set to. */
export const DIALS = ['off', 'volts', 'ohms', 'microfarads', 'amps', 'volts-250', 'volts-500', 'volts-1000'] as const
export type Dial = (typeof DIALS)[number]
/** Direct volts that a position of the dial puts on its leads to read insulation. */
export const TEST_VOLTS: Partial<Record<Dial, number>> = { 'volts-250': 250, 'volts-500': 500, 'volts-1000': 1000 }

/** What a meter does not forgive. */
export const METER_HARMS = ['live-ohms', 'live-insulation', 'charged-meter', 'insulation-on-electronics'] as const
export type MeterHarm = (typeof METER_HARMS)[number]

/** Where the leads are, and how the meter is set. */
export interface Probing {
  dial: Dial
  /** Terminals of lead A and lead B; for amps the jaw's place alone. */
  a?: string
  b?: string
  /** The largest that was drawn as it started is held. */
  peak?: boolean
}

/** What the display shows: a figure, or that the figure is above what the meter has, or nothing at all. */
export type MeterShows =
  | { is: 'nothing' }
  | { is: 'harm'; harm: MeterHarm }
  /** A figure would say nothing: something of a few ohms lies beside the can. */
  | { is: 'shorted-can' }
  | { is: 'over'; unit: MeterUnit; from: number }
  | { is: 'figure'; unit: MeterUnit; value: number; low: number; high: number; isDirect?: boolean; testVolts?: number }
export type MeterUnit = 'V' | 'ohm' | 'uF' | 'A' | 'Mohm'

/** Above these the display has no figures. */
const OVER = { ohms: 40e6, megohms: 20_000 } as const
/** More volts than this between the leads, and what tests with a current of its own is hurt. */
const LIVE_VOLTS = 10
/** A probe on a can, or on a winding that hangs on one. */
const NEAR_A_CAN = /^(rc|sc)[12]$/

const INSTRUMENT: Record<MeterUnit, Instrument> = {
  V: INSTRUMENTS.volts,
  ohm: INSTRUMENTS.ohms,
  uF: INSTRUMENTS.microfarads,
  A: INSTRUMENTS.amps,
  Mohm: INSTRUMENTS.megohms,
}

const states = new WeakMap<VirtualMachine, ElectricState>()

/**
 * What this machine draws and does once it is asked to, worked out once. A machine on the bench is changed by putting
 * another in its place.
 */
export function stateUnder(machine: VirtualMachine, hands: Hands): ElectricState {
  const known = states.get(machine) ?? electricState(machine, isAsked(machine, hands) && machine.pit.float === 'closed')
  states.set(machine, known)
  return known
}

/** Would the supply let go, as the hands have it now? */
export function letsGo(machine: VirtualMachine, hands: Hands): boolean {
  if (!hands.power) return false
  const state = stateUnder(machine, hands)
  const isRunning = isAsked(machine, hands)
  return (isRunning && state.tripsBreaker) || (state.tripsGfci && (isRunning || machine.supply.gfciWorn))
}

/** Volts between two terminals with the supply on. */
function liveVolts(machine: VirtualMachine, hands: Hands, a: string, b: string): number {
  const { branches, injections } = live(machine, hands, stateUnder(machine, hands))
  const volts = nodeVolts(branches, injections)
  const [at, from] = [volts.get(a), volts.get(b)]
  return at && from ? at.sub(from).abs() : 0
}

/** The resistance between two terminals as a steady small current meets it, Ω. */
function ohmsBetween(branches: readonly Branch[], a: string, b: string): number {
  const volts = nodeVolts(branches, [{ into: a, outOf: b, amps: 1e-6 }])
  const [at, from] = [volts.get(a), volts.get(b)]
  return at && from ? Math.abs(at.re - from.re) / 1e-6 : Infinity
}

function microfaradsBetween(branches: readonly Branch[], a: string, b: string): number | undefined {
  const volts = nodeVolts(branches, [{ into: a, outOf: b, amps: 1e-6 }])
  const [at, from] = [volts.get(a), volts.get(b)]
  if (!at || !from) return 0
  const admittance = at.sub(from).div(1e-6).inverse()
  // A can alone leads by nearly a quarter turn; what does not is something else.
  return admittance.im > 3 * Math.abs(admittance.re) ? (admittance.im * 1e6) / (2 * Math.PI * 60) : undefined
}

/**
 * What the bench meter shows, as the physics gives it, with the meter's own error.
 *
 * @param chance the same draws for the same reading, so that a display that is steady stays as it is
 */
export function meterShows(machine: VirtualMachine, hands: Hands, probing: Probing, chance: Chance): MeterShows {
  const { dial, a, b, peak } = probing
  if (dial === 'off') return { is: 'nothing' }
  if (dial === 'amps') return a ? jawShows(machine, hands, a, peak === true, chance) : { is: 'nothing' }
  if (!a || !b || a === b) return { is: 'nothing' }
  const isBattery = a.startsWith('battery') && b.startsWith('battery')
  if (dial === 'volts') {
    if (isBattery) return { ...figure('V', machine.pit.batteryVolts, chance, INSTRUMENTS.batteryVolts), isDirect: true }
    return figure('V', liveVolts(machine, hands, a, b), chance)
  }
  if (isBattery || liveVolts(machine, hands, a, b) > LIVE_VOLTS)
    return { is: 'harm', harm: dial in TEST_VOLTS ? 'live-insulation' : 'live-ohms' }
  if (hands.charged && [a, b].some((node) => NEAR_A_CAN.test(node))) return { is: 'harm', harm: 'charged-meter' }
  const elements = circuitOf(machine, hands)
  if (dial === 'microfarads') {
    const microfarads = microfaradsBetween(alternating(elements), a, b)
    return microfarads === undefined ? { is: 'shorted-can' } : figure('uF', microfarads, chance)
  }
  const testVolts = TEST_VOLTS[dial]
  if (testVolts === undefined) {
    const ohms = ohmsBetween(directCurrent(elements, true), a, b)
    return ohms > OVER.ohms ? { is: 'over', unit: 'ohm', from: OVER.ohms } : figure('ohm', ohms, chance)
  }
  if (harmsElectronics(machine, hands, [a, b])) return { is: 'harm', harm: 'insulation-on-electronics' }
  const megohms = ohmsBetween(directCurrent(elements, false), a, b) / 1e6
  return megohms > OVER.megohms
    ? { is: 'over', unit: 'Mohm', from: OVER.megohms }
    : { ...figure('Mohm', megohms, chance), testVolts }
}

/** Test volts on a terminal that electronics hang on, and are not taken off. */
function harmsElectronics(
  { kind, motorType }: VirtualMachine,
  { electronicsOff }: Hands,
  terminals: readonly string[],
): boolean {
  if (electronicsOff) return false
  const onBox = kind === 'well-three-wire' && terminals.some((node) => /^[ykr]2?$/.test(node) || /^h/.test(node))
  return onBox || (motorType === 'electronic' && terminals.some((node) => /^[hm]/.test(node)))
}

/** A jaw round one wire; round two at once their fields cancel, and only what leaks is left. */
function jawShows(machine: VirtualMachine, hands: Hands, place: string, peak: boolean, chance: Chance): MeterShows {
  const state = stateUnder(machine, hands)
  const runs = hands.power && !hands.tripped && isAsked(machine, hands)
  const amps = !runs ? 0 : peak ? (state.turning ? state.lockedAmps : state.amps) : state.amps
  const instrument = peak ? INSTRUMENTS.inrush : INSTRUMENTS.amps
  return figure('A', place === 'jaw-both' ? 0 : amps, chance, instrument)
}

function figure(
  unit: MeterUnit,
  value: number,
  chance: Chance,
  instrument: Instrument = INSTRUMENT[unit],
): Extract<MeterShows, { is: 'figure' }> {
  // A display has four figures.
  const shown = Number(read(instrument, value, chance).toPrecision(4))
  const error = Math.hypot(instrument.share * shown, instrument.floor)
  return { is: 'figure', unit, value: shown, low: Math.max(0, shown - error), high: shown + error }
}
