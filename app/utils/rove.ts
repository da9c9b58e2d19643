const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/**
 * Moves the focus among the radios of a group with the arrow keys, round and round, without choosing: for a choice that
 * writes a line of the journal, which space or enter does. A choice without consequences takes the library's group.
 */
export function rove(event: KeyboardEvent): void {
  const step = STEPS[event.key]
  const group = event.currentTarget as HTMLElement
  const radios = [...group.querySelectorAll<HTMLElement>('[role=radio]')]
  const at = radios.indexOf(event.target as HTMLElement)
  if (step === undefined || at < 0) return
  event.preventDefault()
  radios[(at + step + radios.length) % radios.length]?.focus()
}
