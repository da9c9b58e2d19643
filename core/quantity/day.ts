/** A day as a paper says it: “Tuesday 12 May 2026”. */
export function dayWords(on: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(`${on}T12:00:00Z`))
}
