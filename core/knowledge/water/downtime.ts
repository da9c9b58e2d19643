import type { Basis } from '../../judgement/judgement'
import type { Kind } from '../vocabulary'

/** What stands in the pipe and where it goes once the line is opened, and what happens if the work runs over. */
export interface DowntimeRow {
  /**
   * The length that is full of water, of the installation’s known lengths, and the pipe’s usual inside diameter, mm.
   */
  stands?: { length: 'wellDepthMetres' | 'liftMetres'; insideMm: number; runsTo: string }
  overrun: string
  /** The same where animals, or a household’s only water, hang on it. */
  livestock?: string
  onlySupply?: string
}
export const DOWNTIME_BASIS: Basis = {
  kind: 'common-practice',
  name: 'usual pipe for the kind; what an overrun means is common practice',
}

const WELL: DowntimeRow = {
  stands: {
    length: 'wellDepthMetres',
    insideMm: 35,
    runsTo: 'back down the well, or over the yard as the string comes up',
  },
  overrun: 'The tank’s drawdown is all the water there is: buckets and a kettle filled first.',
  onlySupply:
    'It is the only water: fill buckets, and a bath for flushing, before the breaker is off. If it runs over, a ' +
    'bowser or a neighbour’s hose.',
  livestock: 'Troughs filled first; cattle drink 50 to 100 L a day each, and more in heat. If it runs over, a bowser.',
}
export const DOWNTIME: Readonly<Record<Kind, DowntimeRow>> = {
  'well-two-wire': WELL,
  'well-three-wire': WELL,
  jet: { ...WELL, stands: { length: 'liftMetres', insideMm: 35, runsTo: 'out of the drain plug: a bucket under it' } },
  pool: { overrun: 'A day without turnover is borne by the water; in heat, chlorine by hand and the cover off.' },
  booster: { overrun: 'The cleaner rests; the pool filters on.' },
  spa: { overrun: 'Heater and ozone are off: cover on. In frost the pipes are drained, or kept warm.' },
  sump: {
    stands: {
      length: 'liftMetres',
      insideMm: 41,
      runsTo: 'back into the pit as the check valve opens: a bucket under it',
    },
    overrun:
      'The pit fills: a spare pump stands ready beside it, and rain is looked up first. If it runs over, bail or ' +
      'pump by hand.',
  },
  circulation: {
    stands: {
      length: 'liftMetres',
      insideMm: 41,
      runsTo: 'back through the union to the tank it came from: the valve or the plug must hold it',
    },
    overrun: 'Still water loses its oxygen and its warmth.',
    livestock:
      'Fish first: air pump on battery running before the pump is off, feed stopped, the surface watched. If ' +
      'they gasp, the spare goes in at once.',
  },
  utility: { overrun: 'What it serves stands still: ask what that costs an hour.' },
}
