import type { Finding } from '../diagnosis/finding'
import { checkInfo, type Check } from '../knowledge/checks/checks'
import { CONTRADICTIONS } from '../knowledge/checks/contradictions'
import { formatNumber } from '../quantity/format'
import { UNIT_LABELS, type Unit } from '../quantity/units'
import { note } from './measuring'
import { capacitorFits, isHere, type Scene } from './scene'
import type { Answer, Doubt, Said } from './understanding'

/** How far off a value may be before it is asked. Common practice. */
const BEYOND = {
  /** A supply of a seventh of the plate or less that is more than ghosts is a slip of the point, or another thing. */
  supplyShare: 0.14,
  supplyTimes: 2.5,
  /** Running amps over this many times the service-factor amps are those of a rotor that stands. */
  ampsTimesPrinted: 3,
  ampsTimesAssumed: 8,
  /** A capacitor reads what it is or less; twice its rating is another can, or a slip. */
  capacitorTimesPrinted: 2,
  capacitorTimesAssumed: 8,
}

const LIVE: ReadonlySet<string> = new Set([
  'supply-voltage',
  'supply-voltage-loaded',
  'outlet-voltage',
  'breaker-voltage',
  'running-current',
  'locked-current',
  'lead-current',
])
/** A few volts are what a dead line shows on a meter that sees ghosts. */
const GHOST_VOLTS = 5

const unitLabel = (check: string) => UNIT_LABELS[checkInfo(check)?.unit as Unit] ?? ''

/**
 * Asks about a finding that cannot be, or hardly can: what contradicts a gate that holds, what is not fitted to this
 * machine, and figures a decimal point away from the likely.
 *
 * @returns the finding as it was, something else in its place, or a question
 */
export function weighed(said: Said, scene: Scene): Said | Doubt {
  const { finding, pieces } = said
  if (!finding) return said
  const label = checkInfo(finding.check)?.label ?? finding.check
  const noted = note(pieces)
  const anyway: Answer = { label: 'keep it so', findings: [finding] }
  if (scene.gates.has('power-off') && LIVE.has(finding.check)) return behindTheLock(said, scene, noted)
  if (!isHere(finding.check, scene))
    return { question: `${label}: this machine has none. What was meant?`, answers: [noted, anyway], pieces }
  if (finding.part && !capacitorFits(finding.part, scene))
    return {
      question: `This motor has no ${finding.part.replace('-', ' ')}. Which was read?`,
      answers: [anyway, noted],
      pieces,
    }
  if (typeof finding.value !== 'number') return said
  const against = contradicted(finding, scene)
  if (against) return { question: `${against} ${label} now?`, answers: [anyway, noted], pieces }
  const { value } = finding
  const [low, high] = checkInfo(finding.check)?.plausible ?? [0, Infinity]
  const shown = `${formatNumber(value)} ${unitLabel(finding.check)}`
  const other = (figure: number): Answer => ({
    label: `${formatNumber(figure)} ${unitLabel(finding.check)}`,
    findings: [{ ...finding, value: figure }],
  })
  if (value < low)
    return {
      question: `${label} cannot be ${shown}. What did the meter say?`,
      answers: [other(Math.abs(value)), noted],
      pieces,
    }
  if (value > high)
    return {
      question: `${label} of ${shown} is beyond ${formatNumber(high)} ${unitLabel(finding.check)}. What was it?`,
      answers: [...slips(value, high).map(other), noted],
      pieces,
    }
  const likely = likelySpan(finding, scene)
  if (likely && !likely.fits(value))
    return { question: `${label} of ${shown}?`, answers: [...likely.rather(value), anyway, noted], pieces }
  return said
}

function slips(value: number, high: number): number[] {
  return [value / 10, value / 100, value / 1000, value / 1e6].filter((figure) => figure <= high).slice(0, 1)
}

/** What was found before and has not been found otherwise since, that speaks against this reading. */
function contradicted({ check, value }: Finding, { findings = [] }: Scene): string | undefined {
  if (!value) return undefined
  return CONTRADICTIONS.find(({ before, now }) => {
    if (!now.includes(check as Check)) return false
    const last = findings.findLast(
      (one) => one.check === before.check && !one.lead && one.half !== 'pump-end' && one.of !== 'new',
    )
    return (
      last !== undefined &&
      (before.outcome === undefined ? last.value === before.value : last.outcome === before.outcome)
    )
  })?.why
}

/** Behind a lock nothing is live: no volts are the proof of it, and volts or amps are a question. */
function behindTheLock(said: Said, scene: Scene, noted: Answer): Said | Doubt {
  const finding = said.finding as Finding
  const value = finding.value
  const volts = checkInfo(finding.check)?.unit === 'V'
  if (volts && typeof value === 'number' && value >= 0 && value <= GHOST_VOLTS)
    return { other: { is: 'gate', gate: 'proved-dead', shut: true }, pieces: said.pieces }
  const label = checkInfo(finding.check)?.label ?? finding.check
  return {
    question: `${label} with the power locked off? Then it is not off.`,
    answers: [
      { label: 'the power is on', other: [{ is: 'gate', gate: 'power-off', shut: false }], findings: [finding] },
      ...(volts && scene.gates.has('power-off')
        ? [{ label: 'still live behind the lock', other: [{ is: 'gate', gate: 'proved-dead', shut: false } as const] }]
        : []),
      noted,
    ],
    pieces: said.pieces,
  }
}

interface Likely {
  fits: (value: number) => boolean
  rather: (value: number) => Answer[]
}

function likelySpan(finding: Finding, { plate, printed }: Scene): Likely | undefined {
  const unit = unitLabel(finding.check)
  const answer = (value: number, more: Partial<Finding> = {}): Answer => ({
    label: more.check ? (checkInfo(more.check)?.label ?? more.check) : `${formatNumber(value)} ${unit}`,
    findings: [{ ...finding, ...more, value }],
  })
  switch (finding.check) {
    case 'supply-voltage':
    case 'supply-voltage-loaded':
    case 'outlet-voltage':
    case 'breaker-voltage': {
      const share = (value: number) => value / plate.volts
      return {
        fits: (value) =>
          value <= GHOST_VOLTS || (share(value) > BEYOND.supplyShare && share(value) < BEYOND.supplyTimes),
        rather: (value) => [answer(value * 10 ** Math.round(-Math.log10(share(value))))],
      }
    }
    case 'running-current': {
      const printedAmps = printed.serviceFactorAmps ?? printed.fullLoadAmps
      const most = printed.lockedRotorAmps
        ? Math.min(printed.lockedRotorAmps, BEYOND.ampsTimesPrinted * plate.serviceFactorAmps)
        : (printedAmps === undefined ? BEYOND.ampsTimesAssumed : BEYOND.ampsTimesPrinted) * plate.serviceFactorAmps
      return {
        fits: (value) => value <= most,
        rather: (value) => [answer(value / 10), answer(value, { check: 'locked-current' })],
      }
    }
    case 'capacitance': {
      const start = finding.part === 'start-capacitor'
      const rated = start ? plate.startCapacitorMicrofarads : plate.runCapacitorMicrofarads
      const isPrinted = (start ? printed.startCapacitorMicrofarads : printed.runCapacitorMicrofarads) !== undefined
      const most = Array.isArray(rated) ? rated[1] : rated
      if (most === undefined) return undefined
      const times = isPrinted ? BEYOND.capacitorTimesPrinted : BEYOND.capacitorTimesAssumed
      return { fits: (value) => value <= times * most, rather: (value) => [answer(value / 10)] }
    }
    default:
      return undefined
  }
}
