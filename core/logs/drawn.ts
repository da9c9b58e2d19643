import type { DrawnPoint } from '../sound/drawn'
import type { Log } from './read-log'

/** A log as it is drawn: of each piece the lowest and the highest in the order in which they came. */
export function drawnLog({ seconds, values }: Pick<Log, 'seconds' | 'values'>, most: number): DrawnPoint[] {
  const length = Math.max(1, Math.ceil((2 * values.length) / most))
  return Array.from({ length: Math.ceil(values.length / length) }, (_, piece) => piece * length).flatMap((from) => {
    let [low, high] = [from, from]
    for (let at = from; at < Math.min(values.length, from + length); at++) {
      if (values[at]! < values[low]!) low = at
      if (values[at]! > values[high]!) high = at
    }
    return (low === high ? [low] : [low, high].sort((a, b) => a - b)).map((at) => ({
      x: seconds[at] as number,
      y: values[at] as number,
    }))
  })
}
