import { checkInfo } from '../knowledge/checks/checks'
import type { Kind } from '../knowledge/vocabulary'
import { mechanismOf, type Finding } from './finding'
import { groundReading, windingOhmsOfMain } from './winding-reading'

const SUPPLIES: ReadonlySet<string> = new Set(['supply-voltage', 'supply-voltage-loaded'])
/** Looked at in several places: what is wrong in one of them is wrong with the machine. */
const IN_PLACES: ReadonlySet<string> = new Set([
  'joint-look',
  'air-leak-test',
  'stack-look',
  'bearing-fit',
  'drop-test',
])

/** A finding with the readings it is compared with, where they were taken. */
export interface OwnFinding extends Finding {
  beside?: { restVolts?: number; cutInPsi?: number; runOhms?: number }
}

/**
 * The findings that say something of the machine as it stands: without those of a new part that is not fitted, what was
 * read from a lead to ground as the ground reading it is, the two legs of a supply as the one supply that they are, of
 * several leads or places the worst, and beside each what it is compared with.
 *
 * @param findings the newest of each mechanism
 */
export function ownFindings(findings: readonly Finding[], kind?: Kind): OwnFinding[] {
  const own = findings.filter(({ of }) => of !== 'new').map(groundReading)
  return oneSupply(worstOfPlaces(worstOfLeads(own))).map((finding, _, all) => withBeside(finding, all, kind))
}

function withBeside(finding: Finding, all: readonly Finding[], kind: Kind | undefined): OwnFinding {
  const read = (check: string) => all.findLast((other) => other.check === check)?.value ?? undefined
  switch (finding.check) {
    case 'supply-voltage-loaded': {
      const restVolts = read('supply-voltage') ?? read('outlet-voltage')
      return restVolts === undefined ? finding : { ...finding, beside: { restVolts } }
    }
    case 'tank-precharge': {
      const cutInPsi = read('cut-in')
      return cutInPsi === undefined ? finding : { ...finding, beside: { cutInPsi } }
    }
    case 'winding-resistance': {
      const runOhms = kind && windingOhmsOfMain(finding, all, kind)
      return runOhms === undefined ? finding : { ...finding, beside: { runOhms } }
    }
    default:
      return finding
  }
}

/** Of what was looked at in several places the worst speaks, in the order of the check's outcomes or its figure. */
function worstOfPlaces(findings: readonly Finding[]): Finding[] {
  const worst = new Map<string, Finding>()
  const badness = ({ check, outcome, value }: Finding) =>
    outcome === undefined ? (value ?? 0) : Object.keys(checkInfo(check)?.outcomes ?? {}).indexOf(outcome)
  for (const finding of findings) {
    const known = worst.get(finding.check)
    if (IN_PLACES.has(finding.check) && (!known || badness(finding) >= badness(known)))
      worst.set(finding.check, finding)
  }
  return findings.filter((finding) => !IN_PLACES.has(finding.check) || worst.get(finding.check) === finding)
}

/** Both legs to ground add up to the line; one leg alone says nothing of it. */
function oneSupply(findings: readonly Finding[]): Finding[] {
  return findings.flatMap((finding): Finding[] => {
    if (!SUPPLIES.has(finding.check) || !finding.lead) return [finding]
    if (finding.lead !== 'l2') return []
    const other = findings.findLast(({ check, lead }) => check === finding.check && lead === 'l1')
    if (typeof other?.value !== 'number' || typeof finding.value !== 'number') return []
    const { lead: _, ...line } = finding
    return [{ ...line, value: other.value + finding.value }]
  })
}

/** An insulation is as good as its worst lead, and a ground on one lead is a ground. */
function worstOfLeads(findings: readonly Finding[]): Finding[] {
  const worst = new Map<string, Finding>()
  const isWorse = (a: Finding, b: Finding) =>
    a.check === 'ground-ohmmeter' ? a.outcome === 'shorted' : (a.value ?? Infinity) < (b.value ?? Infinity)
  for (const finding of findings) {
    if (finding.check !== 'insulation-resistance' && finding.check !== 'ground-ohmmeter') continue
    const { lead: _, ...whole } = finding
    const key = mechanismOf(whole)
    const known = worst.get(key)
    // Said without a lead and later, the whole reading speaks for all of them.
    if (!known || finding.lead === undefined || isWorse(finding, known)) worst.set(key, finding)
  }
  const kept = new Set(worst.values())
  return findings.filter(
    (finding) =>
      (finding.check !== 'insulation-resistance' && finding.check !== 'ground-ohmmeter') || kept.has(finding),
  )
}
