import { format, formatISO, startOfDay } from 'date-fns'
import { computed, onMounted, shallowRef } from 'vue'
import { articlesFor, wantsOf } from '#core/fits/for-part'
import { whatFits } from '#core/fits/what-fits'
import { wholeRates } from '#core/knowledge/shop/rates'
import { candidatesIn } from '#core/shelf/candidates'
import { lyingForEach } from '#core/shelf/lying'
import { nowOrLater, sourcesOf, type Reach } from '#core/shelf/now-or-later'
import { useShelf } from '~/stores/shelf'
import { spanOf } from '~/utils/day-hours'

/** What of the ways to mend it can be finished with what is in the van, and how the rest is got. */
export function useNowOrLater() {
  const { visit, state, options } = useVisitContext()
  const shelf = useShelf()
  const { van, vans } = useMyVan()
  const reach = shallowRef<Reach>()
  const isOn = computed(() => !visit.isPractice && shelf.stock.articles.size > 0 && options.value.length > 0)
  onMounted(async () => {
    if (visit.isPractice) return
    await shelf.ensure()
    const today = startOfDay(new Date())
    const path = `/api/visits/${state.value.id}/reach?${spanOf(today, format(today, 'yyyy-MM-dd'))}`
    const response = await fetch(path).catch(() => undefined)
    // Without a way to the shop it is not known how far: what lies where still is.
    if (response?.ok) reach.value = (await response.json()) as Reach
  })
  const ways = computed(() => {
    if (!isOn.value) return []
    const { machine, newParts } = state.value
    const today = formatISO(new Date(), { representation: 'date' })
    const articles = [...shelf.stock.articles.values()]
    const { offers, suppliers } = shelf.bought
    return nowOrLater(
      options.value.map(({ id, expectedCost, parts }) => {
        const pieces = parts.flatMap(({ part, label }) =>
          wantsOf(machine, part, newParts.get(part)?.identity).map((want) => ({ part: label, want })),
        )
        const wants = pieces.map(({ want }) => want)
        const lying = lyingForEach(wants, shelf.stock, van.value)
        return {
          id,
          expectedCost,
          parts: pieces.map(({ part, want }, index) => ({
            part,
            sources: sourcesOf(want, lying[index] ?? [], {
              van: van.value,
              reach: reach.value,
              offers,
              suppliers,
              serving: articlesFor(want, articles),
              today,
            }),
          })),
        }
      }),
      wholeRates(visit.shop.rates),
    )
  })
  /** A run capacitor out of several that are in the van, until the right one is there. */
  const made = computed(() => {
    const isMissing = ways.value.some(({ option, isNow }) => option === 'replace-run-capacitor' && !isNow)
    const [want] = isMissing ? wantsOf(state.value.machine, 'run-capacitor') : []
    if (!want?.family) return undefined
    const inVan = candidatesIn(shelf.stock).map((each) => ({
      ...each,
      count: Math.max(0, Math.floor(shelf.countOf(each.id, van.value))),
    }))
    return whatFits(
      { family: want.family, spec: want.spec },
      inVan.filter(({ count }) => count > 0),
    ).made[0]
  })
  return { isOn, ways, made, van, vans }
}
