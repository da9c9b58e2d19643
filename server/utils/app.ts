import { openShopApp, type ShopApp } from '../services/shop-app'

let opening: Promise<ShopApp> | undefined

/** The shop's data, opened once; every handler awaits it, because Nitro does not wait for plugins. */
export function useShopApp(): Promise<ShopApp> {
  opening ??= openShopApp({ dataDir: process.env.PIKE_LAMP_DATA ?? 'data', databaseUrl: process.env.DATABASE_URL || undefined })
  return opening
}

/** The instant it is now: the clock, or the fixed one of screenshots and tests. */
export function serverNow(): string {
  return process.env.PIKE_LAMP_NOW ?? new Date().toISOString()
}
