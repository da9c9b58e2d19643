import { ref, watch, type Ref } from 'vue'

/** A ref that is kept in the browser. A full or forbidden storage leaves a plain ref. */
export function useLocalStorageRef<T>(key: string, initial: T): Ref<T> {
  const value = ref(read(key, initial)) as Ref<T>
  watch(value, (next) => write(key, next), { deep: true, flush: 'sync' })
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
