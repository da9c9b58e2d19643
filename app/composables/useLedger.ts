import { format } from 'date-fns'
import { computed, ref, watch } from 'vue'
import type { LedgerRow } from '#core/visit/ledger'
import { useOutbox } from '~/stores/outbox'
import { writeLine } from '~/utils/write-line'

interface Month {
  rows: LedgerRow[]
  sums: Pick<LedgerRow, 'total' | 'paid' | 'open' | 'taxes'>
  open: LedgerRow[]
}

/** The accounts of a month, and what is still open from before it. */
export function useLedger() {
  const month = ref(format(new Date(), 'yyyy-MM'))
  const ledger = ref<Month>()
  const problem = ref('')
  const outbox = useOutbox()
  const writer = useWriter()
  async function load(): Promise<void> {
    problem.value = ''
    const asked = month.value
    try {
      const response = await ask(`/api/ledger?month=${asked}`)
      const answer = (await response.json()) as Month & { title?: string }
      if (!response.ok) throw new Error(answer.title ?? response.statusText)
      // A month that was left meanwhile does not come back over the one that is shown.
      if (asked === month.value) ledger.value = answer
    } catch (error) {
      problem.value = error instanceof TypeError ? NO_WAY : `It cannot be read. ${(error as Error).message}`
    }
  }
  watch(month, load, { immediate: true })

  /** All that is open of an account was paid today. */
  async function settle({ visitId, open }: LedgerRow): Promise<void> {
    const body = { amount: open, on: format(new Date(), 'yyyy-MM-dd') }
    await outbox.add([writeLine({ visitId, ...writer.value }, 'paid', body)])
    await load()
  }
  return { month, ledger, problem, settle, isEmpty: computed(() => ledger.value?.rows.length === 0) }
}
