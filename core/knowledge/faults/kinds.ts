import type { Basis } from '../../judgement/judgement'
import { ACTIONS_HOUSE_WATER } from '../repairs/actions-house-water'
import { ACTIONS_PIT } from '../repairs/actions-pit'
import { ACTIONS_SUPPLY } from '../repairs/actions-supply'
import { ACTIONS_SURFACE } from '../repairs/actions-surface'
import { COMPLAINT_LEAK, complaintsByType, complaintsOf } from './fault-complaints'
import { FAULT_PAIRS, REPLACEMENT } from './fault-pairs'
import { FAULT_RATES } from './fault-rates'
import { FAULT_TRAITS } from './fault-traits'
import { MEASURED_ELECTRICAL } from '../checks/measured-electrical'
import { MEASURED_WATER } from '../checks/measured-water'
import type { Applies, FaultRow, KindKnowledge } from './model-types'
import { SEEN_ELECTRICAL } from '../checks/seen-electrical'
import { SEEN_MECHANICAL } from '../checks/seen-mechanical'
import { SEEN_TRIALS } from '../checks/seen-trials'
import { SEEN_WATER } from '../checks/seen-water'
import { KINDS, type Fault, type Kind } from '../vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
type SingleFault = Exclude<Fault, 'nothing-wrong'>

function faultRows(kind: Kind): FaultRow[] {
  const { per1000, atYears, parts, basis } = FAULT_RATES[kind]
  return (Object.keys(per1000) as SingleFault[]).map((fault) => ({
    fault,
    per1000: per1000[fault] as number,
    atYears,
    ...FAULT_TRAITS[fault],
    ...(parts?.[fault] ? { part: parts[fault] } : {}),
    complaints: complaintsOf(kind, fault),
    complaintsByType: complaintsByType(fault),
    basis,
  }))
}

/** Everything known of one kind: the rows of the tables that hold for it, speaking only of faults it can have. */
function compose(kind: Kind): KindKnowledge {
  const faults = faultRows(kind)
  const known = new Set<string>(faults.map(({ fault }) => fault))
  const holds = ({ kinds }: Applies) => kinds?.includes(kind) ?? true
  const own = <T extends { effects: Partial<Record<Fault, unknown>> }>(row: T): T => ({
    ...row,
    effects: Object.fromEntries(Object.entries(row.effects).filter(([fault]) => known.has(fault))),
  })
  const masks = Object.fromEntries(
    Object.entries(REPLACEMENT.masks).map(([part, list]) => [part, list.filter((fault) => known.has(fault))]),
  )
  const brings = Object.fromEntries(
    Object.entries(REPLACEMENT.brings).map(([part, rates]) => [
      part,
      Object.fromEntries(Object.entries(rates).filter(([fault]) => known.has(fault))),
    ]),
  )
  return {
    faults,
    complaintLeak: COMPLAINT_LEAK,
    unnoticed: 0.3,
    nothingWrong: { per1000: 8, complaints: complaintsOf(kind, 'nothing-wrong'), basis: shop },
    pairs: FAULT_PAIRS.filter(({ faults: pair }) => pair.every((fault) => known.has(fault))),
    blocking: (['no-supply', 'outlet-dead', 'timer-failed'] as const).filter((fault) => known.has(fault)),
    replacement: { ...REPLACEMENT, masks, brings },
    seen: [...SEEN_ELECTRICAL, ...SEEN_MECHANICAL, ...SEEN_WATER, ...SEEN_TRIALS].filter(holds).map(own),
    measured: [...MEASURED_ELECTRICAL, ...MEASURED_WATER].filter(holds).map(own),
    actions: [...ACTIONS_SUPPLY, ...ACTIONS_SURFACE, ...ACTIONS_HOUSE_WATER, ...ACTIONS_PIT]
      .filter(holds)
      .map((action) => ({
        ...action,
        cures: action.cures.filter((fault) => fault === 'nothing-wrong' || known.has(fault)),
      }))
      .filter(({ cures }) => cures.length > 0),
  }
}

/** What is known of each kind of pump. */
export const KIND_KNOWLEDGE = Object.fromEntries(
  (Object.keys(KINDS) as Kind[]).map((kind) => [kind, compose(kind)]),
) as Record<Kind, KindKnowledge>
