import type { Basis } from '../../judgement/judgement'
import type { Part } from '../vocabulary'

/** The shelves of a shop as one walks along them to load a van, and the parts that lie on each. */
export const SHELVES: readonly { id: string; name: string; parts: readonly Part[] }[] = [
  {
    id: 'A',
    name: 'capacitors, switches, relays',
    parts: [
      'run-capacitor',
      'start-capacitor',
      'start-switch',
      'switch-springs',
      'start-relay',
      'start-module',
      'control-box',
      'thermal-protector',
      'terminal-board',
      'selector',
      'drive-electronics',
    ],
  },
  {
    id: 'B',
    name: 'seals and rings',
    parts: ['shaft-seal', 'shaft-o-ring', 'housing-o-ring', 'diffuser-o-ring', 'lid-o-ring', 'lock-screw-gasket'],
  },
  {
    id: 'C',
    name: 'bearings and what holds them',
    parts: ['bearings', 'bearing-retainer', 'wave-washer', 'thrust-bearing', 'through-bolts', 'shims', 'stack-clip'],
  },
  {
    id: 'D',
    name: 'pressure, floats, alarms',
    parts: [
      'pressure-switch',
      'pressure-gauge',
      'relief-valve',
      'tank-tee',
      'float-switch',
      'backup-float',
      'alarm',
      'battery',
      'timer',
    ],
  },
  {
    id: 'E',
    name: 'wire, splices, connectors',
    parts: ['cable', 'splice', 'lead-connector', 'conduit-fitting', 'breaker', 'gfci', 'outlet', 'bonding-lug'],
  },
  {
    id: 'F',
    name: 'pipe and valves',
    parts: [
      'foot-valve',
      'check-valve',
      'ejector',
      'suction-pipe',
      'discharge-pipe',
      'drop-pipe',
      'union',
      'hose-connector',
      'intake-screen',
      'cable-guard',
    ],
  },
  {
    id: 'G',
    name: 'wet ends',
    parts: [
      'impeller',
      'diffuser',
      'stages',
      'lock-screw',
      'coupling',
      'seal-plate',
      'bracket',
      'clamp-band',
      'foot',
      'volute',
      'strainer',
      'fan',
      'fan-cover',
      'rear-cap',
    ],
  },
  { id: 'H', name: 'motors, pumps, tanks', parts: ['motor', 'pump-end', 'pump', 'backup-pump', 'tank'] },
]
/** Where what has no shelf of its own is looked for. */
export const ODD_SHELF = { id: 'Z', name: 'elsewhere' }

/** How sure it shall be that a part is in the van as often as it is needed. */
export const LOAD_ENOUGH = 0.9
export const SHELVES_BASIS: Basis = { kind: 'shop', name: 'a shop’s shelves from the door to the back, shop default' }
