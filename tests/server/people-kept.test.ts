import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { lamp } from './lamp'
import { post, serve, temporaryFolder } from './serve'

const folder = temporaryFolder()
afterAll(() => folder.remove())
const PASSPHRASE = 'otter lantern gravel nine'

describe('people of a shop', () => {
  it('begin at the command line, are in a backup with their passphrases, and sign in anew where it is restored', async () => {
    const from = join(folder.path, 'from')
    const server = await serve(from)
    const { said: invited } = await lamp(['owner', 'Ada Weir'], { PIKE_LAMP_DATA: from })
    // The server that runs has heard of it: until it is taken up there is nobody.
    const token = String(invited.address).split('#')[1]
    const joined = await post(`${server.url}/api/session/join`, { token, passphrase: PASSPHRASE })
    expect(await joined.json()).toMatchObject({ is: 'in', person: { name: 'Ada Weir', role: 'owner' } })
    const cookie = joined.headers.get('set-cookie')?.split(';')[0] ?? ''
    expect((await fetch(`${server.url}/api/people`)).status).toBe(401)
    expect((await lamp(['owner', 'Bo Heddle'], { PIKE_LAMP_DATA: from })).said.title).toContain('has an owner already')
    expect((await lamp(['owner'], { PIKE_LAMP_DATA: from })).said.title).toContain('needs a name')

    const file = join(folder.path, 'shop.tgz')
    await lamp(['backup', file], { PIKE_LAMP_DATA: from })
    await server.kill('SIGTERM')
    const postgres = await startPostgres()
    try {
      const env = { PIKE_LAMP_DATA: join(folder.path, 'into'), DATABASE_URL: postgres.url }
      await lamp(['restore', file], env)
      const there = await serve(env.PIKE_LAMP_DATA, env)
      expect((await fetch(`${there.url}/api/pumps`, { headers: { cookie } })).status).toBe(401)
      const signedIn = await post(`${there.url}/api/session`, { name: 'ada weir', passphrase: PASSPHRASE })
      expect(signedIn.status).toBe(200)
      const again = { cookie: signedIn.headers.get('set-cookie')?.split(';')[0] ?? '' }
      const { lines } = (await (await fetch(`${there.url}/api/people/audit`, { headers: again })).json()) as {
        lines: { what: string }[]
      }
      expect(lines.map(({ what }) => what)).toEqual(['signed-in', 'joined', 'invited'])
      await there.kill('SIGTERM')
    } finally {
      await postgres.stop()
    }
  })

  it('is said at the start: one person without a passphrase, or that everybody signs in', async () => {
    const own = join(folder.path, 'own')
    const first = await serve(own)
    expect(first.output()).toContain('One person works here without a passphrase')
    await post(`${first.url}/api/people/first`, { name: 'Ada Weir', passphrase: PASSPHRASE })
    await first.kill('SIGTERM')
    const second = await serve(own)
    expect(second.output()).toContain('Whoever opens it signs in.')
    await second.kill('SIGTERM')
  })

  it.each([
    ['x-forwarded-for', '192.0.2.7'],
    ['forwarded', 'for=192.0.2.7'],
    ['via', '1.1 proxy'],
  ])('nobody who was passed on by %s is taken for whoever sits at the machine', async (name, value) => {
    const server = await serve(join(folder.path, name))
    expect((await fetch(`${server.url}/api/pumps`)).status).toBe(200)
    const headers = { [name]: value }
    expect((await fetch(`${server.url}/api/pumps`, { headers })).status).toBe(401)
    const first = { name: 'Ada Weir', passphrase: PASSPHRASE }
    expect((await post(`${server.url}/api/people/first`, first, headers)).status).toBe(403)
    await server.kill('SIGTERM')
  })
})
