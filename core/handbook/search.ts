import MiniSearch from 'minisearch'
import { render, type Reader } from '../quantity/sentence'
import { cautionsOf } from './cautions'
import { PAGES, type NumberedPage } from './handbook'
import { harmsOf, sourcesOf } from './where'

/** All words of a page, as they are read. */
export function wordsOf(page: NumberedPage, reader: Reader): string {
  return page.body
    .flatMap((block) =>
      'heading' in block
        ? [block.heading]
        : 'list' in block
          ? block.list.map((each) => render(each, reader))
          : [render(block.text, reader)],
    )
    .join(' ')
}

/** Finds pages by what was typed: titles first, words that begin so or are a letter off too. */
export class HandbookSearch {
  readonly #index: MiniSearch

  constructor(reader: Reader) {
    this.#index = new MiniSearch({
      fields: ['title', 'rule', 'words', 'cautions', 'sources'],
      searchOptions: { boost: { title: 4, rule: 2 }, prefix: true, fuzzy: 0.2, combineWith: 'AND' },
    })
    this.#index.addAll(
      PAGES.map((page) => ({
        id: page.id,
        title: page.title,
        rule: page.rule,
        words: wordsOf(page, reader),
        cautions: [...cautionsOf(page.id), ...harmsOf(page.id).map(({ label, inLife }) => `${label} ${inLife}`)].join(
          ' ',
        ),
        sources: sourcesOf(page.id)
          .map(({ name }) => name)
          .join(' '),
      })),
    )
  }

  /** Pages that fit, the best first; none where nothing was typed. */
  find(typed: string): NumberedPage[] {
    if (typed.trim() === '') return []
    const found = this.#index.search(typed)
    return found.flatMap(({ id }) => PAGES.find((page) => page.id === id) ?? [])
  }
}
