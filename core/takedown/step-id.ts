/**
 * A step without its direction and the tries to free it: the joint, named with its assembly where that is not the
 * outermost.
 */
export function jointKey(step: string): string {
  return step.replace(/^(down|back):/, '').replace(/:free\d*$/, '')
}

/** The joint alone, in whichever assembly it stands. */
export function jointName(step: string): string {
  return jointKey(step).replace(/^.*\./, '')
}
