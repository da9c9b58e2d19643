/** What can be parted by hand to read one side alone. */
export const PARTED = {
  'run-can': 'one wire off the run capacitor',
  'start-can': 'one wire off the start capacitor',
  splice: 'splice cut',
} as const
export type Parted = keyof typeof PARTED

/** How a machine stands under the hands of whoever tests it. */
export interface Hands {
  /** The breaker is closed, or the plug is in. */
  power: boolean
  /** The breaker or the ground-fault device has let go, and nobody has reset it. */
  tripped: boolean
  /** The control asks for the pump: its disconnect, its pressure switch or its float is closed by hand. */
  asked: boolean
  /** Drive or control box is off the winding. */
  electronicsOff: boolean
  /** The pump is out of its water. */
  pulled: boolean
  parted: ReadonlySet<Parted>
  /** A capacitor holds what was left in it when the power went. */
  charged: boolean
}

/** As somebody finds it who has just come. */
export const AS_FOUND: Hands = {
  power: true,
  tripped: false,
  asked: true,
  electronicsOff: false,
  pulled: false,
  parted: new Set(),
  charged: false,
}
