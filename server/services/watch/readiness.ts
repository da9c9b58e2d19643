import type { ShopApp } from '../shop-app'

/** What does not answer within this time is not ready, milliseconds. */
const PATIENCE = 2_000
/** Asked of the pictures: whether it is there does not matter, an answer does. */
const ANY_HASH = '0'.repeat(64)

export interface Readiness {
  ready: boolean
  database: boolean
  pictures: boolean
}

/** Can requests be sent here? The database and the pictures are asked, which being alive alone does not tell. */
export async function readinessOf({ repository, photos }: Pick<ShopApp, 'repository' | 'photos'>): Promise<Readiness> {
  const [database, pictures] = await Promise.all([answers(repository.newestArrival()), answers(photos.has(ANY_HASH))])
  return { ready: database && pictures, database, pictures }
}

async function answers(asked: Promise<unknown>): Promise<boolean> {
  let late: ReturnType<typeof setTimeout> | undefined
  const patience = new Promise<boolean>((resolve) => {
    late = setTimeout(() => resolve(false), PATIENCE)
  })
  try {
    return await Promise.race([asked.then(() => true), patience])
  } catch {
    return false
  } finally {
    clearTimeout(late)
  }
}
