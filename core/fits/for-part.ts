import { familyOf, type FamilyId } from '../knowledge/fits/families'
import type { Spec } from '../knowledge/fits/family'
import { METRED } from '../knowledge/shop/stakes'
import type { Kind, Part } from '../knowledge/vocabulary'
import type { MatchVerdict } from '../motor/match'
import { groupedBy } from '../quantity/grouped'
import type { PricedArticle } from '../knowledge/shelf/priced'
import type { Article } from './article'
import { wantedOf, type KnownMachine, type WantedPart } from './wanted-of'
import { heldAgainstAll } from './what-fits'

/** One piece that a part of a machine is replaced by: its measures as far as they are known, and how many of it. */
export interface PartWant {
  part: Part
  kind: Kind
  /** By what its use is known in the visit: the part, and which piece of it where two differ. */
  use: string
  family?: FamilyId
  spec: Spec
  /** What was read of it, in words. */
  identity?: string
  /** Pieces; metres of what is sold by the metre. */
  needed: number
}
/** What is known of an article that it is held against by. */
export type Offered =
  Pick<Article, 'id' | 'name' | 'part' | 'family' | 'spec' | 'kinds' | 'codes' | 'price' | 'gone'> | PricedArticle
/** An article that may serve, and what must be done for it to. */
export interface ArticleFor<A extends Offered = Article> {
  article: A
  verdict: Exclude<MatchVerdict, 'does-not'>
  needs: string[]
}

/** A motor has a bearing at each end: where one number stands for both, two are taken. */
const BOTH_ENDS = 2

/**
 * What a part of a machine is replaced by.
 *
 * @param identity what was read of the new part, where that is in the hand already
 */
export function wantsOf(machine: KnownMachine, part: Part, identity?: string): PartWant[] {
  const { kind, fitted = [] } = machine
  const others = fitted.filter((each) => each.part !== part)
  const known = identity === undefined ? machine : { ...machine, fitted: [...others, { part, identity }] }
  const wanted = wantedOf(known).filter((each) => each.part === part)
  const family = familyOf(part)
  const metred = METRED[part]
  const metres = metred && machine.installation?.[metred.length]
  if (wanted.length === 0)
    return [
      {
        part,
        kind,
        use: part,
        ...(family ? { family } : {}),
        spec: {},
        ...(identity === undefined ? {} : { identity }),
        needed: metres ?? 1,
      },
    ]
  return alike(wanted).map((pieces, index) => {
    const [{ family: of, spec }] = pieces
    const read = pieces.flatMap(({ written }) => written ?? []).join(', ') || identity
    return {
      part,
      kind,
      use: index === 0 ? part : `${part} ${index + 1}`,
      family: of,
      spec,
      ...(read === undefined ? {} : { identity: read }),
      needed: part === 'bearings' && wanted.length === 1 ? BOTH_ENDS : pieces.length * (metres ?? 1),
    }
  })
}

/** Pieces written apart that are the same by their measures, together: they are taken out of one box. */
function alike(wanted: readonly WantedPart[]): (readonly [WantedPart, ...WantedPart[]])[] {
  const measuresOf = ({ spec }: WantedPart) => Object.entries(spec).toSorted(([a], [b]) => a.localeCompare(b))
  const by = groupedBy(wanted, (each) => {
    const measures = measuresOf(each)
    return JSON.stringify(measures.length > 0 ? measures : (each.written ?? ''))
  })
  return [...by.values()] as [WantedPart, ...WantedPart[]][]
}

/**
 * The articles that may serve for it, the surest first: what is called so, what fits, what fits with something done
 * about it, and what is meant for this part but not known well enough. What does not fit is left out.
 */
export function articlesFor<A extends Offered>(want: PartWant, articles: readonly A[]): ArticleFor<A>[] {
  const meant = articles.filter(
    (article) => !('gone' in article && article.gone) && (!article.kinds?.length || article.kinds.includes(want.kind)),
  )
  const called = meant.filter((article) => isCalled(article, want.identity))
  const isKnown = want.family !== undefined && Object.keys(want.spec).length > 0
  const held = isKnown ? heldAgainst(want, meant) : []
  const named = new Set([...called, ...held.map(({ article }) => article)].map(({ id }) => id))
  const byName = meant.filter(
    (article) => article.part === want.part && !named.has(article.id) && (!isKnown || article.family === undefined),
  )
  const answered = [
    ...called.map((article): ArticleFor<A> => ({ article, verdict: 'fits', needs: [] })),
    ...held.filter(({ article }) => !called.includes(article)),
    ...byName.map((article): ArticleFor<A> => ({ article, verdict: 'not-read', needs: [] })),
  ]
  return answered.toSorted((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict))
}
const ORDER: readonly MatchVerdict[] = ['fits', 'fits-with', 'not-read']

function isCalled({ name, codes = [] }: Offered, identity: string | undefined): boolean {
  const wanted = identity?.trim().toLowerCase()
  return wanted !== undefined && [name, ...codes].some((each) => each.toLowerCase() === wanted)
}

function heldAgainst<A extends Offered>({ part, family, spec }: PartWant, articles: readonly A[]): ArticleFor<A>[] {
  return heldAgainstAll({ family: family as FamilyId, spec }, articles).flatMap(
    ({ candidate: article, verdict, needs }): ArticleFor<A>[] =>
      verdict === 'does-not' || (verdict === 'not-read' && article.part !== part) ? [] : [{ article, verdict, needs }],
  )
}
