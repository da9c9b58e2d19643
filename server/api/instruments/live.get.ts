import { createEventStream, getQuery } from 'h3'
import { isFunction } from '../../../core/instruments/functions'
import { badField } from '../../../core/validation/input-error'
import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'
import { stillAllowed } from '../../utils/signed-in'

/** Somebody who was shut out meanwhile hears no more. */
const BEAT = 15_000

/**
 * What instruments show, as server-sent events: `readings` and `states`. Nothing of it is kept.
 *
 * `want`: the function that the lit check is read with, for instruments whose dial is turned from here.
 */
export default api('write', async (event) => {
  const { want } = getQuery(event)
  if (want !== undefined && (typeof want !== 'string' || !isFunction(want)))
    throw badField('want', want, 'a function of an instrument, such as VOLT:AC')
  const { instruments } = await useShopApp()
  const stream = createEventStream(event)
  const ended = new AbortController()
  const push = (name: string, data: object) => void stream.push({ event: name, data: JSON.stringify(data) })
  const beating = setInterval(() => {
    push('beat', {})
    stillAllowed(event, 'write').then(
      (isAllowed) => (isAllowed ? undefined : stream.close()),
      () => undefined,
    )
  }, BEAT)
  stream.onClosed(() => {
    clearInterval(beating)
    ended.abort()
  })
  await instruments.follow(
    { readings: (readings) => push('readings', { readings }), states: (states) => push('states', { states }) },
    want,
    ended.signal,
  )
  return stream.send()
})
