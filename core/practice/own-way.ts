import { cureChance } from '../diagnosis/loss'
import { mechanismOf, type Finding } from '../diagnosis/finding'
import { infer } from '../diagnosis/inference'
import { buildModel, type DiagnosisModel } from '../diagnosis/model'
import { marginals } from '../diagnosis/reasoning'
import { checkTitle } from '../diagnosis/words/check-title'
import { checkInfo } from '../knowledge/checks/checks'
import type { Harm } from '../knowledge/practice/harms'
import type { Reader } from '../quantity/sentence'
import { findingOf } from './readings'
import { actionOf, type TryState } from './fold-try'
import { jobStep } from './lamp-way'
import type { PracticeCase } from './practice-case'
import type { TryLine, TryLineOf } from './try'
import { ARRIVING, jobKey, PROVING, readStep, type WayStep } from './way'

/** A step of the way that was gone, with what is to be said of it. */
export interface OwnStep extends WayStep {
  /** Minutes since the start, when it was over. */
  at: number
  harms: Harm[]
  isNeedless?: boolean
  /** What is believed of the right repair once it was done, 0 to 1. */
  belief?: number
}

const MINUTE = 60_000
const hurtTitle = (check: string): string => (checkInfo(check) ? checkTitle({ check }) : check.replaceAll('-', ' '))
/** A reading that moves no suspect by as much told nothing. */
const TOLD_NOTHING = 0.05

/** The way somebody went, step by step, with the minutes that each took by the clock of practice. */
export function ownWay(
  practice: PracticeCase,
  lines: readonly TryLine[],
  state: TryState,
  cures: readonly string[],
  reader: Reader,
): OwnStep[] {
  const start = state.begun.at
  const model = buildModel(practice.pump, practice.alreadyReplaced)
  const findings: Finding[] = []
  const steps: OwnStep[] = []
  const rounds = [...state.visit.rounds.map(({ jobs }) => jobs), state.visit.agreed]
  let [from, round, harms, hurtAt] = [start, 0, [] as Harm[], '']
  const minutesOf = (at: number) => (at - start) / MINUTE
  /** A step ends with this line: what went before it since the last one belongs to it. */
  const end = (step: Omit<OwnStep, 'at' | 'harms' | 'minutes'>, at: number) => {
    steps.push({ ...step, minutes: (at - from) / MINUTE, at: minutesOf(at), harms })
    ;[from, harms] = [at, []]
  }
  const longer = (last: OwnStep, at: number) => {
    last.minutes += (at - from) / MINUTE
    last.at = minutesOf(at)
    last.harms.push(...harms)
    ;[from, harms] = [at, []]
  }
  for (const line of lines) {
    const last = steps.at(-1)
    if (line.act === 'harmed') {
      harms.push(line.body.harm)
      hurtAt = line.body.at
    } else if (line.act === 'waited' && harms.length > 0)
      end({ key: `hurt:${hurtAt}`, title: hurtTitle(hurtAt), told: 'nothing was read' }, line.at)
    else if (line.act === 'read') end(readRow(line), line.at)
    else if (line.act === 'ended')
      end(
        line.body.how === 'given-up'
          ? { key: 'given-up', title: 'given up', told: 'it was left as it stood' }
          : {
              key: PROVING,
              title: 'proved and handed over',
              told: state.left.length === 0 ? 'it holds' : 'it will come back',
            },
        line.at,
      )
    else if (line.act === 'wrote') {
      const { entry } = line.body
      if (entry.kind === 'joint-done' && ['call', 'prepare', 'safe'].includes(entry.body.joint)) {
        if (last?.key === ARRIVING) longer(last, line.at)
        else if (!last) end({ key: ARRIVING, title: 'call, prepare, make safe', told: '' }, line.at)
      } else if (entry.kind === 'step' && entry.body.done) {
        const jobs = rounds[Math.min(round, rounds.length - 1)] ?? []
        const key = jobs.map(jobKey).join('+')
        if (last?.key === key) longer(last, line.at)
        else end({ ...jobRow(jobs), key }, line.at)
      } else if (entry.kind === 'comeback') {
        round++
        end({ key: 'comeback', title: 'did not prove', told: 'back to Test' }, line.at)
      }
    }
  }
  return steps

  function readRow({ body }: TryLineOf<'read'>): Omit<OwnStep, 'at' | 'harms' | 'minutes'> {
    const { minutes: _, ...step } = readStep(body, body.minutes, practice.pump, reader)
    const finding = findingOf(body)
    const again = findings.some((each) => mechanismOf(each) === mechanismOf(finding))
    const before = suspected(model, practice, findings)
    findings.push(finding)
    const after = suspected(model, practice, findings)
    const moved = Math.max(...[...after].map(([fault, belief]) => Math.abs(belief - (before.get(fault) ?? 0))))
    const isAfterRepair = steps.some(({ key }) => key.startsWith('job:'))
    return {
      ...step,
      isNeedless: !isAfterRepair && (moved < TOLD_NOTHING || again),
      ...(isAfterRepair ? {} : { belief: beliefIn(model, practice, findings, cures) }),
    }
  }

  function jobRow(jobs: readonly string[]): Omit<OwnStep, 'at' | 'harms' | 'minutes' | 'key'> {
    const actions = jobs.flatMap((id) => actionOf(practice, id) ?? [])
    const doneBefore = steps.filter(({ key }) => key.startsWith('job:')).flatMap(({ key }) => curesOf(key))
    const own = actions.flatMap((action) => action.cures)
    const { told } = jobStep({ id: '', label: '', parts: actions.flatMap(({ parts }) => parts) }, 0, practice, [
      ...doneBefore,
      ...own,
    ])
    const helps = practice.faults.some((fault) => own.includes(fault) && !doneBefore.includes(fault))
    return {
      title: actions.map(({ label }) => label).join('; ') || 'work that cures nothing',
      told: helps ? told : 'it was not that',
      isNeedless: !helps,
    }
  }

  function curesOf(key: string): string[] {
    return key.split('+').flatMap((each) => actionOf(practice, each.slice(jobKey('').length))?.cures ?? [])
  }
}

function suspected(model: DiagnosisModel, { complaints }: PracticeCase, findings: readonly Finding[]) {
  return marginals(model, infer(model, { complaints, findings: [...findings] }).probabilities)
}

function beliefIn(
  model: DiagnosisModel,
  { complaints }: PracticeCase,
  findings: readonly Finding[],
  cures: readonly string[],
): number {
  return cureChance(model.hypotheses, infer(model, { complaints, findings: [...findings] }).probabilities, cures)
}
