import { jointOf } from '#core/takedown/step-ref'

/** The terminals are photographed in a step of their own, before a wire is off. */
export const PHOTOGRAPHS = 'photograph'

/** The caption under which a joint's picture is kept before it is opened, and found again when it is closed. */
export function shotOf(step: string): string {
  const joint = jointOf(step)
  return `before ${joint === PHOTOGRAPHS ? 'terminals' : (joint ?? step)}`
}
