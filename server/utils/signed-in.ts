import type { H3Event, SessionConfig } from 'h3'
import { clearSession, getCookie, getQuery, getRequestHeader, getSession, setResponseHeader, updateSession } from 'h3'
import { may, type Permission, type Role } from '../../core/people/roles'
import { isLoopback, isNear } from '../services/addresses'
import type { Sender } from '../services/people/authors'
import type { Writer } from '../../core/visit/entry'
import type { SignedIn } from '../services/people/people'
import { useShopApp } from './app'
import { isLoopbackName, isSafeWay } from './guard'
import { Problem } from './problem'

/**
 * What a route asks of whoever asks it. `watch`: a machine that reads this server's numbers, or the owner. `feed`: a
 * calendar that was given a key, or whoever may look.
 */
export type Asked = Permission | 'anyone' | 'watch' | 'feed'

/** Who asks: somebody who is signed in, or whoever sits at this machine while nobody was written down. */
export type Who = (SignedIn & { isAlone: false; devices: readonly string[] }) | { isAlone: true }

/** Devices that were signed in before in the same browser: lines that wait there are still of them. */
const MOST_BEFORE = 5
/** The list of people ends a device sooner where it was not used. Seconds. */
const YEAR = 365 * 86_400
const COOKIE = 'pike-lamp'

/** By whom the connection is held. An IPv4 address in the form of IPv6 is one all the same. */
const peerOf = (event: H3Event) => (event.node.req.socket.remoteAddress ?? '').replace(/^::ffff:/, '')

/** What the browser is given, sealed: the devices of this browser, the one that is signed in first. */
interface Sealed {
  devices?: string[]
}

/** From this machine itself, under a name of its own, and not passed on for another. */
function isFromHere(event: H3Event): boolean {
  const passedOn = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-real-ip', 'via'].some((name) =>
    getRequestHeader(event, name),
  )
  return !passedOn && isLoopback(peerOf(event)) && isLoopbackName(getRequestHeader(event, 'host') ?? '')
}

/** Where a request comes from: what the last proxy before this server says, where it is one of ours. */
function addressOf(event: H3Event): string {
  const peer = peerOf(event)
  const told = getRequestHeader(event, 'x-forwarded-for')?.split(',').at(-1)?.trim()
  return (told && isNear(peer) ? told : peer).slice(0, 45)
}

/** Who asks; nobody where it is not known. */
export async function whoAsks(event: H3Event): Promise<Who | undefined> {
  const known = event.context as { who?: Promise<Who | undefined> }
  known.who ??= findWho(event)
  return known.who
}
async function findWho(event: H3Event): Promise<Who | undefined> {
  const { people } = await useShopApp()
  if (!(await people.isAnybody())) return isFromHere(event) ? { isAlone: true } : undefined
  const devices = await devicesOf(event)
  const signedIn = devices[0] ? await people.at(devices[0]) : undefined
  return signedIn && { ...signedIn, isAlone: false, devices }
}

/**
 * Lets a request through to a route, or says why not.
 *
 * @throws Problem 401 where nobody is signed in, 403 where they may not
 */
export async function allowed(event: H3Event, asked: Asked): Promise<void> {
  if (asked === 'anyone' || (asked === 'watch' && hasKey(event)) || (asked === 'feed' && (await hasFeedKey(event))))
    return
  const who = await whoAsks(event)
  if (!who) {
    const { people } = await useShopApp()
    throw new Problem(
      401,
      (await people.isAnybody())
        ? 'Sign in first.'
        : 'Nobody is written down in this shop yet. The first is, on the server’s own machine: lamp -- owner NAME.',
    )
  }
  if (who.isAlone) return
  const permission = asked === 'watch' ? 'people' : asked === 'feed' ? 'look' : asked
  if (!may(who.person.role, permission))
    throw new Problem(403, `This is not for the ${who.person.role} of a shop.`, [
      { field: 'role', value: who.person.role, expected: `somebody who may: ${permission}` },
    ])
}

/** Is a request that goes on for long still one that is let through? */
export async function stillAllowed(event: H3Event, asked: Permission): Promise<boolean> {
  const who = await findWho(event)
  return who !== undefined && (who.isAlone || may(who.person.role, asked))
}

/** Who is signed in, for a route that is about them. @throws Problem 409 where nobody signs in */
export async function mustBeSomebody(event: H3Event): Promise<Extract<Who, { isAlone: false }>> {
  const who = await whoAsks(event)
  if (!who || who.isAlone) throw new Problem(409, 'Nobody is signed in here: the shop has no people yet.')
  return who
}

/** A machine that collects numbers knows a key of its own. */
function hasKey(event: H3Event): boolean {
  const key = process.env.PIKE_LAMP_METRICS_KEY
  return !!key && getRequestHeader(event, 'authorization') === `Bearer ${key}`
}

/** How the cookie is sealed and kept: no script reads it, no other site sends it. */
async function sealing(event: H3Event): Promise<SessionConfig> {
  const { people } = await useShopApp()
  return {
    name: COOKIE,
    password: await people.secret(),
    maxAge: YEAR,
    sessionHeader: false,
    cookie: { httpOnly: true, sameSite: 'strict', path: '/', secure: isSafeWay(event) },
  }
}

/** The devices of this browser; none where it has no cookie, or one that was not sealed here. */
async function devicesOf(event: H3Event): Promise<readonly string[]> {
  if (!getCookie(event, COOKIE)) return []
  return (await getSession<Sealed>(event, await sealing(event))).data.devices ?? []
}

/** A calendar cannot sign in: it was given a key of its own, which is in the address it asks. */
async function hasFeedKey(event: H3Event): Promise<boolean> {
  const { key } = getQuery(event)
  if (typeof key !== 'string' || key === '') return false
  const { people } = await useShopApp()
  const person = await people.withKey(key)
  return person !== undefined && may(person.role, 'look')
}

/** The browser is signed in from now on, as one more of its devices. */
export async function letIn(event: H3Event, { person, device }: SignedIn): Promise<SessionView> {
  const [config, before] = [await sealing(event), await devicesOf(event)]
  // Another session than before: one that was known to somebody before is worth nothing.
  await clearSession(event, config)
  await updateSession<Sealed>(event, config, { devices: [device.id, ...before].slice(0, MOST_BEFORE) })
  return inView({ person, device })
}

/** What a page is told of who is signed in. */
export interface SessionView {
  is: 'in'
  person: { id: string; name: string; role: Role }
  device: string
}
export function inView({ person: { id, name, role }, device }: SignedIn): SessionView {
  return { is: 'in', person: { id, name, role }, device: device.id }
}

/** The browser is signed in no more: its devices stay in the seal, so that lines that wait there are still of them. */
export function letOut(event: H3Event): void {
  setResponseHeader(event, 'clear-site-data', '"cache"')
}

/** What a browser says of itself, in a few words, and where it comes from. */
export function fromOf(event: H3Event): { device: string; address: string } {
  const told = getRequestHeader(event, 'user-agent') ?? ''
  const system = /(Android|iPhone|iPad|Windows|Mac OS X|CrOS|Linux)/.exec(told)?.[1] ?? 'a device'
  return { device: system.replace('Mac OS X', 'Mac'), address: addressOf(event) }
}

/** Whoever is signed in, with all who were in this browser, whose lines may still wait there. */
export async function senderOf({ person, devices }: Extract<Who, { isAlone: false }>): Promise<Sender> {
  const { people } = await useShopApp()
  return { person, devices: await people.onDevices(devices, person.id) }
}

/** Who writes by a request: whoever is signed in; where nobody signs in, under the name that was given. */
export async function writerOf(event: H3Event, typed: string): Promise<Writer> {
  const who = await whoAsks(event)
  if (!who || who.isAlone) return { author: typed }
  return { author: who.person.name, by: { person: who.person.id, device: who.device.id } }
}

/** Data of customers leave the shop as a file: where people sign in the owner can read by whom, and when. */
export const noteFile = (event: H3Event, what: string): Promise<void> => noted(event, 'exported', what)
/** Data of a customer were removed; of whom is not said again. */
export const noteForgotten = (event: H3Event): Promise<void> => noted(event, 'forgotten', 'those of a customer')

async function noted(event: H3Event, done: 'exported' | 'forgotten', what: string): Promise<void> {
  const who = await whoAsks(event)
  if (!who || who.isAlone) return
  const { people } = await useShopApp()
  await people.note(done, who.person.id, what)
}
