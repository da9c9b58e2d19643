import type { DBSchema, IDBPDatabase } from 'idb'
import type { ToldOfShelf } from '#core/shelf/told-of-shelf'
import type { Entry } from '#core/visit/entry'
import { openStore } from './open-store'

/** What the shop told of practice last. */
export interface ToldOfPractice {
  lines: Entry[]
  /** Names of the people of the shop, for whoever sees to them. */
  people: string[]
}
interface ToldDatabase<T> extends DBSchema {
  told: { key: string; value: T }
}
const LAST = 'last'

/** What the shop told last of one thing, kept on the device so that it is seen without a way to the shop. */
export class ToldStore<T> {
  private readonly opened: Promise<IDBPDatabase<ToldDatabase<T>> | undefined>

  constructor(name: string) {
    this.opened = openStore<ToldDatabase<T>>(name, (store) => {
      store.createObjectStore('told')
    })
  }
  async told(): Promise<T | undefined> {
    return (await this.opened)?.get('told', LAST).catch(() => undefined)
  }
  async keep(told: T): Promise<void> {
    await (await this.opened)?.put('told', told, LAST).catch(() => undefined)
  }
  async clear(): Promise<void> {
    await (await this.opened)?.clear('told').catch(() => undefined)
  }
}

export const practiceTold = () => new ToldStore<ToldOfPractice>('pike-lamp.skills')
export const shelfTold = () => new ToldStore<ToldOfShelf>('pike-lamp.shelf')
