import type { EventHandlerRequest, H3Event } from 'h3'
import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import { InputError, type FieldProblem } from '../../core/validation/input-error'
import { EntryConflict } from '../services/journal'

/** An answer other than success, as RFC 9457 problem+json. */
export class Problem extends Error {
  constructor(readonly status: number, readonly title: string, readonly problems: FieldProblem[] = []) {
    super(title)
  }
}

/** A handler whose errors become problem+json with the field, and never a stack. */
export function api<T>(handler: (event: H3Event<EventHandlerRequest>) => Promise<T> | T) {
  return defineEventHandler(async (event) => {
    try {
      return await handler(event)
    } catch (error) {
      const problem = asProblem(error)
      setResponseStatus(event, problem.status)
      setResponseHeader(event, 'content-type', 'application/problem+json')
      if (problem.status >= 500) console.error(error)
      return JSON.stringify({ type: 'about:blank', title: problem.title, status: problem.status, problems: problem.problems })
    }
  })
}

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error
  if (error instanceof EntryConflict) return new Problem(409, error.message, error.problems)
  if (error instanceof InputError) return new Problem(422, error.message, error.problems)
  if (error instanceof SyntaxError) return new Problem(400, `The body is not valid JSON: ${error.message}`, [{ field: '', value: undefined, expected: 'valid JSON' }])
  return new Problem(500, 'Something went wrong on the server; what was acknowledged before is kept.')
}
