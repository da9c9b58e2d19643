import type { Finding } from '../diagnosis/finding'
import { partOfFinding } from '../knowledge/checks/checks'
import { PLATED } from '../knowledge/repairs/identities'
import { renewedParts } from '../knowledge/repairs/renews'
import type { Part } from '../knowledge/vocabulary'
import type { Nameplate } from '../motor/nameplate'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import type { Entry, EntryOf, FittedPart, Machine } from './entry'
import { ofKind } from './of-kind'

/**
 * The plate of a machine after what was fitted to it: the supply stays, everything else is that of the new part, and
 * what the new plate does not say is not taken from the old one.
 */
export function plateAfter(nameplate: Nameplate, fitted: readonly EntryOf<'fitted'>[]): Nameplate {
  return fitted.reduce(
    (plate, { body }): Nameplate =>
      body.nameplate && PLATED.has(body.part) ? { hertz: plate.hertz, ...body.nameplate } : plate,
    nameplate,
  )
}

/**
 * Findings that still speak of the machine as it is: what was read of a part that is new since says nothing of the new
 * one, and stays in the history. What was read to prove speaks of the new one, whenever that was written down.
 *
 * @param live the journal in its order
 * @param renewedBy what was new by the time a comeback came, by the comeback’s id
 */
export function speakingStill(
  live: readonly Entry[],
  kind: Machine['kind'],
  renewedBy: ReadonlyMap<string, readonly string[]> = new Map(),
): ReadonlySet<string> {
  const speaking = new Map<string, { finding: Finding; proves: boolean }>()
  const silence = (parts: readonly string[]) => {
    const renewed = renewedParts(parts, kind)
    for (const [id, { finding, proves }] of speaking) {
      const part = partOfFinding(finding)
      if (part !== undefined && renewed.has(part) && finding.of !== 'new' && !proves) speaking.delete(id)
    }
  }
  for (const entry of live) {
    if (entry.kind === 'finding') speaking.set(entry.id, { finding: entry.body, proves: entry.body.stage === 'prove' })
    if (entry.kind === 'fitted') silence([entry.body.part])
    if (entry.kind !== 'comeback') continue
    silence(renewedBy.get(entry.id) ?? [])
    // It was read of what is there now; the next that is fitted ends it like any other.
    for (const [id, each] of speaking) speaking.set(id, { ...each, proves: false })
  }
  return new Set(speaking.keys())
}

/**
 * The machine as it is to be remembered after a visit: its own joints, the plate that is on it now, and what was fitted
 * when, the replaced one beside it with its dates.
 *
 * @param live the journal of its visit in its order
 */
export function machineAfter(machine: Machine, live: readonly Entry[]): Machine {
  const fitted = ofKind(live, 'fitted')
  if (fitted.length === 0) return machine
  let known: FittedPart[] = machine.fitted ?? []
  for (const { body, at } of fitted) {
    const day = at.slice(0, 10)
    const { part, identity, nameplate, duty, warrantyUntil } = body
    // What was inside the old one leaves with it.
    const gone = renewedParts([part], machine.kind)
    const isNamed = known.some((each) => each.part === part && each.until === undefined)
    known = known.map((each) => (each.until === undefined && gone.has(each.part) ? { ...each, until: day } : each))
    if (!isNamed && PLATED.has(part))
      known.push({
        part,
        nameplate: machine.nameplate,
        ...(machine.installedOn ? { since: machine.installedOn } : {}),
        until: day,
      })
    known.push({
      part,
      since: day,
      ...(identity ? { identity } : {}),
      ...(nameplate ? { nameplate } : {}),
      ...(duty ? { duty } : {}),
      ...(warrantyUntil ? { warrantyUntil } : {}),
    } satisfies FittedPart)
  }
  const pump = fitted.findLast(({ body }) => body.part === 'pump')
  return {
    ...machine,
    nameplate: plateAfter(machine.nameplate, fitted),
    fitted: known,
    // A whole new pump is a new machine in its place; a new motor leaves the wet end its age.
    ...(pump ? { installedOn: pump.at.slice(0, 10), warrantyUntil: pump.body.warrantyUntil } : {}),
  }
}

/** What identifies the part that is in the machine, and was there before anybody wrote it down. */
export function identityOf({ fitted = [] }: Machine, part: Part): string | undefined {
  return fitted.findLast((each) => each.part === part && each.until === undefined)?.identity
}

/** The machine with what was read off a part that is in it: the one that is known, or one as old as the machine. */
export function identifiedAs(machine: Machine, part: Part, identity: string): Machine {
  const { fitted = [] } = machine
  const at = fitted.findLastIndex((each) => each.part === part && each.until === undefined)
  return {
    ...machine,
    fitted:
      at < 0
        ? [...fitted, { part, identity }]
        : fitted.map((each, index) => (index === at ? { ...each, identity } : each)),
  }
}

/** The day since which a part is the one that is there; undefined where it is as old as the machine. */
export function fittedSince({ kind, fitted = [] }: Machine, part: Part): string | undefined {
  return fitted.findLast(({ part: each, until }) => until === undefined && renewedParts([each], kind).has(part))?.since
}

/** Years, on a day, of the parts that were fitted since the machine was new, and of what came inside them. */
export function partAgesOf({ kind, fitted = [] }: Machine, onDay: string): Partial<Record<Part, number>> {
  return Object.fromEntries(
    fitted
      .filter(({ since, until }) => since !== undefined && until === undefined)
      .flatMap(({ part, since }) => {
        const years = Math.max(0, (Date.parse(onDay) - Date.parse(since as string)) / MILLISECONDS_PER_YEAR)
        return [...renewedParts([part], kind)].map((inside) => [inside, years])
      }),
  )
}
