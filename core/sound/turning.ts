import type { Nameplate } from '../motor/nameplate'
import type { Turning } from './tones'

/** Of its synchronous speed, what a motor of these sizes turns under load: 3450 of 3600. Common practice. */
const UNDER_LOAD = 3_450 / 3_600

/** What a machine's tones are looked for with, by its plate: two poles where nothing else is read. */
export function turningOf({ rpm, poles = 2, hertz }: Nameplate & { hertz: number }): Turning {
  return { rpm: rpm ?? Math.round((UNDER_LOAD * 120 * hertz) / poles), mainsHertz: hertz }
}
