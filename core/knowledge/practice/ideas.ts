import type { Idea } from './harms'

/** The idea that a check belongs to; what is not here is order of work. */
export const IDEA_OF_CHECK: Readonly<Record<string, Idea>> = {
  'winding-resistance': 'windings',
  'thermal-protector-continuity': 'windings',
  'winding-look': 'windings',
  'winding-smell': 'windings',
  'locked-current': 'windings',
  'insulation-resistance': 'insulation',
  'ground-ohmmeter': 'insulation',
  'connector-look': 'insulation',
  'conduit-look': 'insulation',
  'motor-fill-look': 'insulation',
  gfci: 'insulation',
  breaker: 'insulation',
  'float-bypass': 'splitting',
  'control-box-swap': 'splitting',
  'motor-alone-listen': 'splitting',
  'shaft-turn': 'splitting',
  'coupling-turn': 'splitting',
  'load-side-voltage': 'splitting',
  'drop-test': 'splitting',
  'breaker-voltage': 'splitting',
  'outlet-voltage': 'splitting',
  'supply-voltage': 'splitting',
  'supply-voltage-loaded': 'splitting',
  interlock: 'splitting',
  capacitance: 'capacitors',
  'capacitor-look': 'capacitors',
  'spin-start': 'capacitors',
  'running-current': 'capacitors',
  'start-switch-look': 'capacitors',
  'relay-look': 'capacitors',
  'suction-vacuum': 'suction',
  'pot-look': 'suction',
  'air-leak-test': 'suction',
  'prime-hold': 'suction',
  'basket-look': 'suction',
  'intake-look': 'suction',
  'water-level': 'suction',
  'filter-pressure': 'suction',
  'static-water-level': 'suction',
  'pumping-water-level': 'suction',
  'cut-in': 'pressure',
  'cut-out': 'pressure',
  'tank-precharge': 'pressure',
  'tank-look': 'pressure',
  'tank-air': 'pressure',
  'cycle-time': 'pressure',
  'pressure-switch-contacts': 'pressure',
  'switch-nipple': 'pressure',
  'shutoff-pressure': 'pressure',
  'house-leak': 'pressure',
  'check-valve': 'pressure',
  'float-move': 'pressure',
  'float-heights': 'pressure',
  'float-run': 'pressure',
}
/** Part of the machine read by itself: half-splitting, whatever is read. */
export const SPLIT_SETUPS: ReadonlySet<string> = new Set(['cable-alone', 'motor-alone'])

export interface IdeaInfo {
  /** As a rule that can be kept in mind. */
  rule: string
  why: string
  /** What the lamp asks where it gives only a hint. */
  question: string
}

/** What each idea comes to. Common practice. */
export const IDEA_INFO: Readonly<Record<Idea, IdeaInfo>> = {
  windings: {
    rule: 'Ohms tell an open winding, seldom a tired one',
    why: 'Read the pair that the plate knows, zero the leads, and hold both windings against each other.',
    question: 'Is the copper whole, and does each pair of leads read what this motor should?',
  },
  insulation: {
    rule: 'An ohmmeter that shows nothing clears nothing',
    why: 'What leaks under mains is often silent under a few volts: the insulation tester asks with 500.',
    question: 'Does anything leak to ground, asked with volts that can answer?',
  },
  splitting: {
    rule: 'Part before you condemn',
    why: 'Two things that hang together share one number, and the worse one sets it. Part them, read each.',
    question: 'Whose number is it? Where can the two be parted?',
  },
  capacitors: {
    rule: 'A capacitor is read, and then held against what the motor draws',
    why: 'A weak can and a bound pump both hum. One wire off the can, microfarads; then does the shaft turn?',
    question: 'Can it start, or is it held? What separates a weak can from a bound shaft?',
  },
  suction: {
    rule: 'Read the suction side before the pump is blamed',
    why: 'Air and a blocked intake both starve a sound wheel. The vacuum tells them apart.',
    question: 'Does water reach the wheel at all, and is it water alone?',
  },
  pressure: {
    rule: 'Switch, tank and pump are three',
    why: 'Short cycles are mostly the tank, silence mostly the switch. Read the pressure at which each acts.',
    question: 'Does the control ask for the pump when it should, and does the tank give what it should?',
  },
  order: {
    rule: 'Safe first, cheap before dear, dead before live',
    why: 'What costs two minutes and tells as much goes before what costs an hour or a risk.',
    question: 'What is the cheapest thing that would change your mind now?',
  },
}
