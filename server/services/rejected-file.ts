import { appendFile, readFile, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { SetAside } from './journal-lines'
import { writeWhole } from './whole-file'

export const REJECTED_NAME = 'journal.rejected.jsonl'

/**
 * The lines of the journal file that could not be taken in, each with its number and why. The journal file itself keeps
 * them too.
 */
export class RejectedFile {
  private constructor(
    private readonly path: string,
    private known: SetAside[],
  ) {}

  static async open(dataDir: string): Promise<RejectedFile> {
    const path = join(dataDir, REJECTED_NAME)
    const text = await readFile(path, 'utf8').catch(() => '')
    return new RejectedFile(
      path,
      text.split('\n').flatMap((line) => parsed(line) ?? []),
    )
  }

  get lines(): readonly SetAside[] {
    return this.known
  }

  /** Lines met as the journal was read on. */
  async add(more: readonly SetAside[]): Promise<void> {
    if (more.length === 0) return
    this.known = [...this.known, ...more]
    await appendFile(this.path, written(more))
  }

  /** Some of what lies here is changed, whole or not at all. */
  async change(change: (text: string) => string): Promise<void> {
    const all = this.known.map((each) => ({ ...each, text: change(each.text) }))
    if (all.some(({ text }, index) => text !== this.known[index]?.text)) await this.replace(all)
  }

  /** The lines of a journal that was read from its beginning: they replace what was known, whole or not at all. */
  async replace(all: readonly SetAside[]): Promise<void> {
    this.known = [...all]
    if (all.length === 0) return rm(this.path, { force: true })
    await writeWhole(this.path, written(all))
  }
}

function written(lines: readonly SetAside[]): string {
  return lines.map((line) => `${JSON.stringify(line)}\n`).join('')
}

function parsed(line: string): SetAside | undefined {
  try {
    const { line: number, reason, text } = JSON.parse(line) as SetAside
    return Number.isInteger(number) ? { line: number, reason: String(reason), text: String(text) } : undefined
  } catch {
    return undefined
  }
}
