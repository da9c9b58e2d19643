import { checkInfo } from '../knowledge/checks/checks'
import type { Piece } from './phrases'
import { fits, type Quantity } from './quantities'
import type { Topic } from './topics'
import type { Unit } from '../quantity/units'

/** What a reading without a thing of its own costs: beyond it, a far thing is not taken for its name. */
const ALONE = 7
const CROSSED_CLAUSE = 2.5
const CROSSED_FIGURE = 3
const NAMED_AFTER = 0.8
const ONLY_SUGGESTED = 0.6

/** Words that stand between a figure and a thing, with what parts them. */
function gap(pieces: readonly Piece[], from: number, to: number, figures: ReadonlySet<Piece>): number {
  let cost = 0
  for (let at = from + 1; at < to; at += 1) {
    const piece = pieces[at] as Piece
    if (piece.kind === 'number') cost += figures.has(piece) ? CROSSED_FIGURE : 0.3
    else if (piece.kind === 'mark') cost += [',', ';', '.'].includes(piece.text) ? CROSSED_CLAUSE : 0
    else if (piece.kind === 'foreign') cost += 1
    else if (piece.kind === 'phrase') cost += piece.text === 'and' || piece.text === 'but' ? 1 : 0.4
  }
  return cost
}

/** Which of a topic’s checks the figure’s unit fits. */
export function fittingChecks(topic: Topic, quantity: Quantity): string[] {
  return topic.checks.filter((check) => {
    const unit = checkInfo(check)?.unit
    return unit !== undefined && fits(quantity, unit)
  })
}

const LEAD_UNITS: readonly Unit[] = ['V', 'A', 'ohm', 'Mohm']

const LEAD_BEHIND = 1.5
const isLead = (topic: Topic) => topic.lead !== undefined || topic.leads !== undefined
/** Nothing is said behind it before the clause ends, so that it belongs to the figure before it. */
function closes(pieces: readonly Piece[], topic: Topic): boolean {
  const next = pieces[topic.last + 1]
  return next === undefined || next.kind === 'mark' || next.text === 'and'
}

/** Can the figure be a reading of this thing at all? */
function canBeOf(topic: Topic, quantity: Quantity): boolean {
  if (topic.plate !== undefined) return fitsPlate(topic, quantity)
  if (quantity.foreign || quantity.plate) return false
  if (topic.lead !== undefined || topic.leads !== undefined || topic.ground)
    return LEAD_UNITS.some((unit) => fits(quantity, unit))
  return fittingChecks(topic, quantity).length > 0
}

function fitsPlate(topic: Topic, quantity: Quantity): boolean {
  if (quantity.value === null) return false
  if (quantity.plate) return quantity.plate === topic.plate
  if (quantity.foreign) return topic.plate === 'hertz'
  switch (topic.plate) {
    case 'fullLoadAmps':
    case 'serviceFactorAmps':
    case 'lockedRotorAmps':
      return fits(quantity, 'A')
    case 'volts':
      return fits(quantity, 'V')
    case 'amps':
      return fits(quantity, 'A') || fits(quantity, 'V')
    case 'codeLetter':
      return false
    default:
      return quantity.unit === undefined || quantity.unit === 'y' || topic.plate === 'frame'
  }
}

/**
 * Gives each figure to the nearest thing that it fits, and each thing one figure at most, all together at the least
 * cost; their order is kept, as people keep it.
 *
 * @returns for each quantity its topic, or undefined where none is near
 */
export function aligned(
  pieces: readonly Piece[],
  topics: readonly Topic[],
  quantities: readonly Quantity[],
): (Topic | undefined)[] {
  const figures = new Set(quantities.map(({ at }) => pieces[at] as Piece))
  const cost = (topic: Topic, quantity: Quantity): number => {
    if (!canBeOf(topic, quantity)) return Infinity
    const inside = topic.at <= quantity.last && topic.last >= quantity.at
    const after = topic.at > quantity.at
    // "drops to 211", "cuts in at 30": the figure stands behind it.
    if (after && /\b(?:to|at|every)$/.test((topic.pieces.at(-1) as Piece).text)) return Infinity
    const between = inside
      ? 0
      : after
        ? gap(pieces, quantity.last, topic.at, figures)
        : gap(pieces, topic.last, quantity.at, figures)
    // "meg .25 blk, .25 yel": the lead behind the figure is whose it is, and the head is for all.
    const leadBehind =
      topic.checks.length > 0 &&
      !after &&
      topics.some((other) => other.at === quantity.last + 1 && isLead(other) && closes(pieces, other))
    return between + (leadBehind ? LEAD_BEHIND : 0) + (after ? NAMED_AFTER : 0) + (topic.thing ? ONLY_SUGGESTED : 0)
  }
  const width = topics.length + 1
  const best = new Float64Array((quantities.length + 1) * width)
  const from = new Uint8Array((quantities.length + 1) * width)
  for (let row = 1; row <= quantities.length; row += 1)
    for (let column = 0; column < width; column += 1) {
      const here = row * width + column
      const quantity = quantities[row - 1] as Quantity
      best[here] = (best[here - width] as number) + ALONE
      from[here] = 0
      if (column === 0) continue
      if ((best[here - 1] as number) < (best[here] as number)) {
        best[here] = best[here - 1] as number
        from[here] = 1
      }
      const together = (best[here - width - 1] as number) + cost(topics[column - 1] as Topic, quantity)
      if (together < (best[here] as number)) {
        best[here] = together
        from[here] = 2
      }
    }
  const given: (Topic | undefined)[] = quantities.map(() => undefined)
  for (let row = quantities.length, column = topics.length; row > 0;) {
    const step = from[row * width + column]
    if (step === 1) column -= 1
    else {
      if (step === 2) given[row - 1] = topics[column - 1]
      row -= 1
      if (step === 2) column -= 1
    }
  }
  return given
}
