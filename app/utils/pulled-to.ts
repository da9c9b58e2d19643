import type { Handle } from '#core/questions/picture'

/** Where a handle stands when it is pulled to a value: on its steps, between its ends. */
export function pulledTo({ min, max, step }: Handle, wanted: number): number {
  return Number(Math.min(max, Math.max(min, Math.round(wanted / step) * step)).toPrecision(6))
}
