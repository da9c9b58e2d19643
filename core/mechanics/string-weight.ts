import { DROP_PIPES, PIPE_MATERIALS, type PipeMaterial } from '../knowledge/water/drop-pipes'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

export interface DropString {
  pipe: {
    material: PipeMaterial
    nominalInches?: number
    insideMillimetres?: number
    outsideMillimetres?: number
    lengthMetres: number
    full?: boolean
  }
  cableKgPerMetre?: number
  pumpKg?: number
  waterLevelMetres?: number
}

const WATER_KG_PER_M3 = 1000

/**
 * What hangs on the clamp when a well is pulled: pipe, the water in it, cable and pump, less what the well's own water
 * carries.
 *
 * @returns kilograms, the heaviest moment, with its parts
 * @throws InputError when the pipe is given neither by its nominal size nor by both diameters, or they cross
 */
export function stringWeight({ pipe, cableKgPerMetre = 0, pumpKg = 0, waterLevelMetres }: DropString): {
  kilograms: number
  pipeKg: number
  waterKg: number
  cableKg: number
  buoyancyKg: number
} {
  const [outside, inside] = diametersOf(pipe)
  const wall = (Math.PI / 4) * ((outside / 1000) ** 2 - (inside / 1000) ** 2)
  const bore = (Math.PI / 4) * (inside / 1000) ** 2
  const pipeKg = wall * PIPE_MATERIALS[pipe.material] * pipe.lengthMetres
  // Below the well's level the water in the pipe carries itself; above it, it hangs on the clamp.
  const above = Math.min(waterLevelMetres ?? pipe.lengthMetres, pipe.lengthMetres)
  const waterKg = pipe.full ? bore * WATER_KG_PER_M3 * above : 0
  const buoyancyKg = wall * WATER_KG_PER_M3 * (pipe.lengthMetres - above)
  const cableKg = cableKgPerMetre * pipe.lengthMetres
  return { kilograms: pipeKg + waterKg + cableKg + pumpKg - buoyancyKg, pipeKg, waterKg, cableKg, buoyancyKg }
}

function diametersOf({
  material,
  nominalInches,
  insideMillimetres,
  outsideMillimetres,
}: DropString['pipe']): readonly [outside: number, inside: number] {
  if (insideMillimetres !== undefined && outsideMillimetres !== undefined) {
    if (insideMillimetres >= outsideMillimetres)
      throw badField(
        'pipe.insideMillimetres',
        insideMillimetres,
        say`less than the outside, ${q(outsideMillimetres, 'bore')}`,
      )
    return [outsideMillimetres, insideMillimetres]
  }
  const table = DROP_PIPES[material === 'pvc' || material === 'polyethylene' ? 'plastic' : 'steel']
  const found = nominalInches === undefined ? undefined : table[String(nominalInches)]
  if (!found)
    throw badField(
      'pipe.nominalInches',
      nominalInches,
      `one of ${Object.keys(table).join(', ')}, or both insideMillimetres and outsideMillimetres`,
    )
  return found
}
