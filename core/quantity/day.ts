const PARTS = ['weekday', 'day', 'month', 'year'] as const
const IN_WORDS = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
})

/**
 * A day as a paper says it: “Tuesday 12 May 2026”. Put together here: what stands between the parts is not the same in
 * every browser and server.
 */
export function dayWords(on: string): string {
  const parts = new Map(IN_WORDS.formatToParts(new Date(`${on}T12:00:00Z`)).map(({ type, value }) => [type, value]))
  return PARTS.map((part) => parts.get(part)).join(' ')
}
