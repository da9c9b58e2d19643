import type { Gate } from '../vocabulary'

/** Gates that many checks share, and the caution of every live one. */
export const DEAD: readonly Gate[] = ['power-off', 'proved-dead']
export const DEAD_DISCHARGED: readonly Gate[] = ['power-off', 'proved-dead', 'discharged']
export const RUNNING: readonly Gate[] = ['primed', 'guards-on', 'power-on']
export const OPEN_WET_END: readonly Gate[] = [
  'power-off',
  'proved-dead',
  'valves-shut',
  'depressurised',
  'wet-end-open',
]
export const LIVE = 'Live test: only by qualified people with rated meter, leads and gloves.'
