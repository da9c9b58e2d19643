import { wholePumps, type Kind, type MotorType } from '../knowledge/vocabulary'
import { gaugeArea } from '../electrical/conductor'
import { CONDUCTOR } from '../knowledge/electrical/wire'
import { MOTOR_HAS, type Installation, type Nameplate } from '../motor/nameplate'
import { METRES_PER_FOOT, PSI_PER_METRE_OF_WATER, WATTS_PER_HORSEPOWER } from '../quantity/conversions'
import { ratedAmps } from './electrics'
import { houseWater, type VirtualMachine } from './machine'
import { planMotor } from './motor-plan'
import { shownPlate } from './plate-shown'
import type { Chance } from '../quantity/random'

/** Motor types as they are met with on each kind, as weights: the makers' habits, invented for this bench. */
const MET_WITH: Record<Kind, Partial<Record<MotorType, number>>> = {
  pool: { 'capacitor-start-run': 5, 'permanent-split': 4, electronic: 2, 'capacitor-start': 1 },
  booster: { 'capacitor-start': 6, 'permanent-split': 2 },
  spa: { 'permanent-split': 6, 'capacitor-start-run': 1, electronic: 0.5 },
  'well-two-wire': { 'permanent-split': 5, 'split-phase': 3, 'capacitor-start': 2 },
  'well-three-wire': { 'capacitor-start': 5, 'capacitor-start-run': 3 },
  jet: { 'capacitor-start': 5, 'capacitor-start-run': 3, 'split-phase': 1 },
  sump: { 'permanent-split': 5, 'split-phase': 3, 'capacitor-start': 1 },
  circulation: { 'permanent-split': 5, 'capacitor-start': 2, electronic: 1 },
  utility: { 'permanent-split': 4, 'capacitor-start': 3, 'capacitor-start-run': 1 },
}
const HORSEPOWER: Record<Kind, readonly number[]> = {
  pool: [0.75, 1, 1.5, 2],
  booster: [0.75],
  spa: [1, 1.5, 2],
  'well-two-wire': [0.5, 0.75, 1],
  'well-three-wire': [0.75, 1, 1.5],
  jet: [0.5, 0.75, 1],
  sump: [1 / 3, 0.5],
  circulation: [0.5, 0.75],
  utility: [0.5, 0.75],
}
/** Efficiency times power factor that a plate's amps are first guessed with. */
const FIRST_GUESS = 0.5

/** A sound machine of a kind, as it may be met with: plate, age, wear and surroundings vary, nothing is at fault. */
export function buildMachine(kind: Kind, chance: Chance): VirtualMachine {
  const types = Object.keys(MET_WITH[kind]) as MotorType[]
  const motorType = types[chance.weighted(types.map((type) => MET_WITH[kind][type] as number))] as MotorType
  const horsepower = chance.pick(HORSEPOWER[kind])
  const volts =
    kind === 'sump' ||
    kind === 'circulation' ||
    kind === 'utility' ||
    (kind === 'spa' && chance.hit(0.3)) ||
    (kind === 'booster' && chance.hit(0.3))
      ? 115
      : 230
  const installation = installationOf(kind, chance)
  const bare: Nameplate = { volts, hertz: 60, motorType, horsepower }
  const plan = planMotor({ kind, motorType, horsepower, volts }, chance)
  const runOhms = plan.circuit.r1Ohms
  const startOhms = plan.auxiliary.auxOhms
  const ohmsKnown = chance.hit(0.55)
  const nameplate: Nameplate = {
    ...bare,
    // A first guess of its amps, until it has run: two thirds of the watts it takes in come out at the shaft.
    fullLoadAmps: (horsepower * WATTS_PER_HORSEPOWER) / (FIRST_GUESS * volts),
    ...(plan.runMicrofarads === undefined ? {} : { runCapacitorMicrofarads: plan.runMicrofarads }),
    ...(plan.startMicrofarads === undefined ? {} : { startCapacitorMicrofarads: plan.startMicrofarads }),
    ...(ohmsKnown
      ? {
          runWindingOhms: [round(runOhms * 0.87), round(runOhms * 1.13)] as [number, number],
          ...(MOTOR_HAS.startWinding(motorType)
            ? { startWindingOhms: [round(startOhms * 0.87), round(startOhms * 1.13)] as [number, number] }
            : {}),
        }
      : {}),
  }
  const { circuit, auxiliary } = plan
  const base = volts / (nameplate.fullLoadAmps as number)
  const ageYears = Math.max(0.3, chance.normal(kind.startsWith('well') ? 9 : 6, 3))
  const well = wellOf(chance, installation)
  const cutInPsi = installation.cutInPsi ?? 30
  const cutOutPsi = installation.cutOutPsi ?? 50
  const machine: VirtualMachine = {
    kind,
    construction: chance.pick(wholePumps(kind)),
    motorType,
    ageYears,
    underWarranty: ageYears < 2 && chance.hit(0.7),
    nameplate,
    shownPlate: nameplate,
    plateState: 'whole',
    replaced: [],
    installation,
    supply: {
      gfciWorn: false,
      panelVolts: volts * (volts > 150 ? 1.043 : 1.04) * chance.normal(1, 0.012),
      lineOhms: (0.012 + 0.012 * chance.next()) * base,
      breakerDead: false,
      outletDead: false,
      timerOpen: false,
      jointOhms: 0,
      jointBefore: chance.hit(0.45),
      jointShows: 'sound',
      bondingOff: false,
      selectorFactor: 1,
    },
    motor: {
      circuit,
      ...auxiliary,
      runMicrofarads: (plan.runMicrofarads ?? 0) * Math.max(0.955, chance.normal(0.99, 0.015)),
      startMicrofarads: (plan.startMicrofarads?.[0] ?? 0) * chance.normal(1.1, 0.035),
      overspeed: 1,
      capacitorLook: { run: chance.hit(0.015) ? 'bulged' : 'normal', start: chance.hit(0.015) ? 'bulged' : 'normal' },
      startSwitch: 'works',
      switchPitted: chance.hit(0.06),
      relay: 'works',
      relayBurnt: false,
      runOpen: false,
      startOpen: false,
      shortedTurns: 0,
      protectorOpen: false,
      driveDead: false,
      driveShows: false,
      coolingBlocked: false,
      fan: chance.hit(0.06) ? 'corroded' : 'sound',
      burnt: 0,
      friction: chance.between(0.03, 0.07),
      seized: false,
    },
    insulation: {
      windingMegohms: 10 ** chance.normal(2.6, 0.4),
      cableMegohms: 10 ** chance.normal(3, 0.35),
      connectorMegohms: 10 ** chance.normal(3, 0.4),
      lowVoltFactor: 1,
      arcs: false,
      connector: 'sound',
      filling: 'clean',
      conduitMegohms: 10 ** chance.normal(3, 0.3),
      conduitArcs: false,
    },
    cable: {
      loopOhms: kind.startsWith('well')
        ? (2 *
            (installation.cableMetres ?? 0) *
            CONDUCTOR.copperOhmSquareMillimetresPerMetre *
            CONDUCTOR.strandedFactor) /
          gaugeArea(installation.cableAwg ?? '12')
        : 0,
      open: 'no',
      swapped: 'no',
    },
    bearing: {
      wear: Math.min(0.35, (ageYears / 30) * chance.between(0.3, 1)),
      looseMillimetres: 0,
      runoutInches: Math.abs(chance.normal(0.0015, 0.0007)),
      rotorRubs: false,
      thrustWear: 0,
      endPlayInches: chance.between(0.014, 0.038),
      shaftHeightInches: chance.between(1.499, 1.507),
      rust: chance.hit(0.15),
    },
    coupled: true,
    leaks: {
      sealDrip: 0,
      shaftRingDrip: 0,
      housingDrip: 0,
      jointDrip: 0,
      plateCracked: false,
      plateAtWeep: false,
      sealLook: chance.hit(0.1) ? 'worn' : 'sound',
      housingRingLook: chance.hit(0.08) ? 'worn' : 'sound',
      shaftRingLook: chance.hit(0.06) ? 'worn' : 'sound',
      threadLook: chance.hit(0.06) ? 'worn' : 'sound',
      reliefDrip: false,
      reliefStuck: false,
      reliefMissing: chance.hit(0.12),
      houseGallonsPerMinute: 0,
      dropPipe: 0,
    },
    wheel: {
      clog: 0,
      wear: Math.min(0.15, ageYears * 0.01),
      broken: 'no',
      gapInches: chance.normal(0.016, 0.003),
      boundStages: false,
      stageLook: chance.hit(0.1) ? 'worn' : 'sound',
      jamsRotor: false,
    },
    suction: {
      blocked: 0,
      where: 'basket',
      airLeak: 0,
      airLeakAtLid: false,
      primed: true,
      footLeaks: false,
      tooMuchLift: 0,
      levelLow: false,
    },
    discharge: { blocked: 0, where: 'line', checkLeaks: false, checkStuck: false },
    house: {
      contacts: chance.hit(0.08) ? 'pitted' : 'clean',
      nippleBlocked: false,
      sensedPsi: 0,
      cutInPsi: cutInPsi + chance.normal(0, 1),
      cutOutPsi: cutOutPsi + chance.normal(0, 1),
      prechargePsi: cutInPsi - 2 + chance.normal(0, 1.2),
      waterInTank: false,
      bladderBurst: false,
      filterBlocked: 0,
    },
    well,
    pit: {
      debris: chance.hit(0.15),
      float: 'works',
      floatStuck: false,
      heights: 'right',
      batteryVolts: chance.normal(12.75, 0.12),
      overrun: false,
      airBound: false,
      airHole: chance.hit(0.88) ? 'clear' : 'missing',
    },
    headScale: 1,
    ambientCelsius: chance.between(8, 32),
  }
  // The plate is printed after the machine: what it draws at its rated volts and load, as a maker would measure it.
  const printed = ratedAmps(machine) * chance.between(0.96, 1.08)
  machine.nameplate.fullLoadAmps = Number(printed.toFixed(1))
  machine.nameplate.serviceFactorAmps = Number((printed * 1.17).toFixed(1))
  const { state, shown } = shownPlate(machine.nameplate, chance)
  machine.plateState = state
  machine.shownPlate = shown
  return machine
}

function round(ohms: number): number {
  return Number(ohms.toPrecision(3))
}

function installationOf(kind: Kind, chance: Chance): Installation {
  if (!houseWater(kind))
    return kind === 'sump' ? { liftMetres: Number(chance.between(2, 3.5).toFixed(1)), pitDiameterMetres: 0.45 } : {}
  const [cutInPsi, cutOutPsi] = chance.pick([
    [30, 50],
    [40, 60],
    [20, 40],
  ] as const)
  if (kind === 'jet')
    return {
      cutInPsi,
      cutOutPsi,
      tankLitres: chance.pick([75, 120, 200]),
      liftMetres: Number(chance.between(2, 6).toFixed(1)),
    }
  const wellDepthMetres = Math.round(chance.between(25, 90))
  const liftMetres = Math.round(wellDepthMetres * chance.between(0.35, 0.6))
  const head = liftMetres + (cutOutPsi / PSI_PER_METRE_OF_WATER) * 1.45
  const withCurve = chance.hit(0.6)
  return {
    cutInPsi,
    cutOutPsi,
    tankLitres: chance.pick([120, 200, 300]),
    wellDepthMetres,
    liftMetres,
    cableAwg: wellDepthMetres > 60 ? '10' : '12',
    cableMetres: wellDepthMetres + 12,
    ...(withCurve
      ? {
          pumpCurve: [
            { flowLitresPerSecond: 0, headMetres: Math.round(head) },
            { flowLitresPerSecond: 0.6, headMetres: Math.round(head * 0.7) },
            { flowLitresPerSecond: 1, headMetres: Math.round(head * 0.35) },
          ],
        }
      : {}),
  }
}

function wellOf(chance: Chance, { wellDepthMetres = 8, liftMetres = 4 }: Installation): VirtualMachine['well'] {
  const depthFeet = wellDepthMetres / METRES_PER_FOOT
  return {
    depthFeet,
    staticFeet: (liftMetres / METRES_PER_FOOT) * chance.between(0.75, 0.95),
    pumpingFeet: depthFeet * chance.between(0.42, 0.7),
    recoveryGpm: chance.between(5, 15),
    sand: false,
    dirty: chance.hit(0.04),
  }
}
