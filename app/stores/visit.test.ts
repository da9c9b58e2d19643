import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { completePlate } from '#core/motor/nameplate'
import type { Entry } from '#core/visit/entry'
import { considerationOf, jobOf } from '#core/visit/job'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { entry, opened, reading, VISIT } from '#core/visit/test-journal'
import { useMoney } from '~/composables/useMoney'
import { useQuestion } from '~/composables/useQuestion'
import { useUnits } from '~/composables/useUnits'
import { useVisitContext } from '~/composables/useVisitContext'
import { freshBrowser } from '~/utils/browser.fixture'
import { useRepairPlan } from './repair-plan'
import { useVisit } from './visit'

const clockRead = vi.fn(async () => ({ minutes: { p50: 61, p90: 80 }, downtime: {} }))
vi.mock('~/composables/useThinker', () => ({
  useThinker: () => ({
    think: async (
      state: Parameters<typeof considerationOf>[0],
      shop: Parameters<typeof considerationOf>[1],
      pace: Parameters<typeof considerationOf>[2],
      experience: Parameters<typeof considerationOf>[3],
      system: 'us' | 'metric',
    ) => considerationOf(state, shop, pace, experience, { system }),
  }),
}))
vi.mock('~/composables/useRepairClock', () => ({ useRepairClock: () => ({ read: clockRead }) }))

const SHOP = { ...UNNAMED_SHOP, name: 'Weir Lane Pumps', units: 'metric' as const }
const viewOf = (entries: readonly Entry[], more: object = {}) =>
  Response.json({ entries, history: [], shop: SHOP, experience: {}, pace: {}, ...more })
const answers = (answer: (url: string) => Response | Promise<Response>) =>
  vi.stubGlobal('fetch', async (url: string) =>
    url.startsWith('/api/visits/') ? answer(url) : Response.json({ accepted: [] }),
  )

beforeEach(() => {
  freshBrowser()
  setActivePinia(createPinia())
  clockRead.mockClear()
})
afterEach(() => {
  vi.useRealTimers()
})

describe('opening a visit', () => {
  it('shows its journal, its shop and what is thought of it', async () => {
    answers(() => viewOf([opened(), reading('supply-voltage', 236)]))
    const visit = useVisit()
    await visit.open(VISIT)
    expect(visit.state?.machine.name).toBe('filter pump 2')
    expect(visit.shop.name).toBe('Weir Lane Pumps')
    await vi.waitFor(() => expect(visit.thought?.diagnosis.judgements).toHaveLength(1))
    expect([visit.problem, visit.thinking]).toEqual([undefined, false])
  })
  it('says the server’s words where there is none, and that nobody answers where nobody does', async () => {
    answers(() => Response.json({ title: 'No such visit.' }, { status: 404 }))
    const visit = useVisit()
    await visit.open(VISIT)
    expect(visit.problem).toBe('No such visit.')
    answers(() => Promise.reject(new TypeError('fetch failed')))
    await visit.open(VISIT)
    expect(visit.problem).toBe(
      'No way to the shop just now, and this is not kept on this device. It is read once there is one.',
    )
  })
  it('goes on without a word where the visit is in hand already', async () => {
    answers(() => viewOf([opened()]))
    const visit = useVisit()
    await visit.open(VISIT)
    answers(() => Promise.reject(new TypeError('fetch failed')))
    await visit.open(VISIT)
    expect([visit.problem, visit.state?.machine.name]).toEqual([undefined, 'filter pump 2'])
  })
  it('asks again while the shop is still taking in its journal', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    let asked = 0
    answers(() =>
      ++asked === 1 ? Response.json({ title: 'The shop is opening.' }, { status: 503 }) : viewOf([opened()]),
    )
    const visit = useVisit()
    await visit.open(VISIT)
    expect(visit.problem).toBe('The shop is opening.')
    await vi.advanceTimersByTimeAsync(1500)
    expect([asked, visit.problem, visit.state?.machine.name]).toEqual([2, undefined, 'filter pump 2'])
  })
  it('does not show an answer that comes after another visit was opened', async () => {
    const late: ((response: Response) => void)[] = []
    answers(() => new Promise((resolve) => late.push(resolve)))
    const visit = useVisit()
    const first = visit.open(VISIT)
    const second = visit.open('0197a000-0009-7000-8000-000000000002')
    late[0]?.(viewOf([opened()]))
    await first
    expect(visit.state).toBeUndefined()
    late[1]?.(Response.json({ title: 'No such visit.' }, { status: 404 }))
    await second
    expect(visit.problem).toBe('No such visit.')
  })
  it('takes back the newest line that counts, and never the opening', async () => {
    answers(() => viewOf([opened(), reading('supply-voltage', 236)]))
    const visit = useVisit()
    await visit.open(VISIT)
    expect(visit.undo()?.kind).toBe('finding')
    expect(visit.state?.findings).toHaveLength(0)
    expect(visit.undo()).toBeUndefined()
  })
})

describe('what stands on the screen', () => {
  const decided = async () => {
    answers(() => viewOf([opened(), reading('supply-voltage', 236), entry('decision', { option: 'swap-motor' })]))
    const visit = useVisit()
    await visit.open(VISIT)
    await vi.waitFor(() => expect(visit.thought?.options.length).toBeGreaterThan(0))
    return visit
  }
  it('costs what the sheet says', async () => {
    const visit = await decided()
    const { job, chosen, options } = useVisitContext()
    const sheet = jobOf(visit.state!, visit.shop, {}, {})
    expect(job.value?.price).toBe(sheet.price)
    expect(chosen.value?.id).toBe('swap-motor')
    expect(options.value.map(({ price }) => price)).toEqual(sheet.options.map(({ price }) => price))
    expect(useMoney()(sheet.price as number)).toMatch(/^\$[\d,]+\.\d\d$/)
  })
  it('has one plan for the chosen repair, whose clock comes from its worker and not at every line', async () => {
    const visit = await decided()
    const repair = useRepairPlan()
    await vi.waitFor(() => expect(repair.clock?.minutes.p50).toBe(61))
    expect(repair.plan?.steps.length).toBeGreaterThan(10)
    const [plan, read] = [repair.plan, clockRead.mock.calls.length]
    visit.append('note', { text: 'dry cellar', seenAndLeft: false })
    await nextTick()
    expect(repair.plan).toBe(plan)
    expect(clockRead.mock.calls.length).toBe(read)
    visit.append('step', { step: plan!.steps[0]!.id, done: true })
    await vi.waitFor(() => expect(clockRead.mock.calls.length).toBe(read + 1))
    expect(clockRead.mock.calls.at(-1)?.at(-1 as never)).toEqual([plan!.steps[0]!.id])
  })
  it('is in the shop’s units until somebody chooses others', async () => {
    await decided()
    const { system, other, toggle, reader } = useUnits()
    expect([system.value, other.value, reader.value.currency]).toEqual(['metric', 'us', SHOP.rates.currency])
    toggle()
    expect([system.value, other.value]).toEqual(['us', 'metric'])
    toggle()
  })
})

describe('a question on its page', () => {
  const asking = (written?: object) =>
    useQuestion(ref('jet-lift'), ref(undefined), ref(written && JSON.stringify(written)))
  it('opens with the usual numbers, or those of the link', () => {
    expect(asking().input.value.npshRequiredMetres).toBeGreaterThan(0)
    expect(asking({ liftMetres: 3 }).input.value.liftMetres).toBe(3)
  })
  it('says what of a link could not be used, and takes the usual', () => {
    const { linkProblem, input } = asking({ liftMetres: -3 })
    expect(linkProblem.value).toMatch(/could not be used: liftMetres/)
    expect(input.value.liftMetres).not.toBe(-3)
  })
  it('keeps the last answer on the screen, marked, while a number is wrong', async () => {
    const { answer, set, stale, problems, setMisread } = asking()
    const before = answer.value
    expect([before?.solved.verdict !== undefined, stale.value]).toEqual([true, false])
    set('liftMetres', -3)
    await nextTick()
    expect(problems.value.map(({ field }) => field)).toEqual(['liftMetres'])
    expect([answer.value === before, stale.value]).toEqual([true, true])
    set('liftMetres', 2)
    await nextTick()
    expect([answer.value === before, stale.value]).toEqual([false, false])
    setMisread('liftMetres', 'a number is wanted')
    expect(stale.value).toBe(true)
    setMisread('liftMetres', '')
    expect(stale.value).toBe(false)
  })
})

it('a plate that is silent is filled the same on the page as anywhere', async () => {
  answers(() => viewOf([opened()]))
  const visit = useVisit()
  await visit.open(VISIT)
  expect(visit.state?.plate).toEqual(completePlate(visit.state!.pump))
})
