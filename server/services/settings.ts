import type { ShopAppOptions } from './shop-app'

type Told = Partial<Record<string, string>>

/** What the environment says of a shop: where its data lies, and who keeps what. An empty setting is none. */
export function settingsIn(told: Told): Pick<ShopAppOptions, 'dataDir' | 'databaseUrl' | 'smtp' | 'pictures'> {
  return {
    dataDir: told.PIKE_LAMP_DATA || 'data',
    databaseUrl: told.DATABASE_URL || undefined,
    smtp: told.PIKE_LAMP_SMTP || undefined,
    pictures: {
      at: told.PIKE_LAMP_PHOTOS || undefined,
      key: told.PIKE_LAMP_PHOTOS_KEY || undefined,
      secret: told.PIKE_LAMP_PHOTOS_SECRET || undefined,
      region: told.PIKE_LAMP_PHOTOS_REGION || undefined,
    },
  }
}
