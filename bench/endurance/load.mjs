// Writers of one shop: several visits, lines that are sent twice, and a book of all that was acknowledged.
import { isDeepStrictEqual } from 'node:util'
import { v7 as uuidv7 } from 'uuid'
import { startServer } from '../../scripts/lib/setup.mjs'

/** A visit begins anew after so many acknowledged lines: reading one back stays short. */
const LINES_EACH = 400
const WRITERS = 6

/** What was acknowledged, by visit, and how it is held against what a server says. */
export class Load {
  acknowledged = 0
  /** Acknowledged lines as they were sent, by visit. */
  visits = new Map()
  current

  /** Writes from several sides until it is stopped. */
  begin(address) {
    let stopped = false
    const writers = Array.from({ length: WRITERS }, async (_, writer) => {
      while (!stopped) if (!(await this.write(address, writer))) await pause(3)
    })
    return async () => {
      stopped = true
      await Promise.all(writers)
    }
  }

  /** Resolves once so many more are acknowledged; `failed` where nothing comes for long. */
  async more(count) {
    const enough = this.acknowledged + count
    for (let waited = 0; this.acknowledged < enough; waited++) {
      if (waited > 20_000) throw new Error('Nothing is acknowledged any more.')
      await pause(2)
    }
  }

  async write(address, writer) {
    if (!this.current || this.current.lines.size >= LINES_EACH) this.current = this.newVisit()
    const visit = this.current
    const fresh = Array.from({ length: 1 + (writer % 3) }, () =>
      visit.line('note', { text: `${Math.random()}`, seenAndLeft: false }),
    )
    // Some were sent before: the way broke before the answer was heard.
    const again = writer % 2 === 0 ? [...visit.lines.values()].slice(-2) : []
    const entries = [visit.opened, ...again, ...fresh]
    const response = await fetch(`${address}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries }),
    }).catch(() => undefined)
    const said = response?.ok ? await response.json().catch(() => undefined) : undefined
    if (!said) return false
    if (said.accepted.length + said.known.length !== entries.length) throw new Error('An answer that does not add up.')
    for (const entry of entries) visit.lines.set(entry.id, entry)
    this.acknowledged += said.accepted.length
    return true
  }

  newVisit() {
    const [visitId, customerId, machineId] = [uuidv7(), uuidv7(), uuidv7()]
    const line = (kind, body) => ({ id: uuidv7(), visitId, kind, at: new Date().toISOString(), author: 'bench', body })
    const opened = line('visit-opened', {
      customer: { id: customerId, name: 'Mill Row', place: 'by the weir' },
      machine: {
        id: machineId,
        customerId,
        name: 'pump',
        kind: 'pool',
        construction: 'band-clamp',
        nameplate: { volts: 230 },
      },
      scheduledAt: new Date().toISOString(),
      plannedMinutes: 60,
      callerSays: '',
    })
    const visit = { visitId, opened, line, lines: new Map() }
    this.visits.set(visitId, visit)
    return visit
  }

  /** Every acknowledged line of the newest visits, or of all, once and as it was sent. @returns how many were held */
  async check(address, { all = false } = {}) {
    const visits = [...this.visits.values()].filter(({ lines }) => lines.size > 0)
    let held = 0
    for (const { visitId, lines } of all ? visits : visits.slice(-2)) {
      const response = await answered(`${address}/api/visits/${visitId}`)
      if (!response.ok) throw new Error(`Visit ${visitId}: ${response.status} ${await response.text()}`)
      const { entries } = await response.json()
      const kept = new Map(entries.map((entry) => [entry.id, entry]))
      if (kept.size !== entries.length) throw new Error(`Visit ${visitId} has a line twice.`)
      for (const [id, sent] of lines) {
        if (!kept.has(id)) throw new Error(`Line ${id} was acknowledged and is gone.`)
        if (!isDeepStrictEqual(kept.get(id).body, sent.body)) throw new Error(`Line ${id} says something else.`)
        held++
      }
    }
    return held
  }
}

/** Asked again while the server says that its database does not answer: it finds broken connections one by one. */
async function answered(address) {
  for (let tries = 0; ; tries++) {
    const response = await fetch(address)
    if (response.status !== 503 || tries > 20) return response
    await pause(50)
  }
}

/** Servers that are up: ended whatever happens to the measuring. */
const up = new Set()
/** What they have said, the end of it: told where the measuring fails. */
let said = ''
export async function start(options) {
  const server = await startServer({ stdio: ['ignore', 'pipe', 'pipe'], ...options })
  const hear = (chunk) => {
    said = (said + chunk).slice(-MOST_SAID)
  }
  server.child.stdout.on('data', hear)
  server.child.stderr.on('data', hear)
  up.add(server.child)
  server.child.once('exit', () => up.delete(server.child))
  return server
}
const MOST_SAID = 4000
export const whatServersSaid = () => said
export const endAll = () => Promise.all([...up].map(kill))

export const pause = (milliseconds) => new Promise((done) => setTimeout(done, milliseconds))
export const between = (low, high) => low + Math.floor(Math.random() * (high - low + 1))
/** Ends a process at once, as the system does that is short of memory, and waits until it is gone. */
export const kill = (child) =>
  new Promise((done) => {
    child.once('exit', done)
    child.kill('SIGKILL')
  })
export const end = (child) =>
  new Promise((done) => {
    child.once('exit', done)
    child.kill('SIGTERM')
  })
