import type { Unit } from '../quantity/units'

/** Lead names of the reading line: colours, numbers and functions, each to its one name. */
export const LEAD_NAMES: Readonly<Record<string, string>> = {
  b: 'black', blk: 'black', black: 'black', y: 'yellow', yel: 'yellow', yellow: 'yellow', r: 'red', red: 'red', bl: 'blue', blue: 'blue', w: 'white', white: 'white', br: 'brown', brown: 'brown',
  g: 'green', green: 'green', o: 'orange', orange: 'orange', '1': '1', '2': '2', '3': '3', t1: 't1', t2: 't2', t3: 't3', run: 'run', main: 'run', start: 'start', common: 'common', com: 'common', c: 'common', s: 'start',
}

/** What people say for an outcome besides its own name. */
export const OUTCOME_WORDS: Readonly<Record<string, readonly string[]>> = {
  freely: ['free'], 'turns freely': ['free'], turns: ['free', 'turns-together'], spins: ['free'], rough: ['gritty'], stiff: ['tight'], stuck: ['seized', 'stuck-open', 'stuck'], locked: ['seized'], frozen: ['seized'], 'will not turn': ['seized'],
  drips: ['dripping'], leaks: ['dripping', 'leaking'], wet: ['dripping', 'wet'], drip: ['dripping'], swollen: ['bulged'], bulging: ['bulged'], burned: ['burnt'], hums: ['hum', 'hums'], humming: ['hum', 'hums'], buzzes: ['buzz'], whines: ['whine'],
  squeals: ['squeal'], grinds: ['grind'], rattles: ['rattle'], rubs: ['rub'], hisses: ['hiss'], silent: ['quiet'], full: ['full', 'clogged'], blocked: ['clogged', 'blocked'], empty: ['clear', 'empty'], clean: ['clear', 'clean', 'sound'],
  good: ['sound', 'normal', 'clear'], ok: ['sound', 'normal', 'on', 'clear'], fine: ['sound', 'normal'], bubbles: ['bubbling', 'air-bubbles'], tripped: ['tripped'], trips: ['trips-again'], wrong: ['mismatched'], right: ['matches'], split: ['cracked'],
}

/** The reading that a unit alone suggests; several are asked about. */
export const UNIT_GUESSES: Readonly<Partial<Record<Unit, readonly string[]>>> = {
  V: ['supply-voltage'], A: ['running-current'], uF: ['capacitance'], ohm: ['winding-resistance'], Mohm: ['insulation-resistance'], inHg: ['suction-vacuum'], gpm: ['flow'],
  psi: ['filter-pressure', 'discharge-pressure', 'tank-precharge', 'cut-in', 'cut-out'], in: ['end-play', 'shaft-height', 'shaft-runout', 'impeller-gap'], ft: ['static-water-level', 'pumping-water-level'], s: ['cycle-time'],
}
