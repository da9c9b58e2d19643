import { TURNING_AMPS, TURNING_SEEN } from '../knowledge/checks/standstill'
import type { Check } from '../knowledge/checks/checks'
import { SUPPLY } from '../knowledge/electrical/limits'
import type { CompletePlate } from '../motor/nameplate'
import type { Finding } from './finding'

/** Complaints of a shaft that stands. */
const TOLD_STILL: ReadonlySet<string> = new Set(['dead', 'hums-no-start'])

/** Figures of water that moves just now; a cut-out may have been read off the switch’s label. */
const SHOWN_BY_WATER: ReadonlySet<string> = new Set([
  'flow',
  'filter-pressure',
  'discharge-pressure',
  'shutoff-pressure',
])

/**
 * Does this finding show the shaft turning, or standing?
 *
 * @returns undefined where it says nothing of it
 */
export function turningSeen(
  { check, outcome, value, part, leads }: Finding,
  { fullLoadAmps }: Pick<CompletePlate, 'fullLoadAmps'>,
): boolean | undefined {
  if (check === 'running-current') {
    if (typeof value !== 'number') return undefined
    const share = value / fullLoadAmps
    return share >= TURNING_AMPS.nothingUnder && share < TURNING_AMPS.stalledFrom
  }
  if (SHOWN_BY_WATER.has(check)) return typeof value === 'number' && value > 1 ? true : undefined
  if (check === 'shaft-turn') return outcome === 'seized' ? false : undefined
  if (drawsNothing({ check, outcome, value, part, leads })) return false
  return outcome === undefined ? undefined : TURNING_SEEN[check as Check]?.[outcome]
}

/** Open in its one path: nothing can be drawn, whatever is switched on. */
function drawsNothing({
  check,
  outcome,
  value,
  part,
  leads,
}: Pick<Finding, 'check' | 'outcome' | 'value' | 'part' | 'leads'>): boolean {
  if (check === 'thermal-protector-continuity') return outcome === 'open'
  if (check === 'float-bypass' || check === 'dry-bump') return outcome === 'silent'
  return check === 'winding-resistance' && value === null && part !== 'start-winding' && !leads?.includes('start')
}

/** No volts to speak of where they were read. */
export function showsNoPower({ check, value, lead }: Finding, { volts }: Pick<CompletePlate, 'volts'>): boolean {
  return (
    (check === 'supply-voltage' || check === 'supply-voltage-loaded' || check === 'outlet-voltage') &&
    !lead &&
    typeof value === 'number' &&
    value < volts * SUPPLY.absentFraction
  )
}

/** How the machine stands: what was found last decides, else what was told. */
export interface Standstill {
  /** Nothing turns. */
  still: boolean
  /** Nothing is drawn either: dead, or without power. */
  dead: boolean
  /** There are no volts at the terminals. */
  noPower: boolean
}

export function standstillOf(
  findings: readonly Finding[],
  complaints: readonly string[],
  plate: Pick<CompletePlate, 'fullLoadAmps' | 'volts'>,
): Standstill {
  const toldDead = complaints.includes('dead')
  const speaking = findings.flatMap((finding) => {
    // Where nothing is heard of what is told dead, that is the silence of a machine that stands.
    if (toldDead && finding.check === 'listen' && finding.outcome === 'quiet') return []
    const turns = turningSeen(finding, plate)
    return turns === undefined ? [] : [turns]
  })
  const noPower = findings.findLast(({ check }) => check === 'supply-voltage' || check === 'outlet-voltage')
  const turns = speaking.at(-1)
  return {
    still: turns === undefined ? complaints.some((complaint) => TOLD_STILL.has(complaint)) : !turns,
    dead: turns === undefined ? toldDead : turns === false && findings.some(drawsNothing),
    noPower: noPower !== undefined && showsNoPower(noPower, plate),
  }
}

/** Findings that cannot all be true: one of a machine that stands, and those of the same machine turning. */
export interface Fight {
  dead: Finding
  live: Finding[]
}

/**
 * Findings that cannot all be true of one machine: what is seized does not turn, and what has no volts does not run.
 * Undefined where none fight.
 */
export function fightOf(
  findings: readonly Finding[],
  plate: Pick<CompletePlate, 'fullLoadAmps' | 'volts'>,
): Fight | undefined {
  const live = findings.filter((finding) => turningSeen(finding, plate) === true)
  const dead = findings.findLast(
    (finding) =>
      (finding.check === 'shaft-turn' && finding.outcome === 'seized') ||
      showsNoPower(finding, plate) ||
      (finding.check === 'running-current' &&
        typeof finding.value === 'number' &&
        finding.value / plate.fullLoadAmps < TURNING_AMPS.nothingUnder),
  )
  return live.length > 0 && dead ? { dead, live } : undefined
}
