import type { Pipe } from '../hydraulics/pipe'
import { FITTINGS, PIPE_FAMILIES, type PipeFamilyId } from '../knowledge/water/pipes'
import { badField } from '../validation/input-error'
import type { LineOfPipe } from './fields'

/**
 * A line of pipe by material, nominal size and fittings as the hydraulics takes it, by Darcy.
 *
 * @param fixedK of what else the water passes: valves, entrance, exit
 * @throws InputError for a size the material is not made in
 */
export function lineOfPipe(
  { pipeMaterial, pipeSize, pipeMetres, elbows }: LineOfPipe,
  fixedK = FITTINGS.entrance + FITTINGS.exit,
  celsius?: number,
): Pipe {
  const family = PIPE_FAMILIES[pipeMaterial as PipeFamilyId]
  return {
    insideMillimetres: insideOf(pipeMaterial, pipeSize),
    lengthMetres: pipeMetres,
    method: 'darcy',
    roughnessMillimetres: family.roughnessMillimetres,
    minorLossK: elbows * FITTINGS.elbow + fixedK,
    ...(celsius === undefined ? {} : { celsius }),
  }
}

/** Inside of a pipe, millimetres. @throws InputError for a size the material is not made in */
export function insideOf(pipeMaterial: string, pipeSize: string): number {
  const { inside, label } = PIPE_FAMILIES[pipeMaterial as PipeFamilyId]
  const found = Object.hasOwn(inside, pipeSize) ? (inside as Readonly<Record<string, number>>)[pipeSize] : undefined
  if (found === undefined)
    throw badField('pipeSize', pipeSize, `a size that ${label} is made in: ${Object.keys(inside).join(', ')}`)
  return found
}
