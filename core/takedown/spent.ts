import type { Joint, WorkStep } from '../knowledge/constructions/joint'
import { RINGS } from '../knowledge/constructions/part-groups'
import { wayOf } from '../knowledge/shop/practices'
import { PARTS, type Part } from '../knowledge/vocabulary'
import type { Telling } from '../quantity/sentence'
import type { Consumable, TakeDownOptions, TakeDownStep } from './plan'

/** The parts that a take-down spends, each with its reason. */
export function partsSpent(
  order: readonly Joint[],
  targets: readonly Part[],
  work: readonly WorkStep[],
  { found = [], practices }: TakeDownOptions,
  lost: readonly Part[],
): { part: Part; because: string }[] {
  const spent = new Map<Part, string>()
  const damaged = new Set(found.flatMap(({ part, what }) => (part && what === 'damaged' ? [part] : [])))
  for (const part of targets) spent.set(part, damaged.has(part) ? 'found damaged' : 'to be replaced')
  for (const joint of order)
    for (const part of joint.spends ?? [])
      if (!spent.has(part))
        spent.set(
          part,
          `${PARTS[joint.part]} disturbed` +
            (wayOf('rings', practices) === 'reuse' && RINGS.includes(part) ? ': only if it is not new and clean' : ''),
        )
  for (const step of work)
    for (const part of step.spends ?? []) if (!spent.has(part)) spent.set(part, 'comes new with it')
  for (const part of damaged) if (!spent.has(part)) spent.set(part, 'found damaged')
  for (const part of lost) if (!spent.has(part)) spent.set(part, 'could not be freed')
  return [...spent].map(([part, because]) => ({ part, because }))
}

/** The materials that its steps spend, each with the first step that does. */
export function materialsSpent(steps: readonly TakeDownStep[]): Consumable[] {
  const spent = new Map<string, string>()
  for (const { materials = [], text } of steps)
    for (const material of materials) if (material && !spent.has(material)) spent.set(material, firstWords(text))
  return [...spent].map(([material, because]) => ({ material, because }))
}

/** What a step is about: its words up to its first stop or amount. */
function firstWords(text: Telling): string {
  const words = typeof text === 'string' ? text : String(text[0])
  return words
    .replace(/[:;,.].*$/, '')
    .trim()
    .toLowerCase()
}
