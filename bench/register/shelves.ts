import { readAsked } from '../../core/fits/read-spec'
import { homeOf } from '../../core/shelf/places'
import { emptyStock } from '../../core/shelf/stock'
import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind } from '../../core/visit/entry'

/** What a shop might keep, by its names: every size of what comes in sizes. */
function names(): string[] {
  const each = (from: number, to: number, step = 1) =>
    Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step)
  return [
    ...each(5, 80, 5).flatMap((size) => ['370 V oval', '440 V round'].map((rest) => `${size} μF ${rest}`)),
    ...['88-108', '108-130', '124-149', '161-193', '189-227', '233-280'].map((span) => `${span} μF 250 V`),
    ...['2RS C3', 'ZZ'].flatMap((rest) =>
      ['6201', '6202', '6203', '6204', '6205', '6304'].map((no) => `${no} ${rest}`),
    ),
    ...each(201, 284).flatMap((dash) => [`-${dash} nitrile`, `-${dash} EPDM`]),
    ...each(12, 40, 2).map((shaft) => `${shaft} mm shaft, ${shaft + 15} mm seat, ${shaft + 14} mm head`),
    ...['48Y', '56Y', '56J'].flatMap((frame) =>
      ['0.75', '1', '1.5', '2'].map((hp) => `${frame} ${hp} hp 115/230 V 3450 rpm`),
    ),
    ...['20/40', '30/50', '40/60'].map((range) => `${range} psi switch 1/4 female`),
    ...each(10, 120, 10).map((size) => `tank ${size} gal`),
  ]
}

/** All of it on the shelves, two of each. */
export function shelfJournal(today: Date): Entry[] {
  const at = new Date(today.getTime() - 86_400_000).toISOString()
  const id = (group: number, index: number) => `0197a000-010${group}-7000-8000-${index.toString(16).padStart(12, '0')}`
  const entry = <K extends EntryKind>(own: string, kind: K, body: EntryBodies[K]) =>
    ({ id: own, v: ENTRY_VERSION, visitId: null, kind, at, author: 'bench', body }) as unknown as Entry
  return names().flatMap((name, index) => {
    const read = readAsked(name)
    const article = {
      id: id(1, index),
      name,
      spec: { ...read?.spec },
      ...(read ? { family: read.family } : {}),
      price: 900 + index,
      pricedOn: at.slice(0, 10),
    }
    return [
      entry(id(2, index), 'article-set', { article }),
      entry(id(3, index), 'stock-moved', {
        article: article.id,
        count: 2,
        from: 'supplier',
        to: homeOf(article, emptyStock()),
        why: 'received',
      }),
    ]
  })
}
