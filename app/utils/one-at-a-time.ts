/** Work that a button begins: tapped again while it is going on, it is not begun twice. */
export function oneAtATime(work: () => Promise<void>): () => Promise<void> {
  let going: Promise<void> | undefined
  return () => (going ??= work().finally(() => (going = undefined)))
}
