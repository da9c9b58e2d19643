import type { Chapter, Page } from './page'
import { LESSONS } from './pages/lessons'
import { MOTORS } from './pages/motor'
import { SAFE } from './pages/safe'
import { SUPPLIES } from './pages/supply'
import { WATERS } from './pages/water'
import { WORK } from './pages/work'

/** The handbook, chapter by chapter: short pages by idea, and the lessons. */
export const CHAPTERS: readonly Chapter[] = [SAFE, SUPPLIES, MOTORS, WATERS, WORK, LESSONS]

/** A page with its number, such as 3.5. */
export interface NumberedPage extends Page {
  number: string
  chapter: string
}

export const PAGES: readonly NumberedPage[] = CHAPTERS.flatMap(({ title, pages }, chapter) =>
  pages.map((page, index) => ({ ...page, number: `${chapter + 1}.${index + 1}`, chapter: title })),
)
const BY_ID = new Map(PAGES.map((page) => [page.id, page]))

export const pageById = (id: string): NumberedPage | undefined => BY_ID.get(id)

/** A page that there is. @throws RangeError where there is none of that name */
export function mustPage(id: string): NumberedPage {
  const page = BY_ID.get(id)
  if (!page) throw new RangeError(`the handbook has no page ${id}`)
  return page
}

/** The lessons, in their order. */
export const LESSON_PAGES: readonly NumberedPage[] = PAGES.filter((page) => page.case !== undefined)
