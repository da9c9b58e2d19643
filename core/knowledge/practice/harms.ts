import type { Fault } from '../vocabulary'

/** Ideas that practice is about: what a learner gets better at. */
export const IDEAS = {
  windings: 'reading windings',
  insulation: 'insulation and its limits',
  splitting: 'half-splitting',
  capacitors: 'capacitors under load',
  suction: 'suction',
  pressure: 'pressure controls',
  order: 'order of work',
} as const
export type Idea = keyof typeof IDEAS

/** What was done that hurts somebody, or something, or could have. */
export interface HarmInfo {
  label: string
  /** What it comes to in life. */
  inLife: string
  /** What is the careful way. */
  instead: string
  /** Hurts a person; else a meter, a machine, or nobody this once. */
  hurts: 'person' | 'meter' | 'machine' | 'nobody'
  /** What is broken on the machine from then on, the first that it can have. */
  breaks?: readonly Fault[]
}

/** Common practice; local codes and licensed practice decide who may do electrical work at all. */
export const HARMS = {
  'live-hands': {
    label: 'hands inside, power on',
    inLife: 'A shock, and at a pool edge or in a wet cellar perhaps the last one.',
    instead: 'Power off at the breaker, locked, and proved dead line by line before a hand goes in.',
    hurts: 'person',
  },
  'not-proved': {
    label: 'hands inside, not proved dead',
    inLife: 'It was off this time. A wrong breaker, a second feed, a backup: the meter says so, the label does not.',
    instead: 'Measure each line to ground and line to line, with a meter proved on something live before and after.',
    hurts: 'nobody',
  },
  'charged-hands': {
    label: 'hand on a charged capacitor',
    inLife: 'A jolt of several hundred volts, and the hand that jerks back hits the next edge.',
    instead: 'Bleed each capacitor through a resistor, for its time, and measure it below a few volts.',
    hurts: 'person',
  },
  'charged-meter': {
    label: 'meter across a charged capacitor',
    inLife: 'The meter’s input is gone, and its next reading is a lie that nobody notices.',
    instead: 'Bleed the capacitor first; then one wire off, then the meter.',
    hurts: 'meter',
  },
  'live-ohms': {
    label: 'ohms on live terminals',
    inLife: 'At best the fuse of the meter; in a cheap one the leads burn in the hand.',
    instead: 'Volts first, on every pair of points that ohms will be read at.',
    hurts: 'person',
  },
  'live-insulation': {
    label: 'insulation test on live terminals',
    inLife: 'Mains against the tester: its electronics burn, and an arc at the probe can follow.',
    instead: 'Power off and proved dead; then the test volts, hands clear.',
    hurts: 'person',
  },
  'insulation-on-electronics': {
    label: 'test volts on electronics',
    inLife: 'The drive or the box is dead from here on. It was sound a moment ago.',
    instead: 'Electronics off the winding before any insulation test.',
    hurts: 'machine',
    breaks: ['drive-electronics-failed', 'start-relay-failed'],
  },
  'over-volts': {
    label: '1000 V on a small motor',
    inLife: 'A tired winding can break down for good under twice the volts that the test asks for.',
    instead: '500 V on motors below 1000 V, as IEEE 43 has it; 250 V where it is known to be weak.',
    hurts: 'nobody',
  },
  'not-read': {
    label: 'written, and not read',
    inLife: 'A number that nobody measured is believed by everybody who comes after.',
    instead: 'Read it, or leave it out: an empty line misleads nobody.',
    hurts: 'nobody',
  },
  'power-after-trip': {
    label: 'power on after a trip, insulation not read',
    inLife: 'What tripped may stand at mains against its casing, and somebody may be touching it.',
    instead: 'After a trip the insulation is read first, dead; one reset at most once it has passed.',
    hurts: 'person',
  },
  'power-grounded': {
    label: 'power on what reads to ground',
    inLife: 'The casing, the pipe, the water can be live.',
    instead: 'Split the fault off, dead, and read again until what is left is sound.',
    hurts: 'person',
  },
  'power-seized': {
    label: 'power on a seized shaft',
    inLife: 'Locked, it draws five times its amps: the winding burns within a minute.',
    instead: 'What does not turn by hand gets no power.',
    hurts: 'machine',
    breaks: ['winding-shorted'],
  },
  'power-open': {
    label: 'power on, opened up',
    inLife: 'A shaft that turns in the open takes a sleeve or a finger; a wet end sprays.',
    instead: 'Close it, guards on, hands clear, then power.',
    hurts: 'person',
  },
  'run-dry': {
    label: 'run without water',
    inLife: 'The faces of the shaft seal run hot and are gone in a minute or two.',
    instead: 'Fill the pot and open the valves before every start.',
    hurts: 'machine',
    breaks: ['shaft-seal-leaking'],
  },
  'under-pressure': {
    label: 'opened under pressure',
    inLife: 'Lids and filter tanks fly; the water behind them is not gentle.',
    instead: 'Valves shut, air relief open, gauge at zero, then the clamp.',
    hurts: 'person',
  },
  'backup-runs': {
    label: 'into the pit with the backup on its battery',
    inLife: 'The backup starts by itself with a hand beside it.',
    instead: 'Unplug it and take a lead off its battery first.',
    hurts: 'person',
  },
  'string-loose': {
    label: 'pulled without the string secured',
    inLife: 'Pipe, cable and pump go down the well, and whoever holds them goes after.',
    instead: 'Clamp at the well head before anything is lifted; two people beyond a certain depth.',
    hurts: 'person',
  },
} as const satisfies Record<string, HarmInfo>
export type Harm = keyof typeof HARMS

/** Wider than the rest: the table’s rows as their plain type. */
export const harmInfo = (harm: Harm): HarmInfo => HARMS[harm]
