import { PSI_PER_METRE_OF_WATER } from '../quantity/conversions'
import { houseWater, type VirtualMachine } from './machine'

/** Where pump and pipes meet, in shares of the pump's nominal flow and head. */
export interface WaterPoint {
  flow: number
  /** Head the pump makes at no flow, over a new one's. */
  shutoff: number
  /** No water in the wheel. */
  dry: boolean
  airy: boolean
  /** Shaft power over rated. */
  load: number
  vacuumInHg: number
  filterPsi: number
  /** What the pump can raise the gauge to with the taps shut, psi; house water only. */
  reachablePsi: number
}

/** The curve: head 1.5 at no flow, 1 at nominal; the static part of the system by kind. */
const SHUTOFF_HEAD = 1.5
const FALL = 0.5
const STATIC: Partial<Record<VirtualMachine['kind'], number>> = {
  'well-two-wire': 0.6,
  'well-three-wire': 0.6,
  jet: 0.55,
  sump: 0.45,
}
const SUCTION_SHARE = 0.3
/** A metre of water, as a vacuum gauge shows it. */
const INHG_PER_METRE = 2.9

/**
 * The water side of a machine whose shaft turns at a share of its speed: one quadratic each for pump and pipes, solved
 * for the flow.
 *
 * A wheel that is clogged adds resistance inside, one that is worn or broken loses head, air thins what is pumped.
 */
export function waterPoint(machine: VirtualMachine, speed = 1): WaterPoint {
  const { wheel, suction, discharge, well, kind } = machine
  const lowWell = houseWater(kind) && well.pumpingFeet > well.depthFeet * 0.94
  const dry = !suction.primed || machine.pit.airBound || (kind === 'circulation' && well.recoveryGpm < 2)
  const wheelShare =
    (1 - 0.42 * wheel.wear) *
    (wheel.broken === 'no' ? 1 : wheel.broken === 'loose' ? 0.08 : kind.startsWith('well') ? 0.45 : 0.15) *
    (1 - 0.2 * machine.bearing.thrustWear)
  const air = Math.max(suction.airLeak * 0.75, lowWell ? 0.6 : 0)
  const kept = 1 - machine.leaks.dropPipe
  const turns = machine.coupled && !dry ? speed * speed : 0
  const shutoff = turns * wheelShare * (1 - 0.45 * air) * machine.headScale
  const head = SHUTOFF_HEAD * shutoff
  const fixed = STATIC[kind] ?? 0
  const rs = SUCTION_SHARE * (1 + (14 * suction.blocked ** 3) / (1.02 - suction.blocked))
  const rd =
    (1 - SUCTION_SHARE) *
    (1 + (10 * discharge.blocked ** 3) / (1.02 - discharge.blocked)) *
    (discharge.checkStuck ? 400 : 1)
  const inside = wheel.clog === 0 ? 0 : (4 * wheel.clog ** 2) / (1.02 - wheel.clog)
  const square = (head - fixed) / (FALL * Math.max(shutoff, 0.05) + (1 - fixed) * (rs + rd) + inside)
  const flow = square > 0 ? Math.sqrt(square) * (1 - 0.4 * air) * kept : 0
  const load = !machine.coupled
    ? 0.12
    : dry
      ? 0.24
      : (0.5 + 0.5 * Math.min(flow, 1.2)) * (0.35 + 0.65 * wheelShare) * (1 - 0.35 * air)
  const lift = kind === 'jet' ? (machine.installation.liftMetres ?? 4) * INHG_PER_METRE : 0.9
  const friction = kind === 'jet' ? 2.2 : 4.2
  const vacuumInHg =
    turns === 0
      ? 0.1
      : Math.min(
          26,
          (lift + friction * (rs / SUCTION_SHARE) * flow * flow + 9 * suction.tooMuchLift * flow) *
            (1 - 0.75 * suction.airLeak) *
            Math.min(1, shutoff * 1.1) +
            (kind === 'jet' && suction.blocked > 0.4 ? 8 * suction.blocked : 0) +
            (lowWell && kind === 'jet' ? 6 : 0),
        )
  const liftPsi = (machine.installation.liftMetres ?? 0) * PSI_PER_METRE_OF_WATER
  const fullPsi = nominalShutoffMetres(machine) * PSI_PER_METRE_OF_WATER * shutoff
  return {
    flow,
    shutoff,
    dry,
    airy: suction.airLeak > 0.15 || lowWell,
    load,
    vacuumInHg,
    filterPsi: 14.5 * (rd / (1 - SUCTION_SHARE)) * flow * flow,
    reachablePsi: Math.max(0, fullPsi * (0.35 + 0.65 * kept) - liftPsi),
  }
}

/** Head of a new pump at no flow, metres: its curve, or what the house was built for. */
export function nominalShutoffMetres({
  installation: { pumpCurve, liftMetres = 0, cutOutPsi = 50 },
}: VirtualMachine): number {
  return pumpCurve
    ? Math.max(...pumpCurve.map(({ headMetres }) => headMetres))
    : liftMetres + (cutOutPsi / PSI_PER_METRE_OF_WATER) * 1.45
}

/** Air laws of the tank: water between cut-in and cut-out, litres. */
export function drawdownLitres({ installation: { tankLitres = 100 }, house }: VirtualMachine): number {
  const ATMOSPHERE = 14.7
  const air = tankLitres * (house.prechargePsi + ATMOSPHERE)
  const volume = (psi: number) => Math.min(tankLitres, air / (psi + ATMOSPHERE))
  return Math.max(0.3, volume(house.cutInPsi) - volume(house.cutOutPsi)) * (house.waterInTank ? 0.25 : 1)
}

/**
 * Seconds from start to start with one tap open, or with none where something lets the pressure fall; undefined where
 * it does not cycle.
 */
export function cycleSeconds(machine: VirtualMachine, point: WaterPoint): number | undefined {
  const nominal = 0.55
  const give = nominal * point.flow
  if (machine.kind === 'sump') {
    if (point.flow < 0.15) return undefined
    const falling = machine.discharge.checkLeaks
    return falling ? 22 : 210
  }
  if (
    machine.house.nippleBlocked ||
    machine.house.contacts === 'welded' ||
    point.reachablePsi < machine.house.cutOutPsi + 1
  )
    return machine.house.nippleBlocked && machine.house.sensedPsi > machine.house.cutInPsi + 6 ? 6 : undefined
  const draw =
    Math.min(0.16, give * 0.45) +
    machine.leaks.houseGallonsPerMinute * 0.063 +
    (machine.discharge.checkLeaks || machine.suction.footLeaks ? 0.25 : 0)
  if (give <= draw * 1.05) return undefined
  const water = drawdownLitres(machine)
  return water / (give - draw) + water / draw
}
