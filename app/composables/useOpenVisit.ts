import type { VisitState } from '#core/visit/fold'
import { useLocalStorageRef } from './useLocalStorageRef'

/** The visit that was last on the screen, for the way back to it. */
export interface OpenVisit {
  id: string
  /** What it is called where there is room for a word, and in full. */
  short: string
  name: string
  done: boolean
}

const MOST_LETTERS = 10

export function useOpenVisit() {
  const kept = useLocalStorageRef<OpenVisit | Record<string, never>>('pike-lamp.open-visit', {})
  /** As many words of whose it is as a phone has room for, one at least. */
  function remember({ id, customer, machine, handedOver }: VisitState): void {
    const [first = '', second = ''] = customer.name.split(/\s+/)
    const short = second && first.length + second.length < MOST_LETTERS ? `${first} ${second}` : first
    kept.value = { id, short, name: `${machine.name}, ${customer.name}`, done: handedOver !== undefined }
  }
  const visit = computed(() => ('id' in kept.value ? (kept.value as OpenVisit) : undefined))
  function close(): void {
    kept.value = {}
  }
  return { visit, remember, close }
}
