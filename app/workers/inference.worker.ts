import { expose } from 'comlink'
import { buildModel, type DiagnosisModel } from '#core/diagnosis/model'
import type { UnitSystem } from '#core/quantity/measures'
import type { Pace } from '#core/takedown/as-here'
import { considerationOf, type Consideration, type ConsideredState, type Experience } from '#core/visit/job'
import type { Shop } from '#core/visit/shop'

let last: { key: string; model: DiagnosisModel } | undefined

/** A model hangs on the machine, not on its readings: between two of them it is kept. */
function modelOf({ case: { pump, alreadyReplaced } }: ConsideredState, experience: Experience): DiagnosisModel {
  const key = JSON.stringify([pump, alreadyReplaced, experience])
  if (last?.key !== key) last = { key, model: buildModel(pump, alreadyReplaced, experience) }
  return last.model
}

const thinker = {
  /** Everything that follows from a case, computed away from the page. */
  think(
    state: ConsideredState,
    shop: Pick<Shop, 'rates' | 'schools'>,
    pace: Pace,
    experience: Experience,
    system: UnitSystem,
  ): Consideration {
    return considerationOf(state, shop, pace, experience, { system, model: modelOf(state, experience) })
  },
}
export type Thinker = typeof thinker

expose(thinker)
