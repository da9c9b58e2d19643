import { motorBench, pressureTee } from './assemblies'
import { bracketBooster } from './booster'
import { jetEnd } from './jet'
import type { ConstructionGraph } from './joint'
import { bandClamp, boltedSealPlate } from './pool'
import { floodedCirculation, spaCabinet } from './spa-circulation'
import { submersibleJoined, submersibleSealed } from './submersible'
import { sumpSealed } from './sump'
import { verticalShimmed } from './vertical'
import { wellInstallation } from './well'

export { STUCK } from './stuck'
export { PART_WORK } from './work'

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
