import { expose } from 'comlink'
import { ModelShelf } from '#core/diagnosis/model-shelf'
import type { UnitSystem } from '#core/quantity/measures'
import type { Pace } from '#core/takedown/as-here'
import { considerationOf, type Consideration, type ConsideredState, type Experience } from '#core/visit/job'
import { considered, type Considered, type JourneyVisit } from '#core/visit/journey'
import type { Shop } from '#core/visit/shop'

const models = new ModelShelf()

const thinker = {
  /** Everything that follows from a case, computed away from the page. */
  think(
    state: ConsideredState,
    shop: Pick<Shop, 'rates' | 'schools'>,
    pace: Pace,
    experience: Experience,
    system: UnitSystem,
  ): Consideration {
    return considerationOf(state, shop, pace, experience, { system, model: models.modelOf(state.case, experience) })
  },

  /** Another visit of the journey, with all that follows from it. */
  considered: (visit: JourneyVisit, shop: Shop): Considered | undefined => considered(visit, shop),
}
export type Thinker = typeof thinker

expose(thinker)
