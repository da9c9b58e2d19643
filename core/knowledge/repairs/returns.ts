import type { Basis } from '../../judgement/judgement'
import { WELLS, type Kind, type Part } from '../vocabulary'

/** Repairs by which the machine goes back to whoever made it. */
const RETURNS: ReadonlySet<string> = new Set(['return-under-warranty', 'return-well-pump', 'return-sump-pump'])

/** Does this job send the machine back under its warranty? */
export function isReturn(job: string): boolean {
  return RETURNS.has(job)
}

/** What goes into the parcel, what stays, and how it is packed. */
export interface Parcel {
  send: readonly string[]
  keep: readonly string[]
  packing: readonly string[]
}

export const PARCEL_BASIS: Basis = {
  kind: 'common-practice',
  name: 'what goes back under a warranty, and how; the paper in the box, and what its maker asks for, win',
}

/** Whoever looks at it later finds it as it was. */
const ANY: Parcel = {
  send: [
    'This sheet, its readings and pictures',
    'The bill it was bought with, or a copy',
    'The plate, on it and readable',
  ],
  keep: ['A picture of the plate and of all sides, before it is packed'],
  packing: [
    'Unopened: screws, seals and paint marks as they were found',
    'Drained and dry: water that freezes or leaks on the way is held against it',
    'Openings plugged, shaft and leads held so that nothing knocks',
    'A box that bears its weight, with two fingers of padding on all sides',
    'The number of the claim on the outside',
  ],
}
const BY_PART: Readonly<Partial<Record<Part, Partial<Parcel>>>> = {
  motor: {
    send: ['The motor with its cover and its capacitors'],
    keep: ['Wet end, seal and bolts', 'Cord grip and conduit fitting'],
  },
  pump: { send: ['The whole pump as it was sold'], keep: ['Cord grip and conduit fitting'] },
  'pump-end': { send: ['The pump end with screen and cable guard'], keep: ['The motor'] },
  'drive-electronics': { send: ['The drive with its keypad'], keep: ['A picture of its settings and schedule'] },
  tank: { packing: ['Its air let out at the valve, and said so on it'] },
  battery: {
    packing: ['Terminals covered, upright, and only as the carrier takes batteries: acid is dangerous goods'],
  },
}
const BY_KIND: Readonly<Partial<Record<Kind, Partial<Parcel>>>> = {
  pool: { keep: ['Unions, lid, basket'] },
  spa: { keep: ['Unions'] },
  booster: { keep: ['Hoses and connectors'] },
  jet: { keep: ['Pressure switch and gauge where they are not its own', 'Foot valve and ejector'] },
  sump: { keep: ['Check valve and pipe', 'Floats where they are not its own'] },
}
const WELL: Partial<Parcel> = {
  send: ['Leads at their full length, the splice cut off above it'],
  keep: ['Drop pipe, rope and torque arrestor', 'The well head as it was closed'],
}
/** The box above ground belongs to the motor’s warranty, and is read with it. */
const THREE_WIRE: Partial<Parcel> = { keep: ['The control box, until they ask for it'] }

/** The parcel for a part of a kind of machine. */
export function parcelOf(part: Part, kind: Kind): Parcel {
  const layers = [
    BY_PART[part],
    BY_KIND[kind],
    WELLS.includes(kind) ? WELL : undefined,
    kind === 'well-three-wire' ? THREE_WIRE : undefined,
    ANY,
  ]
  const all = (of: keyof Parcel) => layers.flatMap((layer) => layer?.[of] ?? [])
  return { send: all('send'), keep: all('keep'), packing: all('packing') }
}

/** After so many days without a word somebody asks what became of it. */
export const CLAIM_ASKED_AFTER_DAYS = 14
export const CLAIM_BASIS: Basis = { kind: 'shop', name: 'two weeks until a claim is asked after, shop default' }

/** Where a claim can stand once it is written. */
export const CLAIM_MOVES = {
  sent: 'sent off',
  accepted: 'accepted',
  refused: 'refused',
  credited: 'credited',
  back: 'come back',
} as const
export type ClaimMove = keyof typeof CLAIM_MOVES
