import pino, { type Logger } from 'pino'

/** What a server says while it runs. Nothing of it holds a word of a customer: no address asked for, and no body. */
export interface ServerLog {
  say: (sentence: string) => void
  trouble: (sentence: string) => void
  /** A request that was answered: its route by pattern, never by what was asked for. */
  answered: (request: Answered) => void
}

export interface Answered {
  method: string
  route: string
  status: number
  milliseconds: number
}

/**
 * Sentences for whoever started the server, or lines of JSON for what collects them.
 *
 * @param format `json`, or nothing
 * @throws Error with one sentence where it is set to something else
 */
export function serverLog(format: string | undefined, to?: pino.DestinationStream): ServerLog {
  if (!format)
    return {
      say: (sentence) => console.log(sentence),
      trouble: (sentence) => console.error(sentence),
      answered: () => undefined,
    }
  if (format !== 'json') throw new Error('PIKE_LAMP_LOG is json for lines of JSON, or left out for plain sentences.')
  const lines: Logger = pino({ base: { pid: process.pid }, timestamp: pino.stdTimeFunctions.isoTime }, to)
  return {
    say: (sentence) => lines.info(sentence),
    trouble: (sentence) => lines.error(sentence),
    answered: (request) => lines.info(request, 'answered'),
  }
}
