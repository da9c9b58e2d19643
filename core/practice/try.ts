import type { Harm } from '../knowledge/practice/harms'
import type { LampHelp } from '../knowledge/practice/lamp-help'
import type { Answer, Question } from '../virtual/answer'
import type { MeterUnit, Probing } from '../virtual/bench/meter'
import type { Parted } from '../virtual/bench/hands'
import type { Entry } from '../visit/entry'
import type { PracticeData } from './practice-case'
import type { Shop } from '../visit/shop'

/** What a try is reckoned with: the shop’s own rates on the day, so that a try costs later what it cost then. */
export type PracticeShop = Pick<Shop, 'name' | 'place' | 'units' | 'numbers' | 'rates' | 'schools'>

/** Everything that can happen in a try, by act. */
export interface TryActs {
  /** The machine was come to: which case, the how manieth, and with how much of the lamp. */
  begun: { of: PracticeData; number: number; lamp: LampHelp; author: string; shop: PracticeShop }
  /** A line of its visit’s journal. */
  wrote: { entry: Entry }
  /** A check was made, and this is what it showed. */
  read: { question: Question; answer: Answer; by: 'bench' | 'hands'; minutes: number; low?: number; high?: number }
  /** Leads were put on and a figure stood there that no check is read by. */
  probed: { probing: Probing; unit: MeterUnit; value: number | null; minutes: number }
  /** The pump was turned on or off at its own control. */
  asked: { asked: boolean }
  parted: { what: Parted; apart: boolean }
  /** The supply let go. */
  tripped: Record<string, never>
  harmed: { harm: Harm; at: string }
  waited: { minutes: number }
  lamp: { is: LampHelp }
  /** The lamp’s question was looked at, or the check behind it. */
  hint: { check: string; shown: boolean }
  ended: { how: 'handed-over' | 'given-up' }
}
export type TryAct = keyof TryActs

/** One line of a try’s own journal, which no journal of the shop ever holds. */
export interface TryLineOf<A extends TryAct> {
  id: string
  /** The instant by the clock of practice, milliseconds. */
  at: number
  act: A
  body: TryActs[A]
}
export type TryLine = { [A in TryAct]: TryLineOf<A> }[TryAct]
/** What is about to be written, and the minutes that it takes in life. */
export type TryDraft = { [A in TryAct]: { act: A; body: TryActs[A]; minutes: number } }[TryAct]

export function draft<A extends TryAct>(act: A, body: TryActs[A], minutes = 0): TryDraft {
  return { act, body, minutes } as unknown as TryDraft
}

/** The lines of one act, in order. */
export function actsOf<A extends TryAct>(lines: readonly TryLine[], act: A): TryLineOf<A>[] {
  return lines.filter((line) => line.act === act) as unknown as TryLineOf<A>[]
}
