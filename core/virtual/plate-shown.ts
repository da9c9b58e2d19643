import type { Nameplate } from '../motor/nameplate'
import type { Chance } from '../quantity/random'

/** How a plate is met with: whole, half read, rusted away, or another motor's. */
export type PlateState = 'whole' | 'half' | 'gone' | 'foreign'
const MET_WITH: Record<PlateState, number> = { whole: 0.62, half: 0.2, gone: 0.12, foreign: 0.06 }

/** What a technician reads from the plate of this machine; volts are always known from the supply. */
export function shownPlate(plate: Nameplate, chance: Chance): { state: PlateState; shown: Nameplate } {
  const states = Object.keys(MET_WITH) as PlateState[]
  const state = states[chance.weighted(states.map((each) => MET_WITH[each]))] as PlateState
  if (state === 'whole') return { state, shown: plate }
  if (state === 'gone') return { state, shown: { volts: plate.volts } }
  if (state === 'half') {
    const { runWindingOhms: _run, startWindingOhms: _start, serviceFactorAmps: _amps, ...rest } = plate
    if (chance.hit(0.5)) return { state, shown: rest }
    const { runCapacitorMicrofarads: _can, startCapacitorMicrofarads: _startCan, ...bare } = rest
    return { state, shown: bare }
  }
  return { state, shown: foreignPlate(plate, chance) }
}

/** A motor that was swapped for a near one, its old plate still on the base. */
export function foreignPlate(plate: Nameplate, chance: Chance): Nameplate {
  const off = chance.pick([0.7, 0.8, 1.25, 1.4])
  const scaled = (value: number | undefined) => (value === undefined ? undefined : Number((value * off).toPrecision(2)))
  const { runWindingOhms: _run, startWindingOhms: _start, ...rest } = plate
  return {
    ...rest,
    ...(plate.fullLoadAmps === undefined
      ? {}
      : { fullLoadAmps: scaled(plate.fullLoadAmps), serviceFactorAmps: scaled(plate.serviceFactorAmps) }),
  }
}
