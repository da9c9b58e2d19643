import * as benchWork from '../knowledge/repairs/bench-work'
import * as checks from '../knowledge/checks/checks'
import * as constructions from '../knowledge/constructions'
import * as assemblies from '../knowledge/constructions/assemblies'
import * as stuck from '../knowledge/constructions/stuck'
import * as jobs from '../knowledge/repairs/jobs'
import * as proofs from '../knowledge/repairs/proofs'
import * as safety from '../knowledge/checks/safety'
import * as vocabulary from '../knowledge/vocabulary'
import { pageOfCaution } from './where'

/** Tables that say a caution at a step, a gate, a check or a proof. */
const TABLES: readonly object[] = [
  vocabulary,
  checks,
  safety,
  constructions,
  assemblies,
  stuck,
  jobs,
  benchWork,
  proofs,
].map((module) => ({ ...module }))
const SAYS = new Set(['caution', 'reason'])

let all: readonly string[] | undefined
/** Every caution that is said anywhere, once. */
export function allCautions(): readonly string[] {
  all ??= [...new Set(cautionsIn(TABLES, new Set()))]
  return all
}

function* cautionsIn(value: unknown, seen: Set<object>): Generator<string> {
  if (typeof value !== 'object' || value === null || seen.has(value)) return
  seen.add(value)
  for (const [key, inner] of Object.entries(value))
    if (typeof inner === 'string') {
      if (SAYS.has(key)) yield inner
    } else yield* cautionsIn(inner, seen)
}

/** The cautions whose reason a page gives. */
export const cautionsOf = (page: string): string[] => allCautions().filter((each) => pageOfCaution(each) === page)
