import { describe, expect, it } from 'vitest'
import { nextTick, ref, shallowRef } from 'vue'
import type { VisitState } from '#core/visit/fold'
import type { Consideration } from '#core/visit/job'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { entry, fold, opened, reading } from '#core/visit/test-journal'
import { visitThought } from './visit-thought'

/** A thinker whose answers come when the test says so, each naming what it was asked. */
function slowThinker() {
  const asked: { volts?: number | null; system: string; answer: () => Promise<void> }[] = []
  const think: Parameters<typeof visitThought>[1] = ({ case: { findings } }, _shop, _pace, _experience, system) =>
    new Promise((resolve) => {
      const volts = findings?.at(-1)?.value
      asked.push({
        volts,
        system,
        answer: async () => {
          resolve({ options: [{ id: `at ${String(volts)} in ${system}` }] } as unknown as Consideration)
          await nextTick()
        },
      })
    })
  return { asked, think }
}
function grounds(first?: VisitState) {
  const state = shallowRef(first)
  const system = ref<'us' | 'metric'>('us')
  const shop = shallowRef(UNNAMED_SHOP)
  return { state, system, shop, pace: shallowRef({}), experience: shallowRef({}) }
}
const start = [opened()]

describe('what is thought of a visit', () => {
  it('is asked as soon as there is one, and anew when a reading comes, not at every line', async () => {
    const { asked, think } = slowThinker()
    const on = grounds()
    const { thought, thinking } = visitThought(on, think)
    expect(asked).toHaveLength(0)
    on.state.value = fold(start)
    await nextTick()
    expect([asked.length, thinking.value]).toEqual([1, true])
    await asked[0]?.answer()
    expect([thought.value?.options[0]?.id, thinking.value]).toEqual(['at undefined in us', false])
    on.state.value = fold([...start, entry('note', { text: 'a dog', seenAndLeft: false })])
    await nextTick()
    expect(asked).toHaveLength(1)
    on.state.value = fold([...start, reading('supply-voltage', 231)])
    await nextTick()
    expect(asked.map(({ volts }) => volts)).toEqual([undefined, 231])
  })

  it('of a newer case is never overtaken by the answer to an older one', async () => {
    const { asked, think } = slowThinker()
    const on = grounds(fold([...start, reading('supply-voltage', 231)]))
    const { thought, thinking } = visitThought(on, think)
    on.state.value = fold([...start, reading('supply-voltage', 180)])
    await nextTick()
    await asked[1]?.answer()
    await asked[0]?.answer()
    expect([thought.value?.options[0]?.id, thinking.value]).toEqual(['at 180 in us', false])
  })

  it('is put into the reader’s units, and follows the shop’s rates', async () => {
    const { asked, think } = slowThinker()
    const on = grounds(fold(start))
    visitThought(on, think)
    on.system.value = 'metric'
    await nextTick()
    on.shop.value = { ...UNNAMED_SHOP, rates: { ...UNNAMED_SHOP.rates, hourly: 200 } }
    await nextTick()
    expect(asked.map(({ system }) => system)).toEqual(['us', 'metric', 'metric'])
  })
})
