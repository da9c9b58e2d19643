import { CODE_LETTERS } from '../knowledge/electrical/wire'
import { FULL_LOAD_AMPS_230, FULL_LOAD_AMPS_230_THREE_PHASE, FULL_LOAD_COLUMNS } from '../knowledge/electrical/motors'
import { badField } from '../validation/input-error'

/**
 * Full-load current by horsepower and volts from the code's table, for sizing conductors where no plate is to hand.
 *
 * Between two rows a straight line; a voltage outside the table's columns goes inversely from 230 V.
 *
 * @returns amps, and whether the figure stands in the table as it is
 * @throws InputError outside the table's horsepower
 */
export function tableFullLoadAmps(
  horsepower: number,
  volts: number,
  phases: 1 | 3,
): { amps: number; tabulated: boolean } {
  const rows = phases === 1 ? FULL_LOAD_AMPS_230 : FULL_LOAD_AMPS_230_THREE_PHASE
  const [first, last] = [rows[0] as readonly [number, number], rows.at(-1) as readonly [number, number]]
  if (horsepower < first[0] * 0.99 || horsepower > last[0])
    throw badField('horsepower', horsepower, `from ${first[0].toFixed(2)} to ${last[0]} hp, the rows of the table`)
  const exact = rows.find(([row]) => Math.abs(row - horsepower) < 0.01)
  const column = FULL_LOAD_COLUMNS.find(({ volts: [low, high] }) => volts >= low && volts <= high)
  const upper = Math.max(
    1,
    rows.findIndex(([row]) => row >= horsepower),
  )
  const [[hp1, a1], [hp2, a2]] = [
    rows[upper - 1] as readonly [number, number],
    rows[upper] as readonly [number, number],
  ]
  const at230 = exact ? exact[1] : a1 + ((a2 - a1) * (horsepower - hp1)) / (hp2 - hp1)
  return { amps: at230 * (column?.multiple ?? 230 / volts), tabulated: exact !== undefined && column !== undefined }
}

/**
 * Locked-rotor kVA per horsepower of a code letter and the amps that follow.
 *
 * @returns amps; `highAmps` and `below` are absent for the last letter, which has no upper end
 */
export function lockedRotorRange(
  codeLetter: string,
  horsepower: number,
  volts: number,
  phases: 1 | 3,
): { low: number; below?: number; lowAmps: number; highAmps?: number } {
  const range = CODE_LETTERS[codeLetter.trim().toUpperCase()]
  if (!range) throw badField('codeLetter', codeLetter, `one of ${Object.keys(CODE_LETTERS).join(', ')}`)
  const [low, below] = range
  const amps = (kva: number) => (kva * horsepower * 1000) / (volts * (phases === 1 ? 1 : Math.sqrt(3)))
  return { low, lowAmps: amps(low), ...(below === null ? {} : { below, highAmps: amps(below) }) }
}
