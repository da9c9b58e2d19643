import { buildModel } from '../diagnosis/model'
import { checkKey, pickAsked, type Asked } from '../diagnosis/finding'
import { checkInfo, isAsked } from '../knowledge/checks/checks'
import type { PracticeCase } from './practice-case'

/** What eyes, ears, hands and gauges do, beside the meter. */
export const BY_HAND = { look: 'Look', listen: 'Listen', turn: 'Turn', gauge: 'Gauge', try: 'Try' } as const
export type ByHand = keyof typeof BY_HAND

/** Units that the bench meter has; a check in another is read by a gauge, a rule or a watch. */
const OF_METER: ReadonlySet<string> = new Set(['V', 'A', 'ohm', 'Mohm', 'uF'])
const OF_BENCH: ReadonlySet<string> = new Set(['ground-ohmmeter', 'thermal-protector-continuity'])
const LISTENED: ReadonlySet<string> = new Set(['listen', 'motor-alone-listen'])
const TURNED: ReadonlySet<string> = new Set([
  'shaft-turn',
  'shaft-rock',
  'coupling-turn',
  'spin-start',
  'float-move',
  'thrust-gauge',
  'bearing-fit',
])
/** Something is done to the machine, and what it then does is the answer. */
const TRIED: ReadonlySet<string> = new Set([
  'breaker',
  'gfci',
  'control-box-swap',
  'float-bypass',
  'float-run',
  'prime-hold',
  'air-leak-test',
  'check-valve',
  'house-leak',
  'house-filter',
  'tank-air',
  'interlock',
])

/** Is this check read by leads and dial? */
export function isOfBench(check: string): boolean {
  const unit = checkInfo(check)?.unit
  return OF_BENCH.has(check) || (unit !== undefined && OF_METER.has(unit))
}

export function groupOf(check: string): ByHand {
  if (LISTENED.has(check)) return 'listen'
  if (TURNED.has(check)) return 'turn'
  if (TRIED.has(check)) return 'try'
  return checkInfo(check)?.unit === undefined ? 'look' : 'gauge'
}

/** Every check of this machine that the bench meter does not read, by what it is done with. */
export function checksByHand({ pump }: Pick<PracticeCase, 'pump'>): Record<ByHand, Asked[]> {
  const groups: Record<ByHand, Asked[]> = { look: [], listen: [], turn: [], gauge: [], try: [] }
  const seen = new Set<string>()
  for (const check of buildModel(pump).checks) {
    const asked = pickAsked(check)
    const info = checkInfo(asked.check)
    if (!info || !isAsked(info) || isOfBench(asked.check) || check.standings || seen.has(checkKey(asked))) continue
    seen.add(checkKey(asked))
    groups[groupOf(asked.check)].push(asked)
  }
  return groups
}
