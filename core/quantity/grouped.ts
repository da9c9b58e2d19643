/** Things by what they have in common, each group in the order they came. */
export function groupedBy<T, K>(things: readonly T[], key: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const thing of things) {
    const group = groups.get(key(thing))
    if (group) group.push(thing)
    else groups.set(key(thing), [thing])
  }
  return groups
}
