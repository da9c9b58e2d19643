import { computed } from 'vue'
import { storeToRefs } from 'pinia'
import type { JointPlace } from '#core/knowledge/constructions/joint'
import type { JointCorrection } from '#core/takedown/as-here'
import { render } from '#core/quantity/sentence'
import { likelyMinutes } from '#core/takedown/clock'
import { waterStakes, type Downtime, type WaterStakes } from '#core/takedown/downtime'
import { isOpening, jointOf, opening } from '#core/takedown/step-ref'
import { partVerdicts } from '#core/visit/fold'
import { splitStep } from '#core/takedown/split-step'
import { spareGoesIn } from '#core/takedown/step-plan'
import { trayOf } from '#core/takedown/tray'
import { whileOpenSums } from '#core/takedown/while-open'
import { useRepairPlan } from '~/stores/repair-plan'

/** What is said of a step as it is ticked. */
interface Ticked {
  count?: number
  places?: JointPlace[]
  reason?: string
  note?: string
  answer?: string
}

/** The plan of the agreed jobs, where in it the work stands, and what lies in the tray. */
export function useRepair() {
  const { visit, state } = useVisitContext()
  const { plan, records, clock } = storeToRefs(useRepairPlan())
  const { settle } = useNewParts()
  const shelfUse = useShelfUse()
  const { reader } = useUnits()
  /** What hangs on the water is known at once; how long it is off, once the clock is read. */
  const downtime = computed<WaterStakes & Partial<Downtime>>(
    () => clock.value?.downtime ?? waterStakes(state.value.machine.kind, state.value.machine.installation),
  )
  const canSpare = computed(() => {
    const { kind, construction } = state.value.machine
    return plan.value !== undefined && spareGoesIn(kind, construction, plan.value, state.value.standing)
  })
  const ticked = computed(
    () => new Set(state.value.entries.flatMap((entry) => (entry.kind === 'step' ? [entry.body.step] : []))),
  )
  /** What Safe had shut was no step of this list, and is none once the power is back: the numbers stand. */
  const steps = computed(() =>
    (plan.value?.steps ?? [])
      .map((step) => ({ ...step, record: records.value.get(step.id) }))
      .filter(({ id, record }) => !record?.done || ticked.value.has(id))
      .map((step, index) => ({ ...step, ...splitStep(render(step.text, reader.value)), number: index + 1 })),
  )
  const current = computed(() => steps.value.find(({ record }) => !record?.done))
  const lastDone = computed(() => steps.value.findLast(({ record }) => record?.done))
  const tray = computed(() => (plan.value ? trayOf(plan.value, records.value) : []))
  /** What came out at this opening on the way down, for the way back. */
  const cameOut = (id: string) => {
    const joint = jointOf(id)
    const record = joint === undefined ? undefined : records.value.get(opening(joint))
    return record?.count === undefined ? undefined : { count: record.count, places: record.places }
  }
  const likely = computed(() => likelyMinutes(steps.value))
  const minutesLeft = computed(() => likelyMinutes(steps.value.filter(({ record }) => !record?.done)))
  const verdicts = computed(() => new Map([...partVerdicts(state.value)].map(([part, { verdict }]) => [part, verdict])))
  const whileOpen = computed(() =>
    plan.value
      ? whileOpenSums(
          plan.value.whileOpen,
          likely.value,
          state.value.plate.ageYears,
          visit.shop.rates,
          state.value.pump,
          verdicts.value,
        )
      : [],
  )
  function tick(step: string, done: boolean, { count, places, reason, note, answer }: Ticked = {}): void {
    const planned = steps.value.find(({ id }) => id === step)
    const before = shelfUse.inPlace()
    visit.append('step', {
      step,
      done,
      ...(count === undefined ? {} : { count }),
      ...(places && planned?.places ? { places } : {}),
      ...(reason ? { reason } : {}),
      ...(note ? { note } : {}),
      ...(answer ? { answer } : {}),
      ...(planned ? { estimate: planned.estimate } : {}),
    })
    if (done) settle()
    void shelfUse.follow(before)
    // Counted otherwise than its construction: the machine remembers, for next time.
    if (
      done &&
      planned !== undefined &&
      isOpening(step) &&
      count !== undefined &&
      (count !== planned.count || JSON.stringify(places) !== JSON.stringify(planned.places))
    )
      correct(step, { count, ...(places && planned.places ? { places } : {}) })
  }
  /** What this machine has otherwise at a joint is kept with it. */
  function correct(step: string, otherwise: Omit<JointCorrection, 'joint'>): void {
    const joint = jointOf(step)
    if (joint === undefined || Object.keys(otherwise).length === 0) return
    const { machine } = state.value
    const known = machine.joints?.find((each) => each.joint === joint)
    visit.append('machine-set', {
      machine: {
        ...machine,
        joints: [...(machine.joints ?? []).filter((each) => each.joint !== joint), { ...known, joint, ...otherwise }],
      },
    })
  }
  const stuck = (step: string) => visit.append('take-down-found', { joint: jointOf(step), what: 'stuck' })
  const damaged = (part: string) => visit.append('take-down-found', { part: part as never, what: 'damaged' })
  return {
    plan,
    records,
    clock,
    downtime,
    canSpare,
    steps,
    current,
    lastDone,
    tray,
    cameOut,
    minutesLeft,
    whileOpen,
    tick,
    correct,
    stuck,
    damaged,
  }
}
