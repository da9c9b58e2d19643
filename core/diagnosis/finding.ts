import type { Standing } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'

/**
 * One thing measured or seen, as the journal and the case format carry it. `value` in canonical units; null is over
 * range ("open").
 */
export interface Finding {
  check: string
  value?: number | null
  unit?: string
  outcome?: string
  part?: string
  lead?: string
  leads?: string
  method?: 'off-circuit' | 'under-load'
  setup?: 'motor-alone' | 'motor-and-cable' | 'cable-alone' | 'surface-motor'
  celsius?: number
  testVolts?: number
  ageState?: 'new' | 'used'
  throughCable?: boolean
  half?: 'whole' | 'motor' | 'pump-end'
  at?: string
  /** Where a noise or a heat comes from. */
  side?: 'motor' | 'pump'
  /** The machine’s own part, or a new one read before it is fitted. */
  of?: 'old' | 'new'
  /** Where the machine stood when it was read. */
  where?: 'installed' | 'bench' | 'barrel'
  /** The word that says how sure the reading is: about, maybe. */
  hedge?: string
  clearanceMillimetres?: number
  code?: string
  /** How far the instrument may be off, in the value’s unit. */
  error?: number
  /** The end of the range that it was read in. */
  range?: number
  /** The instrument that sent it. */
  instrument?: string
}

/** The one case format: what a diagnosis starts from. */
export interface DiagnosisCase {
  pump: Pump
  complaints?: string[]
  alreadyReplaced?: string[]
  findings?: Finding[]
  /** "not this" and "it was this", said by the technician. */
  excluded?: string[]
  /** Where the machine stands now; installed where nobody said. */
  standing?: Standing
  /** Minutes left of the working day: what takes longer runs into the evening. */
  minutesLeft?: number
  /** Gates that are shut or open now; without it the power is taken to be on. */
  gates?: string[]
  /** Checks the technician cannot or will not do here; ids as `check` or `check:part`. */
  skipped?: string[]
}

/** Checks of which each place, or each speed, is a reading of its own. */
const PLACED: ReadonlySet<string> = new Set([
  'joint-look',
  'air-leak-test',
  'stack-look',
  'bearing-fit',
  'drop-test',
  'running-current',
  'winding-resistance',
])

/** What a finding is a reading *of*: repeated readings of one thing do not multiply, the newest speaks. */
export function mechanismOf(finding: Finding): string {
  const { check, part, leads, lead, half, at } = finding
  return [
    check,
    part ?? '',
    leads ? sortedLeads(leads) : '',
    lead ?? '',
    half && half !== 'whole' ? half : '',
    PLACED.has(check) ? (at ?? '') : '',
    finding.setup ?? '',
    finding.side ?? '',
    finding.of === 'new' ? 'new' : '',
  ].join('|')
}

/** Lead pairs in one order, so that `common-run` and `run-common` are one reading. */
export function sortedLeads(leads: string): string {
  return leads.split('-').sort().join('-')
}

/** The newest finding of each mechanism, in the order they were first made. */
export function newestFindings<T extends Finding>(findings: readonly T[]): T[] {
  const newest = new Map<string, T>()
  for (const finding of findings) newest.set(mechanismOf(finding), finding)
  return [...newest.values()]
}

/** A check told from its like: what `checkKey` is made of. */
export type Asked = Pick<Finding, 'check' | 'part' | 'leads' | 'setup' | 'half'>

/** Which check of its like, only the fields that are set. */
export function pickAsked({ check, part, leads, setup, half }: Asked): Asked {
  return {
    check,
    ...(part ? { part } : {}),
    ...(leads ? { leads } : {}),
    ...(setup ? { setup } : {}),
    ...(half ? { half } : {}),
  }
}

/**
 * The name of a check that tells it from its like: id, then part, leads, setup and half. A skipped check is known by it
 * too.
 */
export function checkKey({ check, part, leads, setup, half }: Asked): string {
  return [check, part, leads ? sortedLeads(leads) : undefined, setup, half === 'whole' ? undefined : half]
    .filter(Boolean)
    .join(':')
}
