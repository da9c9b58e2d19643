import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import type { Entry } from '#core/visit/entry'
import { supersessionOf } from '#core/visit/supersession'
import { opened, reading, VISIT } from '#core/visit/test-journal'
import { freshBrowser } from '~/utils/browser.fixture'
import { useOutbox } from './outbox'
import { visitJournal } from './visit-journal'

/** A fresh browser whose server answers like this. */
function browser(answer: () => Response | Promise<Response>): void {
  freshBrowser()
  vi.stubGlobal('fetch', async () => answer())
}
const accepted = () => Response.json({ accepted: [] })
const refusal = () =>
  Response.json({ title: 'Not so.', problems: [{ field: 'entries.0.body', value: 1, expected: 'x' }] }, { status: 422 })
const tab = () => visitJournal(ref(VISIT), ref({ author: 'Ada' }))
/** When the outbox has sent what it could. */
const settled = () => useOutbox().flush()

beforeEach(() => {
  setActivePinia(createPinia())
})

describe('the journal of the open visit', () => {
  it('has a line as soon as it is written, later than all that was seen', async () => {
    browser(accepted)
    const { entries, merge, append } = tab()
    merge([{ ...opened(), lamport: 41 }])
    const note = append('note', { text: 'dry', seenAndLeft: false })
    expect(entries.value.map(({ id }) => id)).toContain(note.id)
    expect(note).toMatchObject({ lamport: 42, visitId: VISIT, author: 'Ada' })
    await settled()
    expect(useOutbox().waiting, 'and sent').toBe(0)
    expect(
      entries.value.map(({ id }) => id),
      'and still here',
    ).toContain(note.id)
  })

  it('takes each line once, whoever brings it, and gives an older app’s line a place after the others', () => {
    browser(accepted)
    const { entries, merge } = tab()
    const first = { ...opened(), lamport: 5 }
    merge([first])
    merge([first, reading('supply-voltage', 230)])
    expect(entries.value.map(({ lamport }) => lamport)).toEqual([5, 6])
  })

  it('leaves out what the server refused, as long as it is refused', async () => {
    browser(refusal)
    const { entries, append } = tab()
    const bad = append('note', { text: 'dry', seenAndLeft: false })
    await settled()
    expect(useOutbox().refused.map(({ entry }) => entry.id)).toEqual([bad.id])
    expect(entries.value).toEqual([])
  })

  it('settles what two devices said: the chosen one stands alone, and one taken back stands taken back', () => {
    browser(accepted)
    const { entries, merge, settle } = tab()
    const said = (lamport: number, value: number, supersedes?: string): Entry =>
      ({ ...reading('supply-voltage', value), lamport, ...(supersedes ? { supersedes } : {}) }) as Entry
    const first = said(2, 23.6)
    const rivals = [said(3, 236, first.id), said(3, 190, first.id)]
    merge([{ ...opened(), lamport: 1 }, first, ...rivals])
    const [conflict] = supersessionOf(entries.value).conflicts
    const claims = conflict?.claims ?? []
    settle(claims, claims.find(({ entry }) => entry.id === rivals[0]?.id) as (typeof claims)[number])
    const { live, conflicts } = supersessionOf(entries.value)
    expect(conflicts).toEqual([])
    expect(live.flatMap((entry) => (entry.kind === 'finding' ? [entry.body.value] : []))).toEqual([236])
  })

  it('is the same in another tab', async () => {
    browser(() => new Promise(() => undefined))
    const [here, there] = [tab(), tab()]
    const note = here.append('note', { text: 'dry', seenAndLeft: false })
    await nextTick()
    expect(there.entries.value.map(({ id }) => id)).toEqual([note.id])
  })
})
