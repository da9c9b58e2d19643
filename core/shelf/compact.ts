import type { Entry } from '../visit/entry'
import { USUAL_BAYS } from './bays'
import { boughtFrom, isOpenOrder } from './bought'
import { stockFrom } from './stock'

/**
 * The lines of the shelves with what is older than a day put together: what lay where on that day instead of how it
 * came there, and the articles, bays, suppliers and levels as they were said last. Read like any others they come to
 * the same, but for orders that were over by then, which are left out; nothing of them is kept or sent on.
 *
 * @param before an ISO instant
 */
export function compactLines(lines: readonly Entry[], before: string): Entry[] {
  const first = firstOfEach(lines)
  // What was put right or taken back since stays as it is, and all that was done after it: it counts from there.
  const changed = lines.reduce((earliest, { id, at }) => {
    const begun = first(id)
    return at >= before && begun < earliest ? begun : earliest
  }, before)
  // Of an order that is still open each delivery is told: what is to come hangs on it.
  const { orders, suppliers, offers, fixed, most } = boughtFrom(lines)
  const since = orders
    .filter(isOpenOrder)
    .reduce((earliest, { placedAt }) => (placedAt < earliest ? placedAt : earliest), changed)
  const isOld = ({ id }: Entry) => first(id) < since
  const { articles, bays, at } = stockFrom(lines.filter(isOld))
  const head = { visitId: null, at: since, author: 'Pike Lamp' } as const
  const make = (kind: Entry['kind'], key: string, body: object): Entry =>
    ({ ...head, id: `together ${key}`, kind, body }) as unknown as Entry
  return [
    ...[...articles].map(([id, article]) => make('article-set', id, { article })),
    ...[...bays]
      .filter(([id, { name }]) => USUAL_BAYS.find(({ bay }) => bay === id)?.name !== name)
      .map(([id, each]) => make('bay-set', id, each)),
    ...USUAL_BAYS.filter(({ bay }) => !bays.has(bay)).map((each) => make('bay-set', each.bay, { ...each, gone: true })),
    ...[...suppliers.values()].map((supplier) => make('supplier-set', supplier.id, { supplier })),
    ...[...offers.values()].flat().map((offer) => make('offer-set', `${offer.article} ${offer.supplier}`, { offer })),
    ...Object.entries(fixed).map(([article, level]) => make('level-set', `level ${article}`, { article, level })),
    ...(most === undefined ? [] : [make('keeping-set', 'keeping', { most })]),
    ...[...at].flatMap(([key, { place, article, count, lots }]) =>
      count < 0
        ? [make('stock-moved', key, { article, count: -count, from: place, to: 'nowhere', why: 'lost' })]
        : lots.map((lot, index) =>
            make('stock-moved', `${key} ${index}`, { article, ...lot, from: 'nowhere', to: place, why: 'found' }),
          ),
    ),
    ...lines.filter((line) => !isOld(line)),
  ]
}

/** When the first of the lines was written that a line corrects or takes back, or whose corrections it is among. */
function firstOfEach(lines: readonly Entry[]): (id: string) => string {
  const byId = new Map(lines.map((line) => [line.id, line]))
  const known = new Map<string, string>()
  return (id) => {
    const way: Entry[] = []
    for (let line = byId.get(id); line && !way.includes(line); line = byId.get(line.supersedes ?? '')) way.push(line)
    const begun = known.get(id) ?? way.reduce((earliest, { at }) => (at < earliest ? at : earliest), way[0]?.at ?? '')
    known.set(id, begun)
    return begun
  }
}
