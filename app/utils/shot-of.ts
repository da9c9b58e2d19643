/** The caption under which a joint's picture is kept before it is opened, and found again when it is closed. */
export function shotOf(step: string): string {
  return `before ${step.replace(/^(down|back):/, '')}`
}
