import { canonicalText } from '../quantity/canonical-text'
import { compareEntries, type Entry } from './entry'

/** One of the things said: the line itself, or that the line they speak of never was. */
export interface Claim {
  entry: Entry
  takenBack: boolean
}

/** Lines of writers who had not seen each other, about one and the same line. Each stands until one is chosen. */
export interface Conflict {
  about: string
  claims: Claim[]
}

/** What counts of a journal, in its order, and where it contradicts itself. */
export interface Supersession {
  live: Entry[]
  conflicts: Conflict[]
}

/**
 * The entries that count: without those that a later one supersedes, and without retractions.
 *
 * A correction replaces what it supersedes and all that had replaced before it. A retraction takes back one line: what
 * that line had
 * replaced speaks again. A retraction that is itself taken back does nothing. Where two lines replace the same one and
 * neither
 * replaces the other, both count and stand in conflict, unless they say the same.
 *
 * @param entries of one journal, in any order; repeated ids count once
 */
export function supersessionOf(entries: readonly Entry[]): Supersession {
  const byId = new Map(entries.map((entry) => [entry.id, entry]))
  const ordered = [...byId.values()].sort(compareEntries)
  const inForce = withoutWithdrawn(ordered, byId)
  const before = new Map<string, ReadonlySet<string>>()
  const replaced = new Set<string>()
  // From the newest back: what is replaced already has had its own ancestors replaced by the same walk.
  for (const entry of inForce.toReversed()) {
    if (entry.kind === 'retracted' || replaced.has(entry.id) || !(entry.supersedes || entry.settles)) continue
    const ancestors = ancestorsOf(entry, byId)
    before.set(entry.id, ancestors)
    for (const id of ancestors) replaced.add(id)
  }
  const live = inForce.filter(({ id, kind }) => kind !== 'retracted' && !replaced.has(id))
  return withoutTwins(
    live,
    conflictsAmong(
      live,
      inForce.filter(({ kind }) => kind === 'retracted'),
      before,
    ),
  )
}

/** The entries that count, in order. */
export function liveEntries(entries: readonly Entry[]): Entry[] {
  return supersessionOf(entries).live
}

/**
 * What is not taken back: by a retraction, or, of a retraction, by the line that settled a conflict against it. A line
 * takes back
 * only what stands before it, so none can take back each other.
 */
function withoutWithdrawn(ordered: readonly Entry[], byId: ReadonlyMap<string, Entry>): Entry[] {
  const withdrawn = new Set<string>()
  for (const entry of ordered.toReversed()) {
    if (withdrawn.has(entry.id)) continue
    for (const id of [entry.supersedes, ...(entry.settles ?? [])]) {
      const target = id === undefined ? undefined : byId.get(id)
      if (!target || compareEntries(target, entry) >= 0 || (entry.kind !== 'retracted' && target.kind !== 'retracted'))
        continue
      // What opens the visit can be corrected and never taken back: all its lines would belong to nothing.
      if (entry.kind !== 'retracted' || target.kind !== 'visit-opened') withdrawn.add(target.id)
    }
  }
  return ordered.filter(({ id }) => !withdrawn.has(id))
}

/** Everything that a correction replaces, directly and through corrections before it. */
function ancestorsOf(entry: Entry, byId: ReadonlyMap<string, Entry>): Set<string> {
  const found = new Set<string>()
  const open = [entry]
  for (let next = open.pop(); next; next = open.pop()) {
    for (const id of [next.supersedes, ...(next.settles ?? [])]) {
      const target = id === undefined ? undefined : byId.get(id)
      if (!target || target.kind === 'retracted' || target.id === entry.id || found.has(target.id)) continue
      found.add(target.id)
      open.push(target)
    }
  }
  return found
}

function conflictsAmong(
  live: readonly Entry[],
  retractions: readonly Entry[],
  before: ReadonlyMap<string, ReadonlySet<string>>,
): Conflict[] {
  const claims = new Map<string, Claim[]>()
  const add = (about: string, claim: Claim) => claims.set(about, [...(claims.get(about) ?? []), claim])
  for (const entry of live) for (const about of before.get(entry.id) ?? []) add(about, { entry, takenBack: false })
  for (const entry of retractions) {
    for (const about of [entry.supersedes as string, ...(entry.settles ?? [])])
      if (claims.has(about)) add(about, { entry, takenBack: true })
  }
  // One conflict for all who speak of one line: the ancestor that most of them share says it whole.
  const widest = [...claims].filter(([, rivals]) => rivals.length > 1).sort(([, a], [, b]) => b.length - a.length)
  const told = new Set<string>()
  return widest.flatMap(([about, rivals]) => {
    if (rivals.every(({ entry }) => told.has(entry.id))) return []
    for (const { entry } of rivals) told.add(entry.id)
    return [{ about, claims: rivals }]
  })
}

/** Rivals that say the same agree: the first of them counts, and there is nothing to choose. */
function withoutTwins(live: readonly Entry[], conflicts: readonly Conflict[]): Supersession {
  const twins = new Set<string>()
  const real = conflicts.flatMap(({ about, claims }) => {
    const words = claims.map(({ entry, takenBack }) => (takenBack ? '' : canonicalText(entry.body)))
    const different = claims.filter((_, index) => words.indexOf(words[index] as string) === index)
    if (different.length > 1) return [{ about, claims: different }]
    for (const { entry } of claims.slice(1)) twins.add(entry.id)
    return []
  })
  return { live: live.filter(({ id }) => !twins.has(id)), conflicts: real }
}
