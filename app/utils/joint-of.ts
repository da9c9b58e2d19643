/** The joint a step is at, without its direction, its assembly, and the tries to free it. */
export function jointOf(step: string): string {
  return step.replace(/^(down|back):/, '').replace(/:free\d*$/, '').replace(/^.*\./, '')
}
