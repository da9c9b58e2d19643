import type { Idea } from '../knowledge/practice/harms'
import type { Telling } from '../quantity/sentence'
import type { LiveId } from './live/lives'

/** Drawings that stand still beside the live ones. */
export type DrawingId = 'parting' | 'ladder'

/** A piece of a page. */
export type Block = { text: Telling } | { list: readonly Telling[] } | { heading: string }

/** A short page of the handbook. */
export interface Page {
  id: string
  title: string
  /** What to keep of it, in a sentence. */
  rule: string
  body: readonly Block[]
  /** The idea of practice that it is about. */
  idea?: Idea
  /** A picture whose numbers can be pushed about. */
  live?: LiveId
  drawing?: DrawingId
  /** Of a lesson: the pump that it is about, to be worked through. */
  case?: string
  /** Pages that go on from here. */
  see?: readonly string[]
}

export interface Chapter {
  title: string
  pages: readonly Page[]
}

export const text = (telling: Telling): Block => ({ text: telling })
export const list = (...items: Telling[]): Block => ({ list: items })
export const heading = (words: string): Block => ({ heading: words })
