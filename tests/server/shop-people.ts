import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { ROLES, type Role } from '#core/people/roles'

const API = join(import.meta.dirname, '../../server/api')
export const EVERYBODY = Object.keys(ROLES) as Role[]
export const PASSPHRASES: Readonly<Record<Role, string>> = {
  owner: 'otter lantern gravel nine',
  technician: 'seven herons by the weir',
  office: 'brass kettle under ivy',
  learner: 'quiet marble sunday fox',
}

/** Every route as its file says it, such as GET /api/visits/[id]. */
export function routesFound(): string[] {
  return readdirSync(API, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.includes('[...'))
    .map((name) => {
      const [, path = '', method = ''] = /^(.*?)\.(get|post|put|patch|delete)\.ts$/.exec(name) ?? []
      return `${method.toUpperCase()} /api/${path.replace(/\/index$/, '')}`
    })
}

export interface Answer {
  status: number
  cookie: string
  said: unknown
}

/** Asks a server of a shop as somebody, by their cookie; of a stream only how it begins. */
export async function asked(url: string, method: string, path: string, cookie: string, body?: object): Promise<Answer> {
  const ended = new AbortController()
  const response = await fetch(`${url}${path}`, {
    method,
    headers: { ...(cookie ? { cookie } : {}), ...(body ? { 'content-type': 'application/json' } : {}) },
    ...(body ? { body: JSON.stringify(body) } : {}),
    signal: ended.signal,
  })
  const isStream = response.headers.get('content-type')?.startsWith('text/event-stream')
  const said: unknown = isStream ? undefined : await response.json().catch(() => undefined)
  if (isStream) ended.abort()
  return { status: response.status, cookie: (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '', said }
}

/** Somebody of a role who is signed in. */
export interface Somebody {
  cookie: string
  person: string
  device: string
}

/** The first owner of a shop without people, and one of each other role, invited and signed in. */
export async function somebodyOfEach(url: string): Promise<Record<Role, Somebody>> {
  const signedIn = ({ status, cookie, said }: Answer): Somebody => {
    if (status !== 200) throw new Error(`${status} ${JSON.stringify(said)}`)
    const { person, device } = said as { person: { id: string }; device: string }
    return { cookie, person: person.id, device }
  }
  const body = { name: 'owner', passphrase: PASSPHRASES.owner }
  const somebody = { owner: signedIn(await asked(url, 'POST', '/api/people/first', '', body)) } as Record<
    Role,
    Somebody
  >
  for (const role of EVERYBODY.slice(1)) {
    const made = await asked(url, 'POST', '/api/people/invitations', somebody.owner.cookie, { name: role, role })
    const { token } = made.said as { token: string }
    somebody[role] = signedIn(
      await asked(url, 'POST', '/api/session/join', '', { token, passphrase: PASSPHRASES[role] }),
    )
  }
  return somebody
}
