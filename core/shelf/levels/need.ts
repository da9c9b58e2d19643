import { articlesFor, wantsOf, type Offered, type PartWant } from '../../fits/for-part'
import type { KnownMachine } from '../../fits/wanted-of'
import type { SeasonDays } from '../../knowledge/shop/seasons'
import type { Part } from '../../knowledge/vocabulary'
import type { Stretch } from '../../planning/season'
import { MILLISECONDS_PER_YEAR } from '../../quantity/conversions'
import { expectedRepairs, type ExpectedRepair, type ReadMachine } from './expected-repairs'

/** A machine of the shop with what its failing hangs on, and with what a part of it has to fit. */
export interface ShelfMachine extends ReadMachine {
  known: KnownMachine
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
/** Repairs that take the same: what serves for each thing that they take. */
export interface RepairKind {
  wants: readonly Shares[]
  /** Times a year. */
  perYear: number
}
export interface Needs {
  articles: Map<string, ArticleNeed>
  unmet: UnmetNeed[]
  repairs: RepairKind[]
}

/** The articles that serve for one thing, each with its share; none where nothing does. */
export type Shares = readonly { article: string; share: number }[]
export type SharesOf = (want: PartWant) => Shares

const NOT_WANTED: ArticleNeed = { byRates: 0, perYear: 0, pieces: 0, machines: 0, foreseen: 0 }

/** Where nobody knows which of several it is, more than this are no help. */
const MOST_UNREAD = 6

/**
 * Which of the articles would be taken for what is wanted, each with its share: the one that fits; where that is not
 * known, any that is meant for it.
 */
export function articleShares(articles: readonly Offered[]): SharesOf {
  const known = new Map<string, Shares>()
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
 * How often each article is wanted: every repair that a machine may come to, the parts that it takes, and the article
 * that serves for each.
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
  const repairs = new Map<string, RepairKind>()
  for (const machine of machines) {
    if (machine.goneAt !== undefined) continue
    const expected = expectedRepairs(machine, stretch, days, factorOf)
    const serving = new Map<Part, { want: PartWant; shares: Shares }[]>()
    const servingFor = (part: Part) => {
      const of = serving.get(part) ?? wantsKnown(machine.known, part).map((want) => ({ want, shares: sharesOf(want) }))
      serving.set(part, of)
      return of
    }
    for (const { parts, times, isForeseen } of expected) {
      const wants = parts.flatMap((part) => servingFor(part).map(({ shares }) => shares))
      const key = wants.map((shares) => shares.map(({ article }) => article).join(' ')).join()
      const before = repairs.get(key)?.perYear ?? 0
      // What is foreseen comes once; what goes by rates comes as often every year.
      repairs.set(key, { wants, perYear: before + (isForeseen ? times : times / years) })
    }
    for (const [part, { counted, foreseen }] of byPart(expected)) {
      const byRates = counted / years
      for (const { want, shares } of servingFor(part)) {
        if (shares.length === 0) {
          const before = unmet.get(part) ?? { part, perYear: 0, machines: 0 }
          unmet.set(part, { part, perYear: before.perYear + byRates + foreseen, machines: before.machines + 1 })
        }
        for (const { article, share } of shares) {
          const before = needs.get(article) ?? NOT_WANTED
          needs.set(article, {
            byRates: before.byRates + byRates * share,
            perYear: before.perYear + (byRates + foreseen / years) * share,
            // As many as the hungriest takes: half a pair is no use.
            pieces: Math.max(before.pieces, want.needed),
            machines: before.machines + 1,
            foreseen: before.foreseen + foreseen * share,
          })
        }
      }
    }
  }
  return {
    articles: needs,
    unmet: [...unmet.values()].sort((a, b) => b.perYear - a.perYear),
    repairs: [...repairs.values()],
  }
}

/** How often a part is wanted by rates, and how likely by readings: one repair takes it, whichever part ends first. */
function byPart(expected: readonly ExpectedRepair[]): Map<Part, { counted: number; foreseen: number }> {
  const wanted = new Map<Part, { counted: number; foreseen: number }>()
  for (const { parts, times, isForeseen } of expected)
    for (const part of parts) {
      const { counted, foreseen } = wanted.get(part) ?? { counted: 0, foreseen: 0 }
      wanted.set(
        part,
        isForeseen ? { counted, foreseen: 1 - (1 - foreseen) * (1 - times) } : { counted: counted + times, foreseen },
      )
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
