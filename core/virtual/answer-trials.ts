import type { Check } from '../knowledge/checks/checks'
import type { TRIALS } from '../knowledge/checks/trials'
import type { Answer, Answering } from './answer'
import { controlCloses, electricState, type ElectricState } from './electrics'
import type { VirtualMachine } from './machine'
import { INSTRUMENTS, read } from './instruments'

const seen = (outcome: string): Answer => ({ outcome })
const shown = (value: number | null): Answer => ({ value })
/** On a bench it has leads of its own, sound volts and no control before it. */
function onBench(machine: VirtualMachine): ElectricState {
  const lifted = structuredClone(machine)
  lifted.cable = { loopOhms: 0, open: 'no', swapped: 'no' }
  Object.assign(lifted.supply, {
    breakerDead: false,
    outletDead: false,
    timerOpen: false,
    jointOhms: 0,
    lineOhms: 0,
    panelVolts: machine.nameplate.volts,
    gfciWorn: false,
  })
  lifted.insulation.conduitMegohms = lifted.insulation.cableMegohms = 1000
  return electricState(lifted, true)
}

/** Below this fraction of its water it is weak to the eye. */
const WEAK = 0.5

/** How the trials are answered, from the machine’s own numbers alone. */
export const TRIAL_ANSWERS: Record<Extract<Check, keyof typeof TRIALS>, Answering> = {
  'breaker-voltage': ({ machine: { supply }, chance }) =>
    shown(read(INSTRUMENTS.volts, supply.breakerDead ? 0 : supply.panelVolts, chance)),
  'load-side-voltage': ({ machine, state, chance }) =>
    shown(read(INSTRUMENTS.volts, controlCloses(machine) && !machine.supply.timerOpen ? state.restVolts : 0, chance)),
  'drop-test': ({ machine, state, chance }) => {
    const { jointOhms } = machine.supply
    const lost = Number.isFinite(jointOhms) ? jointOhms * state.amps : state.restVolts
    return shown(read(INSTRUMENTS.volts, Math.min(lost, state.restVolts), chance))
  },
  'float-run': ({ machine: { pit }, state }) =>
    seen(
      pit.float === 'dead' || pit.floatStuck || !state.turning
        ? 'silent'
        : pit.float === 'closed'
          ? 'starts-only'
          : 'starts-and-stops',
    ),
  'bucket-run': ({ machine }) => {
    const { wheel } = machine
    if (!onBench(machine).turning || wheel.clog > 0.9 || wheel.broken !== 'no') return seen('nothing')
    return seen(wheel.clog > WEAK || wheel.wear > WEAK ? 'weak' : 'pumps')
  },
  'dry-bump': ({ machine }) => {
    const { turning, hums } = onBench(machine)
    return seen(turning ? 'turns' : hums ? 'hums' : 'silent')
  },
  'barrel-run': ({ machine }) => {
    const { wheel, coupled } = machine
    const { tripsBreaker, cutsOut, turning } = onBench(machine)
    if (tripsBreaker || cutsOut) return seen('trips')
    return seen(!turning || !coupled || wheel.wear > WEAK || wheel.broken !== 'no' ? 'weak' : 'holds')
  },
  'thrust-gauge': ({ machine: { bearing } }) => seen(bearing.thrustWear > WEAK ? 'catches' : 'clears'),
  'conduit-look': ({ machine: { insulation } }) => seen(insulation.conduitMegohms < 1 ? 'wet' : 'dry'),
  'water-level': ({ machine: { suction } }) => seen(suction.levelLow ? 'low' : 'right'),
  'house-filter': ({ machine: { house } }) => seen(house.filterBlocked > 0.4 ? 'open-cures' : 'no-change'),
  'air-hole': ({ machine: { pit } }) => seen(pit.airHole),
  'tank-air': ({ machine: { house } }) =>
    seen(house.bladderBurst || house.waterInTank ? 'loses-charge' : 'takes-charge'),
}
