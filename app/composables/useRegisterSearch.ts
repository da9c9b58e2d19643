import { watchDebounced } from '@vueuse/core'
import type { PumpsFound } from '~/utils/pumps-found'

/** What is looked for: words, and which kind of pump or group of answers. */
export interface RegisterQuery {
  q: string
  kind?: string
  what?: string
}

const PAUSE = 110
/** While the search is still being built, and while the shop is opening, it is asked again by itself. */
const ASK_AGAIN = 1_200

/**
 * Searches the shop's register as somebody types. An answer to what is no longer asked is dropped.
 *
 * @param asked undefined where there is nothing to look for
 */
export function useRegisterSearch(asked: () => RegisterQuery | undefined) {
  const found = shallowRef<PumpsFound>()
  const problem = ref('')
  let turn = 0
  let again: ReturnType<typeof setTimeout> | undefined

  async function search(): Promise<void> {
    clearTimeout(again)
    const mine = ++turn
    const query = asked()
    if (!query) {
      found.value = undefined
      return
    }
    const given = Object.entries(query).filter(([, value]) => value)
    const response = await ask(`/api/pumps?${new URLSearchParams(given).toString()}`).catch(() => undefined)
    const said = (await response?.json().catch(() => ({}))) as PumpsFound & { title?: string }
    if (mine !== turn) return
    problem.value = ''
    if (response?.ok) found.value = said
    else problem.value = response ? (said.title ?? response.statusText) : NO_WAY
    if (response?.status === 503 || (response?.ok && said.behind > 0))
      again = setTimeout(() => void search(), ASK_AGAIN)
  }
  watchDebounced(() => JSON.stringify(asked()), search, { debounce: PAUSE, immediate: true })
  onScopeDispose(() => clearTimeout(again))

  /** The lines of one group. */
  const linesOf = (what: string) => found.value?.groups.find((group) => group.what === what)?.lines ?? []
  return { found, problem, search, linesOf }
}
