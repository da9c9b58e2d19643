import { storeToRefs } from 'pinia'
import { computed } from 'vue'
import { wantsOf, type PartWant } from '#core/fits/for-part'
import { isIdOf, PARTS, type Part } from '#core/knowledge/vocabulary'
import { lyingFor, takenFrom, usable, type Lying } from '#core/shelf/lying'
import type { EntryOf } from '#core/visit/entry'
import { isPartIn } from '#core/visit/new-parts'
import { useRepairPlan } from '~/stores/repair-plan'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** A piece that goes into the machine: what of the shelves may be it, and what was taken for it. */
export interface PartUse {
  part: Part
  want: PartWant
  /** What it is called in the lines of the shelf: a part that is replaced in two rounds is used twice. */
  use: string
  isIn: boolean
  lying: Lying[]
  used: EntryOf<'stock-moved'>[]
}

/** What a visit takes out of the van: by the repair's own ticks where there is no doubt, else by a tap. */
export function useShelfUse() {
  const { visit, state } = useVisitContext()
  const { plan, records } = storeToRefs(useRepairPlan())
  const [shelf, self] = [useShelf(), useSelf()]
  const { van, vans } = useMyVan()
  const isOn = computed(() => !visit.isPractice && self.writes('stock-moved') && shelf.stock.articles.size > 0)

  /** Pieces of the plan, and what was written as fitted besides. */
  const uses = computed((): PartUse[] => {
    if (!isOn.value) return []
    const { machine, newParts, fitted, rounds, id } = state.value
    const planned = (plan.value?.consumables ?? []).flatMap((each) =>
      'part' in each && isIdOf(PARTS, each.part) ? [each.part] : [],
    )
    return [...new Set([...planned, ...fitted.map(({ part }) => part)])].flatMap((part) => {
      const last = fitted.findLast((each) => each.part === part)
      const identity = (last ?? newParts.get(part))?.identity
      const inPlan = plan.value !== undefined && planned.includes(part)
      return wantsOf(machine, part, identity).map((want): PartUse => {
        const use = rounds.length > 0 && inPlan ? `${want.use}, round ${rounds.length + 1}` : want.use
        return {
          part,
          want,
          use,
          isIn: last !== undefined || (inPlan && isPartIn(part, plan.value?.steps ?? [], records.value)),
          lying: lyingFor(want, shelf.stock),
          used: shelf.movesOf(id, use, 'used'),
        }
      })
    })
  })

  /** It went into the machine: so much of an article is in the van no more. */
  const take = ({ want, use }: PartUse, { article }: Pick<Lying, 'article'>) =>
    shelf.move({
      article: article.id,
      count: want.needed,
      from: van.value,
      to: 'machine',
      why: 'used',
      visit: state.value.id,
      use,
    })
  const putBack = ({ used }: PartUse) => shelf.takeBack(...used.map(({ id }) => id))

  /** After a step: what is in by now and was not before is used up; what is not in any more lies in the van again. */
  async function follow(before: ReadonlySet<string>): Promise<void> {
    for (const each of uses.value) {
      const wasIn = before.has(each.use)
      if (each.isIn && !wasIn && each.used.length === 0) {
        // As it lies by now: what the one before took is there no more.
        const taken = takenFrom(lyingFor(each.want, shelf.stock), van.value, each.want.needed)
        if (taken) await take(each, taken)
      } else if (!each.isIn && wasIn && each.used.length > 0) await putBack(each)
    }
  }
  const inPlace = () => new Set(uses.value.flatMap(({ use, isIn }) => (isIn ? [use] : [])))

  return {
    isOn,
    uses,
    van,
    vans,
    take,
    putBack,
    inPlace,
    follow,
    /** Of what is there, what lies in the van, the surest first. */
    hereFor: ({ lying }: PartUse) =>
      usable(lying).filter(({ places }) => places.some(({ place }) => place === van.value)),
    /** It is in, and nothing was written off the shelf for it. */
    open: computed(() => uses.value.filter(({ isIn, used }) => isIn && used.length === 0)),
  }
}
