import type { Basis } from '../../judgement/judgement'
import type { Check } from '../checks/checks'
import type { InsulationSetup } from './limits'
import type { Kind, Part } from '../vocabulary'

/** A check that can be made at a test point. */
export interface PointCheck {
  check: Check
  part?: Part
  leads?: string
  setup?: InsulationSetup
  half?: 'motor' | 'pump-end'
}

/** Where the probes go. */
export interface TestPoint {
  id: string
  label: string
  at: readonly [x: number, y: number]
  /** Meter and how it is set. */
  meter: string
  /** One lead here, the other there. */
  leads: string
  checks: readonly PointCheck[]
  needs?: 'run-capacitor' | 'start-capacitor' | 'start-switch'
}
export interface WiringBox {
  label: string
  at: readonly [x: number, y: number]
  size: readonly [width: number, height: number]
  part?: Part
  dashed?: boolean
  needs?: TestPoint['needs']
}
/** `hot` and `neutral` carry the load, `ground` bonds, `signal` switches. */
export interface Wire {
  path: string
  kind: 'hot' | 'neutral' | 'ground' | 'signal'
  label?: string
  labelAt?: readonly [number, number]
  needs?: TestPoint['needs']
}
export interface WiringView {
  id: string
  title: string
  kinds: readonly Kind[]
  boxes: readonly WiringBox[]
  wires: readonly Wire[]
  points: readonly TestPoint[]
  note?: string
}

const VOLTS = 'V AC, 600 V range'
const OHMS = 'Ω, lowest range, zeroed'
const MEGOHMS = 'megohmmeter, 500 V DC'
const FARADS = 'μF, one wire off the can'

/** The usual colours of a 3-wire submersible: what each lead should be. */
export const LEAD_COLOURS = {
  roles: { yellow: 'common', black: 'run', red: 'start' } as Readonly<Record<string, 'common' | 'run' | 'start'>>,
  basis: { kind: 'common-practice', name: 'colours of 3-wire submersible leads; the ohms decide' } as Basis,
}

/**
 * What the technician sees with the covers off, as diagrams with places for the probes. Coordinates in a field of 760
 * by 300.
 */
export const WIRING_VIEWS: readonly WiringView[] = [
  {
    id: 'timer-and-motor',
    title: 'breaker, timer, motor',
    kinds: ['pool', 'booster'],
    boxes: [
      { label: 'breaker', at: [20, 60], size: [90, 150], part: 'breaker' },
      { label: 'timer', at: [190, 60], size: [110, 150], part: 'timer' },
      { label: 'motor terminals', at: [420, 40], size: [150, 190], part: 'terminal-board' },
      { label: 'run capacitor', at: [630, 40], size: [110, 50], part: 'run-capacitor', needs: 'run-capacitor' },
      { label: 'start capacitor', at: [630, 120], size: [110, 50], part: 'start-capacitor', needs: 'start-capacitor' },
      { label: 'start switch', at: [630, 200], size: [110, 40], part: 'start-switch', needs: 'start-switch' },
    ],
    wires: [
      { path: 'M110 100H190M300 100H420', kind: 'hot', label: 'L1', labelAt: [340, 92] },
      { path: 'M110 160H190M300 160H420', kind: 'hot', label: 'L2', labelAt: [340, 152] },
      { path: 'M65 210V262H495V230', kind: 'ground', label: 'ground and bond', labelAt: [250, 254] },
      { path: 'M570 65H630', kind: 'signal', needs: 'run-capacitor' },
      { path: 'M570 145H630', kind: 'signal', needs: 'start-capacitor' },
      { path: 'M570 215H630', kind: 'signal', needs: 'start-switch' },
    ],
    points: [
      {
        id: 'breaker',
        label: 'breaker',
        at: [65, 130],
        meter: 'eyes; one reset at most',
        leads: 'no lead: look at the handle',
        checks: [{ check: 'breaker' }, { check: 'gfci' }],
      },
      {
        id: 'timer-out',
        label: 'timer, load side',
        at: [300, 130],
        meter: VOLTS,
        leads: 'one lead on each load terminal',
        checks: [{ check: 'interlock' }],
      },
      {
        id: 'line',
        label: 'line to line',
        at: [420, 130],
        meter: VOLTS,
        leads: 'one lead on L1, one on L2, at the motor',
        checks: [{ check: 'supply-voltage' }, { check: 'supply-voltage-loaded' }],
      },
      {
        id: 'one-line',
        label: 'round one line',
        at: [380, 100],
        meter: 'clamp, A AC',
        leads: 'jaw round L1 alone',
        checks: [{ check: 'running-current' }, { check: 'locked-current' }],
      },
      {
        id: 'windings',
        label: 'windings',
        at: [495, 190],
        meter: OHMS,
        leads: 'wires off; across the two ends of the winding',
        checks: [
          { check: 'winding-resistance', leads: 'run-common' },
          { check: 'winding-resistance', leads: 'start-common' },
        ],
      },
      {
        id: 'frame',
        label: 'winding to frame',
        at: [495, 262],
        meter: MEGOHMS,
        leads: 'one lead on the winding, one on the bare frame',
        checks: [{ check: 'insulation-resistance' }, { check: 'ground-ohmmeter' }],
      },
      {
        id: 'run-can',
        label: 'run capacitor',
        at: [685, 65],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'run-capacitor' },
          { check: 'capacitor-look', part: 'run-capacitor' },
        ],
        needs: 'run-capacitor',
      },
      {
        id: 'start-can',
        label: 'start capacitor',
        at: [685, 145],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'start-capacitor' },
          { check: 'capacitor-look', part: 'start-capacitor' },
        ],
        needs: 'start-capacitor',
      },
      {
        id: 'switch',
        label: 'start switch',
        at: [685, 222],
        meter: 'eyes and fingers, power locked off',
        leads: 'move the weights by hand',
        checks: [{ check: 'start-switch-look' }],
        needs: 'start-switch',
      },
    ],
  },
  {
    id: 'cord-and-motor',
    title: 'outlet, cord, motor',
    kinds: ['spa', 'circulation', 'utility'],
    boxes: [
      { label: 'outlet', at: [20, 70], size: [100, 140], part: 'outlet' },
      { label: 'motor terminals', at: [330, 50], size: [160, 180], part: 'terminal-board' },
      { label: 'run capacitor', at: [600, 50], size: [130, 50], part: 'run-capacitor', needs: 'run-capacitor' },
      { label: 'start capacitor', at: [600, 130], size: [130, 50], part: 'start-capacitor', needs: 'start-capacitor' },
    ],
    wires: [
      { path: 'M120 110H330', kind: 'hot', label: 'line', labelAt: [180, 102] },
      { path: 'M120 150H330', kind: 'neutral', label: 'neutral or L2', labelAt: [180, 142] },
      { path: 'M120 190H330', kind: 'ground', label: 'ground', labelAt: [180, 182] },
      { path: 'M490 75H600', kind: 'signal', needs: 'run-capacitor' },
      { path: 'M490 155H600', kind: 'signal', needs: 'start-capacitor' },
    ],
    points: [
      {
        id: 'outlet',
        label: 'outlet',
        at: [70, 130],
        meter: VOLTS,
        leads: 'one lead in each slot, then each to ground',
        checks: [{ check: 'outlet-voltage' }, { check: 'breaker' }, { check: 'gfci' }],
      },
      {
        id: 'line',
        label: 'line at the motor',
        at: [330, 130],
        meter: VOLTS,
        leads: 'one lead on each line terminal',
        checks: [{ check: 'supply-voltage' }, { check: 'supply-voltage-loaded' }],
      },
      {
        id: 'one-line',
        label: 'round one line',
        at: [260, 110],
        meter: 'clamp, A AC',
        leads: 'jaw round one wire, not the cord',
        checks: [{ check: 'running-current' }, { check: 'locked-current' }],
      },
      {
        id: 'windings',
        label: 'windings',
        at: [410, 180],
        meter: OHMS,
        leads: 'unplugged; across the winding',
        checks: [
          { check: 'winding-resistance', leads: 'run-common' },
          { check: 'winding-resistance', leads: 'start-common' },
        ],
      },
      {
        id: 'frame',
        label: 'winding to frame',
        at: [410, 230],
        meter: MEGOHMS,
        leads: 'one lead on a plug blade, one on the bare frame',
        checks: [{ check: 'insulation-resistance' }, { check: 'ground-ohmmeter' }],
      },
      {
        id: 'run-can',
        label: 'run capacitor',
        at: [665, 75],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'run-capacitor' },
          { check: 'capacitor-look', part: 'run-capacitor' },
        ],
        needs: 'run-capacitor',
      },
      {
        id: 'start-can',
        label: 'start capacitor',
        at: [665, 155],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'start-capacitor' },
          { check: 'capacitor-look', part: 'start-capacitor' },
        ],
        needs: 'start-capacitor',
      },
    ],
  },
  {
    id: 'selector',
    title: 'dual-voltage selector',
    kinds: ['pool', 'booster', 'spa', 'jet', 'utility'],
    note:
      'On the higher voltage the two halves of the run winding stand in series, on the lower beside each other. ' +
      '115 V selection on 230 V destroys the motor.',
    boxes: [
      { label: 'selector', at: [120, 70], size: [150, 140], part: 'selector' },
      { label: 'run winding, half', at: [430, 60], size: [190, 60], part: 'run-winding' },
      { label: 'run winding, half', at: [430, 170], size: [190, 60], part: 'run-winding' },
    ],
    wires: [
      { path: 'M20 100H120', kind: 'hot', label: 'L1', labelAt: [40, 92] },
      { path: 'M20 180H120', kind: 'hot', label: 'L2', labelAt: [40, 172] },
      { path: 'M270 90H430', kind: 'hot' },
      { path: 'M270 140H350V190H430M350 140V100H430', kind: 'signal', label: 'jumper', labelAt: [290, 132] },
      { path: 'M270 200H430', kind: 'hot' },
    ],
    points: [
      {
        id: 'setting',
        label: 'selector',
        at: [195, 140],
        meter: 'eyes',
        leads: 'read plug, dial or jumper against the volts measured',
        checks: [{ check: 'selector-setting' }, { check: 'wiring-look' }],
      },
      {
        id: 'incoming',
        label: 'incoming',
        at: [120, 140],
        meter: VOLTS,
        leads: 'one lead on L1, one on L2',
        checks: [{ check: 'supply-voltage' }],
      },
    ],
  },
  {
    id: 'pressure-switch',
    title: 'pressure switch',
    kinds: ['well-two-wire', 'well-three-wire', 'jet'],
    note:
      'Each hot breaks on its own contact: line one side, motor the other. The cable goes through its clamp, the ' +
      'ground to its lug.',
    boxes: [
      { label: 'breaker', at: [20, 70], size: [90, 140], part: 'breaker' },
      { label: 'pressure switch', at: [250, 40], size: [220, 200], part: 'pressure-switch' },
      { label: '', at: [335, 240], size: [50, 40], part: 'pressure-switch' },
      { label: 'to the pump', at: [610, 70], size: [130, 140], part: 'cable' },
    ],
    wires: [
      { path: 'M110 100H300', kind: 'hot', label: 'line', labelAt: [150, 92] },
      { path: 'M110 160H300', kind: 'hot', label: 'line', labelAt: [150, 152] },
      { path: 'M300 100L350 88M300 160L350 148', kind: 'signal' },
      { path: 'M420 100H610', kind: 'hot', label: 'motor', labelAt: [560, 92] },
      { path: 'M420 160H610', kind: 'hot', label: 'motor', labelAt: [560, 152] },
      { path: 'M350 100H420M350 160H420', kind: 'hot' },
      { path: 'M65 210V222H250M470 222H675V210', kind: 'ground', label: 'ground lug', labelAt: [490, 214] },
    ],
    points: [
      {
        id: 'breaker',
        label: 'breaker',
        at: [65, 140],
        meter: 'eyes; one reset at most',
        leads: 'no lead: look at the handle',
        checks: [{ check: 'breaker' }],
      },
      {
        id: 'line-side',
        label: 'line side',
        at: [272, 130],
        meter: VOLTS,
        leads: 'one lead on each line screw',
        checks: [{ check: 'supply-voltage' }],
      },
      {
        id: 'contacts',
        label: 'the two contacts',
        at: [350, 118],
        meter: 'eyes, power locked off and proved',
        leads: 'cover off; then ohms across each contact',
        checks: [{ check: 'pressure-switch-contacts' }, { check: 'wiring-look' }],
      },
      {
        id: 'motor-side',
        label: 'motor side',
        at: [420, 130],
        meter: VOLTS,
        leads: 'one lead on each motor screw, contacts closed',
        checks: [{ check: 'supply-voltage-loaded' }],
      },
      {
        id: 'one-line',
        label: 'round one line',
        at: [520, 100],
        meter: 'clamp, A AC',
        leads: 'jaw round one motor wire',
        checks: [{ check: 'running-current' }, { check: 'locked-current' }],
      },
      {
        id: 'nipple',
        label: 'nipple and gauge',
        at: [360, 260],
        meter: 'gauge at the tank tee',
        leads: 'nipple off, a wire through it',
        checks: [{ check: 'switch-nipple' }, { check: 'cut-in' }, { check: 'cut-out' }],
      },
    ],
  },
  {
    id: 'jet-motor',
    title: 'motor and capacitors',
    kinds: ['jet'],
    boxes: [
      { label: 'motor terminals', at: [60, 60], size: [180, 180], part: 'terminal-board' },
      { label: 'run capacitor', at: [430, 50], size: [160, 50], part: 'run-capacitor', needs: 'run-capacitor' },
      { label: 'start capacitor', at: [430, 130], size: [160, 50], part: 'start-capacitor', needs: 'start-capacitor' },
      { label: 'start switch', at: [430, 210], size: [160, 40], part: 'start-switch', needs: 'start-switch' },
    ],
    wires: [
      { path: 'M240 75H430', kind: 'signal', needs: 'run-capacitor' },
      { path: 'M240 155H430', kind: 'signal', needs: 'start-capacitor' },
      { path: 'M240 228H430', kind: 'signal', needs: 'start-switch' },
    ],
    points: [
      {
        id: 'windings',
        label: 'windings',
        at: [150, 170],
        meter: OHMS,
        leads: 'wires off; across the two ends of the winding',
        checks: [
          { check: 'winding-resistance', leads: 'run-common' },
          { check: 'winding-resistance', leads: 'start-common' },
          { check: 'thermal-protector-continuity' },
        ],
      },
      {
        id: 'frame',
        label: 'winding to frame',
        at: [150, 240],
        meter: MEGOHMS,
        leads: 'one lead on the winding, one on the bare frame',
        checks: [{ check: 'insulation-resistance' }, { check: 'ground-ohmmeter' }],
      },
      {
        id: 'run-can',
        label: 'run capacitor',
        at: [510, 75],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'run-capacitor' },
          { check: 'capacitor-look', part: 'run-capacitor' },
        ],
        needs: 'run-capacitor',
      },
      {
        id: 'start-can',
        label: 'start capacitor',
        at: [510, 155],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'start-capacitor' },
          { check: 'capacitor-look', part: 'start-capacitor' },
        ],
        needs: 'start-capacitor',
      },
      {
        id: 'switch',
        label: 'start switch',
        at: [510, 230],
        meter: 'eyes and fingers, power locked off',
        leads: 'move the weights by hand',
        checks: [{ check: 'start-switch-look' }],
        needs: 'start-switch',
      },
    ],
  },
  {
    id: 'two-wire',
    title: '2-wire: two hots and a ground, straight down',
    kinds: ['well-two-wire'],
    note: 'Capacitor and switch are inside the motor. Old sets may have no ground.',
    boxes: [
      { label: 'well head', at: [60, 60], size: [120, 180], part: 'lead-connector' },
      { label: 'splice', at: [380, 80], size: [90, 140], part: 'splice' },
      { label: 'motor', at: [570, 60], size: [160, 180], part: 'motor' },
    ],
    wires: [
      { path: 'M180 100H380M470 100H570', kind: 'hot', label: 'black', labelAt: [250, 92] },
      { path: 'M180 150H380M470 150H570', kind: 'hot', label: 'black', labelAt: [250, 142] },
      { path: 'M180 200H380M470 200H570', kind: 'ground', label: 'green', labelAt: [250, 192] },
    ],
    points: [
      {
        id: 'two-leads',
        label: 'lead to lead',
        at: [180, 125],
        meter: OHMS,
        leads: 'disconnected at the head; one lead on each hot',
        checks: [{ check: 'winding-resistance', leads: 'run-common' }],
      },
      {
        id: 'to-ground',
        label: 'both leads to ground',
        at: [180, 200],
        meter: MEGOHMS,
        leads: 'hots together on one lead, the other on the ground or the casing',
        checks: [{ check: 'insulation-resistance', setup: 'motor-and-cable' }, { check: 'ground-ohmmeter' }],
      },
      {
        id: 'cable',
        label: 'cable alone',
        at: [425, 150],
        meter: MEGOHMS,
        leads: 'splice cut; the cable’s end dry and free',
        checks: [{ check: 'insulation-resistance', setup: 'cable-alone' }, { check: 'connector-look' }],
      },
      {
        id: 'motor',
        label: 'motor alone',
        at: [570, 150],
        meter: MEGOHMS,
        leads: 'past the splice: leads to the shell',
        checks: [
          { check: 'insulation-resistance', setup: 'motor-alone' },
          { check: 'winding-resistance', leads: 'run-common', half: 'motor' },
        ],
      },
    ],
  },
  {
    id: 'three-wire',
    title: '3-wire with its control box',
    kinds: ['well-three-wire'],
    note:
      'Usual colours: yellow common, black main, red start. A pair that disagrees with them was swapped at a ' +
      'splice.',
    boxes: [
      { label: 'control box', at: [40, 30], size: [260, 240], part: 'control-box' },
      { label: 'relay', at: [190, 76], size: [90, 44], part: 'start-relay' },
      { label: 'start capacitor', at: [60, 76], size: [110, 44], part: 'start-capacitor', needs: 'start-capacitor' },
      { label: 'run capacitor', at: [60, 150], size: [110, 44], part: 'run-capacitor', needs: 'run-capacitor' },
      { label: 'splice', at: [460, 80], size: [80, 170], part: 'splice' },
      { label: 'motor', at: [610, 70], size: [130, 190], part: 'motor' },
    ],
    wires: [
      { path: 'M300 120H460M540 120H610', kind: 'hot', label: 'yellow, common', labelAt: [368, 112] },
      { path: 'M300 160H460M540 160H610', kind: 'hot', label: 'black, main', labelAt: [368, 152] },
      { path: 'M300 200H460M540 200H610', kind: 'signal', label: 'red, start', labelAt: [368, 192] },
      { path: 'M300 240H460M540 240H610', kind: 'ground', label: 'green', labelAt: [368, 232] },
    ],
    points: [
      {
        id: 'start-can',
        label: 'start capacitor',
        at: [115, 98],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'start-capacitor' },
          { check: 'capacitor-look', part: 'start-capacitor' },
        ],
        needs: 'start-capacitor',
      },
      {
        id: 'run-can',
        label: 'run capacitor',
        at: [115, 172],
        meter: FARADS,
        leads: 'one lead on each terminal of the can',
        checks: [
          { check: 'capacitance', part: 'run-capacitor' },
          { check: 'capacitor-look', part: 'run-capacitor' },
        ],
        needs: 'run-capacitor',
      },
      {
        id: 'relay',
        label: 'relay',
        at: [235, 98],
        meter: 'eyes, power locked off',
        leads: 'box cover off',
        checks: [{ check: 'relay-look' }],
      },
      {
        id: 'box',
        label: 'box from motor',
        at: [170, 240],
        meter: 'a known-good box of the same horsepower',
        leads: 'swap the lid, try once',
        checks: [{ check: 'control-box-swap' }, { check: 'wiring-look' }],
      },
      {
        id: 'yellow-black',
        label: 'yellow to black',
        at: [300, 140],
        meter: OHMS,
        leads: 'lid off the box; one lead on yellow, one on black',
        checks: [{ check: 'winding-resistance', leads: 'run-common' }],
      },
      {
        id: 'yellow-red',
        label: 'yellow to red',
        at: [300, 190],
        meter: OHMS,
        leads: 'lid off the box; one lead on yellow, one on red',
        checks: [{ check: 'winding-resistance', leads: 'start-common' }],
      },
      {
        id: 'to-ground',
        label: 'each lead to ground',
        at: [300, 240],
        meter: MEGOHMS,
        leads: 'box off; one lead on each colour in turn, the other on green or the casing',
        checks: [{ check: 'insulation-resistance', setup: 'motor-and-cable' }, { check: 'ground-ohmmeter' }],
      },
      {
        id: 'cable',
        label: 'cable alone',
        at: [500, 160],
        meter: MEGOHMS,
        leads: 'splice cut; the cable’s end dry and free',
        checks: [{ check: 'insulation-resistance', setup: 'cable-alone' }, { check: 'connector-look' }],
      },
      {
        id: 'motor',
        label: 'motor alone',
        at: [610, 160],
        meter: MEGOHMS,
        leads: 'past the splice: leads to the shell',
        checks: [
          { check: 'insulation-resistance', setup: 'motor-alone' },
          { check: 'winding-resistance', leads: 'run-common', half: 'motor' },
        ],
      },
    ],
  },
  {
    id: 'piggyback-float',
    title: 'piggyback float',
    kinds: ['sump'],
    note:
      'To split switch from pump: piggyback out, pump plugged straight in. It runs: the switch. Silent with the ' +
      'outlet live: the pump. It hums: jammed, or cannot start.',
    boxes: [
      { label: 'outlet', at: [20, 80], size: [100, 140], part: 'outlet' },
      { label: 'piggyback plug', at: [200, 80], size: [130, 140], part: 'float-switch' },
      { label: 'float', at: [470, 34], size: [110, 56], part: 'float-switch' },
      { label: 'sealed pump', at: [470, 150], size: [200, 110], part: 'pump' },
    ],
    wires: [
      { path: 'M120 130H200', kind: 'hot' },
      { path: 'M120 170H200', kind: 'neutral' },
      { path: 'M330 110H400V60H470', kind: 'signal', label: 'float cord', labelAt: [350, 52] },
      { path: 'M330 180H470', kind: 'hot', label: 'pump cord', labelAt: [418, 172] },
      { path: 'M330 210H470', kind: 'ground', label: 'ground', labelAt: [360, 226] },
    ],
    points: [
      {
        id: 'outlet',
        label: 'outlet',
        at: [70, 150],
        meter: VOLTS,
        leads: 'one lead in each slot',
        checks: [{ check: 'outlet-voltage' }, { check: 'breaker' }, { check: 'gfci' }],
      },
      {
        id: 'bypass',
        label: 'plugged straight in',
        at: [200, 150],
        meter: 'the pump itself',
        leads: 'piggyback out, pump plug into the outlet',
        checks: [{ check: 'float-bypass' }],
      },
      {
        id: 'float',
        label: 'float',
        at: [525, 60],
        meter: 'a stick through the lid',
        leads: 'pump and backup unplugged',
        checks: [{ check: 'float-move' }, { check: 'float-heights' }],
      },
      {
        id: 'one-line',
        label: 'round one wire',
        at: [400, 180],
        meter: 'clamp, A AC',
        leads: 'jaw round one conductor by a line splitter',
        checks: [{ check: 'running-current' }],
      },
      {
        id: 'plug',
        label: 'blade to ground pin',
        at: [470, 210],
        meter: MEGOHMS,
        leads: 'unplugged; blades together on one lead, ground pin on the other',
        checks: [{ check: 'insulation-resistance', setup: 'motor-and-cable' }, { check: 'ground-ohmmeter' }],
      },
      {
        id: 'blades',
        label: 'blade to blade',
        at: [330, 195],
        meter: OHMS,
        leads: 'unplugged; one lead on each blade',
        checks: [{ check: 'winding-resistance', leads: 'run-common' }],
      },
    ],
  },
  {
    id: 'backup',
    title: 'backup with its battery',
    kinds: ['sump'],
    note:
      'A battery backup runs with the breaker off: unplug it and take a lead off its battery before a hand goes ' +
      'into the pit.',
    boxes: [
      { label: 'charger', at: [40, 80], size: [130, 120], part: 'backup-pump' },
      { label: 'battery', at: [270, 80], size: [140, 120], part: 'battery' },
      { label: 'backup pump', at: [560, 150], size: [150, 90], part: 'backup-pump' },
      { label: 'backup float', at: [560, 40], size: [150, 60], part: 'backup-float' },
    ],
    wires: [
      { path: 'M170 110H270', kind: 'hot', label: '+', labelAt: [215, 102] },
      { path: 'M170 170H270', kind: 'neutral', label: '−', labelAt: [215, 186] },
      { path: 'M410 170H560', kind: 'hot' },
      { path: 'M410 110H490V70H560', kind: 'signal' },
    ],
    points: [
      {
        id: 'battery',
        label: 'battery',
        at: [340, 140],
        meter: 'V DC, 20 V range',
        leads: 'red on plus, black on minus, charger off',
        checks: [{ check: 'battery-voltage' }],
      },
      {
        id: 'heights',
        label: 'backup float',
        at: [635, 70],
        meter: 'rule down the pit',
        leads: 'both floats against the floor',
        checks: [{ check: 'float-heights' }],
      },
    ],
  },
]
