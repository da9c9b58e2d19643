import type { EventHandlerRequest, H3Event } from 'h3'
import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import { InputError, plainProblems, type FieldProblem } from '../../core/validation/input-error'
import { codeOf, DatabaseTrouble, refusesData, troubleOf } from '../database/database-trouble'
import { Malformed, TooBusy, TooHeavy } from '../services/heavy-work'
import { EntryConflict } from '../services/journal'
import { NotSo } from '../services/people/people'
import { BucketTrouble } from '../services/photos/picture-bucket'
import { openedApp } from './app'
import { log } from './log'
import { SupplierTrouble } from '../suppliers/service'
import { allowed, type Asked } from './signed-in'

/** An answer other than success, as RFC 9457 problem+json. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly problems: FieldProblem[] = [],
  ) {
    super(title)
  }
}

export const PROBLEM_TYPE = 'application/problem+json'
export function problemText({ title, status, problems }: Problem): string {
  return JSON.stringify({ type: 'about:blank', title, status, problems: plainProblems(problems) })
}

/** Nothing is there under /api, or not by this method. */
export const nothingAnswers = ({ method, path }: Pick<H3Event, 'method' | 'path'>): Problem =>
  new Problem(404, `Nothing answers ${method} ${path.slice(0, 100)}.`)

/** The header in which an answer says which line had arrived last before it was worked out. */
const ARRIVAL = 'x-arrival'

/**
 * A handler whose errors become problem+json with the field, and never a stack.
 *
 * @param asked what whoever asks must be allowed: no route is without saying it
 */
export function api<T>(asked: Asked, handler: (event: H3Event<EventHandlerRequest>) => Promise<T> | T) {
  return defineEventHandler(async (event) => {
    // Before anything is read: what arrives from now on may or may not stand in the answer.
    const live = openedApp()?.live
    if (live) setResponseHeader(event, ARRIVAL, live.arrival)
    try {
      await allowed(event, asked)
      return await handler(event)
    } catch (error) {
      const problem = asProblem(error)
      if (problem.status === 500) log.trouble(traceOf(error))
      setResponseStatus(event, problem.status)
      setResponseHeader(event, 'content-type', PROBLEM_TYPE)
      return problemText(problem)
    }
  })
}

const malformed = (message: string) =>
  new Problem(400, `The body is not valid JSON: ${message}`, [{ field: '', value: undefined, expected: 'valid JSON' }])

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error
  if (error instanceof NotSo)
    return new Problem(error.wait ? 429 : 422, error.message, [
      { field: error.field, value: undefined, expected: error.message },
    ])
  if (error instanceof EntryConflict) return new Problem(409, error.message, error.problems)
  if (error instanceof InputError) return new Problem(422, error.message, error.problems)
  if (error instanceof SyntaxError || error instanceof Malformed) return malformed(error.message)
  if (error instanceof TooHeavy)
    return new Problem(422, error.message, [{ field: '', value: undefined, expected: 'less at once' }])
  if (error instanceof SupplierTrouble) return new Problem(502, error.message)
  if (error instanceof BucketTrouble || error instanceof TooBusy) return new Problem(503, error.message)
  const trouble = error instanceof DatabaseTrouble ? error : troubleOf(error)
  if (trouble) return new Problem(trouble.status, trouble.message)
  if (refusesData(error))
    return new Problem(422, 'The database does not take this line; nothing of it was kept.', [
      { field: '', value: codeOf(error), expected: 'text and numbers that a database can hold' },
    ])
  return new Problem(500, 'Something went wrong on the server; what was acknowledged before is kept.')
}

/** Where it went wrong, without what it went wrong with: messages of the database carry customers' words. */
function traceOf(error: unknown): string {
  if (!(error instanceof Error)) return 'An error that is none.'
  const code = codeOf(error)
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line))
  return [`${error.name}${code ? ` ${code}` : ''}`, ...frames.slice(0, 8)].join('\n')
}
