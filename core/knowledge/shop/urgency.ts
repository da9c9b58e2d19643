import type { Basis } from '../../judgement/judgement'
import { HOUSE_WATER, type Complaint, type Kind } from '../vocabulary'

/** What makes a call urgent: what is said, of which kinds, and what hangs on the pump. */
export interface UrgencyRow {
  words: string
  /** What an hour of waiting weighs, in minutes behind the wheel. */
  perHour: number
  complaints?: readonly Complaint[]
  kinds?: readonly Kind[]
  if?: 'livestock' | 'onlySupply' | 'withoutWater'
}

const NO_WATER: readonly Complaint[] = ['no-water', 'dead', 'trips-breaker', 'hums-no-start', 'cuts-out-hot']

/** The first that fits speaks. */
export const URGENCY: readonly UrgencyRow[] = [
  { words: 'livestock without water', perHour: 60, complaints: NO_WATER, if: 'livestock' },
  { words: 'the pit is full', perHour: 50, complaints: ['pit-flooded'] },
  { words: 'the only water there is', perHour: 45, complaints: NO_WATER, if: 'onlySupply' },
  { words: 'no water in the house', perHour: 40, complaints: NO_WATER, kinds: HOUSE_WATER },
  { words: 'somebody is without water', perHour: 40, if: 'withoutWater' },
  { words: 'the alarm sounds', perHour: 35, complaints: ['alarm-sounding'] },
  { words: 'it smells burnt', perHour: 20, complaints: ['smell-burnt'] },
  { words: 'water at a motor', perHour: 12, complaints: ['leak-under-motor'] },
]
/** Nobody waits gladly. */
export const PLAIN_CALL = { perHour: 2 }
export const URGENCY_BASIS: Basis = {
  kind: 'common-practice',
  name: 'beasts and houses without water, then what floods, burns or drowns a motor; weights are a shop estimate',
}
