import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

/**
 * One of this device's own stores.
 *
 * @param make puts its tables there, once
 * @returns nothing where the device has no store, or will not open it
 */
export async function openStore<T extends DBSchema>(
  name: string,
  make: (store: IDBPDatabase<T>) => void,
): Promise<IDBPDatabase<T> | undefined> {
  try {
    return await openDB<T>(name, 1, { upgrade: make })
  } catch {
    return undefined
  }
}
