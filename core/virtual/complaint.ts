import { complaintFits, type Complaint } from '../knowledge/vocabulary'
import { electricState, type ElectricState } from './electrics'
import { houseWater, submerged, type VirtualMachine } from './machine'
import type { Chance } from '../quantity/random'
import { cycleSeconds } from './water'

/** What is there for an owner to notice, each with how surely it is noticed and told. */
function noticeable(machine: VirtualMachine, state: ElectricState): Partial<Record<Complaint, number>> {
  const { kind, bearing, wheel, leaks, suction, discharge, house, pit, motor, well } = machine
  const piped = houseWater(kind)
  const inWell = kind.startsWith('well')
  const told: Partial<Record<Complaint, number>> = {}
  const tell = (complaint: Complaint, surely: number) => {
    told[complaint] = Math.max(told[complaint] ?? 0, surely)
  }
  const runs = state.turning
  if (state.tripsGfci) tell('trips-gfci', 0.85)
  if (state.tripsBreaker) tell('trips-breaker', 0.85)
  if (motor.burnt > 0.45 && !inWell) tell('smell-burnt', motor.burnt * 0.6)
  if (!runs) {
    if (state.hums && !inWell) tell('hums-no-start', 0.85)
    if (state.hums && inWell) tell('hums-no-start', 0.35)
    if (state.hums && state.overload > 4) tell('trips-breaker', piped ? 0.4 : 0.2)
    if (state.hums && state.cutsOut) tell('cuts-out-hot', 0.12)
    if (!state.hums) tell('dead', piped ? 0.35 : 0.9)
    if (piped) tell('no-water', 0.8)
    if (kind === 'sump') {
      tell('pit-flooded', 0.55)
      tell('alarm-sounding', 0.4)
    }
    if (kind === 'circulation') tell('alarm-sounding', 0.4)
    return told
  }
  const { water } = state
  const flow = water.flow
  if (!piped && kind !== 'sump') {
    if (flow < 0.12) tell('no-water', 0.85)
    else if (flow < 0.75) tell('low-flow', 0.85)
    if (flow >= 0.12 && flow < 0.7) tell('low-pressure', 0.3)
    if (kind === 'circulation' && flow < 0.5) tell('alarm-sounding', 0.35)
    if (!suction.primed || suction.airLeak > 0.3) tell('loses-prime', suction.primed ? 0.75 : 0.4)
  }
  if (piped) {
    const reaches = water.reachablePsi >= house.cutOutPsi + 1
    if (flow < 0.12 && !(house.nippleBlocked && state.turning && water.reachablePsi > 20)) tell('no-water', 0.85)
    else if (water.reachablePsi < house.cutInPsi || flow < 0.6) tell('low-pressure', 0.8)
    if (house.filterBlocked > 0.5) {
      tell('low-flow', 0.75)
      tell('low-pressure', 0.55)
    }
    if (house.cutOutPsi < 42 && house.cutInPsi < 24 && (machine.installation.cutInPsi ?? 30) - house.cutInPsi > 4)
      tell('low-pressure', 0.6)
    if (
      !reaches ||
      leaks.houseGallonsPerMinute > 4.5 ||
      house.contacts === 'welded' ||
      (house.nippleBlocked && house.sensedPsi < house.cutInPsi)
    )
      tell('never-stops', 0.5)
    const cycle = cycleSeconds(machine, water)
    if (cycle !== undefined && cycle < 34) tell('short-cycles', 0.9)
    else if (cycle !== undefined && cycle < 75) tell('short-cycles', 0.5)
    if (machine.discharge.checkLeaks || leaks.dropPipe > 0.3 || leaks.houseGallonsPerMinute > 0.3)
      tell('short-cycles', 0.55)
    if (leaks.houseGallonsPerMinute > 0.3) tell('high-bill', 0.35)
    if (water.airy) tell('air-at-taps', 0.5)
    if (kind === 'jet' && (suction.footLeaks || suction.airLeak > 0.3 || !suction.primed)) tell('loses-prime', 0.6)
    if (well.sand || well.dirty) tell('dirty-water', 0.35)
    if (leaks.reliefDrip) tell('leak-at-joint', 0.6)
  }
  if (kind === 'sump') {
    if (flow < 0.3 || (pit.overrun && flow < 0.9)) {
      tell('pit-flooded', 0.65)
      tell('never-stops', 0.5)
      tell('alarm-sounding', 0.4)
    }
    if (flow < 0.12) tell('no-water', 0.45)
    else if (flow < 0.75) tell('low-flow', 0.55)
    if (pit.float === 'closed') tell('never-stops', 0.75)
    if (discharge.checkLeaks) tell('short-cycles', 0.85)
    if (pit.heights !== 'right') tell('alarm-sounding', 0.85)
    if (pit.batteryVolts < 11.7) tell('alarm-sounding', 0.93)
  }
  if (kind === 'circulation' && discharge.checkLeaks) tell('loses-prime', 0.6)
  if (!submerged(kind)) {
    if (bearing.wear > 0.5) {
      tell('noise-whine', 0.55)
      tell('noise-grind', bearing.wear > 0.85 ? 0.5 : 0.15)
      tell('noise-squeal', 0.2)
    }
    if (bearing.rotorRubs || wheel.gapInches < 0.0035) tell('noise-grind', 0.6)
    if (bearing.runoutInches > 0.005) tell('vibrates', 0.75)
    if (bearing.looseMillimetres > 0.02) {
      tell('vibrates', 0.45)
      tell('noise-rattle', 0.35)
    }
    if (water.vacuumInHg > (kind === 'jet' ? 22 : 13) || (suction.airLeak > 0.3 && flow > 0.1) || wheel.broken !== 'no')
      tell('noise-rattle', 0.35)
    if (leaks.sealDrip > 0 || leaks.shaftRingDrip > 0) tell('leak-under-motor', 0.92)
    if (leaks.plateCracked) {
      tell('leak-under-motor', 0.55)
      tell('leak-at-joint', 0.45)
    }
    if (leaks.housingDrip > 0) {
      tell('leak-at-joint', 0.7)
      tell('leak-under-motor', 0.3)
    }
    if (leaks.jointDrip > 0) tell('leak-at-joint', 0.92)
    if (state.hot) tell('runs-hot', 0.45)
    if (state.cutsOut) tell('cuts-out-hot', 0.7)
  } else {
    if (kind === 'sump' && bearing.wear > 0.5) {
      tell('noise-grind', 0.45)
      tell('noise-whine', 0.4)
    }
    if (inWell && (bearing.wear > 0.6 || bearing.thrustWear > 0.4)) {
      tell('noise-grind', 0.3)
      tell('low-pressure', 0.25)
    }
    if (state.cutsOut) tell('cuts-out-hot', 0.35)
    if (leaks.jointDrip > 0) tell('leak-at-joint', 0.92)
  }
  return told
}

/** What there is to notice at this machine, whoever lives with it and however long. */
export function noticeableComplaints(machine: VirtualMachine): Complaint[] {
  return Object.keys(noticeable(machine, electricState(machine))) as Complaint[]
}

/** Without a fault, what made somebody call all the same. */
const IDLE_CALLS: Partial<Record<Complaint, number>> = {
  'high-bill': 3,
  'low-flow': 2,
  'low-pressure': 2,
  'noise-buzz': 1.5,
  'runs-hot': 1.5,
  'alarm-sounding': 2,
  'trips-gfci': 0.6,
  'dirty-water': 1,
  'noise-whine': 0.6,
}

/**
 * What the owner of this machine says on the telephone, from how it behaves: some of what there is to notice, in no
 * order.
 *
 * @returns no complaint at all where nothing would be noticed: then nobody calls
 */
export function complaintsOfMachine(machine: VirtualMachine, sound: boolean, chance: Chance): Complaint[] {
  if (sound) {
    const open = (Object.keys(IDLE_CALLS) as Complaint[]).filter((complaint) => complaintFits(complaint, machine.kind))
    return [open[chance.weighted(open.map((complaint) => IDLE_CALLS[complaint] as number))] as Complaint]
  }
  const told = noticeable(machine, electricState(machine))
  return (Object.keys(told) as Complaint[]).filter(
    (complaint) => complaintFits(complaint, machine.kind) && chance.hit(told[complaint] as number),
  )
}
