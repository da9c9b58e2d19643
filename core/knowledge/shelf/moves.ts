import type { Basis } from '../../judgement/judgement'

/** Where what moves comes from and goes to that is none of the shop's places. */
export const OUTSIDE = {
  supplier: 'the supplier',
  machine: 'a machine',
  scrap: 'the scrap',
  claim: 'a warranty claim',
  nowhere: 'nowhere that is known',
} as const
export type Outside = keyof typeof OUTSIDE

/** Why something moves: whether it comes from one of the shop's places or from outside, and where it goes. */
export const MOVES = {
  received: { label: 'received', from: ['supplier'], to: 'inside' },
  moved: { label: 'moved', from: 'inside', to: 'inside' },
  loaded: { label: 'loaded for the day', from: 'inside', to: 'inside' },
  used: { label: 'used', from: 'inside', to: ['machine'] },
  'taken-back': { label: 'taken back', from: ['machine'], to: 'inside' },
  kept: { label: 'kept from a machine', from: ['machine'], to: 'inside' },
  returned: { label: 'sent back', from: 'inside', to: ['supplier'] },
  claimed: { label: 'on warranty claim', from: 'inside', to: ['claim'] },
  settled: { label: 'back from its claim', from: ['claim'], to: 'inside' },
  expired: { label: 'too old', from: 'inside', to: ['scrap'] },
  broken: { label: 'broken', from: 'inside', to: ['scrap'] },
  lost: { label: 'lost', from: 'inside', to: ['nowhere'] },
  found: { label: 'found', from: ['nowhere'], to: 'inside' },
} as const satisfies Record<
  string,
  { label: string; from: 'inside' | readonly Outside[]; to: 'inside' | readonly Outside[] }
>
export type MoveWhy = keyof typeof MOVES

/** In what state a part is that was kept from a machine. */
export const CONDITIONS = {
  new: 'new',
  sound: 'used, sound',
  tired: 'used, tired',
  unknown: 'used, not measured',
} as const
export type Condition = keyof typeof CONDITIONS

export const SHELF_LIFE = {
  /** So many days before it is over it is said. */
  warnDays: 60,
  basis: { kind: 'shop', name: 'what is used within two months is used first, shop default' } satisfies Basis,
}
