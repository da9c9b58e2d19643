import { r, rFrom, say, type Sentence } from '../quantity/sentence'
import { judgePrecharge } from '../hydraulics/tank'
import { KPA_PER_PSI, METRES_PER_FOOT } from '../quantity/conversions'
import { capacitorBand, judgeCapacitance } from '../electrical/capacitor'
import { judgeLockedCurrent, judgeRunningCurrent } from '../electrical/current'
import { judgeInsulation } from '../electrical/insulation'
import { judgeLoadedSupply, judgeSupply } from '../electrical/supply'
import { judgeWinding } from '../electrical/winding'
import { judgeRange, type Basis, type Judgement } from '../judgement/judgement'
import { checkInfo, outcomeLabel, outcomeVerdict, partOfFinding } from '../knowledge/checks/checks'
import { BATTERY_VOLTS, CAPACITOR, PLAIN_WHATEVER, type InsulationSetup } from '../knowledge/electrical/limits'
import { PRESSURES } from '../knowledge/water/pressures'
import { RETAINING_COMPOUND } from '../knowledge/repairs/cures'
import { PARTS, SUBMERGED, WELLS, isIdOf } from '../knowledge/vocabulary'
import type { CompletePlate, GuessedFigure, Pump } from '../motor/nameplate'
import { formatNumber } from '../quantity/format'
import { isUnit, type Unit } from '../quantity/units'
import { batteryCells, plainBand, shutoffPsi, type ReadingBand } from './expected-reading'
import { sortedLeads, type Finding } from './finding'
import { groundReading, isRolePair, threePairs, windingOhmsAt20, windingPair } from './winding-reading'

const SEEN: Basis = { kind: 'handbook', name: 'seen on site, by the table of outcomes' }
const NO_LIMIT: Basis = { kind: 'shop', name: 'no limit known for this reading; kept for comparison' }

/** The usual setup of an insulation reading when none was said: a pulled motor is read alone. */
export function usualSetup({ kind }: Pick<Pump, 'kind'>, where?: Finding['where']): InsulationSetup {
  if (!SUBMERGED.includes(kind)) return 'surface-motor'
  return WELLS.includes(kind) && (where === 'bench' || where === 'barrel') ? 'motor-alone' : 'motor-and-cable'
}

export interface JudgingContext {
  pump: Pump
  plate: CompletePlate
  /** The other readings of the visit, for judgements that compare two. */
  findings: readonly Finding[]
  /** The newest earlier insulation readings of this machine by `check:setup`, for trends. */
  earlier?: Readonly<Record<string, number>>
}

/**
 * Judges one finding: value, limit, verdict, margin, reason and basis.
 *
 * Every known check yields a judgement; a reading without a limit is `unclear` and says so.
 */
export function judgeFinding(raw: Finding, context: JudgingContext): Judgement {
  const finding = groundReading(raw)
  const part = partOfFinding(finding)
  const judged =
    finding.outcome === undefined
      ? byError(byGuess(judgeMeasured(finding, context), finding, context), finding, context)
      : judgeSeen(finding)
  return {
    check: finding.check,
    ...(part ? { part } : {}),
    ...(finding.leads ? { leads: finding.leads } : {}),
    ...judged,
    subject: detailed(judged.subject, finding),
  }
}

/**
 * A reading nearer to a limit than its instrument can tell is unclear: at an end of what it may be it judges otherwise.
 */
function byError(judged: Judgement, finding: Finding, context: JudgingContext): Judgement {
  const { error, value } = finding
  if (!error || typeof value !== 'number' || judged.verdict === 'unclear') return judged
  const fails = [Math.max(0, value - error), value + error].map(
    (end) => judgeMeasured({ ...finding, value: end }, context).verdict === 'failed',
  )
  if (fails.every((end) => end === (judged.verdict === 'failed'))) return judged
  const off = isUnit(judged.unit) ? r(error, judged.unit, 2) : formatNumber(error)
  return {
    ...judged,
    verdict: 'unclear',
    because: say`${judged.because}; the instrument may be off by ${off}, and the limit lies within that`,
  }
}

/** What to read where a limit rests on a guess. */
const READ_INSTEAD: Record<Exclude<GuessedFigure, 'motorType'>, string> = {
  fullLoadAmps: 'the plate’s amps are assumed: read them',
  runCapacitor: 'its rating is assumed: read the can',
  startCapacitor: 'its rating is assumed: read the can',
  runWinding: 'the maker’s ohms are assumed: look them up',
  startWinding: 'the maker’s ohms are assumed: look them up',
  pressureSwitch: 'the switch’s setting is assumed: read its label, or watch it close',
}

/**
 * A limit that rests on an assumed plate cannot judge for certain: the reading is unclear, and what would settle it is
 * said. What is plain whatever the plate says stays: nothing, open, or so far off that no machine of its kind reads so.
 */
function byGuess(judged: Judgement, finding: Finding, { plate, findings }: JudgingContext): Judgement {
  const figure = figureOf(finding, findings)
  const value = typeof finding.value === 'number' ? finding.value : null
  if (!figure || !plate.guessed.has(figure) || value === null || judged.verdict === 'unclear') return judged
  const { low, high } = judged
  const plain =
    (low !== undefined && value < low * PLAIN_WHATEVER.underLow) ||
    (high !== undefined && value > high * PLAIN_WHATEVER.overHigh)
  if (plain && judged.verdict === 'failed') return judged
  return { ...judged, verdict: 'unclear', because: `${judged.because}; ${READ_INSTEAD[figure]}` }
}

function figureOf(
  { check, part, leads }: Finding,
  findings: readonly Finding[],
): Exclude<GuessedFigure, 'motorType'> | undefined {
  switch (check) {
    case 'running-current':
    case 'locked-current':
      return 'fullLoadAmps'
    case 'capacitance':
      return part === 'start-capacitor' ? 'startCapacitor' : 'runCapacitor'
    case 'winding-resistance':
      // Three pairs that agree speak for themselves.
      if (leads !== undefined && !isRolePair(sortedLeads(leads))) return undefined
      return part === 'start-winding' || leads?.includes('start') ? 'startWinding' : 'runWinding'
    case 'tank-precharge':
      return newest(findings, 'cut-in') === undefined ? 'pressureSwitch' : undefined
    case 'cut-in':
    case 'cut-out':
      return 'pressureSwitch'
    default:
      return undefined
  }
}

/** What is read on one lead, one half, from one side or of a new part says so. */
function detailed(subject: string, { lead, half, side, of, at, check }: Finding): string {
  return [
    of === 'new' ? `new ${subject}` : subject,
    lead && !isLeg(lead) ? lead : undefined,
    half === 'motor' ? 'motor' : half === 'pump-end' ? 'pump end' : undefined,
    side ? `${side} side` : undefined,
    at && check === 'running-current' ? at : undefined,
  ]
    .filter(Boolean)
    .join(', ')
}

const isLeg = (lead: string | undefined): boolean => lead === 'l1' || lead === 'l2'

function judgeSeen(finding: Finding): Judgement {
  const info = checkInfo(finding.check)
  const outcome = finding.outcome as string
  const verdict = outcomeVerdict(finding.check, outcome) ?? 'unclear'
  const about =
    finding.part && isIdOf(PARTS, finding.part) ? `${PARTS[finding.part]}, look` : (info?.label ?? finding.check)
  const subject = finding.at ? `${about}, ${finding.at.replaceAll('-', ' ')}` : about
  const base = { subject, value: outcome, verdict, basis: SEEN }
  if (finding.check === 'ground-ohmmeter' && outcome === 'open') {
    return {
      ...base,
      because:
        'an ordinary ohmmeter can only condemn, never clear: a winding that reads open on it can be 0.2 MΩ at ' +
        '500 V. Use the megohmmeter',
    }
  }
  if (finding.check === 'capacitor-look' && verdict === 'failed')
    return { ...base, because: `${outcomeLabel(outcome)}: failed whatever it reads`, basis: CAPACITOR.lookBasis }
  if (finding.check === 'bearing-fit' && outcome === 'loose' && finding.clearanceMillimetres !== undefined) {
    const { fillsMm: high, basis } = RETAINING_COMPOUND
    const within = finding.clearanceMillimetres <= high
    return {
      ...base,
      high,
      basis,
      because:
        `${formatNumber(finding.clearanceMillimetres)} mm on the diameter: ` +
        `${within ? `within ${high} mm, retaining compound can take it` : `over ${high} mm, a new shaft or motor`}`,
    }
  }
  if (finding.check === 'spin-start')
    return {
      ...base,
      because:
        outcome === 'starts'
          ? 'as told: the winding has power, its starting torque is missing'
          : 'as told: spinning it made no difference',
    }
  return { ...base, because: HEARD_BECAUSE[outcome] ?? outcomeLabel(outcome) }
}

/** Outcomes of recordings, which no other check has. */
const HEARD_BECAUSE: Readonly<Record<string, string>> = {
  'no-blows': 'nothing hits at the bearing’s own rates',
  blows: 'something hits at the bearing’s own rates: turned and rocked by hand it shows',
  steady: 'its rush is even',
  crackle: 'it crackles without a beat, as bubbles do that collapse: read the suction',
  gulps: 'its rush comes and goes, as with air in it: look into the pot',
}

function judgeMeasured(finding: Finding, context: JudgingContext): Judgement {
  const { pump, plate, findings } = context
  const value = finding.value ?? null
  const info = checkInfo(finding.check)
  const subject = info?.label ?? finding.check
  if (finding.check === 'winding-resistance') return judgeWindingFinding(finding, context)
  if (value === null)
    return {
      subject,
      value: null,
      unit: info?.unit,
      verdict: 'unclear',
      because: 'over range: the instrument gave no figure',
      basis: NO_LIMIT,
    }
  const withoutLimit: Judgement = {
    subject,
    value,
    unit: info?.unit,
    verdict: 'unclear',
    because: 'no limit known for this machine; kept for comparison',
    basis: NO_LIMIT,
  }
  switch (finding.check) {
    case 'tank-precharge':
      return judgeTank(value, context) ?? withoutLimit
    case 'supply-voltage':
      return isLeg(finding.lead) ? judgeLeg(finding, value, context) : judgeSupply(plate.volts, value)
    case 'outlet-voltage':
      return judgeSupply(plate.volts, value, 'outlet')
    case 'breaker-voltage':
      return judgeSupply(plate.volts, value, 'volts at the breaker')
    case 'supply-voltage-loaded':
      if (isLeg(finding.lead)) return judgeLeg(finding, value, context)
      return judgeLoadedSupply(plate.volts, value, newest(findings, 'supply-voltage'))
    case 'running-current':
      return judgeRunningCurrent(value, plate.fullLoadAmps, plate.serviceFactorAmps)
    case 'locked-current':
      return judgeLockedCurrent(value, plate.fullLoadAmps, plate.lockedRotorAmps)
    case 'capacitance':
      return judgeCapacitorFinding(finding, value, plate)
    case 'insulation-resistance': {
      const setup = finding.setup ?? usualSetup(pump, finding.where)
      return judgeInsulation({
        megohms: value,
        setup,
        celsius: finding.celsius,
        testVolts: finding.testVolts,
        ageState: finding.ageState ?? (finding.of === 'new' ? 'new' : undefined),
        earlierMegohms: context.earlier?.[`insulation-resistance:${setup}`],
      })
    }
    default:
      return judgeByLimits(finding.check, value, context) ?? withoutLimit
  }
}

/** One leg to ground is half of a supply of two legs; with the other leg read too, both together are the line. */
function judgeLeg(finding: Finding, value: number, { plate, findings }: JudgingContext): Judgement {
  const twoLegs = plate.volts >= TWO_LEGS_FROM_VOLTS
  const other = findings.findLast(
    ({ check, lead, value: volts }) =>
      check === finding.check && isLeg(lead) && lead !== finding.lead && typeof volts === 'number',
  )?.value
  const judged = judgeSupply(
    twoLegs ? plate.volts / 2 : plate.volts,
    value,
    `${finding.lead?.toUpperCase()} to ground${finding.check === 'supply-voltage-loaded' ? ', under load' : ''}`,
  )
  return twoLegs && typeof other === 'number'
    ? { ...judged, because: `${judged.because}; both legs together ${formatNumber(other + value)} V` }
    : judged
}

/** From here a supply comes on two legs with the ground between them; below, on one. North American practice. */
const TWO_LEGS_FROM_VOLTS = 200

function judgeCapacitorFinding(finding: Finding, value: number, plate: CompletePlate): Judgement {
  const role = finding.part === 'start-capacitor' ? 'start' : 'run'
  const rated = role === 'run' ? plate.runCapacitorMicrofarads : plate.startCapacitorMicrofarads
  if (rated === undefined) {
    return {
      subject: `${role} capacitor`,
      value,
      unit: 'uF',
      verdict: 'unclear',
      because: `this motor type has no ${role} capacitor by its plate: check the type, or enter the rating`,
      basis: role === 'run' ? CAPACITOR.runBasis : CAPACITOR.startBasis,
    }
  }
  return judgeCapacitance(
    role,
    capacitorBand(role, rated, role === 'run' ? plate.capacitorTolerancePercent : undefined),
    value,
  )
}

function judgeWindingFinding(finding: Finding, { pump, plate, findings }: JudgingContext): Judgement {
  const pair = windingPair(finding, pump.kind)
  const { runWinding: run, startWinding } = plate
  const range =
    pair === 'run-start'
      ? { low: run.low + startWinding.low, high: run.high + startWinding.high, basis: run.basis }
      : pair === 'common-start'
        ? startWinding
        : run
  const name = pair === 'run-start' ? 'run + start winding' : pair === 'common-start' ? 'start winding' : 'run winding'
  const value = finding.value ?? null
  const { ohms, cableOhms } = windingOhmsAt20(finding, pump)
  const own = finding.leads !== undefined && !isRolePair(finding.leads.split('-').sort().join('-'))
  const together = own ? threePairs(findings, pump) : undefined
  const judged = judgeWinding(own ? `winding ${finding.leads}` : name, ohms, range)
  if (together?.swapped) return { ...judged, value, verdict: 'failed', because: together.swapped }
  if (own && !isRolePair(pair) && value !== null) {
    if (together) return { ...judged, value, verdict: together.verdict, because: together.because }
    return {
      ...judged,
      value,
      verdict: 'unclear',
      because:
        `${formatNumber(value)} Ω between ${finding.leads?.replace('-', ' and ')}: three pairs together name the ` +
        'leads',
    }
  }
  if (value === null || ohms === null) return judged
  const taken = [
    cableOhms === undefined ? '' : `${formatNumber(cableOhms)} Ω of cable off`,
    finding.celsius === undefined ? '' : `${formatNumber(ohms)} Ω at 20 °C`,
  ].filter(Boolean)
  return {
    ...judged,
    value,
    because: `${judged.because}${taken.length > 0 ? ` (${taken.join(', ')})` : ''}`,
    ...(taken.length > 0
      ? {
          corrected: {
            value: ohms,
            to: cableOhms === undefined ? '20 °C' : 'the winding alone',
            rule: 'copper, IEC 60028',
          },
        }
      : {}),
  }
}

/**
 * The tank's air against the switch's cut-in: the one judgement that the tank's question and working make too. Where
 * the switch was seen to close, that counts before what its card says.
 */
function judgeTank(psi: number, { plate, findings }: JudgingContext): Judgement | undefined {
  const cutInPsi = newest(findings, 'cut-in') ?? plate.cutInPsi
  if (cutInPsi === undefined) return undefined
  const { verdict, wantedKpa, offKpa, lowKpa, highKpa, emptyBeforeCutIn } = judgePrecharge(
    psi * KPA_PER_PSI,
    cutInPsi * KPA_PER_PSI,
  )
  const [low, high, wanted, off] = [lowKpa, highKpa, wantedKpa, offKpa].map((kpa) => kpa / KPA_PER_PSI) as [
    number,
    number,
    number,
    number,
  ]
  const stands =
    Math.abs(off) < 0.5 ? 'as it should be' : say`${r(Math.abs(off), 'psi')} ${off < 0 ? 'below' : 'above'}`
  return {
    subject: checkInfo('tank-precharge')?.label ?? 'tank precharge',
    value: psi,
    unit: 'psi',
    verdict,
    low,
    high,
    margin: judgeRange(psi, { low, high }).margin,
    because: emptyBeforeCutIn
      ? say`above the cut-in of ${r(cutInPsi, 'psi')}: the taps run dry before the pump starts`
      : say`${stands}, wanted ${r(wanted, 'psi')}, ${r(PRESSURES.precharge.belowCutInPsi, 'psi')} below cut-in`,
    basis: PRESSURES.precharge.basis,
  }
}

function newest(findings: readonly Finding[], check: string): number | undefined {
  return (
    findings.findLast((finding) => finding.check === check && !finding.lead && finding.of !== 'new')?.value ?? undefined
  )
}

/** Readings that are compared with a plain band of the installation or the table. */
function judgeByLimits(check: string, value: number, context: JudgingContext): Judgement | undefined {
  const info = checkInfo(check)
  const limits = bandOf(check, value, context)
  if (!limits) return undefined
  const { verdict, margin } = judgeRange(value, limits)
  return {
    subject: info?.label ?? check,
    value,
    unit: info?.unit,
    verdict,
    low: limits.low,
    high: limits.high,
    margin,
    because: bandWords(limits, info?.unit, verdict === 'failed'),
    basis: limits.basis,
  }
}

/** "inside 38 to 42 psi", "not above 25 psi", "below 60 s". */
function bandWords({ low, high }: ReadingBand, unit: Unit | undefined, failed: boolean): Sentence {
  const amount = (value: number) => (unit ? r(value, unit) : formatNumber(value))
  if (low === undefined) return say`${failed ? 'above' : 'not above'} ${amount(high as number)}`
  if (high === undefined) return say`${failed ? 'below' : 'not below'} ${amount(low)}`
  return say`${failed ? 'outside' : 'inside'} ${unit ? rFrom(low, unit) : formatNumber(low)} to ${amount(high)}`
}

function bandOf(check: string, value: number, { pump, plate }: JudgingContext): ReadingBand | undefined {
  const { cutTolerancePsi: cut, cycleSeconds, shutoff, waterOverIntake } = PRESSURES
  const around = (centre: number | undefined, half: number, basis: Basis) =>
    centre === undefined ? undefined : { low: centre - half, high: centre + half, basis }
  switch (check) {
    case 'cut-in':
      return around(plate.cutInPsi, cut.value, cut.basis)
    case 'cut-out':
      return around(plate.cutOutPsi, cut.value, cut.basis)
    case 'cycle-time':
      return { low: pump.kind === 'sump' ? cycleSeconds.sumpLow : cycleSeconds.low, basis: cycleSeconds.basis }
    case 'shutoff-pressure': {
      const expected = shutoffPsi(pump)
      return expected === undefined ? undefined : { low: expected * shutoff.soundFraction, basis: shutoff.basis }
    }
    case 'pumping-water-level': {
      const depth = pump.installation?.wellDepthMetres
      return depth === undefined
        ? undefined
        : { high: (depth * (1 - waterOverIntake.lowFraction)) / METRES_PER_FOOT, basis: waterOverIntake.basis }
    }
    case 'battery-voltage':
      return { low: BATTERY_VOLTS.perSix.failed * batteryCells(value), basis: BATTERY_VOLTS.basis }
    default:
      return plainBand(check, pump)
  }
}
