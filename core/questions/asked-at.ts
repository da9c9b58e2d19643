import { HOUSE_WATER, WELLS, type Kind, type Stage, type Standing } from '../knowledge/vocabulary'

/** Which question a check belongs to. */
const BY_CHECK: Readonly<Record<string, string>> = {
  'tank-precharge': 'tank-and-charge',
  'cut-in': 'tank-and-charge',
  'cut-out': 'tank-and-charge',
  'cycle-time': 'tank-and-charge',
  'tank-look': 'tank-and-charge',
  'supply-voltage-loaded': 'wire-size',
  'suction-vacuum': 'jet-lift',
  'prime-hold': 'jet-lift',
  'shutoff-pressure': 'well-pressure',
  'discharge-pressure': 'well-pressure',
  'pumping-water-level': 'well-pressure',
  'float-heights': 'which-sump-pump',
  'pit-look': 'which-sump-pump',
}
const NEEDS: Readonly<Record<string, readonly Kind[]>> = {
  'tank-and-charge': HOUSE_WATER,
  'well-pressure': WELLS,
  'jet-lift': ['jet'],
  'which-sump-pump': ['sump'],
}
/** A replacement is chosen by duty, not by horsepower. */
const BY_DUTY: Readonly<Partial<Record<Kind, string>>> = {
  sump: 'which-sump-pump',
  'well-two-wire': 'stages-and-motor',
  'well-three-wire': 'stages-and-motor',
  jet: 'jet-lift',
  pool: 'speed-saving',
  circulation: 'where-water-goes',
}

/** The question that is worth its answer at this point of a visit; none where the work asks nothing of the kind. */
export function askedAt(
  stage: Stage,
  kind: Kind,
  check?: string,
  standing: Standing = 'installed',
): string | undefined {
  if (stage === 'test') {
    const id = check === undefined ? undefined : BY_CHECK[check]
    return id !== undefined && (NEEDS[id] ?? [kind]).includes(kind) ? id : undefined
  }
  if (stage === 'decide') return BY_DUTY[kind]
  // On the bench nothing hangs in a well any more.
  return stage === 'repair' && WELLS.includes(kind) && standing === 'installed' ? 'string-to-pull' : undefined
}
