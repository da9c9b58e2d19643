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

/** The month of a day or an instant, ISO 8601, in few words: “May 2026”. */
export function monthWords(on: string): string {
  const [year, month] = on.split('-')
  return `${MONTHS[Number(month) - 1]} ${year}`
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const
