import type { DBSchema, IDBPDatabase } from 'idb'
import type { Entry } from '#core/visit/entry'
import { openStore } from './open-store'

/** What the shop told of practice last. */
export interface ToldOfPractice {
  lines: Entry[]
  /** Names of the people of the shop, for whoever sees to them. */
  people: string[]
}
interface SkillDatabase extends DBSchema {
  told: { key: string; value: ToldOfPractice }
}
const NAME = 'pike-lamp.skills'
const LAST = 'last'

/** What the shop told of practice, kept so that skills are seen without a way to it. */
export class SkillStore {
  private readonly opened: Promise<IDBPDatabase<SkillDatabase> | undefined> = openStore<SkillDatabase>(
    NAME,
    (store) => {
      store.createObjectStore('told')
    },
  )

  async told(): Promise<ToldOfPractice | undefined> {
    return (await this.opened)?.get('told', LAST).catch(() => undefined)
  }
  async keep(told: ToldOfPractice): Promise<void> {
    await (await this.opened)?.put('told', told, LAST).catch(() => undefined)
  }
  async clear(): Promise<void> {
    await (await this.opened)?.clear('told').catch(() => undefined)
  }
}
