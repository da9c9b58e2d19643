interface Served<T> {
  heard?: (said: T) => void
  /** It is read anew when others have written; false for what takes long and may be of a moment ago. */
  isFresh?: boolean
  /** Something of it is in the hand. */
  isHeld?: () => boolean
}

/** What the server says under an address, and again after a change. An answer to an older address is dropped. */
export function useServed<T>(
  address: () => string,
  { heard = () => undefined, isFresh = true, isHeld }: Served<T> = {},
) {
  const view = shallowRef<T>()
  const problem = ref('')
  async function load(): Promise<void> {
    const asked = address()
    const response = await ask(asked).catch(() => undefined)
    if (asked !== address()) return
    if (response?.ok) {
      problem.value = ''
      view.value = (await response.json()) as T
      heard(view.value)
      return
    }
    problem.value = response
      ? (((await response.json().catch(() => ({}))) as { title?: string }).title ?? response.statusText)
      : NO_WAY
  }
  watch(address, load, { immediate: true })
  if (isFresh) useFresh(load, isHeld, () => problem.value !== '')
  return { view, problem, load }
}
