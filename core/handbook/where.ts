import type { Basis } from '../judgement/judgement'
import * as limits from '../knowledge/electrical/limits'
import * as motors from '../knowledge/electrical/motors'
import { STARTING, TYPICAL_MOTOR } from '../knowledge/electrical/typical-motor'
import * as wire from '../knowledge/electrical/wire'
import * as wiring from '../knowledge/electrical/wiring'
import * as bearings from '../knowledge/mechanical/bearings'
import * as mechanicalLimits from '../knowledge/mechanical/limits'
import * as motorFit from '../knowledge/mechanical/motor-fit'
import { HARMS, type Harm, type Idea } from '../knowledge/practice/harms'
import { IDEA_OF_CHECK } from '../knowledge/practice/ideas'
import * as keeping from '../knowledge/shelf/keeping'
import * as skillModel from '../knowledge/practice/skill-model'
import * as proofs from '../knowledge/repairs/proofs'
import * as safety from '../knowledge/checks/safety'
import * as owner from '../knowledge/repairs/owner-words'
import * as returns from '../knowledge/repairs/returns'
import { basesIn, sources, type Source } from '../knowledge/sources'
import { groupedBy } from '../quantity/grouped'
import * as dropPipes from '../knowledge/water/drop-pipes'
import * as logLimits from '../knowledge/water/log-limits'
import { PRESSURES } from '../knowledge/water/pressures'
import * as pumps from '../knowledge/water/pumps'
import * as sizing from '../knowledge/water/sizing'
import * as water from '../knowledge/water/water'

/** Tables whose figures are explained on a page of their own; the rest of a trade stands on the trade’s. */
const PAGE_OF_TABLE: readonly (readonly [page: string, ...tables: object[]])[] = [
  ['volts', { ...limits.SUPPLY }],
  ['windings', limits.WINDING, motors.WINDING_MODEL, wire.RISE_LIMITS, wiring],
  ['insulation', limits.INSULATION, limits.INSULATION_TEST, limits.INSULATION_RULES, wire.ABSORPTION],
  ['charged', limits.BLEED],
  ['capacitors', limits.CAPACITOR, { basis: motors.CAPACITOR_MODEL_BASIS }, STARTING],
  ['pits', limits.BATTERY_VOLTS],
  ['wire', limits.METALS, { ...wire, ABSORPTION: undefined, CODE_LETTER_BASIS: undefined }],
  ['motor-fit', motorFit, motors.GUESS_SPREAD, motors.USUAL_BASIS, motors.PLATE_FILLING, limits.PLAIN_WHATEVER],
  ['amps', limits.CURRENT, motors, TYPICAL_MOTOR, { basis: wire.CODE_LETTER_BASIS }],
  ['wells', mechanicalLimits.SUBMERSIBLE_SHAFT, water.COOLING_FLOW, PRESSURES.waterOverIntake, pumps.WELL_MOTORS],
  ['lifting', dropPipes],
  ['seals', mechanicalLimits.RUNOUT_INCHES],
  ['bearings', bearings],
  ['suction', PRESSURES.vacuum, PRESSURES.jetVacuum, PRESSURES.jetLift, water.NPSH_MARGIN, { basis: water.NPSH_BASIS }],
  ['curve', PRESSURES.shutoff, PRESSURES.filterHighPsi],
  ['pressure', PRESSURES, { basis: water.BOYLE_BASIS }, logLimits, sizing],
  ['ground', safety],
  ['proving', proofs, owner, returns],
  ['keeping', keeping],
  ['order', skillModel.SPACING],
  ['chances', skillModel.SKILL_MODEL],
]
const PAGE_OF_TRADE: Readonly<Record<string, string>> = {
  Electricity: 'amps',
  Water: 'curve',
  Mechanics: 'bearings',
  Checks: 'order',
  Causes: 'chances',
  Repairs: 'take-down',
  'Take-down': 'take-down',
  'The shop': 'shop',
  Parts: 'fits',
  Practice: 'chances',
}

const keyOf = ({ kind, name }: Basis) => `${kind} ${name}`
let known: ReadonlyMap<string, string> | undefined
let sourcesByPage: ReadonlyMap<string, readonly Source[]> | undefined
/** Where every basis stands, worked out once. */
function pagesOfBases(): ReadonlyMap<string, string> {
  if (known) return known
  const pages = new Map<string, string>()
  for (const [page, ...tables] of PAGE_OF_TABLE)
    for (const basis of basesIn(tables)) if (!pages.has(keyOf(basis))) pages.set(keyOf(basis), page)
  for (const { trade, ...basis } of sources())
    if (!pages.has(keyOf(basis))) pages.set(keyOf(basis), PAGE_OF_TRADE[trade] as string)
  known = pages
  return pages
}

/** Bases that say who estimates, and not of what: the check says that. */
const SAYS_LITTLE = /^(what the trade expects|shop estimate$)/

export const PAGE_OF_IDEA: Readonly<Record<Idea, string>> = {
  windings: 'windings',
  insulation: 'insulation',
  splitting: 'splitting',
  capacitors: 'capacitors',
  suction: 'suction',
  pressure: 'pressure',
  order: 'order',
}
export const pageOfCheck = (check: string): string => PAGE_OF_IDEA[IDEA_OF_CHECK[check] ?? 'order']

/** The page on which the limit of a judgement, or another figure, is explained. */
export function pageOfBasis(basis: Basis, check?: string): string {
  const page = pagesOfBases().get(keyOf(basis))
  return page === undefined || (check !== undefined && SAYS_LITTLE.test(basis.name)) ? pageOfCheck(check ?? '') : page
}

/** The sources of the figures that a page is about. */
export function sourcesOf(page: string): readonly Source[] {
  // All tables are walked for the list: once, and not for each page of a search.
  sourcesByPage ??= groupedBy(sources(), (source) => pageOfBasis(source))
  return sourcesByPage.get(page) ?? []
}

/** By what it speaks of, the first that fits: a caution of several sentences belongs to what can hurt most. */
const PAGE_OF_WORDS: readonly (readonly [words: RegExp, page: string])[] = [
  [/never (a snap|a pry)|flame off/i, 'force'],
  [/holds? (its )?charge|discharg|bled|stays? charged/i, 'charged'],
  [/500 V|insulat|to ground|tripped|flooded floor|wet floor|water in it|water and mains/i, 'ground'],
  [/potable|livestock|drain cover|in the water|disinfect|chlorinator/i, 'served'],
  [
    /pressure|relief|lid and filter|rush of water|gush|tank (pushes|runs)|vapour|bleach|runs out|shut valve/i,
    'pressed',
  ],
  [/string|weigh|heavy|lift|motor that drops/i, 'lifting'],
  [/power|live test|lock out|backup|lid stays off|hands|guards|kicks|115 V|no amps/i, 'dead'],
  [/rated meter|licensed practice decide/i, 'dead'],
  [/dry|polish|seal before/i, 'seals'],
  [/start capacitor/i, 'capacitors'],
  [
    /snap|pry|lever|chip|round|corros|weld|outlet|shaft|jaws|gall|crack|burn|fly|slots|hammer|bell|washer|pipe that/i,
    'force',
  ],
  [/rim|fan|mallet|shim|potted|eye|fuse|vise/i, 'force'],
]

/** The page that says why of a caution. */
export function pageOfCaution(caution: string): string {
  return pageOfKnownWords(caution) ?? 'dead'
}
/** As above, and nothing where no words of it are known. */
export function pageOfKnownWords(caution: string): string | undefined {
  return PAGE_OF_WORDS.find(([words]) => words.test(caution))?.[1]
}

const PAGE_OF_HARM: Readonly<Partial<Record<Harm, string>>> = {
  'charged-hands': 'charged',
  'charged-meter': 'charged',
  'live-insulation': 'ground',
  'insulation-on-electronics': 'insulation',
  'over-volts': 'insulation',
  'not-read': 'order',
  'power-after-trip': 'ground',
  'power-grounded': 'ground',
  'run-dry': 'seals',
  'under-pressure': 'pressed',
  'backup-runs': 'pits',
  'string-loose': 'lifting',
}
/** The page that says why something hurts, or could have. */
export const pageOfHarm = (harm: Harm): string => PAGE_OF_HARM[harm] ?? 'dead'

/** The harms that a page is about, as they are said at the bench. */
export function harmsOf(page: string): { label: string; inLife: string; instead: string }[] {
  return (Object.keys(HARMS) as Harm[]).filter((harm) => pageOfHarm(harm) === page).map((harm) => HARMS[harm])
}
