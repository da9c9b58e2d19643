import { computed } from 'vue'
import { writeOffer } from '#core/visit/offer-sheet'

/** The offer of the open visit, and how large its blocks are drawn: all on one scale. */
export function useOffer() {
  const { visit, state, job } = useVisitContext()
  const offer = computed(() => job.value && writeOffer(state.value, visit.shop, job.value))
  const blocks = computed(() => (offer.value?.ways ?? []).flatMap(({ block }) => block ?? []))
  const mostYears = computed(() => Math.max(1, ...blocks.value.map(({ years, to }) => Math.max(years, to))))
  const mostPerYear = computed(() => Math.max(1, ...blocks.value.map(({ perYear }) => perYear)))
  return { offer, mostYears, mostPerYear }
}
