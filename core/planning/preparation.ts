import type { Bill } from '../decision/bill'
import { partLabel } from '../decision/part-label'
import { marginals, type Reasoning } from '../diagnosis/reasoning'
import { faultLabel } from '../diagnosis/words/fault-label'
import type { PartWant } from '../fits/for-part'
import type { ActionRow } from '../knowledge/faults/model-types'
import type { Part } from '../knowledge/vocabulary'
import { LOADING } from '../knowledge/shop/loading'

export interface LoadItem {
  id: string
  label: string
  kind: 'part' | 'tool'
  fault: string
  because: string
  probability: number
  /** What this machine takes for it, where the list is made for a whole day. */
  wants?: PartWant[]
}
/** A repair that may be the one, and the parts of the vocabulary that it takes. */
export interface LikelyRepair {
  probability: number
  parts: readonly Part[]
}
export interface Preparation {
  suspects: { fault: string; label: string; probability: number }[]
  /** Every repair that is likely enough to count, however seldom its parts are carried. */
  repairs: LikelyRepair[]
  parts: LoadItem[]
  tools: LoadItem[]
}

const EVERY_VISIT = 'every visit'

/**
 * From the complaint alone: the suspects, and so the parts and tools worth loading, each tied to the suspect it is for.
 *
 * Findings are left out on purpose: this is what can be known in the shop.
 */
export function prepare({ model, posterior }: Reasoning): Preparation {
  const always = LOADING.everyVisit.map((tool): LoadItem => ({
    id: `tool:${tool}`,
    label: tool,
    kind: 'tool',
    fault: '',
    because: EVERY_VISIT,
    probability: 1,
  }))
  const likely = [...marginals(model, posterior.fromComplaint)]
    .map(([fault, probability]) => ({ fault, label: faultLabel(fault), probability }))
    .filter(({ fault, probability }) => fault !== 'nothing-wrong' && probability >= LOADING.worthCounting)
    .sort((a, b) => b.probability - a.probability)
  const suspects = likely
    .filter(({ probability }) => probability >= LOADING.worthLoading)
    .slice(0, LOADING.mostSuspects)
  const parts = new Map<string, LoadItem>()
  const tools = new Map<string, LoadItem>(always.map((item) => [item.id, item]))
  for (const { fault, label, probability } of suspects) {
    const repair = repairFor(model.actions, fault)
    for (const part of repair?.parts ?? []) {
      if (LOADING.bulky.has(part) && probability < LOADING.bulkyFrom) continue
      const id = `part:${part}`
      if (!parts.has(id))
        parts.set(id, { id, label: partLabel(part, model.plate), kind: 'part', fault, because: label, probability })
    }
    for (const tool of repair?.tools ?? []) {
      const id = `tool:${tool}`
      if (!tools.has(id)) tools.set(id, { id, label: tool, kind: 'tool', fault, because: label, probability })
    }
  }
  const repairs = likely.map(({ fault, probability }) => ({
    probability,
    parts: repairFor(model.actions, fault)?.parts ?? [],
  }))
  return { suspects, repairs, parts: [...parts.values()], tools: [...tools.values()] }
}

/** What cures a fault and as little besides as can be. */
export function repairFor(actions: readonly ActionRow[], fault: string): ActionRow | undefined {
  return actions
    .filter(({ cures }) => (cures as readonly string[]).includes(fault))
    .sort((a, b) => a.cures.length - b.cures.length)[0]
}

/**
 * Once jobs are agreed, what they need and nothing else: the parts of their one plan as they are identified, and its
 * tools.
 */
export function prepareAgreed(
  { suspects, tools }: Preparation,
  bill: Pick<Bill, 'parts' | 'tools' | 'lines'>,
): Preparation {
  const because = bill.lines.map(({ label }) => label).join('; ')
  const needed = (id: string, label: string, kind: LoadItem['kind']): LoadItem => ({
    id,
    label,
    kind,
    fault: '',
    because,
    probability: 1,
  })
  const everyVisit = tools.filter((tool) => tool.because === EVERY_VISIT)
  const known = new Set(everyVisit.map(({ id }) => id))
  return {
    suspects,
    repairs: [{ probability: 1, parts: bill.parts.map(({ part }) => part) }],
    parts: bill.parts.map(({ part, label }) => needed(`part:${part}`, label, 'part')),
    tools: [
      ...everyVisit,
      ...bill.tools.map((tool) => needed(`tool:${tool}`, tool, 'tool')).filter(({ id }) => !known.has(id)),
    ],
  }
}
