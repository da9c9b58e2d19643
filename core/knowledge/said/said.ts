import type { CheckSaid } from './check-said'
import { ELECTRICAL_SAID } from './said-electrical'
import { MECHANICAL_SAID } from './said-mechanical'
import { TRIALS_SAID } from './said-trials'
import { WATER_SAID } from './said-water'

/** Every check with what people say for it and for its outcomes. */
export const CHECK_SAID: Readonly<Record<string, CheckSaid>> = {
  ...ELECTRICAL_SAID,
  ...MECHANICAL_SAID,
  ...WATER_SAID,
  ...TRIALS_SAID,
}

/**
 * How a check is said.
 *
 * @throws when the id is no check: the table holds every one, by test
 */
export function saidOf(check: string): CheckSaid {
  const said = CHECK_SAID[check]
  if (!said) throw new Error(`${check}: no such check`)
  return said
}
