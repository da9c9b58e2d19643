import { ref } from 'vue'

/** Is the line by which everything is found open? One for the whole page. */
const open = ref(false)

export function useFinder() {
  return { open }
}
