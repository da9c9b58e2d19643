import type { Fault } from '../knowledge/vocabulary'
import { MOTOR_HAS } from '../motor/nameplate'
import { houseWater, submerged, type VirtualMachine } from './machine'
import type { Chance } from '../quantity/random'

type Change = (machine: VirtualMachine, chance: Chance) => void

/**
 * How a winding, a cable or a connector leaks once it leaks: megohms, and whether it flashes over under running volts.
 */
function leaky(machine: VirtualMachine, chance: Chance): number {
  machine.insulation.arcs = chance.hit(0.7)
  machine.insulation.lowVoltFactor = chance.hit(0.5) ? 10 ** chance.between(0.5, 2.5) : 1
  return 10 ** chance.between(-3.2, -0.35)
}

function burn(machine: VirtualMachine, amount: number): void {
  machine.motor.burnt = Math.min(1, machine.motor.burnt + amount)
}

/** What each fault changes in the machine. Nothing here says what will be read: that follows. */
const CHANGES: Record<Exclude<Fault, 'nothing-wrong'>, Change> = {
  'no-supply': ({ supply }) => {
    supply.breakerDead = true
  },
  'outlet-dead': ({ supply }) => {
    supply.outletDead = true
  },
  'timer-failed': ({ supply }) => {
    supply.timerOpen = true
  },
  'low-supply-voltage': (machine, chance) => {
    if (chance.hit(0.55)) machine.supply.panelVolts *= chance.between(0.8, 0.88)
    else
      machine.supply.lineOhms +=
        (machine.nameplate.volts / (machine.nameplate.fullLoadAmps as number)) * chance.between(0.1, 0.24)
  },
  'wrong-voltage-selected': ({ supply }, chance) => {
    supply.selectorFactor = chance.hit(0.6) ? 0.5 : 2
  },
  'loose-connection': (machine, chance) => {
    machine.supply.jointOhms = chance.hit(0.45)
      ? Infinity
      : (machine.nameplate.volts / (machine.nameplate.fullLoadAmps as number)) * chance.between(0.12, 0.6)
    machine.supply.jointShows = chance.hit(0.92) ? (chance.hit(0.55) ? 'loose' : 'burnt') : 'sound'
  },
  'bonding-missing': ({ supply }) => {
    supply.bondingOff = true
  },
  'run-capacitor-failed': ({ motor }, chance) => {
    motor.runMicrofarads *= chance.hit(0.35) ? chance.between(0, 0.02) : chance.between(0.35, 0.9)
    motor.capacitorLook.run = chance.hit(0.45) ? chance.pick(['bulged', 'bulged', 'leaking', 'burnt']) : 'normal'
  },
  'start-capacitor-failed': ({ motor }, chance) => {
    motor.startMicrofarads *= chance.hit(0.45) ? chance.between(0, 0.02) : chance.between(0.15, 0.7)
    motor.capacitorLook.start = chance.hit(0.5) ? chance.pick(['bulged', 'leaking', 'burnt']) : 'normal'
  },
  'start-switch-failed': ({ motor, kind }, chance) => {
    motor.startSwitch = chance.hit(0.75) ? 'stuck-open' : 'stuck-closed'
    if (motor.startSwitch === 'stuck-closed') motor.burnt = Math.max(motor.burnt, 0.2)
    motor.switchPitted ||= kind === 'pool' && chance.hit(0.3)
  },
  'start-relay-failed': ({ motor }, chance) => {
    motor.relay = chance.hit(0.75) ? 'stuck-open' : 'stuck-closed'
    motor.relayBurnt = chance.hit(0.6)
  },
  'run-winding-open': (machine) => {
    machine.motor.runOpen = true
    burn(machine, 0.6)
  },
  'start-winding-open': (machine) => {
    machine.motor.startOpen = true
    burn(machine, 0.5)
  },
  'winding-shorted': (machine, chance) => {
    machine.motor.shortedTurns = chance.between(0.08, 0.45)
    burn(machine, 0.8)
  },
  'winding-to-ground': (machine, chance) => {
    machine.insulation.windingMegohms = leaky(machine, chance)
    if (chance.hit(0.3)) burn(machine, 0.5)
  },
  'cable-to-ground': (machine, chance) => {
    machine.insulation.cableMegohms = leaky(machine, chance)
  },
  'cable-open': ({ cable, motorType, kind }, chance) => {
    cable.open =
      kind === 'well-three-wire' && MOTOR_HAS.startWinding(motorType)
        ? chance.pick(['run', 'common', 'start'])
        : chance.pick(['run', 'common'])
  },
  'leads-swapped': ({ cable }, chance) => {
    cable.swapped = chance.pick(['run-start', 'common-start', 'common-run'])
  },
  'lead-connector-leaking': (machine, chance) => {
    machine.insulation.connectorMegohms = leaky(machine, chance)
    machine.insulation.connector = chance.hit(0.93) ? chance.pick(['cracked', 'wet']) : 'sound'
  },
  'water-in-motor': (machine, chance) => {
    machine.insulation.windingMegohms = 10 ** chance.between(-2.2, 0.1)
    machine.insulation.arcs = chance.hit(0.6)
    machine.insulation.filling = chance.hit(0.93) ? (chance.hit(0.8) ? 'water' : 'wet') : 'clean'
    machine.bearing.rust ||= chance.hit(0.5)
    machine.bearing.wear = Math.max(machine.bearing.wear, chance.between(0.1, 0.55))
  },
  'thermal-protector-open': ({ motor }) => {
    motor.protectorOpen = true
  },
  'bearings-worn': (machine, chance) => {
    machine.bearing.wear = chance.between(0.5, 1.1)
    machine.motor.friction += 0.05 * machine.bearing.wear
  },
  'bearing-loose-on-shaft': ({ bearing }, chance) => {
    bearing.looseMillimetres = chance.between(0.03, 0.25)
    bearing.runoutInches += chance.between(0.001, 0.004)
  },
  'shaft-bent': ({ bearing }, chance) => {
    bearing.runoutInches = chance.between(0.006, 0.02)
  },
  'rotor-rubbing': ({ bearing, motor }, chance) => {
    bearing.rotorRubs = true
    motor.friction += chance.between(0.08, 0.3)
  },
  'motor-seized': (machine, chance) => {
    machine.motor.seized = true
    if (chance.hit(0.25)) burn(machine, 0.5)
  },
  'thrust-bearing-worn': ({ bearing, motor }, chance) => {
    bearing.thrustWear = chance.between(0.5, 1)
    bearing.endPlayInches = chance.between(0.055, 0.14)
    bearing.shaftHeightInches = chance.between(1.44, 1.493)
    motor.friction += chance.between(0.05, 0.2)
  },
  'cooling-blocked': ({ motor }, chance) => {
    motor.coolingBlocked = true
    motor.fan = chance.hit(0.9) ? chance.pick(['broken', 'broken', 'missing', 'cracked']) : motor.fan
  },
  'shaft-seal-leaking': ({ leaks }, chance) => {
    leaks.sealDrip = chance.between(0.5, 20)
    leaks.sealLook = chance.hit(0.93) ? chance.pick(['worn', 'worn', 'worn', 'cracked', 'broken']) : leaks.sealLook
  },
  'shaft-o-ring-leaking': ({ leaks }, chance) => {
    leaks.shaftRingDrip = chance.between(0.5, 10)
    leaks.shaftRingLook = chance.hit(0.9) ? chance.pick(['worn', 'cracked']) : leaks.shaftRingLook
  },
  'housing-seal-leaking': ({ leaks }, chance) => {
    leaks.housingDrip = chance.between(0.5, 30)
    leaks.housingRingLook = chance.hit(0.9) ? chance.pick(['worn', 'cracked', 'missing']) : leaks.housingRingLook
  },
  'joint-leaking': ({ leaks }, chance) => {
    leaks.jointDrip = chance.between(0.5, 30)
    leaks.threadLook = chance.hit(0.65) ? chance.pick(['cracked', 'worn']) : leaks.threadLook
  },
  'seal-plate-cracked': ({ leaks }, chance) => {
    leaks.plateCracked = true
    leaks.plateAtWeep = chance.hit(0.42)
  },
  'impeller-clogged': (machine, chance) => {
    machine.wheel.clog = chance.between(0.45, 0.95)
    machine.wheel.jamsRotor = chance.hit(machine.kind === 'sump' ? 0.2 : 0.06)
    if (machine.kind === 'sump') machine.pit.debris ||= chance.hit(0.6)
  },
  'impeller-worn': ({ wheel }, chance) => {
    wheel.wear = chance.between(0.5, 1)
  },
  'impeller-broken': ({ wheel }, chance) => {
    wheel.broken = chance.hit(0.4) ? 'loose' : 'broken'
  },
  'impeller-rubbing': (machine, chance) => {
    machine.wheel.gapInches = chance.between(0, 0.003)
    machine.motor.friction += chance.between(0.05, 0.22)
  },
  'stages-worn': (machine, chance) => {
    machine.wheel.wear = chance.between(0.45, 1)
    machine.wheel.stageLook = chance.hit(0.9) ? 'worn' : 'sound'
    machine.well.sand = chance.hit(0.3)
  },
  'stages-bound': ({ wheel }, chance) => {
    wheel.boundStages = true
    wheel.stageLook = chance.hit(0.92) ? chance.pick(['fused', 'fused', 'scaled']) : 'sound'
  },
  'stages-broken': ({ wheel }) => {
    wheel.broken = 'broken'
    wheel.stageLook = 'broken'
  },
  'coupling-sheared': (machine) => {
    machine.coupled = false
  },
  'suction-air-leak': (machine, chance) => {
    machine.suction.airLeak = chance.between(0.3, 1)
    machine.suction.airLeakAtLid = machine.kind === 'pool' && chance.hit(0.55)
    if (machine.suction.airLeak > 0.85) machine.suction.primed = false
  },
  'suction-blocked': ({ suction, kind }, chance) => {
    suction.blocked = chance.between(0.45, 0.95)
    suction.where =
      kind === 'pool' || kind === 'utility'
        ? chance.pick(['basket', 'intake', 'line'])
        : // Who stands in the water has no suction pipe.
          kind.startsWith('well')
          ? 'intake'
          : chance.pick(['intake', 'line'])
  },
  'foot-valve-leaking': ({ suction }, chance) => {
    suction.footLeaks = true
    suction.primed = chance.hit(0.5)
  },
  'lost-prime': ({ suction, pit, kind }) => {
    suction.primed = false
    if (kind === 'sump') pit.airBound = true
  },
  'discharge-blocked': ({ discharge, kind }, chance) => {
    discharge.blocked = chance.between(0.5, 0.97)
    discharge.where = kind === 'sump' ? 'line' : chance.pick(['filter', 'valve', 'line'])
  },
  'check-valve-failed': (machine, chance) => {
    if (chance.hit(0.94)) machine.discharge.checkLeaks = true
    else machine.discharge.checkStuck = true
  },
  'pressure-switch-failed': ({ house }, chance) => {
    house.contacts = chance.hit(0.97) ? chance.pick(['not-closing', 'burnt', 'welded']) : 'pitted'
  },
  'pressure-switch-blocked': ({ house }, chance) => {
    house.nippleBlocked = true
    house.sensedPsi = chance.hit(0.5)
      ? chance.between(house.cutInPsi, house.cutOutPsi + 3)
      : chance.between(4, house.cutInPsi)
  },
  'pressure-switch-misset': ({ house }, chance) => {
    const shift = chance.hit(0.5) ? chance.between(-15, -6) : chance.between(6, 25)
    house.cutInPsi += shift * chance.between(0.6, 1)
    house.cutOutPsi += shift
  },
  'tank-waterlogged': ({ house }, chance) => {
    house.prechargePsi = chance.between(0, house.cutInPsi * 0.45)
    house.waterInTank = true
    house.bladderBurst = chance.hit(0.5)
  },
  'system-leak': ({ leaks }, chance) => {
    leaks.houseGallonsPerMinute = 10 ** chance.between(-0.7, 0.9)
  },
  'relief-valve-failed': ({ leaks }, chance) => {
    leaks.reliefMissing = false
    leaks.reliefStuck = chance.hit(0.85)
    leaks.reliefDrip = chance.hit(0.7)
    leaks.houseGallonsPerMinute = leaks.reliefDrip ? chance.between(0.2, 3) : 0
  },
  'float-switch-failed': ({ pit }, chance) => {
    pit.float = chance.hit(0.8) ? 'dead' : 'closed'
  },
  'float-stuck': ({ pit }, chance) => {
    pit.floatStuck = true
    pit.float = chance.hit(0.65) ? 'dead' : 'closed'
    pit.debris ||= chance.hit(0.3)
  },
  'float-heights-wrong': ({ pit }, chance) => {
    pit.heights = chance.hit(0.85) ? 'backup-below-main' : 'above-floor'
  },
  'backup-battery-failed': ({ pit }, chance) => {
    pit.batteryVolts = chance.hit(0.75) ? chance.between(9.5, 11.6) : chance.between(1, 9)
  },
  'low-water': ({ well, suction, kind }, chance) => {
    suction.levelLow = kind === 'circulation'
    well.pumpingFeet = well.depthFeet * chance.between(0.95, 1.02)
    well.recoveryGpm = chance.between(0.2, 1.6)
    well.dirty ||= chance.hit(0.15)
  },
  'undersized-pump': (machine, chance) => {
    const share = chance.between(0.55, 0.78)
    const curve = machine.installation.pumpCurve
    // The sheet of a pump that is too small is its own sheet.
    if (curve)
      machine.installation = {
        ...machine.installation,
        pumpCurve: curve.map((at) => ({ ...at, headMetres: at.headMetres * share })),
      }
    else machine.headScale = share
    machine.pit.overrun = true
  },
  cavitation: ({ suction }, chance) => {
    suction.tooMuchLift = chance.between(0.4, 1)
    suction.blocked = Math.max(suction.blocked, chance.between(0.3, 0.55))
    suction.where = 'line'
  },
  'wrong-frequency': ({ motor }) => {
    motor.overspeed = 1.2
  },
  'wrong-capacitor-fitted': ({ motor, motorType }, chance) => {
    const off = chance.hit(0.45) ? chance.between(0.45, 0.84) : chance.between(1.2, 1.8)
    if (MOTOR_HAS.runCapacitor(motorType)) motor.runMicrofarads *= off
    else motor.startMicrofarads *= chance.hit(0.5) ? off : chance.between(0.3, 0.6)
  },
  'house-filter-clogged': ({ house }, chance) => {
    house.filterBlocked = chance.between(0.55, 0.95)
  },
  'supply-wiring-wet': ({ insulation }, chance) => {
    insulation.conduitMegohms = 10 ** chance.between(-3, -0.8)
    insulation.conduitArcs = chance.hit(0.75)
  },
  'gfci-worn': ({ supply }) => {
    supply.gfciWorn = true
  },
  'water-level-low': ({ suction }, chance) => {
    suction.levelLow = true
    suction.airLeak = chance.between(0.3, 0.8)
  },
  'drop-pipe-leaking': ({ leaks }, chance) => {
    leaks.dropPipe = chance.between(0.25, 0.85)
  },
  'tank-air-low': ({ house }, chance) => {
    house.prechargePsi = house.cutInPsi * chance.between(0, 0.7)
  },
  'air-bound': ({ pit }, chance) => {
    pit.airBound = true
    pit.airHole = chance.hit(0.55) ? 'plugged' : 'missing'
  },
  'bearing-misfitted': (machine, chance) => {
    machine.bearing.wear = chance.between(0.55, 0.95)
    machine.motor.friction += chance.between(0.04, 0.12)
  },
  'seal-misfitted': ({ leaks }, chance) => {
    leaks.sealDrip = chance.between(0.6, 20)
    leaks.sealLook = chance.hit(0.55) ? chance.pick(['cracked', 'cracked', 'broken', 'worn']) : 'sound'
  },
  'adapter-leaking': ({ leaks }, chance) => {
    leaks.jointDrip = chance.between(0.5, 20)
    leaks.threadLook = chance.hit(0.55) ? chance.pick(['cracked', 'worn']) : leaks.threadLook
  },
  'drive-electronics-failed': ({ motor }, chance) => {
    motor.driveDead = chance.hit(0.85)
    motor.driveShows = chance.hit(0.6)
  },
}

/** Puts a fault into a machine, as the physical change it is. `nothing-wrong` changes nothing. */
export function breakMachine(machine: VirtualMachine, fault: Fault, chance: Chance): void {
  if (fault === 'nothing-wrong') return
  CHANGES[fault](machine, chance)
  // What stands in no water or is out of reach cannot show these.
  if (submerged(machine.kind) && !houseWater(machine.kind)) machine.suction.primed = true
}
