import { mechanismOf, type Finding } from './finding'

const SUPPLIES: ReadonlySet<string> = new Set(['supply-voltage', 'supply-voltage-loaded'])

/**
 * The findings that say something of the machine as it stands: without those of a new part that is not fitted, the two
 * legs of a supply as the one supply that they are, and of several leads the worst.
 *
 * @param findings the newest of each mechanism
 */
export function ownFindings(findings: readonly Finding[]): Finding[] {
  const own = findings.filter(({ of }) => of !== 'new')
  return oneSupply(worstOfLeads(own))
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
