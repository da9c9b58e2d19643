import { articlesFor, wantsOf, type Offered, type PartWant } from '../../fits/for-part'
import type { KnownMachine } from '../../fits/wanted-of'
import type { ActionRow, FaultRow } from '../../knowledge/faults/model-types'
import { KIND_KNOWLEDGE } from '../../knowledge/faults/kinds'
import type { SeasonDays } from '../../knowledge/shop/seasons'
import type { Part } from '../../knowledge/vocabulary'
import { expectedByFault, exposed, groupOf, type FleetMachine } from '../../planning/exposure'
import { repairFor } from '../../planning/preparation'
import type { Stretch } from '../../planning/season'
import { MILLISECONDS_PER_YEAR } from '../../quantity/conversions'
import { foreseenWithin, type ForeseenEnd } from './foreseen'

/** A machine of the shop with what its failing hangs on, and with what a part of it has to fit. */
export interface ShelfMachine extends FleetMachine {
  known: KnownMachine
  /** What its own readings say of when its parts meet their limits. */
  ends?: readonly ForeseenEnd[]
}
/** How often an article is wanted among the shop's machines. */
export interface ArticleNeed {
  /** Times a year by rates alone. */
  byRates: number
  /** How often as long as the stretch goes, times a year: with what the machines’ own readings foretell for it. */
  perYear: number
  /** Pieces at a time. */
  pieces: number
  /** Machines that may want it. */
  machines: number
  /** Of them, those whose own readings meet their limit within the stretch, each by how likely. */
  foreseen: number
}
/** A part that is wanted and that nothing on the list may serve for. */
export interface UnmetNeed {
  part: Part
  perYear: number
  machines: number
}
export interface Needs {
  articles: Map<string, ArticleNeed>
  unmet: UnmetNeed[]
}

/** Which articles serve for what is wanted, each with its share. */
export type SharesOf = (want: PartWant) => readonly { article: string; share: number }[]

const NOT_WANTED: ArticleNeed = { byRates: 0, perYear: 0, pieces: 0, machines: 0, foreseen: 0 }

/** Where nobody knows which of several it is, more than this are no help. */
const MOST_UNREAD = 6

/**
 * Which of the articles would be taken for what is wanted, each with its share: the one that fits; where that is not
 * known, any that is meant for it.
 */
export function articleShares(articles: readonly Offered[]): SharesOf {
  const known = new Map<string, readonly { article: string; share: number }[]>()
  return (want) => {
    const key = JSON.stringify([want.part, want.kind, want.family, want.spec, want.identity])
    const before = known.get(key)
    if (before) return before
    const found = articlesFor(want, articles)
    const sure = found.find(({ verdict }) => verdict !== 'not-read')
    const meant = sure ? [sure] : found.slice(0, MOST_UNREAD)
    const shares = meant.map(({ article }) => ({ article: article.id, share: 1 / meant.length }))
    known.set(key, shares)
    return shares
  }
}

/**
 * How often each article is wanted: every fault of every machine by its rate at the age it has then, and what its own
 * readings say of a part that is ending; the repair that cures it, the parts that this takes, and the article that
 * serves for each.
 *
 * @param stretch whose rate is meant: a season's, not the year's
 * @param factorOf by how much a group fails more often here than the tables say
 */
export function needsOf(
  machines: readonly ShelfMachine[],
  articles: readonly Offered[],
  stretch: Stretch,
  days: SeasonDays,
  factorOf: (group: string) => number = () => 1,
): Needs {
  const years = (stretch.to - stretch.from) / MILLISECONDS_PER_YEAR
  const sharesOf = articleShares(articles)
  const needs = new Map<string, ArticleNeed>()
  const unmet = new Map<Part, UnmetNeed>()
  for (const machine of machines) {
    if (machine.goneAt !== undefined) continue
    const of = exposed(machine)
    const actions = actionsOf(machine.known)
    const expected = expectedByFault(of, stretch, days).map(({ row, count }) => ({
      row,
      count: count * factorOf(groupOf(row)),
      parts: repairFor(actions, row.fault)?.parts ?? [],
    }))
    const foreseen = foreseenParts(machine, expected, stretch)
    const wanted = new Map(foreseen)
    for (const { count, parts } of expected) for (const part of parts) wanted.set(part, (wanted.get(part) ?? 0) + count)
    for (const [part, times] of wanted) {
      const soon = foreseen.get(part) ?? 0
      const byRates = (times - soon) / years
      for (const want of wantsKnown(machine.known, part)) {
        const shares = sharesOf(want)
        if (shares.length === 0) {
          const before = unmet.get(part) ?? { part, perYear: 0, machines: 0 }
          unmet.set(part, { part, perYear: before.perYear + byRates + soon, machines: before.machines + 1 })
        }
        for (const { article, share } of shares) {
          const before = needs.get(article) ?? NOT_WANTED
          needs.set(article, {
            byRates: before.byRates + byRates * share,
            perYear: before.perYear + (times / years) * share,
            // As many as the hungriest takes: half a pair is no use.
            pieces: Math.max(before.pieces, want.needed),
            machines: before.machines + 1,
            foreseen: before.foreseen + soon * share,
          })
        }
      }
    }
  }
  return { articles: needs, unmet: [...unmet.values()].sort((a, b) => b.perYear - a.perYear) }
}

interface ExpectedFault {
  row: FaultRow
  /** Times within the stretch. */
  count: number
  /** What its repair takes. */
  parts: readonly Part[]
}
/**
 * How likely each part is wanted because a part is ending by its readings, and did not fail before: what the likeliest
 * repair there takes. Where that takes none, as where air is to be pumped in, nothing is wanted.
 */
function foreseenParts(
  { ends = [] }: ShelfMachine,
  expected: readonly ExpectedFault[],
  stretch: Stretch,
): Map<Part, number> {
  const wanted = new Map<Part, number>()
  for (const [part, chance] of foreseenWithin(ends, stretch)) {
    const there = expected.filter(({ row }) => row.part === part)
    const [likeliest] = there.toSorted((a, b) => b.count - a.count)
    const spared = Math.exp(-there.reduce((sum, { count }) => sum + count, 0))
    for (const taken of likeliest?.parts ?? [])
      // One repair takes it, whichever of several parts ends first.
      wanted.set(taken, 1 - (1 - (wanted.get(taken) ?? 0)) * (1 - chance * spared))
  }
  return wanted
}

/** What a machine takes for a part hangs on the machine alone, and is asked for again every month. */
const known = new WeakMap<KnownMachine, Map<Part, PartWant[]>>()
function wantsKnown(machine: KnownMachine, part: Part): PartWant[] {
  const of = known.get(machine) ?? new Map<Part, PartWant[]>()
  known.set(machine, of)
  const wants = of.get(part) ?? wantsOf(machine, part)
  of.set(part, wants)
  return wants
}

/** What is done to machines of a construction at all. */
function actionsOf({ kind }: KnownMachine): readonly ActionRow[] {
  return KIND_KNOWLEDGE[kind].actions.filter(({ onlyUnderWarranty }) => !onlyUnderWarranty)
}
