/** What the server says under an address, and again after a change. An answer to an older address is dropped. */
export function useServed<T>(address: () => string, heard: (said: T) => void = () => undefined) {
  const view = shallowRef<T>()
  const problem = ref('')
  async function load(): Promise<void> {
    const asked = address()
    const response = await fetch(asked).catch(() => undefined)
    if (asked !== address()) return
    if (response?.ok) {
      problem.value = ''
      view.value = (await response.json()) as T
      heard(view.value)
      return
    }
    problem.value = response
      ? (((await response.json().catch(() => ({}))) as { title?: string }).title ?? response.statusText)
      : 'The server does not answer. Start it, then try again.'
  }
  watch(address, load, { immediate: true })
  return { view, problem, load }
}
