import type { Dial, Probing } from './meter'

export const LEADS = ['a', 'b'] as const
export type Lead = (typeof LEADS)[number]

const isJaw = (place: string | undefined): boolean => place?.startsWith('jaw') === true
const other = (lead: Lead): Lead => (lead === 'a' ? 'b' : 'a')

/**
 * Puts a lead on a terminal, or the clamp round a wire. What is there already comes off; a terminal holds one lead, and
 * a meter that was a clamp reads volts again.
 *
 * @param lead the one that is meant; else the first that is free, and A where none is
 */
export function putLead({ dial, a, b, peak }: Probing, place: string, lead?: Lead): Probing {
  if (isJaw(place)) return { dial: 'amps', ...(a === place ? {} : { a: place }), ...(peak ? { peak } : {}) }
  const now: Probing = isJaw(a) ? { dial: 'volts' } : { dial, a, b }
  const there = LEADS.find((each) => now[each] === place)
  if (there && (lead === undefined || lead === there)) return takeOff(now, there)
  const which = lead ?? (now.a === undefined ? 'a' : now.b === undefined ? 'b' : 'a')
  const freed = now[other(which)] === place ? takeOff(now, other(which)) : now
  return { ...freed, [which]: place }
}

export function takeOff(probing: Probing, lead: Lead): Probing {
  const { [lead]: _, ...rest } = probing
  return rest
}

/** Turns the dial: leads stay where they are, unless the clamp takes their place or they that of the clamp. */
export function turnDial({ a, b }: Probing, dial: Dial): Probing {
  const stays = (place: string | undefined) => place !== undefined && isJaw(place) === (dial === 'amps')
  return { dial, ...(stays(a) ? { a } : {}), ...(stays(b) ? { b } : {}) }
}
