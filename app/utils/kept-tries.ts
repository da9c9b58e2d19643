import { HARDNESS, readCode } from '#core/knowledge/practice/case-code'
import { actsOf, type TryLine } from '#core/practice/try'
import { groupedBy } from '#core/quantity/grouped'
import { KINDS } from '#core/knowledge/vocabulary'
import type { KeptTryLine } from './practice-store'

/** A try as a list has it: nothing of its case is drawn for that. */
export interface KeptTry {
  id: string
  number: number
  title: string
  at: number
  minutes: number
  harms: number
  ended?: 'handed-over' | 'given-up'
}

/** The tries of a device, the newest first. */
export function keptTries(lines: readonly KeptTryLine[]): KeptTry[] {
  return [...groupedBy(lines, ({ tryId }) => tryId)]
    .flatMap(([id, own]) => keptTry(id, own))
    .sort((a, b) => b.at - a.at)
}

function keptTry(id: string, lines: readonly TryLine[]): KeptTry[] {
  const begun = actsOf(lines, 'begun')[0]
  const read = begun && readCode(begun.body.of.code)
  if (!begun || !read) return []
  const last = Math.max(...lines.map(({ at }) => at))
  const ended = actsOf(lines, 'ended')[0]?.body.how
  return [
    {
      id,
      number: begun.body.number,
      title: `${KINDS[read.kind]}, ${HARDNESS[read.hardness]}`,
      at: begun.at,
      minutes: (last - begun.at) / 60_000,
      harms: actsOf(lines, 'harmed').length,
      ...(ended ? { ended } : {}),
    },
  ]
}

/** The address under which anybody comes to the pump of a code. */
export const caseLink = (code: string): string => `${location.origin}/practice/case/${code}`
