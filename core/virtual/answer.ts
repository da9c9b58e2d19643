import { checkInfo, type Check } from '../knowledge/checks/checks'
import { USUAL_INSIDE } from '../knowledge/mechanical/bearing-insides'
import { MOTOR_HAS } from '../motor/nameplate'
import { listenTo, type Heard } from '../sound/listen'
import { TRIAL_ANSWERS } from './answer-trials'
import { controlCloses, electricState, jammed, leakMegohms, type ElectricState } from './electrics'
import { INSTRUMENTS, read, SLIP } from './instruments'
import { houseWater, submerged, type VirtualMachine } from './machine'
import type { Chance } from '../quantity/random'
import { quietRecording } from './sound'
import { cycleSeconds } from './water'

export interface Question {
  check: string
  part?: string
  leads?: string
  setup?: string
  half?: string
}
export interface Answer {
  value?: number | null
  outcome?: string
  celsius?: number
  testVolts?: number
}

export interface Seen {
  machine: VirtualMachine
  question: Question
  state: ElectricState
  chance: Chance
}
export type Answering = (seen: Seen) => Answer

const seen = (outcome: string): Answer => ({ outcome })
const shown = (value: number | null): Answer => ({ value })
const CELSIUS_OF_WELL = 12
const OHMMETER_SEES_MEGOHMS = 0.3

/** Does it run, as one stands before it and closes the control? */
const runs = ({ state }: Seen): boolean => state.turning

function windingOhms({ machine, question }: Seen): number | null {
  const { motor, cable, kind, motorType } = machine
  if (motor.protectorOpen) return null
  const atMotor = question.half === 'motor'
  const loop = atMotor ? 0 : cable.loopOhms
  const main = motor.runOpen ? null : motor.circuit.r1Ohms * (1 - motor.shortedTurns)
  const aux = motor.startOpen || !MOTOR_HAS.startWinding(motorType) ? null : motor.auxOhms
  if (kind !== 'well-three-wire') {
    if (cable.open !== 'no' && kind === 'well-two-wire' && !atMotor) return null
    if (question.leads === 'start-common') return aux
    // A split-phase motor at rest has its switch closed: both windings hang on the two leads.
    const start =
      kind === 'well-two-wire' && motorType === 'split-phase' && motor.startSwitch !== 'stuck-open' ? aux : null
    const both = main === null ? start : start === null ? main : 1 / (1 / main + 1 / start)
    return both === null ? null : both + loop
  }
  if (atMotor) return question.leads === 'start-common' ? aux : main
  if (cable.open === 'common') return null
  if (question.leads === 'start-common' ? cable.open === 'start' : cable.open === 'run') return null
  const pairs = { 'run-common': main, 'start-common': aux, series: main === null || aux === null ? null : main + aux }
  const real =
    question.leads === 'start-common'
      ? {
          no: pairs['start-common'],
          'run-start': pairs['run-common'],
          'common-start': pairs['start-common'],
          'common-run': pairs.series,
        }[cable.swapped]
      : {
          no: pairs['run-common'],
          'run-start': pairs['start-common'],
          'common-start': pairs.series,
          'common-run': pairs['run-common'],
        }[cable.swapped]
  return real === null ? null : real + loop
}

/** Winding to ground at a temperature, megohms: half for every 10 K more, a quarter where it stands in water. */
export function windingMegohms({ insulation: leak, kind }: VirtualMachine, celsius: number): number {
  return leak.windingMegohms * 2 ** ((40 - celsius) / 10) * (submerged(kind) ? 0.25 : 1)
}

function insulation({ machine, question, chance }: Seen): Answer {
  const { insulation: leak, kind, ambientCelsius } = machine
  const celsius =
    kind.startsWith('well') && question.setup !== 'motor-alone' ? CELSIUS_OF_WELL : Math.round(ambientCelsius)
  const winding = windingMegohms(machine, celsius)
  const along = (parts: number[]) => 1 / parts.reduce((sum, part) => sum + 1 / part, 0)
  const megohms =
    question.setup === 'cable-alone'
      ? leak.cableMegohms
      : question.setup === 'motor-alone'
        ? along([winding, leak.connectorMegohms])
        : kind === 'sump'
          ? along([winding, leak.connectorMegohms])
          : kind.startsWith('well')
            ? along([winding, leak.cableMegohms, leak.connectorMegohms])
            : winding
  return { value: Math.min(20000, read(INSTRUMENTS.megohms, megohms, chance)), celsius, testVolts: 500 }
}

/** The loudest thing there is to hear. */
function sound({ machine, state, chance }: Seen, motorAlone = false): string {
  const { bearing, wheel, suction, motor } = machine
  if (!state.turning) return state.hums ? 'hum' : 'quiet'
  if (bearing.rotorRubs) return 'rub'
  if (bearing.wear > 0.9) return 'grind'
  if (!motorAlone && wheel.gapInches < 0.0035) return 'rub'
  if (bearing.looseMillimetres > 0.02) return 'rattle'
  if (bearing.wear > 0.5) return bearing.wear > 0.78 ? 'squeal' : 'whine'
  if (bearing.runoutInches > 0.006) return 'rub'
  if (!motorAlone && (wheel.broken !== 'no' || wheel.clog > 0.75)) return 'rattle'
  if (!motorAlone && state.water.dry) return chance.hit(0.7) ? 'rattle' : 'quiet'
  if (!motorAlone && state.water.vacuumInHg > (machine.kind === 'jet' ? 23 : 11)) return 'hiss'
  if (!motorAlone && suction.airLeak > 0.3) return chance.hit(0.75) ? 'rattle' : 'hiss'
  if (!motorAlone && !machine.coupled) return 'rattle'
  if (motor.shortedTurns > 0.1 || state.overload > 1.35) return 'buzz'
  return 'quiet'
}

/** As a telephone held to it would hear it, in a quiet place. */
function heard({ machine, chance }: Seen): Heard {
  return listenTo(quietRecording(machine, chance), { rpm: 3_450, mainsHertz: 60 }, USUAL_INSIDE)
}

function turned({ machine, question, chance }: Seen): string {
  const { motor, bearing, wheel } = machine
  const whole = question.half === undefined || question.half === 'whole'
  const motorHalf = whole || question.half === 'motor'
  const pumpHalf = (whole && machine.coupled) || question.half === 'pump-end'
  if ((motorHalf && motor.seized) || (pumpHalf && (wheel.boundStages || wheel.jamsRotor)))
    return chance.hit(0.05) ? 'tight' : 'seized'
  if (motorHalf && bearing.rotorRubs) return motor.friction > 0.25 ? 'tight' : 'gritty'
  if (pumpHalf && wheel.gapInches < 0.0035) return wheel.gapInches < 0.0015 ? 'tight' : 'gritty'
  if (motorHalf && bearing.thrustWear > 0.45) return bearing.thrustWear > 0.8 ? 'tight' : 'gritty'
  if (pumpHalf && wheel.clog > 0.7) return wheel.clog > 0.85 ? 'tight' : 'gritty'
  if (motorHalf && bearing.wear > 0.62) return bearing.wear > 1 ? 'tight' : 'gritty'
  if (motorHalf && bearing.runoutInches > 0.011) return 'gritty'
  if (pumpHalf && wheel.broken === 'broken' && machine.kind.startsWith('well'))
    return chance.hit(0.5) ? 'gritty' : 'free'
  return 'free'
}

function tripping(trips: boolean, { chance }: Seen, down: boolean): Answer {
  if (trips) return seen('trips-again')
  return seen(chance.hit(down ? 0.7 : 0.03) ? 'tripped' : 'on')
}

const litres = (machine: VirtualMachine, flow: number) =>
  flow * (machine.kind === 'pool' ? 55 : machine.kind === 'sump' ? 40 : 12)

/** How each check is answered, from the machine's own numbers alone. */
const ANSWERS: Record<Check, Answering> = {
  ...TRIAL_ANSWERS,
  'supply-voltage': ({ state, chance }) => shown(read(INSTRUMENTS.volts, state.restVolts, chance)),
  'supply-voltage-loaded': ({ state, chance }) =>
    shown(read(INSTRUMENTS.volts, state.energised ? state.loadedVolts : state.restVolts, chance)),
  'outlet-voltage': ({ state, chance }) => shown(read(INSTRUMENTS.volts, state.outletVolts, chance)),
  'battery-voltage': ({ machine, chance }) => shown(read(INSTRUMENTS.batteryVolts, machine.pit.batteryVolts, chance)),
  'running-current': ({ state, machine, chance }) =>
    shown(
      read(
        INSTRUMENTS.amps,
        state.tripsGfci || (state.tripsBreaker && !state.turning && !state.hums)
          ? 0
          : state.amps + (leakMegohms(machine) < 0.001 ? 1 : 0),
        chance,
      ),
    ),
  'locked-current': ({ state, machine, chance }) =>
    shown(
      read(
        INSTRUMENTS.inrush,
        state.tripsGfci && !houseWater(machine.kind) ? 0 : state.turning ? state.lockedAmps : state.amps,
        chance,
      ),
    ),
  'lead-current': ({ state, chance }) => shown(read(INSTRUMENTS.amps, state.amps, chance)),
  capacitance: ({ machine, question, chance }) =>
    shown(
      read(
        INSTRUMENTS.microfarads,
        question.part === 'start-capacitor' ? machine.motor.startMicrofarads : machine.motor.runMicrofarads,
        chance,
      ),
    ),
  'capacitor-look': ({ machine, question }) =>
    seen(question.part === 'start-capacitor' ? machine.motor.capacitorLook.start : machine.motor.capacitorLook.run),
  'winding-resistance': (at) => {
    const ohms = windingOhms(at)
    return shown(ohms === null ? null : read(INSTRUMENTS.ohms, ohms, at.chance))
  },
  'thermal-protector-continuity': ({ machine }) => seen(machine.motor.protectorOpen ? 'open' : 'closed'),
  'insulation-resistance': insulation,
  'ground-ohmmeter': ({ machine }) =>
    seen(leakMegohms(machine) * machine.insulation.lowVoltFactor < OHMMETER_SEES_MEGOHMS ? 'shorted' : 'open'),
  'shaft-turn': (at) => seen(turned(at)),
  'shaft-rock': ({ machine: { bearing } }) =>
    seen(bearing.wear > 0.72 || bearing.looseMillimetres > 0.04 ? 'rocks' : 'none'),
  'bearing-fit': ({ machine: { bearing } }) => seen(bearing.looseMillimetres > 0.02 ? 'loose' : 'tight'),
  'shaft-look': ({ machine: { bearing, leaks } }) =>
    seen(
      bearing.runoutInches > 0.008
        ? 'bent'
        : leaks.sealDrip > 12
          ? 'grooved'
          : bearing.rust || leaks.sealDrip > 6
            ? 'rusty'
            : 'clean',
    ),
  'spin-start': (at) =>
    seen(!runs(at) && at.state.hums && !jammed(at.machine) && !at.machine.motor.runOpen ? 'starts' : 'no-change'),
  listen: (at) => seen(sound(at)),
  'motor-alone-listen': (at) => {
    const heard = sound(at, true)
    return seen(
      heard === 'quiet' || (heard === 'hum' && at.machine.wheel.jamsRotor)
        ? 'quiet'
        : heard === 'hum' || heard === 'buzz'
          ? heard
          : 'same-noise',
    )
  },
  'bearing-sound': (at) => seen(heard(at).bearing.is === 'blows' ? 'blows' : 'no-blows'),
  'water-sound': (at) => {
    const { is } = heard(at).water
    return seen(is === 'cannot-tell' ? 'steady' : is)
  },
  'weep-hole': ({ machine: { leaks, suction } }) =>
    seen(
      (leaks.sealDrip > 0.4 || leaks.shaftRingDrip > 0.4 || leaks.plateAtWeep) && suction.primed ? 'dripping' : 'dry',
    ),
  'joint-look': ({ machine: { leaks }, chance }) =>
    seen(
      leaks.housingDrip > 0.4 ||
        leaks.jointDrip > 0.4 ||
        (leaks.plateCracked && !leaks.plateAtWeep) ||
        leaks.reliefDrip ||
        (leaks.houseGallonsPerMinute > 0.2 && chance.hit(0.3))
        ? 'dripping'
        : 'dry',
    ),
  'seal-look': ({ machine }) => seen(machine.leaks.sealLook),
  'o-ring-look': ({ machine: { leaks, suction }, question, chance }) =>
    seen(
      question.part === 'lid-o-ring'
        ? suction.airLeakAtLid
          ? chance.hit(0.75)
            ? 'worn'
            : 'cracked'
          : 'sound'
        : question.part === 'shaft-o-ring'
          ? leaks.shaftRingLook
          : leaks.housingRingLook,
    ),
  'plate-look': ({ machine, chance }) => seen(machine.leaks.plateCracked && chance.hit(0.9) ? 'cracked' : 'sound'),
  'thread-look': ({ machine }) => seen(machine.leaks.threadLook),
  'fan-look': ({ machine }) => seen(machine.motor.fan),
  'basket-look': ({ machine: { suction } }) =>
    seen(suction.blocked > 0.4 && suction.where === 'basket' ? 'clogged' : 'clear'),
  'impeller-look': ({ machine: { wheel } }) =>
    seen(
      wheel.broken === 'loose'
        ? 'loose'
        : wheel.broken === 'broken'
          ? 'broken'
          : wheel.clog > 0.35
            ? 'clogged'
            : wheel.gapInches < 0.0035
              ? 'rubbed'
              : wheel.wear > 0.4
                ? 'worn'
                : 'clear',
    ),
  'intake-look': ({ machine: { suction } }) =>
    seen(suction.blocked > 0.4 && suction.where === 'intake' ? 'clogged' : 'clear'),
  'stack-look': ({ machine }) => seen(machine.wheel.stageLook),
  'impeller-gap': ({ machine, chance }) => shown(read(INSTRUMENTS.feeler, machine.wheel.gapInches, chance)),
  'shaft-height': ({ machine, chance }) => shown(read(INSTRUMENTS.inches, machine.bearing.shaftHeightInches, chance)),
  'end-play': ({ machine, chance }) => shown(read(INSTRUMENTS.inches, machine.bearing.endPlayInches, chance)),
  'shaft-runout': ({ machine, chance }) => shown(read(INSTRUMENTS.inches, machine.bearing.runoutInches, chance)),
  'coupling-turn': ({ machine }) => seen(machine.coupled ? 'turns-together' : 'slips'),
  'prime-hold': ({ machine: { suction, leaks } }) =>
    seen(suction.footLeaks || suction.airLeak > 0.45 || leaks.plateCracked || leaks.sealDrip > 15 ? 'falls' : 'holds'),
  'pot-look': (at) =>
    seen(!runs(at) ? 'full' : at.state.water.dry ? 'empty' : at.machine.suction.airLeak > 0.25 ? 'bubbling' : 'full'),
  'air-leak-test': ({ machine, chance }) => seen(machine.suction.airLeak > 0.25 && chance.hit(0.88) ? 'found' : 'none'),
  'suction-vacuum': ({ state, chance }) =>
    shown(read(INSTRUMENTS.vacuum, state.turning ? state.water.vacuumInHg : 0, chance)),
  'filter-pressure': ({ state, chance }) =>
    shown(read(INSTRUMENTS.psi, state.turning ? state.water.filterPsi : 0, chance)),
  'shutoff-pressure': ({ state, chance }) =>
    shown(read(INSTRUMENTS.psi, state.turning ? state.water.reachablePsi : 0, chance)),
  'discharge-pressure': ({ state, chance }) =>
    shown(read(INSTRUMENTS.psi, state.turning ? state.water.filterPsi * 1.2 : 0, chance)),
  'cut-in': ({ machine, state, chance }) => {
    const { house } = machine
    const never =
      !state.turning ||
      house.nippleBlocked ||
      house.contacts === 'not-closing' ||
      house.contacts === 'burnt' ||
      house.contacts === 'welded'
    return shown(never ? null : read(INSTRUMENTS.psi, house.cutInPsi, chance))
  },
  'cut-out': ({ machine, state, chance }) => {
    const { house, leaks } = machine
    const never =
      !state.turning ||
      house.nippleBlocked ||
      house.contacts === 'welded' ||
      state.water.reachablePsi < house.cutOutPsi + 1 ||
      leaks.houseGallonsPerMinute > 5 ||
      state.water.flow < 0.08
    return shown(never ? null : read(INSTRUMENTS.psi, house.cutOutPsi, chance))
  },
  'tank-precharge': ({ machine, chance }) => shown(read(INSTRUMENTS.psi, machine.house.prechargePsi, chance)),
  flow: ({ machine, state, chance }) =>
    shown(
      read(
        INSTRUMENTS.gpm,
        litres(machine, state.turning ? state.water.flow * (1 - machine.house.filterBlocked ** 2) : 0),
        chance,
      ),
    ),
  'cycle-time': ({ machine, state, chance }) => {
    const cycle = state.turning ? cycleSeconds(machine, state.water) : undefined
    return shown(cycle === undefined ? null : read(INSTRUMENTS.seconds, cycle, chance))
  },
  'tank-look': ({ machine: { house } }) =>
    seen(house.bladderBurst ? 'water-at-air-valve' : house.waterInTank ? 'waterlogged' : 'dry-air'),
  'pressure-switch-contacts': ({ machine }) =>
    seen(machine.house.contacts === 'clean' && !controlCloses(machine) ? 'not-closing' : machine.house.contacts),
  'switch-nipple': ({ machine }) => seen(machine.house.nippleBlocked ? 'blocked' : 'clear'),
  'relief-valve': ({ machine: { leaks } }) =>
    seen(leaks.reliefMissing ? 'missing' : leaks.reliefStuck ? 'stuck' : 'present'),
  'valve-position': ({ machine: { discharge, suction } }) =>
    seen(
      discharge.blocked > 0.4 && discharge.where === 'valve'
        ? discharge.blocked > 0.85
          ? 'shut'
          : 'throttled'
        : suction.tooMuchLift > 0.5
          ? 'throttled'
          : 'open',
    ),
  'float-bypass': ({ machine }) => {
    const bridged = electricState(machine, true)
    return seen(bridged.tripsGfci ? 'silent' : bridged.turning ? 'runs' : bridged.hums ? 'hums' : 'silent')
  },
  'float-move': ({ machine }) => seen(machine.pit.floatStuck ? 'stuck' : 'free'),
  'float-heights': ({ machine }) => seen(machine.pit.heights),
  'check-valve': ({ machine: { discharge, suction, leaks, kind } }) =>
    seen(
      discharge.checkStuck
        ? 'stuck-shut'
        : discharge.checkLeaks || leaks.dropPipe > 0.3 || (kind === 'jet' && suction.footLeaks) || leaks.reliefDrip
          ? 'falls-back'
          : 'holds',
    ),
  'house-leak': ({ machine: { leaks } }) => seen(leaks.houseGallonsPerMinute > 0.15 ? 'falls' : 'holds'),
  'pit-look': ({ machine }) => seen(machine.pit.debris ? 'debris' : 'clean'),
  'control-box-swap': ({ machine }) => {
    if (electricState(machine).turning && machine.motor.relay === 'works') return seen('no-change')
    const sound = structuredClone(machine)
    sound.motor.relay = 'works'
    const started =
      typeof machine.nameplate.startCapacitorMicrofarads === 'number'
        ? machine.nameplate.startCapacitorMicrofarads
        : (machine.nameplate.startCapacitorMicrofarads?.[0] ?? 0)
    sound.motor.startMicrofarads = started * 1.1
    sound.motor.runMicrofarads = machine.nameplate.runCapacitorMicrofarads ?? 0
    const after = electricState(sound)
    return seen(after.turning && !after.cutsOut ? 'cures' : 'no-change')
  },
  'relay-look': ({ machine: { motor } }) =>
    seen(motor.relayBurnt ? 'burnt' : motor.relay !== 'works' ? 'stuck' : 'sound'),
  breaker: (at) => tripping(at.state.tripsBreaker, at, at.machine.supply.breakerDead),
  gfci: (at) => tripping(at.state.tripsGfci, at, false),
  interlock: ({ machine: { supply } }) => seen(supply.timerOpen ? 'open' : 'satisfied'),
  'selector-setting': ({ machine }) => seen(machine.supply.selectorFactor === 1 ? 'matches' : 'mismatched'),
  'wiring-look': ({ machine: { supply } }) => seen(supply.bondingOff ? 'loose' : supply.jointShows),
  'connector-look': ({ machine }) => seen(machine.insulation.connector),
  'motor-fill-look': ({ machine }) => seen(machine.insulation.filling),
  'start-switch-look': ({ machine: { motor } }) =>
    seen(motor.startSwitch !== 'works' ? motor.startSwitch : motor.switchPitted ? 'pitted' : 'sound'),
  'winding-smell': ({ machine: { motor } }) => seen(motor.burnt > 0.4 ? 'burnt' : 'normal'),
  'winding-look': ({ machine: { motor } }) =>
    seen(motor.burnt > 0.6 ? 'burnt' : motor.burnt > 0.3 ? 'darkened' : 'sound'),
  'drive-error': ({ machine, state }) =>
    seen(
      machine.motor.driveShows ||
        (machine.motorType === 'electronic' && state.energised && !state.turning && !machine.motor.driveDead)
        ? 'shown'
        : 'none',
    ),
  'static-water-level': ({ machine, chance }) => shown(read(INSTRUMENTS.feet, machine.well.staticFeet, chance)),
  'pumping-water-level': ({ machine, state, chance }) =>
    shown(
      read(
        INSTRUMENTS.feet,
        state.turning && state.water.flow > 0.1
          ? Math.min(machine.well.pumpingFeet, machine.well.depthFeet)
          : machine.well.staticFeet,
        chance,
      ),
    ),
  'well-recovery': ({ machine, chance }) => shown(read(INSTRUMENTS.gpm, machine.well.recoveryGpm, chance)),
  'water-look': ({ machine, state }) =>
    seen(
      state.turning && state.water.airy
        ? 'air-bubbles'
        : machine.well.sand
          ? 'sandy'
          : machine.well.dirty
            ? 'dirty'
            : 'clear',
    ),
}

const states = new WeakMap<VirtualMachine, ElectricState>()

/**
 * What the motor does follows from the machine alone, so it is worked out once. A machine that is being asked is no
 * longer changed.
 */
function stateOf(machine: VirtualMachine): ElectricState {
  const known = states.get(machine) ?? electricState(machine)
  states.set(machine, known)
  return known
}

/**
 * What a check shows on this machine: instruments with their accuracy, eyes and hands that slip once in a while.
 *
 * @param slip how seldom eyes, ears and hands take one thing for another
 * @throws nothing for a known check; a question about an unknown one has no answer and throws RangeError
 */
export function answer(machine: VirtualMachine, question: Question, chance: Chance, slip: number = SLIP): Answer {
  if (!Object.hasOwn(ANSWERS, question.check)) throw new RangeError(`no check is called ${question.check}`)
  const check = question.check as Check
  const told = ANSWERS[check]({ machine, question, state: stateOf(machine), chance })
  const outcomes = checkInfo(check)?.outcomes
  if (told.outcome !== undefined && outcomes && chance.hit(slip))
    return { ...told, outcome: chance.pick(Object.keys(outcomes)) }
  return told
}
