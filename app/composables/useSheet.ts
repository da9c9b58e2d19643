import { computed } from 'vue'
import { issuesTogether, sheetHash } from '#core/visit/issue-together'
import { writeWholeSheet } from '#core/visit/whole-sheet'

/** The sheet of the open visit and of all others of its journey, its fingerprint, and the issues it had. */
export function useSheet() {
  const { visit, journey, state } = useVisitContext()
  const { system } = useUnits()
  const journals = computed(
    () =>
      new Map([
        ...(visit.visitId ? [[visit.visitId, visit.entries] as const] : []),
        ...visit.others.map(({ visitId, entries }) => [visitId, entries] as const),
      ]),
  )
  const ofSheet = computed(() => new Map(visit.order.map((id) => [id, journals.value.get(id) ?? []])))
  /** How often it was handed over as a whole. */
  const issues = computed(() => issuesTogether(ofSheet.value).length)
  const hash = computed(() =>
    sheetHash(
      (journey.value ?? []).map(({ state: { id, isIssued } }) => ({ entries: journals.value.get(id) ?? [], isIssued })),
    ),
  )
  const whole = computed(
    () =>
      journey.value &&
      writeWholeSheet(journey.value, visit.shop, system.value, { hash: hash.value, issue: issues.value }),
  )
  /** Machines of the journey that are not handed over yet, the open one left out. */
  const open = computed(() =>
    (journey.value ?? []).filter((each) => each.state.id !== state.value.id && !each.state.handedOver),
  )
  return { whole, hash, issues, open }
}
