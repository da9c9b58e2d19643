import type { Finding } from '../diagnosis/finding'
import type { Complaint, Gate, Part, Standing } from '../knowledge/vocabulary'
import type { NameplateField } from '../knowledge/said/plate-said'
import type { Piece } from './phrases'

/** What a line says besides readings: where it lands is the visit’s to know. */
export type Other =
  | { is: 'gate'; gate: Gate; shut: boolean }
  | { is: 'replaced'; part: Part }
  | { is: 'complaint'; id: Complaint }
  | { is: 'left'; text: string }
  | { is: 'plate'; field: NameplateField; value: number | string | [number, number] }
  | { is: 'standing'; at: Standing }
  | { is: 'wish'; job: string }

/** One thing understood, with the words it came from. */
export interface Said {
  finding?: Finding
  other?: Other
  pieces: readonly Piece[]
}

/** One answer to a question: what it would make of the words that are in doubt. */
export interface Answer {
  label: string
  findings?: Finding[]
  other?: Other[]
  /** These words are kept as a plain note. */
  note?: string
  /** It only begins a line, which is written on from here. */
  begins?: string
}

/** Words that can mean two things, or one that cannot be: asked, and nothing of the line kept before. */
export interface Doubt {
  question: string
  answers: Answer[]
  pieces: readonly Piece[]
}

/** A question as it is put: `key` tells it from the others of its line, and answers are kept by it. */
export interface Ask {
  key: string
  question: string
  choices: Answer[]
}

/** Which part of the line was understood as what; a part with neither is left over, or in doubt. */
export interface ReadBack {
  start: number
  end: number
  text: string
  finding?: Finding
  other?: Other
  doubt?: boolean
}

/** What a line means. While `ask` stands nothing is kept. */
export interface Understanding {
  findings: Finding[]
  other: Other[]
  ask: Ask | null
  /** The text that is kept as a plain note. */
  note: string | null
  pieces: ReadBack[]
  /** Words that were neither used nor ordinary. */
  left: string[]
}

/** What a step of the understanding adds to the line. */
export interface Heard {
  said: Said[]
  doubts: Doubt[]
}
