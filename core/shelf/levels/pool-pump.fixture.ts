import { MILLISECONDS_PER_YEAR } from '../../quantity/conversions'
import type { ShelfMachine } from './need'

/** A pool pump of some years whose plate says its run capacitor. @param now milliseconds */
export function poolPump(
  id: string,
  microfarads: number,
  now: number,
  { years = 8, ...more }: { years?: number } & Partial<ShelfMachine> = {},
): ShelfMachine {
  const nameplate = {
    volts: 230,
    motorType: 'permanent-split' as const,
    runCapacitorMicrofarads: microfarads,
    runCapacitorVolts: 370,
  }
  return {
    id,
    pump: { kind: 'pool', construction: 'band-clamp', nameplate },
    installedAt: now - years * MILLISECONDS_PER_YEAR,
    fitted: [],
    knownSince: now,
    known: { kind: 'pool', nameplate },
    ...more,
  }
}
