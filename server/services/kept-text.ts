import type { Entry } from '../../core/visit/entry'
import { asKept, type Forgotten } from '../../core/visit/forgotten'

const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/gi
/** What stands in the file where a line that was none spoke of somebody whose data were removed. */
const NO_LINE = JSON.stringify({ removed: true })

/** A line of the file as it is kept. */
export function keptText(text: string, forgotten: Forgotten): string {
  // Most lines speak of nobody who was forgotten: they are not even read.
  const known = Object.values(forgotten) as ReadonlySet<string>[]
  if (!text.match(UUID)?.some((id) => known.some((ids) => ids.has(id.toLowerCase())))) return text
  try {
    const line = JSON.parse(text) as Entry
    const kept = asKept(line, forgotten)
    return kept === line ? text : JSON.stringify(kept)
  } catch {
    return NO_LINE
  }
}
