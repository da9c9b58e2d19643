import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Role } from '#core/people/roles'
import type { Entry } from '#core/visit/entry'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { reading, testVisit } from './entries'
import { serve, temporaryFolder, type Served } from './serve'
import { asked, EVERYBODY, PASSPHRASES, routesFound, somebodyOfEach, type Somebody } from './shop-people'

const [ALL, SHOP, OFFICE, OWNER]: Role[][] = [
  EVERYBODY,
  ['owner', 'technician', 'office'],
  ['owner', 'office'],
  ['owner'],
] as [Role[], Role[], Role[], Role[]]

/** Who may ask what: every route of the server, and nobody who is not signed in but where it says so. */
const ROUTES: Readonly<Record<string, readonly Role[] | 'anyone'>> = {
  'GET /api/health': 'anyone',
  'GET /api/ready': 'anyone',
  'GET /api/metrics': OWNER,
  'GET /api/calendar.ics': SHOP,
  'GET /api/customers/[id]': SHOP,
  'DELETE /api/customers/[id]': OWNER,
  'GET /api/customers/[id]/data.json': OFFICE,
  'GET /api/day': SHOP,
  'GET /api/day.ics': SHOP,
  'POST /api/device': SHOP,
  'GET /api/due': SHOP,
  'GET /api/due.ics': SHOP,
  'POST /api/entries': ALL,
  'GET /api/practice': ALL,
  'GET /api/instruments': SHOP,
  'PUT /api/instruments': OWNER,
  'POST /api/instruments/stand-ins': OWNER,
  'GET /api/instruments/live': SHOP,
  'GET /api/sounds': SHOP,
  'GET /api/forecast': SHOP,
  'GET /api/ledger': OWNER,
  'GET /api/ledger.csv': OWNER,
  'GET /api/live': SHOP,
  'GET /api/machines': SHOP,
  'GET /api/machines/[id]': SHOP,
  'GET /api/machines/[id]/card': SHOP,
  'GET /api/mail/[id]/message.eml': SHOP,
  'GET /api/photos/[hash]': SHOP,
  'POST /api/photos': SHOP,
  'GET /api/plan': SHOP,
  'GET /api/pumps': SHOP,
  'GET /api/register.csv': OFFICE,
  'GET /api/register.vcf': OFFICE,
  'POST /api/register/import': OFFICE,
  'GET /api/register/imports': OFFICE,
  'POST /api/register/take-back': OFFICE,
  'GET /api/shelf': SHOP,
  'GET /api/shelf/plan': SHOP,
  'POST /api/shelf/delivery': SHOP,
  'GET /api/visits/[id]/reach': SHOP,
  'GET /api/shelf/orders/[id]/deliveries': SHOP,
  'GET /api/shelf/orders/[id]/order.csv': SHOP,
  'GET /api/shelf/orders/[id]/order.xml': SHOP,
  'POST /api/shelf/orders/[id]/send': SHOP,
  'POST /api/shelf/suppliers/[id]/prices': SHOP,
  'GET /api/shop': SHOP,
  'GET /api/visits/[id]': SHOP,
  'GET /api/visits/[id]/claim.pdf': SHOP,
  'GET /api/visits/[id]/due.ics': SHOP,
  'POST /api/visits/[id]/mail': SHOP,
  'GET /api/visits/[id]/offer.pdf': SHOP,
  'GET /api/visits/[id]/readings.csv': SHOP,
  'GET /api/visits/[id]/record.pdf': SHOP,
  'GET /api/visits/[id]/sheet.pdf': SHOP,
  'GET /api/visits/[id]/visit.json': SHOP,
  'POST /api/visits/import': SHOP,
  'GET /api/workings': ALL,
  'POST /api/workings/[name]': ALL,
  'GET /api/people': OWNER,
  'GET /api/people/audit': OWNER,
  'POST /api/people/invitations': OWNER,
  'PATCH /api/people/[id]': OWNER,
  'DELETE /api/people/[id]': OWNER,
  'POST /api/people/[id]/way-in': OWNER,
  'DELETE /api/people/devices/[id]': OWNER,
  'POST /api/session/calendar': SHOP,
  'POST /api/session/device': ALL,
  'POST /api/session/passphrase': ALL,
  'GET /api/session': 'anyone',
  'POST /api/session': 'anyone',
  'DELETE /api/session': 'anyone',
  'POST /api/session/invited': 'anyone',
  'POST /api/session/join': 'anyone',
}
/** Written down at the server's own machine alone, and by nobody once there is an owner. */
const FIRST = 'POST /api/people/first'

describe.each(['embedded', 'server'] as const)('people of a shop with the %s database', (kind) => {
  const folder = temporaryFolder()
  let server: Served
  let stop: (() => unknown) | undefined
  let somebody: Record<Role, Somebody>

  beforeAll(async () => {
    const env: Record<string, string> = {}
    if (kind === 'server') {
      const postgres = await startPostgres()
      stop = postgres.stop
      env.DATABASE_URL = postgres.url
    }
    server = await serve(folder.path, env)
    somebody = await somebodyOfEach(server.url)
  })
  afterAll(async () => {
    await server.kill('SIGTERM')
    await stop?.()
    folder.remove()
  })

  const ask = (method: string, path: string, cookie: string, body?: object) =>
    asked(server.url, method, path, cookie, body)

  it('knows all of its routes', () => {
    expect(routesFound().sort()).toEqual([...Object.keys(ROUTES), FIRST].sort())
  })

  it.each(Object.entries(ROUTES))('%s', async (route, who) => {
    const [method = '', pattern = ''] = route.split(' ')
    const path = pattern.replace('[hash]', 'a'.repeat(64)).replace('[name]', 'diagnose').replaceAll('[id]', uuidv7())
    const isClosed = (status: number) => status === 401 || status === 403
    const hasBody = method === 'POST' || method === 'PATCH' || method === 'PUT'
    for (const role of EVERYBODY) {
      if (route === 'DELETE /api/session') continue
      const { status } = await ask(method, path, somebody[role].cookie, hasBody ? {} : undefined)
      expect([role, isClosed(status)]).toEqual([role, who !== 'anyone' && !who.includes(role)])
      expect(status).not.toBe(500)
    }
    const { status, said } = await ask(method, path, '', hasBody ? {} : undefined)
    expect(status === 401).toBe(who !== 'anyone')
    if (who !== 'anyone') expect(said).toMatchObject({ title: 'Sign in first.', problems: [] })
  })

  it('once there is an owner nobody else begins, and nobody is alone', async () => {
    const again = await ask('POST', '/api/people/first', '', { name: 'x', passphrase: 'nine lanterns over gravel' })
    expect(again.status).toBe(403)
    expect((await ask('GET', '/api/session', '')).said).toEqual({ is: 'out' })
  })

  const visit = testVisit()
  const idsOf = (role: Role) => ({ person: somebody[role].person, device: somebody[role].device })
  const as = (role: Role, line: Entry): Entry => ({ ...line, v: 11, author: role, by: idsOf(role) }) as Entry

  it('each line is of whoever is signed in, and of a kind that they write', async () => {
    const write = (role: Role, ...entries: Entry[]) => ask('POST', '/api/entries', somebody[role].cookie, { entries })
    expect((await write('office', as('office', visit.opened))).status).toBe(200)
    const line = reading(visit, 236)
    expect((await write('technician', as('owner', line))).status).toBe(422)
    expect((await write('office', as('office', line))).status).toBe(422)
    expect((await write('technician', { ...line, author: 'owner' } as Entry)).status).toBe(422)
    expect((await write('technician', as('technician', line))).status).toBe(200)
    const back = { ...visit.write('retracted', {}), supersedes: line.id } as Entry
    expect((await write('office', as('office', back))).status).toBe(422)
    const { said } = await ask('GET', `/api/visits/${visit.visitId}`, somebody.technician.cookie)
    const { entries } = said as { entries: Entry[] }
    expect(entries.map(({ author, by }) => [author, by])).toEqual([
      ['office', idsOf('office')],
      ['technician', idsOf('technician')],
    ])
  })

  it('what came of a try is written by everybody, seen by its writer and by the owner; a course is the owner’s to set', async () => {
    const own = (role: Role, kind: string, body: object) =>
      as(role, { id: uuidv7(), visitId: null, kind, at: new Date().toISOString(), body } as unknown as Entry)
    const tried = (role: Role) =>
      own(role, 'practice-tried', {
        code: 'jet.two.1k9f',
        ended: 'handed-over',
        found: true,
        minutes: 90,
        price: 40_000,
        lamp: 'off',
        harms: [],
        marks: [{ idea: 'order', right: 4, of: 5 }],
      })
    const course = (role: Role, names: string[]) =>
      own(role, 'course-set', { course: uuidv7(), title: 'Spring', cases: ['jet.two.1k9f'], for: names })
    const write = (role: Role, entry: Entry) => ask('POST', '/api/entries', somebody[role].cookie, { entries: [entry] })
    for (const role of ['learner', 'technician', 'owner'] as const)
      expect([role, (await write(role, tried(role))).status]).toEqual([role, 200])
    expect((await write('learner', reading(visit, 236))).status).toBe(422)
    expect((await write('learner', { ...tried('learner'), author: 'owner' } as Entry)).status).toBe(422)
    expect((await write('technician', course('technician', []))).status).toBe(422)
    expect((await write('owner', course('owner', ['learner']))).status).toBe(200)
    const told = async (role: Role) => {
      const { said } = await ask('GET', '/api/practice', somebody[role].cookie)
      const { lines, people } = said as { lines: Entry[]; people: string[] }
      return { people, seen: lines.map(({ kind, author }) => `${kind} ${author}`).sort() }
    }
    expect(await told('learner')).toEqual({ people: [], seen: ['course-set owner', 'practice-tried learner'] })
    expect(await told('technician')).toEqual({ people: [], seen: ['practice-tried technician'] })
    const { people, seen } = await told('owner')
    expect([...people].sort()).toEqual([...EVERYBODY].sort())
    expect(seen).toHaveLength(4)
  })

  it('in one browser another signs in, and what the first wrote is still taken', async () => {
    const second = await ask('POST', '/api/session', somebody.technician.cookie, {
      name: 'office',
      passphrase: PASSPHRASES.office,
    })
    const line = as('technician', reading(visit, 237))
    expect((await ask('POST', '/api/entries', second.cookie, { entries: [line] })).status).toBe(200)
    expect(
      (await ask('POST', '/api/entries', somebody.office.cookie, { entries: [as('technician', reading(visit, 238))] }))
        .status,
    ).toBe(422)
  })

  it('a lost device is out at once, and its stream ends', async () => {
    const lost = await ask('POST', '/api/session', '', { name: 'technician', passphrase: PASSPHRASES.technician })
    const { device } = lost.said as { device: string }
    expect((await ask('GET', '/api/pumps', lost.cookie)).status).toBe(200)
    expect((await ask('DELETE', `/api/people/devices/${device}`, somebody.owner.cookie)).status).toBe(200)
    expect((await ask('GET', '/api/pumps', lost.cookie)).status).toBe(401)
    expect((await ask('GET', '/api/pumps', somebody.technician.cookie)).status).toBe(200)
    const { said } = await ask('GET', '/api/people/audit', somebody.owner.cookie)
    expect((said as { lines: { what: string; by: string; about: string }[] }).lines[0]).toMatchObject({
      what: 'shut-out',
      by: somebody.owner.person,
      about: somebody.technician.person,
    })
  })

  it('a file that leaves is noted, with who took it', async () => {
    for (const path of [
      '/api/register.csv',
      '/api/ledger.csv?month=2026-05',
      `/api/visits/${visit.visitId}/visit.json`,
    ])
      expect((await ask('GET', path, somebody.owner.cookie)).status).toBe(200)
    const { said } = await ask('GET', '/api/people/audit', somebody.owner.cookie)
    const noted = (said as { lines: { what: string; by: string; about: string }[] }).lines.slice(0, 3)
    expect(noted.map(({ what, by, about }) => [what, by, about])).toEqual(
      ['visit', 'ledger', 'register'].map((about) => ['exported', somebody.owner.person, about]),
    )
  })

  it('a cookie that was changed, or is of another shop, is none', async () => {
    const [name = '', value = ''] = somebody.owner.cookie.split('=')
    for (const bad of [`${name}=${value.slice(0, -3)}abc`, `${name}=x`, `${name}=`])
      expect((await ask('GET', '/api/pumps', bad)).status).toBe(401)
  })

  it('no secret is written down: not in the log, not in what the owner reads', async () => {
    const { said } = await ask('GET', '/api/people', somebody.owner.cookie)
    expect(JSON.stringify(said)).not.toMatch(/passphrase|scrypt|secret|hash/)
    for (const passphrase of Object.values(PASSPHRASES)) expect(server.output()).not.toContain(passphrase)
    if (kind === 'embedded')
      for (const passphrase of Object.values(PASSPHRASES))
        expect(readFileSync(join(folder.path, 'people.json'), 'utf8')).not.toContain(passphrase)
  })
})
