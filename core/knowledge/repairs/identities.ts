import type { Basis } from '../../judgement/judgement'
import type { Part } from '../vocabulary'

/** What identifies a part, so that the right one is ordered next time. */
export interface Identity {
  asks: string
  example: string
}
const RING: Identity = { asks: 'dash number, or inside × section', example: '-242, or 102 × 3.5 mm' }
const CAN: Identity = { asks: 'μF, volts, body', example: '25 μF 440 V, 44 mm round' }

export const IDENTITIES: Readonly<Partial<Record<Part, Identity>>> = {
  motor: { asks: 'What else names it', example: 'threaded 7/16 shaft, conduit on the left' },
  pump: { asks: 'duty and connections', example: '10 gpm at 120 ft, 1¼ in' },
  'pump-end': { asks: 'flow, stages, discharge', example: '12 gpm, 9 stages, 1¼ in' },
  'control-box': { asks: 'horsepower, volts', example: '1 hp, 230 V' },
  bearings: { asks: 'number at each end, shield, clearance', example: '6203 2RS drive, 6203 2RS far' },
  'shaft-seal': { asks: 'shaft, seat and head', example: '5/8 in shaft, 1.25 in seat, 1.25 in head' },
  'run-capacitor': CAN,
  'start-capacitor': CAN,
  'housing-o-ring': RING,
  'diffuser-o-ring': RING,
  'lid-o-ring': RING,
  'shaft-o-ring': RING,
  impeller: { asks: 'diameter, hand', example: '110 mm, clockwise' },
  stages: { asks: 'how many, which kind', example: '9, floating' },
  'pressure-switch': { asks: 'range', example: '30 / 50 psi' },
  'float-switch': { asks: 'amps, cord', example: '13 A, 20 ft' },
  'check-valve': { asks: 'size, thread', example: '1½ in, female' },
  tank: { asks: 'volume', example: '20 gal' },
  'drive-electronics': { asks: 'horsepower, volts', example: '2.25 hp, 230 V' },
}
export const IDENTITIES_BASIS: Basis = { kind: 'common-practice', name: 'what a part is ordered by' }

/** Parts with a plate of their own that judges from when they are in. */
export const PLATED: ReadonlySet<Part> = new Set<Part>(['motor', 'pump'])
