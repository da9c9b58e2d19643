import type { MotorCircuit } from '../electrical/motor-circuit'
import {
  HOUSE_WATER,
  SUBMERGED,
  type Construction,
  type Kind,
  type MotorType,
  type Part,
} from '../knowledge/vocabulary'
import type { Installation, Nameplate } from '../motor/nameplate'
import type { PlateState } from './plate-shown'

/** Where something that opens and closes is stuck. */
export type Stuck = 'works' | 'stuck-open' | 'stuck-closed'

/**
 * A pump as it physically is. Everything that can be measured or seen on it follows from these numbers; a fault is a
 * change in them.
 */
export interface VirtualMachine {
  kind: Kind
  construction: Construction
  motorType: MotorType
  ageYears: number
  underWarranty: boolean
  nameplate: Nameplate
  /** What can be read of the plate: all of it, some, only the volts, or another motor's. */
  shownPlate: Nameplate
  plateState: PlateState
  /** Parts that somebody has replaced before, as the owner tells. */
  replaced: Part[]
  installation: Installation
  supply: {
    /** Volts at the panel, no load. */
    panelVolts: number
    /** Feeder and branch, ohms there and back. */
    lineOhms: number
    breakerDead: boolean
    outletDead: boolean
    timerOpen: boolean
    /** A poor joint in the line, ohms; Infinity is open. */
    jointOhms: number
    /** The joint lies before the terminals where the supply is read. */
    jointBefore: boolean
    /** A joint that stands burnt or loose to the eye. */
    jointShows: 'sound' | 'loose' | 'burnt'
    bondingOff: boolean
    gfciWorn: boolean
    /** Share of the winding's right voltage that the selector gives it. */
    selectorFactor: 1 | 0.5 | 2
  }
  motor: {
    circuit: MotorCircuit
    auxOhms: number
    auxReactanceOhms: number
    turnsRatio: number
    runMicrofarads: number
    startMicrofarads: number
    /** Speed over that of its own frequency: a 50 Hz motor on 60 Hz turns a fifth faster. */
    overspeed: number
    capacitorLook: { run: string; start: string }
    startSwitch: Stuck
    switchPitted: boolean
    relay: Stuck
    relayBurnt: boolean
    runOpen: boolean
    startOpen: boolean
    /** Share of the main winding's turns that are shorted. */
    shortedTurns: number
    protectorOpen: boolean
    driveDead: boolean
    driveShows: boolean
    coolingBlocked: boolean
    fan: string
    /** How burnt the winding smells and looks, 0 to 1. */
    burnt: number
    /** Friction at rest as a share of rated torque. */
    friction: number
    seized: boolean
  }
  insulation: {
    /** Winding to ground at 40 °C, megohms. */
    windingMegohms: number
    cableMegohms: number
    connectorMegohms: number
    /** How many times more a nine-volt meter sees than the megohmmeter: what breaks down only under volts. */
    lowVoltFactor: number
    /** Flashes over under running volts. */
    arcs: boolean
    connector: 'sound' | 'cracked' | 'wet'
    filling: 'clean' | 'wet' | 'water' | 'empty'
    /** Of the wiring before the motor. */
    conduitMegohms: number
    conduitArcs: boolean
  }
  cable: {
    loopOhms: number
    open: 'no' | 'run' | 'common' | 'start'
    swapped: 'no' | 'common-start' | 'run-start' | 'common-run'
  }
  bearing: {
    /** 0 new, 1 worn out. */
    wear: number
    /** Looseness on the shaft, millimetres. */
    looseMillimetres: number
    runoutInches: number
    rotorRubs: boolean
    thrustWear: number
    endPlayInches: number
    shaftHeightInches: number
    rust: boolean
  }
  coupled: boolean
  leaks: {
    sealDrip: number
    shaftRingDrip: number
    housingDrip: number
    jointDrip: number
    plateCracked: boolean
    plateAtWeep: boolean
    sealLook: string
    housingRingLook: string
    shaftRingLook: string
    threadLook: string
    reliefDrip: boolean
    reliefStuck: boolean
    reliefMissing: boolean
    houseGallonsPerMinute: number
    /** Share of what is pumped that runs back down the well. */
    dropPipe: number
  }
  wheel: {
    /** 0 clear, 1 shut. */
    clog: number
    wear: number
    broken: 'no' | 'loose' | 'broken'
    gapInches: number
    boundStages: boolean
    stageLook: string
    jamsRotor: boolean
  }
  suction: {
    blocked: number
    where: 'basket' | 'intake' | 'line'
    airLeak: number
    airLeakAtLid: boolean
    primed: boolean
    footLeaks: boolean
    tooMuchLift: number
    /** The water stands below the skimmer’s mouth. */
    levelLow: boolean
  }
  discharge: { blocked: number; where: 'filter' | 'valve' | 'line'; checkLeaks: boolean; checkStuck: boolean }
  house: {
    contacts: 'clean' | 'pitted' | 'burnt' | 'welded' | 'not-closing'
    nippleBlocked: boolean
    sensedPsi: number
    cutInPsi: number
    cutOutPsi: number
    prechargePsi: number
    waterInTank: boolean
    bladderBurst: boolean
    /** 0 clear, 1 shut: the cartridge behind the tank. */
    filterBlocked: number
  }
  well: {
    depthFeet: number
    staticFeet: number
    pumpingFeet: number
    recoveryGpm: number
    sand: boolean
    dirty: boolean
  }
  pit: {
    debris: boolean
    float: 'works' | 'dead' | 'closed'
    floatStuck: boolean
    heights: 'right' | 'backup-below-main' | 'above-floor'
    batteryVolts: number
    overrun: boolean
    airBound: boolean
    airHole: 'clear' | 'missing' | 'plugged'
  }
  /** Pump too small for what is asked of it. */
  headScale: number
  ambientCelsius: number
}

export function submerged(kind: Kind): boolean {
  return SUBMERGED.includes(kind)
}
export function houseWater(kind: Kind): boolean {
  return HOUSE_WATER.includes(kind)
}
