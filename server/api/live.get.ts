import { createEventStream, getHeader, getQuery } from 'h3'
import { badField } from '../../core/validation/input-error'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'
import { stillAllowed } from '../utils/signed-in'

/** A connection that says nothing for so long is taken for dead on the way; this one says something sooner. */
const BEAT = 15_000

/**
 * Lines as they arrive, as server-sent events: `lines` with `{ "entries": [...] }`, `far` where so many came that what
 * is shown is better read anew, `beat` to say that the connection lives. Each has the arrival that it reaches as its
 * id, from which it goes on after a break.
 *
 * @source https://html.spec.whatwg.org/multipage/server-sent-events.html
 */
export default api('look', async (event) => {
  const { live } = await useShopApp()
  const after = arrivalIn(getHeader(event, 'last-event-id') ?? getQuery(event).after) ?? live.arrival
  const stream = createEventStream(event)
  const ended = new AbortController()
  // A beat goes no further than what was told: after a break the device goes on from there.
  let reached = Math.min(after, live.arrival)
  const push = (name: string, arrival: number, data: object) => {
    reached = arrival
    void stream.push({ event: name, id: `${arrival}`, data: JSON.stringify(data) })
  }
  const beating = setInterval(() => {
    push('beat', reached, {})
    // What was told while a connection of the database was broken is not told again.
    live.told().catch(() => undefined)
    // Somebody who was shut out meanwhile hears no more.
    stillAllowed(event, 'look').then(
      (isAllowed) => (isAllowed ? undefined : stream.close()),
      () => undefined,
    )
  }, BEAT)
  stream.onClosed(() => {
    clearInterval(beating)
    ended.abort()
  })
  push('beat', reached, {})
  const follower = {
    lines: (entries: readonly object[], arrival: number) => push('lines', arrival, { entries }),
    far: (arrival: number) => push('far', arrival, {}),
    end: () => void stream.close(),
  }
  // What cannot be read now is read when the device asks again: it has the id of what it heard last.
  live.follow(after, follower, ended.signal).catch(() => stream.close())
  return stream.send()
})

function arrivalIn(asked: unknown): number | undefined {
  if (asked === undefined || asked === '') return undefined
  const arrival = Number(asked)
  if (!Number.isSafeInteger(arrival) || arrival < 0)
    throw badField('after', asked, 'the number of the last line that arrived, from the id of an event')
  return arrival
}
