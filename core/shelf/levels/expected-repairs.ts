import type { ActionRow } from '../../knowledge/faults/model-types'
import { KIND_KNOWLEDGE } from '../../knowledge/faults/kinds'
import type { SeasonDays } from '../../knowledge/shop/seasons'
import type { Kind, Part } from '../../knowledge/vocabulary'
import { expectedByFault, exposed, groupOf, type FleetMachine } from '../../planning/exposure'
import { repairFor } from '../../planning/preparation'
import type { Stretch } from '../../planning/season'
import { foreseenWithin, type ForeseenEnd } from './foreseen'

/** A machine of the shop with what its own readings say of when its parts meet their limits. */
export interface ReadMachine extends FleetMachine {
  ends?: readonly ForeseenEnd[]
}
/** A repair that a machine may want within a stretch of time. */
export interface ExpectedRepair {
  parts: readonly Part[]
  /** How often within the stretch; of one that is foreseen how likely. */
  times: number
  /** By what its own readings say, not by rates. */
  isForeseen: boolean
}

/**
 * What a machine is likely to want mended: every fault by its rate at the age it has then, and each part whose own
 * readings say that it is ending and that does not fail before, by the likeliest repair there. Where that takes no
 * part, as where air is to be pumped in, nothing is wanted.
 *
 * @param factorOf by how much a group fails more often here than the tables say
 */
export function expectedRepairs(
  machine: ReadMachine,
  stretch: Stretch,
  days: SeasonDays,
  factorOf: (group: string) => number,
): ExpectedRepair[] {
  const actions = actionsOf(machine.pump.kind)
  const faults = expectedByFault(exposed(machine), stretch, days).map(({ row, count }) => ({
    row,
    parts: repairFor(actions, row.fault)?.parts ?? [],
    times: count * factorOf(groupOf(row)),
  }))
  const foreseen = [...foreseenWithin(machine.ends ?? [], stretch)].flatMap(([part, chance]): ExpectedRepair[] => {
    const there = faults.filter(({ row }) => row.part === part)
    const [likeliest] = there.toSorted((a, b) => b.times - a.times)
    const spared = Math.exp(-there.reduce((sum, { times }) => sum + times, 0))
    return likeliest ? [{ parts: likeliest.parts, times: chance * spared, isForeseen: true }] : []
  })
  return [...faults.map(({ parts, times }) => ({ parts, times, isForeseen: false })), ...foreseen].filter(
    ({ parts }) => parts.length > 0,
  )
}

/** What is done to machines of a kind at all. */
function actionsOf(kind: Kind): readonly ActionRow[] {
  return KIND_KNOWLEDGE[kind].actions.filter(({ onlyUnderWarranty }) => !onlyUnderWarranty)
}
