import { readNumber } from '#core/quantity/read-number'
import { addDays, addMonths, format } from 'date-fns'
import { computed, reactive, ref, watch } from 'vue'
import { render } from '#core/quantity/sentence'
import { cents, sumOfCents } from '#core/quantity/money'
import { splitStep } from '#core/takedown/split-step'
import { duesOf } from '#core/visit/due'
import type { Due } from '#core/visit/entry'
import { linesOf } from '#core/visit/price-lines'

const FIELDS: Readonly<Record<string, string>> = {
  watch: 'What to watch',
  nextDate: 'The next date',
  price: 'The price',
  due: 'When to come again',
}

const sumOf = (lines: readonly { amount: number }[] = []) => sumOfCents(lines.map(({ amount }) => amount))

/** What the hand-over asks, and what it writes: nothing is left in the tray or unproved without its reason. */
export function useHandOver() {
  const { visit, state, job, journey } = useVisitContext()
  const { reader } = useUnits()
  const { tray } = useRepair()
  const { list, say } = useProofs()
  const { checked } = useEntryRules()
  const end = useStageEnd()
  const today = format(new Date(), 'yyyy-MM-dd')
  const over = state.value.handedOver
  const form = reactive({
    watch: over?.watch ?? '',
    nextDate: over?.nextDate ?? '',
    // A price that was only the sum of its lines is worked out again.
    price: over?.price === undefined || over.price === sumOf(over.lines) ? '' : over.price.toString(),
    leftWhy: '',
    priceWhy: over?.priceWhy ?? '',
    unprovedWhy: '',
  })
  const due = ref<Due[]>(over?.due ?? [])
  // What follows from the jobs is offered once it is known, and is the technician’s from then on.
  const offered = ref(over !== undefined)
  watch(
    job,
    (known) => {
      if (!known || offered.value) return
      offered.value = true
      // Whatever is not ticked by now, the hand-over says that it is done.
      const handedOver = { watch: '', at: new Date().toISOString(), author: '' }
      due.value = duesOf({ ...state.value, handedOver }, known, visit.shop, today)
    },
    { immediate: true },
  )
  const leftOver = computed(() => tray.value.map(({ text }) => splitStep(render(text, reader.value)).title).join('; '))
  // What is not together again cannot be proved: the reason for the tray is the reason for both.
  // What was said of a failure before need not be said again.
  const unproved = computed(() =>
    leftOver.value ? [] : [...list.value.open, ...list.value.failed.filter(({ said }) => !said?.why)],
  )
  const problem = ref('')
  /** What has to be proved and what it costs is known. */
  const isReady = computed(() => journey.value !== undefined)

  /** What is handed over now, in whole cents. */
  const amountNow = computed(() => {
    const typed = form.price.trim() === '' ? undefined : readNumber(form.price)
    const account = visit.shop.unset ? undefined : job.value?.account
    const amount = typed ?? (account && account.lines.length > 0 ? account.total : undefined)
    return amount === undefined ? undefined : cents(amount)
  })
  const agreed = computed(() => state.value.priceAgreed)
  const differs = computed(
    () => agreed.value !== undefined && amountNow.value !== undefined && amountNow.value !== agreed.value.price,
  )

  async function problemNow(): Promise<string> {
    const typed = form.price.trim() === '' ? undefined : readNumber(form.price)
    if (form.price.trim() !== '' && !((typed ?? Number.NaN) >= 0))
      return 'The price is a number, such as 74.50, or empty for the plan’s own.'
    if (leftOver.value && !form.leftWhy.trim()) return 'Say why it stays out, or tick it back under Repair.'
    if (unproved.value.length > 0 && !form.unprovedWhy.trim())
      return 'Say why it is handed over without these proofs, or make them under Prove.'
    if (differs.value && !form.priceWhy.trim()) return 'Say why it is another price than was agreed.'
    const [refused] = Object.entries(await checked('handed-over', bodyNow()))
    return refused ? `${FIELDS[refused[0].split('.')[0] as string] ?? refused[0]}: ${refused[1]}.` : ''
  }

  function bodyNow() {
    const account = visit.shop.unset ? undefined : job.value?.account
    const beside = (journey.value ?? [])
      .filter((each) => each.state.id !== state.value.id)
      .map((each) => ({ visit: each.state.id, issue: each.state.issues }))
    return {
      watch: form.watch.trim(),
      ...(form.nextDate ? { nextDate: form.nextDate } : {}),
      ...(amountNow.value === undefined ? {} : { price: amountNow.value }),
      ...(differs.value && form.priceWhy.trim() ? { priceWhy: form.priceWhy.trim() } : {}),
      ...(due.value.length > 0 ? { due: due.value } : {}),
      ...(account && account.lines.length > 0 ? { lines: linesOf(account, state.value.fitted) } : {}),
      ...(beside.length > 0 ? { beside } : {}),
    }
  }

  const handOver = oneAtATime(async () => {
    problem.value = await problemNow()
    if (problem.value) return
    const body = bodyNow()
    if (leftOver.value)
      visit.append('note', {
        text: `still out at the hand-over: ${leftOver.value}. ${form.leftWhy.trim()}`,
        seenAndLeft: true,
      })
    for (const { id, stands } of unproved.value)
      if (stands === 'open') say(id, 'left', form.unprovedWhy)
      else say(id, 'fails', form.unprovedWhy)
    visit.append('handed-over', body)
    void end('hand-over')
  })

  function addDue(): void {
    due.value = [
      ...due.value,
      { kind: 'visit', on: format(addDays(new Date(), 1), 'yyyy-MM-dd'), what: 'A look at it' },
    ]
  }
  const dropDue = (index: number) => (due.value = due.value.filter((_, each) => each !== index))
  const inAYear = () => (form.nextDate = format(addMonths(new Date(), 12), 'yyyy-MM-dd'))
  return { form, due, agreed, differs, isReady, leftOver, unproved, problem, handOver, addDue, dropDue, inAYear }
}
