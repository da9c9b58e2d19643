/** A line of an instrument is short; whatever is longer is none of its. */
export const LONGEST_LINE = 512

/**
 * Puts lines together from pieces as they come over a wire. A line without an end costs no more than its longest
 * allowed length, however much of it comes: it is dropped up to its end.
 */
export class LineReader {
  #half = ''
  #isDropping = false
  /** Lines that were too long. */
  dropped = 0

  constructor(readonly longest = LONGEST_LINE) {}

  /** @returns the lines that a piece ends, without their ends */
  push(piece: string): string[] {
    const lines: string[] = []
    let from = 0
    for (;;) {
      const end = piece.indexOf('\n', from)
      const part = piece.slice(from, end < 0 ? undefined : end)
      if (!this.#isDropping && this.#half.length + part.length > this.longest) {
        this.#isDropping = true
        this.#half = ''
        this.dropped++
      }
      if (end < 0) {
        if (!this.#isDropping) this.#half += part
        return lines
      }
      if (!this.#isDropping) lines.push(`${this.#half}${part}`.replace(/\r$/, ''))
      this.#half = ''
      this.#isDropping = false
      from = end + 1
    }
  }
}
