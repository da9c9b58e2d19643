/**
 * A step's sentence in two: what is done, and how. "Lock screw out of the impeller eye" · "Left-handed, turn it
 * clockwise."
 */
export function splitStep(text: string): { title: string; how: string } {
  const found = /^(.{12,64}?)[:;.,] (.+)$/.exec(text)
  if (!found) return { title: text, how: '' }
  const how = found[2] as string
  return {
    title: found[1] as string,
    how: `${how.charAt(0).toUpperCase()}${how.slice(1)}${/[.!?]$/.test(how) ? '' : '.'}`,
  }
}
