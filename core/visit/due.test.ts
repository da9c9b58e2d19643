import { describe, expect, it } from 'vitest'
import { duesIn, duesOf } from './due'
import type { Entry } from './entry'
import { jobOf } from './job'
import { UNNAMED_SHOP, type Shop } from './shop'
import { entry, fold, opened, reading } from './test-journal'

const dues = (today: string, entries: Entry[], shop: Shop = UNNAMED_SHOP) => {
  const state = fold([opened(), ...entries, entry('handed-over', { watch: '' })])
  return duesOf(state, jobOf(state, shop), shop, today).map(({ kind, on }) => `${kind} ${on}`)
}
const seal = entry('decision', { option: 'replace-shaft-seal' })

describe('what comes due', () => {
  it('a second look a day after a new seal, where the shop does so', () => {
    expect(dues('2026-05-12', [seal])).toEqual(['second-look 2026-05-13'])
    expect(dues('2026-05-12', [seal], { ...UNNAMED_SHOP, schools: { after: 'on-the-day' } })).toEqual([])
    expect(dues('2026-05-12', [entry('decision', { option: 'replace-run-capacitor' })])).toEqual([])
  })
  it('insulation a year after it was read, by the calendar', () => {
    const meg = reading('insulation-resistance', 180)
    const capacitor = entry('decision', { option: 'replace-run-capacitor' })
    expect(dues('2026-05-12', [meg, capacitor])).toEqual(['reading 2027-05-12'])
    expect(dues('2028-02-29', [meg, capacitor])).toEqual(['reading 2029-02-28'])
  })
  it('nothing where nothing was repaired', () => expect(dues('2026-05-12', [])).toEqual([]))
  it('stands in the order of its days, the next visit among it', () => {
    const over = {
      watch: '',
      nextDate: '2026-06-01',
      due: [
        { kind: 'reading' as const, on: '2027-05-12', what: 'Insulation' },
        { kind: 'second-look' as const, on: '2026-05-13', what: 'Dry?' },
      ],
    }
    expect(duesIn(over).map(({ on }) => on)).toEqual(['2026-05-13', '2026-06-01', '2027-05-12'])
    expect(duesIn()).toEqual([])
  })
})
