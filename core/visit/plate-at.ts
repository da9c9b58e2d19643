import { pumpAsFound } from '../motor/as-found'
import { completePlate, type CompletePlate, type Pump } from '../motor/nameplate'
import type { Entry, EntryOf, Machine } from './entry'
import { plateAfter } from './fitted'
import { ofKind } from './of-kind'

/** The machine as its readings are judged, and its plate with what is usual where it says nothing. */
export interface JudgedBy {
  pump: Pump
  plate: CompletePlate
}

/**
 * The plate that judges at a place of the journal: the machine’s own, with the parts that were seen on it; from when a
 * new motor or pump is fitted, that one’s.
 *
 * @param live the journal in its order
 * @param asWritten the machine on the day, by its own plate
 */
export function platesOf(live: readonly Entry[], machine: Machine, asWritten: Pump): (index: number) => JudgedBy {
  const plated = ofKind(live, 'fitted').filter(({ body }) => body.nameplate)
  const at = plated.map((entry) => live.indexOf(entry))
  const known = new Map<number, JudgedBy>()
  return (index) => {
    const count = at.filter((each) => each < index).length
    const judge = known.get(count) ?? judgedBy(count)
    known.set(count, judge)
    return judge
  }

  function judgedBy(count: number): JudgedBy {
    const pump =
      count === 0
        ? pumpAsFound(
            asWritten,
            ofKind(live, 'finding')
              .filter((entry) => entry.body.of !== 'new' && judgedUntil(live, entry) <= (at[0] ?? live.length))
              .map(({ body }) => body),
          )
        : { ...asWritten, nameplate: plateAfter(machine.nameplate, plated.slice(0, count)) }
    return { pump, plate: completePlate(pump) }
  }
}

/**
 * Up to where in the journal what is fitted judges a finding: what was read for the fault, by the plate of that moment;
 * what was read to prove, by that of the machine as it was proved, whenever its plate was written.
 */
export function judgedUntil(live: readonly Entry[], entry: EntryOf<'finding'>): number {
  const at = live.indexOf(entry)
  if (entry.body.stage === 'test') return at
  const cameBack = live.findIndex(({ kind }, index) => index > at && kind === 'comeback')
  return cameBack < 0 ? live.length : cameBack
}
