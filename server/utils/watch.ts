import { defineEventHandler } from 'h3'
import { Metrics } from '../services/watch/metrics'
import { openedApp } from './app'
import { log } from './log'

export const metrics = new Metrics({
  arrival: () => openedApp()?.live.arrival ?? 0,
  followers: () => openedApp()?.live.count ?? 0,
  isOpen: () => openedApp() !== undefined,
})

/** Open as long as a page is: how long it took says nothing. */
const STREAM = '/api/live'

/** Notes how each request was answered. */
export const watched = defineEventHandler((event) => {
  const began = performance.now()
  event.node.res.once('close', () => {
    const matched = event.context.matchedRoute as { path?: string } | undefined
    const route = matched?.path ?? 'other'
    if (route === STREAM) return
    const answered = {
      method: event.method,
      route,
      status: event.node.res.statusCode,
      milliseconds: Math.round(performance.now() - began),
    }
    metrics.answered(answered)
    log.answered(answered)
  })
})
