import { StorageSerializers, useStorage, type RemovableRef, type Serializer } from '@vueuse/core'
import { effectScope } from 'vue'

/** One for each key: where storage is forbidden, nothing else would carry a change from one place to another. */
const shared = new Map<string, RemovableRef<unknown>>()

/**
 * A ref that is kept in the browser, one for all who name its key, and in step with other tabs. A full or forbidden
 * storage leaves what is on the screen as it is.
 */
export function useLocalStorageRef<T extends object | string>(key: string, initial: T): RemovableRef<T> {
  const known = shared.get(key)
  if (known) return known as RemovableRef<T>
  // It outlives whoever asked first.
  const value = effectScope(true).run(() =>
    useStorage<T>(key, initial, undefined, {
      serializer: StorageSerializers.object as Serializer<T>,
      writeDefaults: false,
      flush: 'sync',
      onError: () => undefined,
    }),
  ) as RemovableRef<T>
  shared.set(key, value)
  return value
}
