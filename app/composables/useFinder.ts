import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** Is the line by which everything is found open? One for the whole page. */
const open = ref(false)

export function useFinder() {
  return { open }
}

/** The key that opens it, wherever nothing is being typed. */
export function useFinderKey(): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    const field = event.target as HTMLElement
    if (event.key !== '/' || event.ctrlKey || event.metaKey || event.altKey || isTyping(field)) return
    event.preventDefault()
    open.value = true
  })
}
