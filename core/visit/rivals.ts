import { canonicalText } from '../quantity/canonical-text'
import { parseStep, printJoint } from '../takedown/step-ref'
import type { Entry, EntryBodies, EntryKind } from './entry'
import { knowledgeIn, type Knows } from './seen'
import type { Conflict } from './supersession'

/** What a line is a word on, where only one word on it can count, and what it says of it. */
type Word = readonly [about: string, says: unknown]

/** Kinds of which one line speaks for the visit, and not each for itself. */
const WORDS: { [K in EntryKind]?: (body: EntryBodies[K]) => Word } = {
  call: (body) => ['', body],
  'machine-set': ({ machine }) => [machine.id, machine],
  planned: (body) => ['', body],
  arranged: (body) => ['', body],
  cancelled: () => ['', true],
  together: (body) => ['', body],
  gate: ({ gate, shut }) => [gate, shut],
  standing: (body) => ['', body],
  'cause-said': ({ fault, verdict }) => [fault, verdict],
  'post-mortem': (body) => ['', body],
  job: ({ job, state }) => [job, state],
  decision: (body) => ['', body],
  'new-part': (body) => [body.part, body],
  step: ({ step, done, count, places, answer }) => [joinedBy(step), { step, done, count, places, answer }],
  proof: ({ proof, outcome }) => [proof, outcome],
  'price-agreed': (body) => ['', body],
  claim: (body) => ['', body],
}

/**
 * Where two who had not seen each other's lines said different things of what only one word can count on: two
 * decisions, a gate that one shut and one opened, a bolt that one took out and one put in. Both stand, and the later
 * in the journal's order counts until somebody chooses, or says something new with both in sight.
 *
 * @param live lines of one journal that count, in its order
 * @param journal all of its lines: what was corrected since tells who had seen what
 */
export function rivalsIn(live: readonly Entry[], journal: readonly Entry[]): Conflict[] {
  const groups = new Map<string, { entry: Entry; says: string }[]>()
  for (const entry of live) {
    const word = wordOf(entry)
    if (!word) continue
    const about = `${entry.kind} ${word[0]}`
    groups.set(about, [...(groups.get(about) ?? []), { entry, says: canonicalText(word[1]) }])
  }
  let knows: Knows | undefined
  return [...groups].flatMap(([about, lines]) => {
    if (lines.length < 2) return []
    knows ??= knowledgeIn(journal)
    const open = unknownToEachOther(lines, knows)
    const different = open.filter(({ says }, index) => open.findIndex((each) => each.says === says) === index)
    return different.length > 1
      ? [{ about, claims: different.map(({ entry }) => ({ entry, takenBack: false })).reverse() }]
      : []
  })
}

/** A joint is out or in by one word on it; whatever is done on the way there is a word on itself. */
function joinedBy(step: string): string {
  const ref = parseStep(step)
  return ref && ref.phase !== 'work' && ref.act === undefined && !('attempt' in ref) ? printJoint(ref) : step
}

function wordOf(entry: Entry): Word | undefined {
  return (WORDS[entry.kind] as ((body: Entry['body']) => Word) | undefined)?.(entry.body)
}

/** Lines that no later one was written in sight of, newest first. */
function unknownToEachOther<T extends { entry: Entry }>(lines: readonly T[], knows: Knows): T[] {
  const open: T[] = []
  for (const line of lines.toReversed()) if (!open.some(({ entry }) => knows(entry, line.entry))) open.push(line)
  return open
}
