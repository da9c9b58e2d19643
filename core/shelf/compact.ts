import type { Entry } from '../visit/entry'
import { stockFrom } from './stock'

/**
 * The lines of the shelves with what is older than a day put together: what lay where on that day instead of how it
 * came there, and the articles and bays as they were said last. Read like any others they come to the same; nothing of
 * them is kept or sent on.
 *
 * @param before an ISO instant
 */
export function compactLines(lines: readonly Entry[], before: string): Entry[] {
  const superseded = new Set(lines.flatMap(({ supersedes }) => supersedes ?? []))
  const isOld = ({ id, at, supersedes }: Entry) => at < before && !supersedes && !superseded.has(id)
  const old = lines.filter(isOld)
  const oldest = lines.filter((line) => !isOld(line))
  // A line that was put right, or puts one right, stays as it is; what was done before it must not be counted over it.
  const firstKept = oldest.reduce((first, { at }) => (at < first ? at : first), before)
  const together = old.filter(({ at }) => at < firstKept)
  const { articles, bays, at } = stockFrom(together)
  const head = { visitId: null, at: firstKept, author: 'Pike Lamp' } as const
  const make = (kind: Entry['kind'], key: string, body: object): Entry =>
    ({ ...head, id: `together ${key}`, kind, body }) as unknown as Entry
  return [
    ...[...articles].map(([id, article]) => make('article-set', id, { article })),
    ...[...bays].map(([id, each]) => make('bay-set', id, each)),
    ...[...at].flatMap(([key, { place, article, count, lots }]) =>
      count < 0
        ? [make('stock-moved', key, { article, count: -count, from: place, to: 'nowhere', why: 'lost' })]
        : lots.map((lot, index) =>
            make('stock-moved', `${key} ${index}`, { article, ...lot, from: 'nowhere', to: place, why: 'found' }),
          ),
    ),
    ...old.filter(({ at: instant }) => instant >= firstKept),
    ...oldest,
  ]
}
