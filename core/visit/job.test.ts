import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { FAULTS } from '../knowledge/vocabulary'
import { chosenOf, considerationOf, jobOf, priceOf, repairOf, visitAccount } from './job'
import { writeSheet } from './sheet'
import { UNNAMED_SHOP, type Shop } from './shop'
import { entry, fold, opened, reading, seen } from './test-journal'

/** A shop that is dear, takes twice as long at everything it does on the way to the seal, and reuses rings. */
const SHOP: Shop = {
  ...UNNAMED_SHOP,
  rates: { ...DEFAULT_RATES, hourly: 180, partsMarkup: 0.4 },
  schools: { rings: 'reuse' },
}
const call = entry('call', { complaints: ['leak-under-motor'], alreadyReplaced: [], callerSays: '' })
const leaking = [opened(), call, seen('weep-hole', 'dripping'), seen('shaft-turn', 'free')]
const decided = (option: string) => entry('decision', { option })
const paceOf = (...visit: ReturnType<typeof entry>[]) =>
  Object.fromEntries((jobOf(fold(visit), SHOP).repair?.steps ?? []).map(({ id }) => [id, 2]))

describe('one job', () => {
  it('costs the same on the screens, which think in a worker, and on the sheet, which thinks at once', () => {
    const journal = [...leaking, decided('replace-shaft-seal')]
    const pace = paceOf(...journal)
    for (const found of [[], [entry('take-down-found', { part: 'impeller', what: 'damaged' })]]) {
      const state = fold([...journal, ...found])
      const job = jobOf(state, SHOP, pace, { 'shaft-seal-leaking': 1.4 })
      const thought = considerationOf(state, SHOP, pace, { 'shaft-seal-leaking': 1.4 })
      expect(chosenOf(thought, state)).toEqual(job.chosen)
      expect(thought.bill).toEqual(job.bill)
      expect(priceOf(state, visitAccount(state, thought.bill, SHOP))).toBe(job.price)
      expect(repairOf(state, SHOP, pace)).toEqual(job.repair)
      const sheet = writeSheet(state, SHOP, job)
      expect(sheet.price?.total).toBe(job.price)
      expect(sheet.found.map(({ text }) => text).join()).toContain('Hole under the pump: dripping')
    }
  })

  it('a damage costs its part at the shop’s markup and its minutes at the shop’s pace and rate', () => {
    const journal = [...leaking, decided('replace-shaft-seal')]
    const damaged = [...journal, entry('take-down-found', { part: 'diffuser', what: 'damaged' })]
    const pace = Object.fromEntries((jobOf(fold(damaged), SHOP).repair?.steps ?? []).map(({ id }) => [id, 2]))
    const [plain, more] = [journal, damaged].map((each) => jobOf(fold(each), SHOP, pace).bill)
    const slower = (more?.minutes.p50 ?? 0) - (plain?.minutes.p50 ?? 0)
    expect(slower).toBeGreaterThan(0)
    const part = (DEFAULT_RATES.partPrices['diffuser:pool'] ?? DEFAULT_RATES.partPrices.diffuser ?? 0) * 1.4
    expect((more?.price ?? 0) - (plain?.price ?? 0)).toBeCloseTo(part + (slower / 60) * 180, 6)
  })

  it('what was agreed at the door is the price, whatever the option comes to', () => {
    const agreed = [...leaking, decided('replace-shaft-seal'), entry('handed-over', { watch: '', price: 99 })]
    expect(jobOf(fold(agreed), SHOP)).toMatchObject({ price: 99 })
    expect(jobOf(fold(leaking), SHOP)).toMatchObject({ price: undefined, chosen: undefined, repair: undefined })
  })

  it('a wish is priced beside the repairs and can be decided on', () => {
    const { wishes } = jobOf(fold(leaking), SHOP)
    const wish = wishes[0] as (typeof wishes)[number]
    const job = jobOf(fold([...leaking, decided(wish.id)]), SHOP)
    expect(job.chosen).toEqual(wish)
    expect(job.repair?.steps.length).toBeGreaterThan(2)
  })

  it('the way that was begun is the way that is finished', () => {
    const journal = [...leaking, decided('replace-shaft-seal')]
    const way = jobOf(fold(journal), SHOP).repair?.steps.map(({ id }) => id) ?? []
    const begun = [...journal, ...way.slice(0, 4).map((step) => entry('step', { step, done: true }))]
    expect(jobOf(fold(begun), SHOP).repair?.steps.map(({ id }) => id)).toEqual(expect.arrayContaining(way.slice(0, 4)))
  })

  it('with every cause set aside nothing is lit, nothing is settled and nothing is offered as the best', () => {
    const excluded = Object.keys(FAULTS).map((fault) => entry('cause-said', { fault, verdict: 'not-this' }))
    const { diagnosis, options } = jobOf(fold([...leaking, reading('supply-voltage', 231), ...excluded]), SHOP)
    expect(diagnosis).toMatchObject({ settled: false, next: null, suspects: [] })
    expect(diagnosis.bestAction).toBeUndefined()
    expect(options).toEqual([])
    expect(diagnosis.judgements.length).toBeGreaterThan(0)
  })

  it('a cause set aside changes what is suspected, and not what was loaded on the call alone', () => {
    const [before, after] = [
      leaking,
      [...leaking, entry('cause-said', { fault: 'shaft-seal-leaking', verdict: 'not-this' })],
    ].map((journal) => jobOf(fold(journal), SHOP))
    expect(after?.diagnosis.suspects[0]?.fault).not.toBe(before?.diagnosis.suspects[0]?.fault)
    expect(after?.preparation).toEqual(before?.preparation)
  })
})
