import { jointOf } from '#core/takedown/step-ref'

/** The caption under which a joint's picture is kept before it is opened, and found again when it is closed. */
export function shotOf(step: string): string {
  return `before ${jointOf(step) ?? step}`
}
