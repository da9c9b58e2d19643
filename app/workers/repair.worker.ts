import { expose } from 'comlink'
import type { Construction, Kind } from '#core/knowledge/vocabulary'
import type { Installation } from '#core/motor/nameplate'
import { minutesOf } from '#core/takedown/clock'
import { downtimeOf, type Downtime } from '#core/takedown/downtime'
import { repairSteps, spareGoesIn, type RepairOptions, type StepPlan } from '#core/takedown/step-plan'

/** What a repair takes from here on: its clock, and how long the water is off. */
export interface RepairClock {
  minutes: StepPlan['minutes']
  downtime: Downtime
}

const clock = {
  /** The tries of every step’s three points, off the page’s own thread. */
  read(
    kind: Kind,
    construction: Construction,
    jobs: readonly string[],
    options: RepairOptions,
    installation: Installation | undefined,
    done: readonly string[],
  ): RepairClock | undefined {
    const plan = repairSteps(kind, construction, jobs, options)
    if (!plan) return undefined
    const inPlace = options.spareFirst ? repairSteps(kind, construction, jobs, { ...options, spareFirst: false }) : plan
    const spare =
      inPlace && spareGoesIn(kind, construction, inPlace)
        ? repairSteps(kind, construction, jobs, { ...options, spareFirst: true })
        : undefined
    return {
      minutes: minutesOf(
        plan.steps.filter(({ id }) => !done.includes(id)),
        plan.waits,
      ),
      downtime: downtimeOf(kind, inPlace ?? plan, spare, installation),
    }
  },
}
export type Clock = typeof clock

expose(clock)
