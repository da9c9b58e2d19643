import { effectScope, ref, watch, type Ref } from 'vue'

const shared = new Map<string, Ref>()

/** A ref that is kept in the browser, one for all who name its key. A full or forbidden storage leaves a plain ref. */
export function useLocalStorageRef<T>(key: string, initial: T): Ref<T> {
  const known = shared.get(key)
  if (known) return known as Ref<T>
  const value = ref(read(key, initial)) as Ref<T>
  shared.set(key, value)
  // It outlives whoever asked first.
  effectScope(true).run(() => watch(value, (next) => write(key, next), { deep: true, flush: 'sync' }))
  return value
}

export function read<T>(key: string, initial: T): T {
  try {
    const text = localStorage.getItem(key)
    return text === null ? initial : (JSON.parse(text) as T)
  } catch {
    return initial
  }
}

export function write(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value))
  } catch {
    // Private windows and full disks: what is on the screen goes on.
  }
}
