import { DOWNTIME } from '../knowledge/water/downtime'
import type { Kind } from '../knowledge/vocabulary'
import type { Installation } from '../motor/nameplate'
import { minutesOf } from './clock'
import type { StepPlan } from './step-plan'

type Spread = StepPlan['minutes']
/** What hangs on the water, whatever the repair takes. */
export interface WaterStakes {
  /** What stands in the pipe, litres, and where it goes. */
  drainBack?: { litres: number; runsTo: string }
  overrun: string
  /** Animals or a household’s only water hang on it: said before anything else. */
  urgent: boolean
}
/** How long the water is off, what runs out meanwhile, and what an overrun means. */
export interface Downtime extends WaterStakes {
  /** Repaired where it stands. */
  inPlace: Spread
  /** A spare in at once, where one can go in. */
  spareFirst?: Spread
}

/** Minutes until the water is back: the whole repair, or the swap alone where a spare goes in first. */
export function waterOff({ steps, waits, waterBack }: Pick<StepPlan, 'steps' | 'waits' | 'waterBack'>): Spread {
  const last = waterBack === undefined ? steps.length : steps.findIndex(({ id }) => id === waterBack) + 1
  return minutesOf(steps.slice(0, last), waits)
}

/** What the machine’s place says of an absence of water, before any repair’s clock is read. */
export function waterStakes(kind: Kind, installation: Installation = {}): WaterStakes {
  const { stands, overrun, livestock, onlySupply } = DOWNTIME[kind]
  const length = stands && installation[stands.length]
  return {
    ...(stands && length
      ? { drainBack: { litres: Math.PI * (stands.insideMm / 2000) ** 2 * length * 1000, runsTo: stands.runsTo } }
      : {}),
    overrun: (installation.livestock && livestock) || (installation.onlySupply && onlySupply) || overrun,
    urgent: Boolean(installation.livestock || installation.onlySupply),
  }
}

/**
 * What the water’s absence amounts to for a repair.
 *
 * @param spare the same repair with a spare first, where a spare can go in
 */
export function downtimeOf(
  kind: Kind,
  plan: Pick<StepPlan, 'steps' | 'waits'>,
  spare: Pick<StepPlan, 'steps' | 'waits' | 'waterBack'> | undefined,
  installation: Installation = {},
): Downtime {
  const swap = spare?.waterBack === undefined ? undefined : waterOff(spare)
  return { inPlace: waterOff(plan), ...(swap ? { spareFirst: swap } : {}), ...waterStakes(kind, installation) }
}
