import { PARTS, type Part } from '../knowledge/vocabulary'
import type { CompletePlate } from '../motor/nameplate'

/** A part with its rating, as it goes on the loading list and the sheet. */
export function partLabel(
  part: Part,
  plate: Pick<
    CompletePlate,
    'runCapacitorMicrofarads' | 'runCapacitorVolts' | 'startCapacitorMicrofarads' | 'horsepower' | 'volts'
  >,
): string {
  const name = PARTS[part]
  if (part === 'run-capacitor' && plate.runCapacitorMicrofarads !== undefined)
    return `${name} ${plate.runCapacitorMicrofarads} μF, ${plate.runCapacitorVolts ?? 370} V or more`
  if (part === 'start-capacitor' && plate.startCapacitorMicrofarads !== undefined) {
    const rated = plate.startCapacitorMicrofarads
    return `${name} ${typeof rated === 'number' ? rated : `${rated[0]} to ${rated[1]}`} μF`
  }
  if (part === 'motor')
    return `${name}, ${Number(plate.horsepower.toFixed(2))} hp, ${plate.volts} V, same flange and shaft`
  if (part === 'shaft-seal') return `${name} set of this pump`
  if (part === 'bearings') return 'bearings, both ends (read the rings)'
  return name
}
