import { format } from 'date-fns'
import { computed, reactive, ref } from 'vue'
import type { ClaimMove } from '#core/knowledge/repairs/returns'
import type { Part } from '#core/knowledge/vocabulary'
import { claimDraft, claimOf, isClaimOut } from '#core/visit/claim'
import { claimLeaf } from '#core/visit/leaves'
import { paperReader } from '#core/visit/sheet'

/** What goes back under its warranty: its form, its paper, and how far it has come. */
export function useClaim(date: () => string) {
  const { visit, state, job } = useVisitContext()
  const { system } = useUnits()
  const { problemsOf } = useEntryRules()
  const known = state.value.claim ?? claimDraft(state.value, job.value)
  const form = reactive({
    part: known.part as Part,
    identity: known.identity ?? '',
    boughtOn: known.boughtOn ?? '',
    installedOn: known.installedOn ?? '',
    warrantyUntil: known.warrantyUntil ?? '',
    complaint: known.complaint,
    opened: known.opened,
    openedWhy: known.openedWhy ?? '',
    to: known.to ?? '',
    reference: known.reference ?? '',
  })
  const problem = ref('')
  const leaf = computed(() => {
    const claim = claimOf(state.value, visit.shop.rates, paperReader(visit.shop, system.value))
    return claim && claimLeaf(claim, { shop: visit.shop, date: date(), name: state.value.machine.name })
  })
  const isOut = computed(() => isClaimOut(state.value))

  function write(): void {
    const { part, opened, complaint, ...texts } = form
    const told = Object.fromEntries(
      Object.entries(texts).flatMap(([field, text]) => (text.trim() ? [[field, text.trim()]] : [])),
    )
    const body = { part, opened, complaint: complaint.trim(), ...told }
    problem.value = complaint.trim() ? '' : 'Say what is wrong with it, in words.'
    if (opened && !form.openedWhy.trim()) problem.value ||= 'It was opened: say why, it is asked.'
    const [refused] = Object.entries(problemsOf('claim', body))
    if (refused) problem.value ||= `${refused[0]}: ${refused[1]}.`
    if (!problem.value) visit.append('claim', body)
  }

  const note = ref('')
  function move(to: ClaimMove): void {
    const on = format(new Date(), 'yyyy-MM-dd')
    visit.append('claim-moved', { to, on, ...(note.value.trim() ? { note: note.value.trim() } : {}) })
    note.value = ''
  }
  return { form, problem, leaf, isOut, note, write, move }
}
