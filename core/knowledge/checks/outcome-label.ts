/** Outcome ids read as words: `stuck-open` is "stuck open". */
export function outcomeLabel(outcome: string): string {
  return outcome.replaceAll('-', ' ')
}
