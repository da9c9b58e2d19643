/** Stable ids and their labels for people. Ids are never renamed or reused; labels may change freely. */

export const KINDS = {
  pool: 'pool pump',
  booster: 'pool booster',
  spa: 'spa pump',
  'well-two-wire': 'well pump, 2-wire',
  'well-three-wire': 'well pump, 3-wire',
  jet: 'jet pump',
  sump: 'sump pump',
  circulation: 'circulation pump',
  utility: 'vertical utility pump',
} as const
export type Kind = keyof typeof KINDS

export const CONSTRUCTIONS = {
  'band-clamp': 'band-clamp wet end',
  'bolted-seal-plate': 'bolted seal plate',
  'bracket-booster': 'bracket booster',
  'spa-cabinet': 'spa cabinet pump',
  'submersible-joined': 'submersible, head on motor',
  'submersible-sealed': 'sealed submersible',
  'jet-end': 'jet end',
  'sump-sealed': 'sealed sump pump',
  'flooded-circulation': 'flooded circulation pump',
  'vertical-shimmed': 'vertical motor on shims',
  'motor-bench': 'motor alone, on the bench',
} as const
export type Construction = keyof typeof CONSTRUCTIONS

/** A motor without its pump may stand on the bench wherever the motor is a part of its own. */
export const KIND_CONSTRUCTIONS: Record<Kind, readonly Construction[]> = {
  pool: ['band-clamp', 'bolted-seal-plate', 'motor-bench'],
  booster: ['bracket-booster', 'motor-bench'],
  spa: ['spa-cabinet', 'motor-bench'],
  'well-two-wire': ['submersible-joined', 'submersible-sealed'],
  'well-three-wire': ['submersible-joined', 'submersible-sealed'],
  jet: ['jet-end', 'motor-bench'],
  sump: ['sump-sealed'],
  circulation: ['flooded-circulation', 'motor-bench'],
  utility: ['vertical-shimmed', 'motor-bench'],
}

export const MOTOR_TYPES = {
  'split-phase': 'split-phase: start switch, no capacitor',
  'capacitor-start': 'capacitor-start: start capacitor and switch',
  'permanent-split': 'permanent-split: run capacitor only',
  'capacitor-start-run': 'capacitor-start/run: both capacitors and switch',
  electronic: 'electronic drive',
} as const
export type MotorType = keyof typeof MOTOR_TYPES

export const COMPLAINTS = {
  'hums-no-start': 'hums, will not turn',
  dead: 'dead, no sound',
  'trips-breaker': 'trips the breaker',
  'trips-gfci': 'trips the GFCI',
  'noise-whine': 'whines',
  'noise-squeal': 'squeals',
  'noise-grind': 'grinds',
  'noise-rattle': 'rattles',
  'noise-buzz': 'buzzes',
  vibrates: 'vibrates',
  'leak-under-motor': 'leaks under the motor',
  'leak-at-joint': 'leaks at a joint',
  'no-water': 'runs, no water',
  'low-flow': 'low flow',
  'low-pressure': 'low pressure',
  'loses-prime': 'loses prime',
  'short-cycles': 'cycles on and off',
  'never-stops': 'never stops',
  'runs-hot': 'runs hot',
  'cuts-out-hot': 'cuts out when hot',
  'one-speed-only': 'only one speed works',
  'alarm-sounding': 'alarm sounds',
  'pit-flooded': 'pit is full',
  'dirty-water': 'dirty water',
  'air-at-taps': 'air at the taps',
  'smell-burnt': 'smells burnt',
  'high-bill': 'high power bill',
} as const
export type Complaint = keyof typeof COMPLAINTS

/** Kinds that share what is known of them. */
export const WELLS: readonly Kind[] = ['well-two-wire', 'well-three-wire']
export const HOUSE_WATER: readonly Kind[] = [...WELLS, 'jet']
/** Under water, out of hearing and out of reach. */
export const SUBMERGED: readonly Kind[] = [...WELLS, 'sump']
export const SURFACE: readonly Kind[] = ['pool', 'booster', 'spa', 'jet', 'circulation', 'utility']
/** The capacitor is outside the sealed motor: at the motor itself, or in the box at the surface. */
export const CAN_IN_REACH: readonly Kind[] = [...SURFACE, 'well-three-wire']
/** Plugged in with a cord, so that the outlet is part of the case. */
export const CORDED: readonly Kind[] = ['spa', 'sump', 'circulation', 'utility']

/** Complaints that only some kinds can raise; the others fit every pump. */
export const COMPLAINT_KINDS: Partial<Record<Complaint, readonly Kind[]>> = {
  'alarm-sounding': ['sump', 'circulation'],
  'pit-flooded': ['sump'],
  'air-at-taps': HOUSE_WATER,
  'short-cycles': [...HOUSE_WATER, 'sump', 'utility'],
  'low-pressure': [...HOUSE_WATER, 'pool', 'booster', 'utility'],
  'dirty-water': [...HOUSE_WATER, 'sump', 'circulation'],
  'one-speed-only': ['spa', 'pool'],
  'loses-prime': ['pool', 'booster', 'spa', 'jet', 'circulation', 'utility'],
  'leak-under-motor': ['pool', 'booster', 'spa', 'jet', 'circulation', 'utility'],
}

/** Does this complaint make sense for the kind? */
export function complaintFits(complaint: Complaint, kind: Kind): boolean {
  return COMPLAINT_KINDS[complaint]?.includes(kind) ?? true
}

/** What was already tried by someone else; ids are parts. */
export const PARTS = {
  'run-capacitor': 'run capacitor',
  'start-capacitor': 'start capacitor',
  'start-switch': 'start switch',
  'switch-springs': 'switch springs',
  'start-relay': 'start relay',
  'start-module': 'start module',
  'control-box': 'control box',
  'run-winding': 'run winding',
  'start-winding': 'start winding',
  insulation: 'insulation',
  'thermal-protector': 'thermal protector',
  bearings: 'bearings',
  'bearing-retainer': 'bearing retainer',
  'wave-washer': 'wave washer',
  'through-bolts': 'through-bolts',
  'end-bell': 'end bell',
  shaft: 'shaft',
  rotor: 'rotor',
  fan: 'fan',
  'fan-cover': 'fan cover',
  'rear-cap': 'rear cap',
  'thrust-bearing': 'thrust bearing',
  'shaft-seal': 'shaft seal',
  'shaft-o-ring': 'shaft O-ring',
  'housing-o-ring': 'housing O-ring',
  diffuser: 'diffuser',
  'diffuser-o-ring': 'diffuser O-ring',
  impeller: 'impeller',
  'lock-screw': 'lock screw',
  'lock-screw-gasket': 'lock screw gasket',
  stages: 'stages',
  'stack-clip': 'stack clip',
  shims: 'shims',
  coupling: 'coupling',
  'seal-plate': 'seal plate',
  bracket: 'bracket',
  'clamp-band': 'clamp band',
  foot: 'foot',
  volute: 'volute',
  strainer: 'strainer',
  'lid-o-ring': 'lid O-ring',
  'intake-screen': 'intake screen',
  'cable-guard': 'cable guard',
  'foot-valve': 'foot valve',
  'check-valve': 'check valve',
  ejector: 'ejector',
  'pressure-switch': 'pressure switch',
  'pressure-gauge': 'pressure gauge',
  'relief-valve': 'relief valve',
  tank: 'tank',
  'tank-tee': 'tank tee',
  'float-switch': 'float switch',
  'backup-float': 'backup float',
  'backup-pump': 'backup pump',
  battery: 'battery',
  alarm: 'alarm',
  timer: 'timer',
  cable: 'cable',
  splice: 'splice',
  'lead-connector': 'lead connector',
  'conduit-fitting': 'conduit fitting',
  breaker: 'breaker',
  gfci: 'GFCI',
  outlet: 'outlet',
  selector: 'voltage selector',
  'terminal-board': 'terminal board',
  'bonding-lug': 'bonding lug',
  motor: 'motor',
  'pump-end': 'pump end',
  pump: 'pump',
  'suction-pipe': 'suction pipe',
  'discharge-pipe': 'discharge pipe',
  'drop-pipe': 'drop pipe',
  union: 'union',
  'hose-connector': 'hose connector',
  'drive-electronics': 'drive electronics',
  adapter: 'adapter',
  'drop-cable-splice': 'drop cable splice',
  'house-filter': 'house filter',
  conduit: 'conduit',
} as const
export type Part = keyof typeof PARTS

export const FAULTS = {
  'no-supply': 'No supply',
  'outlet-dead': 'Outlet dead',
  'low-supply-voltage': 'Supply voltage low',
  'wrong-voltage-selected': 'Wrong voltage selected',
  'loose-connection': 'Loose connection',
  'timer-failed': 'Timer failed',
  'run-capacitor-failed': 'Run capacitor weak',
  'start-capacitor-failed': 'Start capacitor failed',
  'start-switch-failed': 'Start switch stuck',
  'start-relay-failed': 'Start relay failed',
  'run-winding-open': 'Run winding open',
  'start-winding-open': 'Start winding open',
  'winding-shorted': 'Winding shorted turns',
  'winding-to-ground': 'Winding to ground',
  'cable-to-ground': 'Cable to ground',
  'cable-open': 'Cable open',
  'leads-swapped': 'Leads swapped at a splice',
  'lead-connector-leaking': 'Lead connector leaking',
  'water-in-motor': 'Water in the motor',
  'thermal-protector-open': 'Thermal protector open',
  'bearings-worn': 'Bearings worn',
  'bearing-loose-on-shaft': 'Bearing loose on its shaft',
  'shaft-bent': 'Shaft bent',
  'rotor-rubbing': 'Rotor rubbing',
  'motor-seized': 'Motor seized',
  'thrust-bearing-worn': 'Thrust bearing worn',
  'cooling-blocked': 'Cooling blocked',
  'shaft-seal-leaking': 'Shaft seal leaking',
  'shaft-o-ring-leaking': 'Shaft O-ring leaking',
  'housing-seal-leaking': 'Housing O-ring leaking',
  'joint-leaking': 'Joint leaking',
  'seal-plate-cracked': 'Seal plate cracked',
  'impeller-clogged': 'Impeller clogged',
  'impeller-worn': 'Impeller worn',
  'impeller-broken': 'Impeller broken or loose',
  'impeller-rubbing': 'Impeller rubbing',
  'stages-worn': 'Stages worn',
  'stages-bound': 'Stages bound',
  'stages-broken': 'Stages broken',
  'coupling-sheared': 'Coupling sheared',
  'suction-air-leak': 'Air leak on the suction side',
  'suction-blocked': 'Suction blocked',
  'foot-valve-leaking': 'Foot valve leaking',
  'lost-prime': 'Lost prime',
  'discharge-blocked': 'Discharge blocked',
  'check-valve-failed': 'Check valve failed',
  'pressure-switch-failed': 'Pressure switch failed',
  'pressure-switch-blocked': 'Pressure switch blocked',
  'pressure-switch-misset': 'Pressure switch mis-set',
  'tank-waterlogged': 'Tank waterlogged',
  'system-leak': 'Leak in the system',
  'relief-valve-failed': 'Relief valve failed',
  'float-switch-failed': 'Float switch failed',
  'float-stuck': 'Float stuck',
  'float-heights-wrong': 'Float heights wrong',
  'backup-battery-failed': 'Backup battery failed',
  'low-water': 'Low water',
  'undersized-pump': 'Pump too small',
  cavitation: 'Cavitation',
  'drive-electronics-failed': 'Drive electronics failed',
  'bonding-missing': 'Bonding missing',
  'wrong-frequency': 'Motor for another frequency',
  'wrong-capacitor-fitted': 'Wrong capacitor fitted',
  'house-filter-clogged': 'House filter clogged',
  'supply-wiring-wet': 'Wet conduit or box',
  'gfci-worn': 'GFCI worn',
  'water-level-low': 'Water level low',
  'drop-pipe-leaking': 'Drop pipe leaking',
  'tank-air-low': 'Tank short of air',
  'air-bound': 'Air-bound',
  'bearing-misfitted': 'Bearing badly fitted',
  'seal-misfitted': 'Seal badly fitted',
  'adapter-leaking': 'Adapter leaking',
  'nothing-wrong': 'Nothing wrong',
} as const
export type Fault = keyof typeof FAULTS

export interface GateInfo {
  label: string
  /** What the technician does to reach it. */
  action: string
  /** Minutes to bring the gate about from its opposite. Common practice. */
  minutes: number
  caution?: string
  /** The gate that this one undoes: power-on reopens power-off. */
  undoes?: readonly Gate[]
}

export type Gate =
  | 'power-off'
  | 'proved-dead'
  | 'discharged'
  | 'drive-discharged'
  | 'battery-disconnected'
  | 'cool'
  | 'valves-shut'
  | 'depressurised'
  | 'drained'
  | 'motor-supported'
  | 'string-secured'
  | 'wet-end-open'
  | 'pulled'
  | 'electronics-disconnected'
  | 'hands-clear'
  | 'power-on'
  | 'primed'
  | 'guards-on'

export const GATES: Record<Gate, GateInfo> = {
  'power-off': {
    label: 'power off',
    action: 'Open the breaker and lock it. A timer that is off is not isolation.',
    minutes: 2,
    undoes: ['power-on'],
    caution: 'Lock out, or guard the panel. A timer or float can start the pump while hands are inside.',
  },
  'proved-dead': {
    label: 'proved dead',
    action:
      'Prove the meter on a live source, measure each line to ground and line to line at the terminals, prove ' +
      'the meter again.',
    minutes: 2,
    undoes: ['power-on'],
    caution: 'Use a rated meter and leads. Local codes and licensed practice decide who may do this.',
  },
  discharged: {
    label: 'discharged',
    action: 'Bleed each capacitor through the resistor for the time shown, then prove it below a few volts.',
    minutes: 1,
    undoes: ['power-on'],
    caution: 'A capacitor holds its charge with the power off. A dead short arcs and can burst the can.',
  },
  'drive-discharged': {
    label: 'drive discharged',
    action: 'Wait the time on the drive’s own label, then prove its terminals dead.',
    minutes: 5,
    undoes: ['power-on'],
    caution: 'A drive holds charge of its own: the maker’s wait, not a resistor.',
  },
  'battery-disconnected': {
    label: 'battery off',
    action: 'Unplug the backup and take a lead off its battery.',
    minutes: 2,
    caution: 'A battery backup runs with the breaker off.',
  },
  cool: {
    label: 'cool',
    action: 'Let the motor cool until a hand can rest on it.',
    minutes: 30,
    caution: 'Motor shells burn. About half an hour.',
  },
  'valves-shut': { label: 'valves shut', action: 'Shut the suction and return valves.', minutes: 2 },
  depressurised: {
    label: 'no pressure',
    action: 'Open the air relief and wait for the gauge to read zero.',
    minutes: 2,
    caution: 'Filters and lids under pressure can fly. Open the relief first.',
  },
  drained: { label: 'drained', action: 'Pull the drain plugs and let the wet end empty.', minutes: 4 },
  'motor-supported': {
    label: 'motor held',
    action: 'Block up the motor before its bolts leave.',
    minutes: 2,
    caution: 'A motor that drops cracks the diffuser, or a foot.',
  },
  'string-secured': {
    label: 'string secured',
    action: 'Clamp the drop pipe at the well head.',
    minutes: 5,
    caution: 'A well string weighs: compute it before lifting.',
  },
  'wet-end-open': {
    label: 'wet end open',
    action: 'Drain, then part the wet end from the motor.',
    minutes: 20,
    undoes: ['primed'],
    caution: 'The halves let go a rush of water. Support the motor first.',
  },
  pulled: {
    label: 'pump out',
    action: 'Secure the string and bring the pump up; a sump pump comes out by its pipe.',
    minutes: 15,
    caution:
      'A well string weighs: compute it, two people, never a hand below it. Into a pit only with pump and backup ' +
      'unplugged.',
  },
  'electronics-disconnected': {
    label: 'electronics off',
    action: 'Disconnect drive, control box and surge protectors from the winding.',
    minutes: 3,
    caution: 'A megohmmeter’s 500 V destroys electronics.',
  },
  'hands-clear': {
    label: 'hands clear',
    action: 'Hands, tools and hair clear of shaft and fan.',
    minutes: 0,
    caution: 'Hands off the leads: the megohmmeter puts out 500 V.',
  },
  'power-on': {
    label: 'power on',
    action: 'Guards on, stand clear, close the breaker.',
    minutes: 1,
    undoes: ['power-off', 'proved-dead', 'discharged', 'drive-discharged'],
    caution: 'Live tests only by qualified people with rated meter, leads and gloves.',
  },
  primed: {
    label: 'primed',
    action: 'Fill the pot, fit the lid, open the valves and the air relief.',
    minutes: 4,
    undoes: ['drained', 'valves-shut', 'depressurised'],
  },
  'guards-on': { label: 'guards on', action: 'Covers and fan guard on.', minutes: 1 },
}

/** What the gates of a check may ask beyond being shut: what has to be open and live. */
export const LIVE_GATES: readonly Gate[] = ['power-on', 'primed', 'guards-on']

/** Where a machine can stand. */
export const STANDINGS = ['installed', 'bench', 'barrel', 'in-box'] as const
export type Standing = (typeof STANDINGS)[number]

/** Where a machine is taken to stand while nobody has said: a motor without its pump lies on the bench. */
export function usualStanding(construction: string | undefined): Standing {
  return construction === 'motor-bench' ? 'bench' : 'installed'
}
/** Whole pumps of a kind: those that can stand in their place. */
export function wholePumps(kind: Kind): readonly Construction[] {
  return KIND_CONSTRUCTIONS[kind].filter((construction) => usualStanding(construction) === 'installed')
}

export const STAGES = ['call', 'prepare', 'safe', 'test', 'decide', 'repair', 'prove', 'hand-over'] as const
export type Stage = (typeof STAGES)[number]
export const STAGE_LABELS: Record<Stage, string> = {
  call: 'Call',
  prepare: 'Prepare',
  safe: 'Safe',
  test: 'Test',
  decide: 'Decide',
  repair: 'Repair',
  prove: 'Prove',
  'hand-over': 'Hand over',
}

/** Is this an id of the given table? Narrows a string from outside. */
export function isIdOf<T extends object>(table: T, id: unknown): id is keyof T & string {
  return typeof id === 'string' && Object.hasOwn(table, id)
}

/** Gates of a place: on the bench and in the barrel there is no panel, no valve, no water over the machine. */
export const SITE_GATES: ReadonlySet<Gate> = new Set<Gate>([
  'proved-dead',
  'battery-disconnected',
  'cool',
  'valves-shut',
  'depressurised',
  'string-secured',
  'pulled',
])

const OFF_AT_THE_BENCH: GateInfo = {
  ...GATES['power-off'],
  action: 'Plug out, test leads off: nothing of it is on any supply.',
  minutes: 1,
  caution: 'After every trial it is off and bled before a hand goes near.',
}

/** A gate as it is shut where the machine stands. */
export function gateInfo(gate: Gate, standing: Standing = 'installed'): GateInfo {
  return gate === 'power-off' && standing !== 'installed' ? OFF_AT_THE_BENCH : GATES[gate]
}
