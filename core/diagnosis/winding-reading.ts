import { ohmsPerKilometre } from '../electrical/conductor'
import { correctResistance, identifyLeads, type ThreeLeads } from '../electrical/winding'
import { LEAD_COLOURS } from '../knowledge/electrical/wiring'
import { WELLS, type Kind } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import { sortedLeads, type Finding } from './finding'

/** Kinds of which two leads are all that can be reached: line to line is the winding. */
const ONE_PAIR: ReadonlySet<Kind> = new Set<Kind>(['well-two-wire', 'sump'])
const GROUNDS: ReadonlySet<string> = new Set(['ground', 'green', 'shell', 'frame', 'earth', 'case'])
/** What an ohmmeter between a lead and ground shows below this many ohms is a path, not its own range. */
const GROUND_PATH_OHMS = 1e6

/** An ohmmeter from a lead to ground is a reading to ground, whatever the meter was set to. */
export function groundReading(finding: Finding): Finding {
  const { check, leads, value } = finding
  if (check !== 'winding-resistance' || !leads?.split('-').some((lead) => GROUNDS.has(lead))) return finding
  const lead = leads.split('-').find((each) => !GROUNDS.has(each))
  const { leads: _leads, value: _value, unit: _unit, part: _part, ...rest } = finding
  return {
    ...rest,
    check: 'ground-ohmmeter',
    ...(lead ? { lead } : {}),
    outcome: typeof value === 'number' && value < GROUND_PATH_OHMS ? 'shorted' : 'open',
  }
}

/** Beside a reading of the start winding, the ohms of the main one through the same leads; undefined where not read. */
export function windingOhmsOfMain(finding: Finding, all: readonly Finding[], kind: Kind): number | undefined {
  if (windingPair(finding, kind) !== 'common-start') return undefined
  const main = all.findLast(
    (other) =>
      other.check === 'winding-resistance' && other.half === finding.half && windingPair(other, kind) === 'common-run',
  )
  return main?.value ?? undefined
}

/**
 * The pair a winding reading is about, by role: colours of a 3-wire well mean roles, a pump with one pair has that one,
 * and no leads at all mean the run winding.
 */
export function windingPair({ leads, part }: Pick<Finding, 'leads' | 'part'>, kind: Kind): string {
  if (ONE_PAIR.has(kind) && !(leads && isRolePair(sortedLeads(leads)))) return 'common-run'
  if (!leads) return part === 'start-winding' ? 'common-start' : 'common-run'
  const roles =
    kind === 'well-three-wire'
      ? leads
          .split('-')
          .map((lead) => LEAD_COLOURS.roles[lead] ?? lead)
          .join('-')
      : leads
  return sortedLeads(roles)
}

/** Are these leads named by what they are, or by colours that mean it? */
export function isRolePair(pair: string): boolean {
  return pair.split('-').every((lead) => lead === 'common' || lead === 'run' || lead === 'start')
}

/** Ohms of the drop cable, out and back, at 20 °C; undefined where gauge or length is not known. */
export function cableLoopOhms({ kind, installation }: Pick<Pump, 'kind' | 'installation'>): number | undefined {
  if (!WELLS.includes(kind) || installation?.cableAwg === undefined || installation.cableMetres === undefined)
    return undefined
  return (2 * installation.cableMetres * ohmsPerKilometre({ awg: installation.cableAwg, stranded: true }, 20)) / 1000
}

/** A winding reading brought to the winding itself: cable taken off, copper brought to 20 °C. */
export function windingOhmsAt20(finding: Finding, pump: Pump): { ohms: number | null; cableOhms?: number } {
  const value = finding.value ?? null
  if (value === null) return { ohms: null }
  const cableOhms = finding.throughCable === false || finding.half === 'motor' ? undefined : cableLoopOhms(pump)
  const bare = cableOhms === undefined ? value : Math.max(0, value - cableOhms)
  return {
    ohms: finding.celsius === undefined ? bare : correctResistance(bare, finding.celsius, 20),
    ...(cableOhms === undefined ? {} : { cableOhms }),
  }
}

/** What the three pairs together say, once all three are read under names of their own; undefined until then. */
export function threePairs(findings: readonly Finding[], pump: Pump): (ThreeLeads & { swapped?: string }) | undefined {
  const named = findings.filter(
    ({ check, leads }) => check === 'winding-resistance' && leads !== undefined && !isRolePair(sortedLeads(leads)),
  )
  const pairs = new Map(named.map((finding) => [sortedLeads(finding.leads as string), finding]))
  if (pairs.size !== 3 || new Set([...pairs.keys()].flatMap((pair) => pair.split('-'))).size !== 3) return undefined
  const loop = [...pairs.values()].some(({ throughCable }) => throughCable === false) ? 0 : (cableLoopOhms(pump) ?? 0)
  if ([...pairs.values()].some(({ value }) => typeof value === 'number' && value <= loop)) return undefined
  const found = identifyLeads(Object.fromEntries([...pairs].map(([pair, { value }]) => [pair, value ?? null])), {
    cableOhms: loop,
  })
  if (pump.kind !== 'well-three-wire' || found.run === undefined) return found
  const wrong = (['common', 'run', 'start'] as const).filter(
    (role) =>
      LEAD_COLOURS.roles[found[role] as string] !== undefined && LEAD_COLOURS.roles[found[role] as string] !== role,
  )
  return wrong.length === 0
    ? found
    : {
        ...found,
        swapped:
          `${wrong.map((role) => `${found[role] as string} measures as ${role}`).join(', ')}: leads were swapped ` +
          'at a splice',
      }
}
