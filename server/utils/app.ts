import type { OpeningProgress } from '../services/reconcile'
import { settingsIn } from '../services/settings'
import { openShopApp, type ShopApp } from '../services/shop-app'
import { log } from './log'
import { Problem } from './problem'

/** Longer than an everyday start takes; a journal that takes longer to take in says how far it is. */
const LONGEST_WAIT = 4_000

let opening: Promise<ShopApp> | undefined
let progress: OpeningProgress | undefined
let opened: ShopApp | undefined

/** Opens the shop's data, once. */
export function openApp(): Promise<ShopApp> {
  opening ??= openShopApp({
    ...settingsIn(process.env),
    tell: (now) => {
      progress = now
    },
    say: log.say,
  }).then((app) => {
    opened = app
    // The first visit that is opened finds the shop's own times read already.
    app.pace.steps().catch(() => undefined)
    app.index.catchUp().catch(() => undefined)
    return app
  })
  return opening
}

/**
 * The shop's data; every handler awaits it, because Nitro does not wait for plugins.
 *
 * @throws Problem 503 while a long journal is still being taken in, with how far it is
 */
export async function useShopApp(): Promise<ShopApp> {
  if (opened) return opened
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, refuse) => {
    timer = setTimeout(() => refuse(new Problem(503, openingWords())), LONGEST_WAIT)
  })
  try {
    return await Promise.race([openApp(), late])
  } finally {
    clearTimeout(timer)
  }
}

/** The shop's data where it is open already. */
export function openedApp(): ShopApp | undefined {
  return opened
}

/** How far the opening has come; undefined once the shop is open. */
export function openingProgress(): OpeningProgress | undefined {
  return opened ? undefined : (progress ?? { doing: 'journal', done: 0, of: 0 })
}

/** The same in words. */
export function openingWords(): string {
  const now = openingProgress()
  const percent = now && now.of > 0 ? `, ${Math.floor((100 * now.done) / now.of)} %` : ''
  return `The shop is opening: ${now?.doing === 'lists' ? 'the lists are built' : 'the journal is taken in'}${percent}.`
}

/** The instant it is now: the clock, or the fixed one of screenshots and tests. */
export function serverNow(): string {
  return process.env.PIKE_LAMP_NOW ?? new Date().toISOString()
}
