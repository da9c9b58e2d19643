import { motorBench, pressureTee } from './assemblies'
import type { ConstructionGraph } from './joint'
import { submersibleJoined, submersibleSealed, sumpSealed, wellInstallation } from './submerged'
import {
  bandClamp,
  boltedSealPlate,
  bracketBooster,
  floodedCirculation,
  jetEnd,
  spaCabinet,
  verticalShimmed,
} from './surface'

export { PART_WORK, STUCK } from './work'

/** Every construction as its joints. */
export const CONSTRUCTION_GRAPHS: readonly ConstructionGraph[] = [
  bandClamp,
  boltedSealPlate,
  bracketBooster,
  spaCabinet,
  submersibleJoined,
  submersibleSealed,
  jetEnd,
  sumpSealed,
  floodedCirculation,
  verticalShimmed,
  motorBench,
  wellInstallation,
  pressureTee,
]
