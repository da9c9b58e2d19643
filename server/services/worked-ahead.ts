/**
 * What comes of each, in their order, while a few of the next are already worked on. Nothing is begun while whoever
 * takes them is busy.
 *
 * @param most worked on at once
 */
export async function* workedAhead<T, U>(
  source: Iterable<T> | AsyncIterable<T>,
  most: number,
  work: (each: T) => Promise<U>,
): AsyncGenerator<U> {
  const working: Promise<U>[] = []
  for await (const each of source) {
    const done = work(each)
    // Awaited in its turn; until then a failure is nobody's surprise.
    done.catch(() => undefined)
    working.push(done)
    if (working.length >= most) yield await (working.shift() as Promise<U>)
  }
  for (const done of working) yield await done
}
