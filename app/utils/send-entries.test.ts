import { describe, expect, it } from 'vitest'
import { ENTRY_VERSION } from '#core/visit/entry'
import { entry, opened } from '#core/visit/test-journal'
import { sendEntries, sendPictures } from './send-entries'

const asked: { path: string; type?: string; size?: number }[] = []
const server = (answer: () => Response | Promise<Response>) =>
  (async (path: string, init: RequestInit) => {
    const { body, headers } = init as { body: Blob | string; headers: Record<string, string> }
    asked.push({ path, type: headers['content-type'], size: typeof body === 'string' ? body.length : body.size })
    return answer()
  }) as typeof fetch
const photo = (hash: string) => entry('photo', { hash, type: 'image/jpeg', bytes: 3, name: 'can.jpg' })
const [here, there] = ['a'.repeat(64), 'b'.repeat(64)]
const waiting = async (hash: string) => (hash === here ? new Blob(['can'], { type: 'image/jpeg' }) : undefined)

describe('pictures that lines speak of', () => {
  it('go before the lines, those alone that the shop may not have', async () => {
    asked.length = 0
    const sent = await sendPictures(
      [opened(), photo(here), photo(there)],
      waiting,
      server(() => Response.json({})),
    )
    expect(sent).toEqual({ is: 'accepted' })
    expect(asked).toEqual([{ path: '/api/photos', type: 'image/jpeg', size: 3 }])
  })
  it('hold their lines up where nobody answers, and spoil them where they are refused', async () => {
    const away = server(() => Promise.reject(new TypeError('fetch failed')))
    expect(await sendPictures([photo(here)], waiting, away)).toEqual({ is: 'unreachable' })
    const broken = server(() => Response.json({ title: 'A broken picture.', problems: [] }, { status: 422 }))
    expect(await sendPictures([photo(here)], waiting, broken)).toMatchObject({
      is: 'refused',
      refusal: { title: 'A broken picture.', status: 422 },
    })
  })
})

describe('a server of another version', () => {
  const says = (value: unknown) =>
    server(() =>
      Response.json(
        { title: 'Not so.', problems: [{ field: 'entries.0.v', value, expected: 'at most 9' }] },
        { status: 422 },
      ),
    )
  it('that is older keeps lines waiting for it, and does not spoil them', async () => {
    expect(await sendEntries([opened()], says(ENTRY_VERSION))).toMatchObject({ is: 'failing' })
  })
  it('that finds a version wrong which is not this app’s refuses that line', async () => {
    expect(await sendEntries([opened()], says(-1))).toMatchObject({ is: 'refused' })
  })
})
