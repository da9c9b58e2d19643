import type { Kind, Part } from '../vocabulary'

/** What a terminal or a can is there for only. */
export type BenchNeeds = 'run-capacitor' | 'start-capacitor' | 'start-winding' | 'pulled' | 'protector'

/** A place for a lead: a screw, a blade, a bare frame; named by the node of the circuit that it is. */
export interface Terminal {
  node: string
  label: string
  at: readonly [x: number, y: number]
  needs?: readonly BenchNeeds[]
}
/** A wire that the jaw of a clamp goes round. */
export interface JawPlace {
  id: string
  label: string
  at: readonly [x: number, y: number]
}
export interface BenchBox {
  label: string
  at: readonly [x: number, y: number]
  size: readonly [width: number, height: number]
  part?: Part
}
export interface BenchWire {
  path: string
  kind: 'hot' | 'ground' | 'inside'
  needs?: readonly BenchNeeds[]
}
/** A coil, a can or a contact, drawn where it lies. */
export interface BenchSymbol {
  is: 'coil' | 'can' | 'contact' | 'protector'
  label: string
  at: readonly [x: number, y: number]
  part: Part
  upright?: boolean
  needs?: readonly BenchNeeds[]
}
/** The wiring of a kind of machine with its covers off, with real places for the leads. In a field of 760 by 320. */
export interface BenchView {
  kinds: readonly Kind[]
  title: string
  /** What is turned on and off by hand, so that the pump is asked for or not. */
  control: string
  boxes: readonly BenchBox[]
  wires: readonly BenchWire[]
  symbols: readonly BenchSymbol[]
  terminals: readonly Terminal[]
  jaws: readonly JawPlace[]
}

const PAINT = 'paint'

/** A motor that stands above ground, its cover off: terminals, winding ends, cans, bare metal and paint. */
const OPEN_MOTOR = {
  boxes: [{ label: 'motor, cover off', at: [372, 22], size: [374, 236], part: 'motor' }],
  wires: [
    { path: 'M400 84H470V180H400', kind: 'inside' },
    { path: 'M470 84V50H540', kind: 'inside', needs: ['start-winding'] },
    { path: 'M540 50H606', kind: 'inside', needs: ['run-capacitor'] },
    { path: 'M674 50H724V224H430V180', kind: 'inside', needs: ['run-capacitor'] },
    { path: 'M560 50V150H606', kind: 'inside', needs: ['start-capacitor'] },
    { path: 'M674 150H724V224H430V180', kind: 'inside', needs: ['start-capacitor'] },
  ],
  symbols: [
    { is: 'coil', label: 'run', at: [470, 132], part: 'run-winding', upright: true },
    { is: 'coil', label: 'start', at: [498, 50], part: 'start-winding', needs: ['start-winding'] },
    { is: 'can', label: 'run capacitor', at: [640, 50], part: 'run-capacitor', needs: ['run-capacitor'] },
    { is: 'can', label: 'start capacitor', at: [640, 150], part: 'start-capacitor', needs: ['start-capacitor'] },
    { is: 'contact', label: 'start switch', at: [560, 104], part: 'start-switch', needs: ['start-capacitor'] },
  ],
  terminals: [
    { node: 'm1', label: 'motor lead 1', at: [400, 84] },
    { node: 'm2', label: 'motor lead 2', at: [400, 180] },
    { node: 'p', label: 'behind the protector', at: [470, 84], needs: ['protector'] },
    { node: 's', label: 'start winding’s end', at: [540, 50], needs: ['start-winding'] },
    { node: 'rc1', label: 'run capacitor, one side', at: [606, 50], needs: ['run-capacitor'] },
    { node: 'rc2', label: 'run capacitor, the other', at: [674, 50], needs: ['run-capacitor'] },
    { node: 'sc1', label: 'start capacitor, one side', at: [606, 150], needs: ['start-capacitor'] },
    { node: 'sc2', label: 'start capacitor, the other', at: [674, 150], needs: ['start-capacitor'] },
    { node: 'ground', label: 'bare frame', at: [430, 284] },
    { node: PAINT, label: 'painted shell', at: [560, 284] },
  ],
} as const satisfies Pick<BenchView, 'boxes' | 'wires' | 'symbols' | 'terminals'>

const BREAKER = {
  box: { label: 'breaker', at: [14, 44], size: [86, 176], part: 'breaker' },
  terminals: [
    { node: 'b1', label: 'breaker, line 1', at: [72, 84] },
    { node: 'b2', label: 'breaker, line 2', at: [72, 180] },
  ],
} as const satisfies { box: BenchBox; terminals: readonly Terminal[] }

/** What stands in sight of a motor that no pressure switch turns on, and the motor behind it. */
const BEHIND_DISCONNECT = {
  boxes: [{ label: 'disconnect', at: [244, 44], size: [104, 176] }, ...OPEN_MOTOR.boxes],
  wires: [
    { path: 'M190 84H268M162 180H268', kind: 'hot' },
    { path: 'M326 84H400M326 180H400', kind: 'hot' },
    { path: 'M57 220V300H430V284', kind: 'ground' },
    ...OPEN_MOTOR.wires,
  ],
  symbols: [
    { is: 'contact', label: '', at: [176, 84], part: 'timer' },
    { is: 'contact', label: '', at: [300, 84], part: 'breaker' },
    { is: 'contact', label: '', at: [300, 180], part: 'breaker' },
    ...OPEN_MOTOR.symbols,
  ],
  terminals: [
    { node: 't1', label: 'disconnect, line 1', at: [268, 84] },
    { node: 't2', label: 'disconnect, line 2', at: [268, 180] },
    ...OPEN_MOTOR.terminals,
  ],
} as const satisfies Pick<BenchView, 'boxes' | 'wires' | 'symbols' | 'terminals'>

/** The pressure switch of a house, between breaker and pump. */
const PRESSURE_SWITCH = {
  box: { label: 'pressure switch', at: [134, 44], size: [130, 176], part: 'pressure-switch' },
  symbols: [
    { is: 'contact', label: '', at: [199, 84], part: 'pressure-switch' },
    { is: 'contact', label: '', at: [199, 180], part: 'pressure-switch' },
  ],
  terminals: [
    { node: 'c1', label: 'switch, line side 1', at: [162, 84] },
    { node: 'c2', label: 'switch, line side 2', at: [162, 180] },
    { node: 't1', label: 'switch, motor side 1', at: [236, 84] },
    { node: 't2', label: 'switch, motor side 2', at: [236, 180] },
  ],
} as const satisfies { box: BenchBox; symbols: readonly BenchSymbol[]; terminals: readonly Terminal[] }

const TWO_LINES: readonly BenchWire[] = [
  { path: 'M72 84H162', kind: 'hot' },
  { path: 'M72 180H162', kind: 'hot' },
]

export const BENCH_VIEWS: readonly BenchView[] = [
  {
    kinds: ['pool', 'booster'],
    title: 'breaker, timer, disconnect, motor',
    control: 'disconnect',
    boxes: [BREAKER.box, { label: 'timer', at: [134, 44], size: [86, 176], part: 'timer' }, ...BEHIND_DISCONNECT.boxes],
    wires: [...TWO_LINES, ...BEHIND_DISCONNECT.wires],
    symbols: BEHIND_DISCONNECT.symbols,
    terminals: [
      ...BREAKER.terminals,
      { node: 'c1', label: 'timer, line side', at: [150, 132] },
      ...BEHIND_DISCONNECT.terminals,
    ],
    jaws: [
      { id: 'jaw-one', label: 'round one line', at: [360, 84] },
      { id: 'jaw-both', label: 'round both lines', at: [360, 132] },
    ],
  },
  {
    kinds: ['spa', 'circulation', 'utility'],
    title: 'outlet, control, disconnect, motor',
    control: 'disconnect',
    boxes: [
      { label: 'outlet', at: [14, 44], size: [86, 176], part: 'outlet' },
      { label: 'control', at: [134, 44], size: [86, 176], part: 'timer' },
      ...BEHIND_DISCONNECT.boxes,
    ],
    wires: [...TWO_LINES, ...BEHIND_DISCONNECT.wires],
    symbols: BEHIND_DISCONNECT.symbols,
    terminals: [
      { node: 'o1', label: 'outlet, one slot', at: [72, 84] },
      { node: 'o2', label: 'outlet, the other', at: [72, 180] },
      { node: 'c1', label: 'control, line side', at: [150, 132] },
      ...BEHIND_DISCONNECT.terminals,
    ],
    jaws: [
      { id: 'jaw-one', label: 'round one line', at: [360, 84] },
      { id: 'jaw-both', label: 'round the whole cord', at: [360, 132] },
    ],
  },
  {
    kinds: ['jet'],
    title: 'breaker, pressure switch, motor',
    control: 'pressure switch',
    boxes: [BREAKER.box, PRESSURE_SWITCH.box, ...OPEN_MOTOR.boxes],
    wires: [
      ...TWO_LINES,
      { path: 'M236 84H400M236 180H400', kind: 'hot' },
      { path: 'M57 220V300H430V284', kind: 'ground' },
      ...OPEN_MOTOR.wires,
    ],
    symbols: [...PRESSURE_SWITCH.symbols, ...OPEN_MOTOR.symbols],
    terminals: [...BREAKER.terminals, ...PRESSURE_SWITCH.terminals, ...OPEN_MOTOR.terminals],
    jaws: [
      { id: 'jaw-one', label: 'round one line', at: [318, 84] },
      { id: 'jaw-both', label: 'round both lines', at: [318, 132] },
    ],
  },
  {
    kinds: ['well-two-wire'],
    title: 'breaker, pressure switch, well head, cable, motor',
    control: 'pressure switch',
    boxes: [
      BREAKER.box,
      PRESSURE_SWITCH.box,
      { label: 'well head', at: [306, 44], size: [84, 176] },
      { label: 'splice', at: [480, 44], size: [94, 176], part: 'splice' },
      { label: 'motor', at: [596, 22], size: [150, 258], part: 'motor' },
    ],
    wires: [
      ...TWO_LINES,
      { path: 'M236 84H500M236 180H500', kind: 'hot' },
      { path: 'M500 84H624M500 180H624', kind: 'hot' },
      { path: 'M57 220V300H348V284', kind: 'ground' },
    ],
    symbols: [
      ...PRESSURE_SWITCH.symbols,
      { is: 'coil', label: 'run', at: [650, 132], part: 'run-winding', upright: true },
    ],
    terminals: [
      ...BREAKER.terminals,
      ...PRESSURE_SWITCH.terminals,
      { node: 'h1', label: 'well head, black', at: [348, 84] },
      { node: 'h2', label: 'well head, the other black', at: [348, 180] },
      { node: 'x1', label: 'cable’s end, one', at: [500, 84], needs: ['pulled'] },
      { node: 'x2', label: 'cable’s end, the other', at: [500, 180], needs: ['pulled'] },
      { node: 'm1', label: 'motor lead 1', at: [624, 84], needs: ['pulled'] },
      { node: 'm2', label: 'motor lead 2', at: [624, 180], needs: ['pulled'] },
      { node: 'rc1', label: 'run capacitor, one side', at: [710, 60], needs: ['pulled', 'run-capacitor'] },
      { node: 'rc2', label: 'run capacitor, the other', at: [710, 110], needs: ['pulled', 'run-capacitor'] },
      { node: 'sc1', label: 'start capacitor, one side', at: [710, 170], needs: ['pulled', 'start-capacitor'] },
      { node: 'sc2', label: 'start capacitor, the other', at: [710, 220], needs: ['pulled', 'start-capacitor'] },
      { node: 'ground', label: 'green, and the casing', at: [348, 284] },
      { node: PAINT, label: 'painted cap', at: [450, 284] },
    ],
    jaws: [
      { id: 'jaw-one', label: 'round one line', at: [286, 84] },
      { id: 'jaw-both', label: 'round both lines', at: [286, 132] },
    ],
  },
  {
    kinds: ['well-three-wire'],
    title: 'breaker, pressure switch, control box, cable, motor',
    control: 'pressure switch',
    boxes: [
      BREAKER.box,
      PRESSURE_SWITCH.box,
      { label: 'control box', at: [278, 22], size: [196, 236], part: 'control-box' },
      { label: 'splice', at: [566, 22], size: [62, 222], part: 'splice' },
      { label: 'motor', at: [640, 22], size: [106, 236], part: 'motor' },
    ],
    wires: [
      ...TWO_LINES,
      { path: 'M236 84H300M236 180H300', kind: 'hot' },
      { path: 'M300 84V50H446M300 180H314V118H446', kind: 'inside' },
      { path: 'M314 180V206H330M390 206H402M446 206V180', kind: 'inside', needs: ['start-capacitor'] },
      { path: 'M314 152H330M390 152H420V180H446', kind: 'inside', needs: ['run-capacitor'] },
      { path: 'M498 50H664M498 118H664M498 180H664', kind: 'hot' },
      { path: 'M664 50H700V118H664M700 50H726V180H664', kind: 'inside' },
      { path: 'M57 220V300H498V284', kind: 'ground' },
    ],
    symbols: [
      ...PRESSURE_SWITCH.symbols,
      { is: 'can', label: 'start capacitor', at: [360, 206], part: 'start-capacitor', needs: ['start-capacitor'] },
      { is: 'can', label: 'run capacitor', at: [360, 152], part: 'run-capacitor', needs: ['run-capacitor'] },
      { is: 'contact', label: 'relay', at: [424, 206], part: 'start-relay' },
      { is: 'coil', label: '', at: [700, 84], part: 'run-winding', upright: true },
      { is: 'coil', label: '', at: [726, 150], part: 'start-winding', upright: true },
    ],
    terminals: [
      ...BREAKER.terminals,
      ...PRESSURE_SWITCH.terminals,
      { node: 'rc1', label: 'run capacitor, one side', at: [330, 152], needs: ['run-capacitor'] },
      { node: 'rc2', label: 'run capacitor, the other', at: [390, 152], needs: ['run-capacitor'] },
      { node: 'sc1', label: 'start capacitor, one side', at: [330, 206], needs: ['start-capacitor'] },
      { node: 'sc2', label: 'start capacitor, the other', at: [390, 206], needs: ['start-capacitor'] },
      { node: 'y', label: 'box, yellow', at: [446, 50] },
      { node: 'k', label: 'box, black', at: [446, 118] },
      { node: 'r', label: 'box, red', at: [446, 180] },
      { node: 'y2', label: 'cable, yellow', at: [498, 50] },
      { node: 'k2', label: 'cable, black', at: [498, 118] },
      { node: 'r2', label: 'cable, red', at: [498, 180] },
      { node: 'yx', label: 'cable’s end, yellow', at: [590, 50], needs: ['pulled'] },
      { node: 'kx', label: 'cable’s end, black', at: [590, 118], needs: ['pulled'] },
      { node: 'rx', label: 'cable’s end, red', at: [590, 180], needs: ['pulled'] },
      { node: 'ym', label: 'motor, yellow', at: [664, 50], needs: ['pulled'] },
      { node: 'km', label: 'motor, black', at: [664, 118], needs: ['pulled'] },
      { node: 'rm', label: 'motor, red', at: [664, 180], needs: ['pulled'] },
      { node: 'ground', label: 'green, and the casing', at: [498, 284] },
      { node: PAINT, label: 'painted cap', at: [600, 284] },
    ],
    jaws: [
      { id: 'jaw-one', label: 'round one line', at: [268, 84] },
      { id: 'jaw-both', label: 'round both lines', at: [268, 132] },
    ],
  },
  {
    kinds: ['sump'],
    title: 'outlet, piggyback float, sealed pump',
    control: 'float',
    boxes: [
      { label: 'outlet', at: [14, 44], size: [96, 176], part: 'outlet' },
      { label: 'piggyback plug', at: [150, 44], size: [116, 176], part: 'float-switch' },
      { label: 'pump’s plug', at: [306, 44], size: [100, 176] },
      { label: 'sealed pump', at: [476, 44], size: [150, 200], part: 'pump' },
      { label: 'battery', at: [652, 150], size: [94, 110], part: 'battery' },
    ],
    wires: [
      { path: 'M72 84H178M72 180H340', kind: 'hot' },
      { path: 'M236 84H340', kind: 'hot' },
      { path: 'M340 84H550V180H340', kind: 'inside' },
      { path: 'M62 220V300H340V284', kind: 'ground' },
    ],
    symbols: [
      { is: 'contact', label: 'float', at: [208, 84], part: 'float-switch' },
      { is: 'coil', label: 'run', at: [550, 132], part: 'run-winding', upright: true },
    ],
    terminals: [
      { node: 'o1', label: 'outlet, one slot', at: [72, 84] },
      { node: 'o2', label: 'outlet, the other', at: [72, 180] },
      { node: 't1', label: 'piggyback, pump side', at: [236, 84] },
      { node: 'h1', label: 'pump’s plug, one blade', at: [340, 84] },
      { node: 'h2', label: 'pump’s plug, the other', at: [340, 180] },
      { node: 'battery-plus', label: 'battery, plus', at: [680, 190] },
      { node: 'battery-minus', label: 'battery, minus', at: [724, 234] },
      { node: 'ground', label: 'ground pin', at: [340, 284] },
      { node: PAINT, label: 'painted shell', at: [450, 284] },
    ],
    jaws: [
      { id: 'jaw-one', label: 'round one wire', at: [290, 84] },
      { id: 'jaw-both', label: 'round the whole cord', at: [436, 132] },
    ],
  },
]

/** The bench of a kind. @throws RangeError for a kind that no view shows: the table has every one, by test */
export function benchViewOf(kind: Kind): BenchView {
  const view = BENCH_VIEWS.find(({ kinds }) => kinds.includes(kind))
  if (!view) throw new RangeError(`no bench shows ${kind}`)
  return view
}
