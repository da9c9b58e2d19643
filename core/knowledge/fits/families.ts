import type { Part } from '../vocabulary'
import { CABLE, CONTROL_BOX, FLOAT_SWITCH, RUN_CAPACITOR, SPLICE, START_CAPACITOR } from './electric'
import type { Family } from './family'
import { BEARING, IMPELLER, MOTOR, O_RING, SHAFT_SEAL } from './mechanical'
import { FITTING, GAUGE, PRESSURE_SWITCH, PUMP, RELIEF_VALVE, TANK, VALVE } from './water'

/** Everything that lies on a shelf, by what it is measured by. */
export const FAMILIES = {
  'run-capacitor': RUN_CAPACITOR,
  'start-capacitor': START_CAPACITOR,
  bearing: BEARING,
  'o-ring': O_RING,
  'shaft-seal': SHAFT_SEAL,
  motor: MOTOR,
  pump: PUMP,
  impeller: IMPELLER,
  'pressure-switch': PRESSURE_SWITCH,
  tank: TANK,
  'float-switch': FLOAT_SWITCH,
  'control-box': CONTROL_BOX,
  valve: VALVE,
  'relief-valve': RELIEF_VALVE,
  gauge: GAUGE,
  fitting: FITTING,
  splice: SPLICE,
  cable: CABLE,
} as const satisfies Record<string, Family>
export type FamilyId = keyof typeof FAMILIES

const BY_PART = new Map<Part, FamilyId>(
  Object.entries(FAMILIES).flatMap(([id, { parts }]) => parts.map((part) => [part, id as FamilyId] as const)),
)

/** Months that things of a family may lie; undefined where they lie for ever, or are known by their name alone. */
export function shelfMonthsOf(family: FamilyId | undefined): number | undefined {
  const of = family && FAMILIES[family]
  return of && 'shelfMonths' in of ? of.shelfMonths : undefined
}

/** How articles of a part are told apart; undefined for one that is known by its name alone. */
export function familyOf(part: Part): FamilyId | undefined {
  return BY_PART.get(part)
}
