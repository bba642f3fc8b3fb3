/**
 * Errors as problem details (RFC 9457): what went wrong, in words, and for a bad input
 * every key with what would be right.
 */
import type { ErrorRequestHandler, RequestHandler } from 'express'
import type { Logger } from 'pino'
import { nanoid } from 'nanoid'
import { InvalidInputError, type Problem } from '#core/input/problem'
import { UnreadableError } from './db/readable'

export class HttpProblem extends Error {
  override readonly name = 'HttpProblem'
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly problems: readonly Problem[] = []
  ) {
    super(detail)
  }
}

export const notFound: RequestHandler = (request, _response, next) => {
  next(new HttpProblem(404, 'Not found', `There is nothing at ${request.method} ${request.path}.`))
}

export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error)
      return
    }
    const problem = problemOf(error)
    // By which it is found in the log.
    const id = problem.status >= 500 ? nanoid(10) : null
    if (id !== null) log.error({ err: error, path: request.path, id }, 'request failed')
    response
      .status(problem.status)
      .type('application/problem+json')
      .json({
        type: 'about:blank',
        title: problem.title,
        status: problem.status,
        detail: problem.detail,
        instance: request.originalUrl,
        ...(id === null ? {} : { id }),
        ...(problem.problems.length > 0 ? { problems: problem.problems } : {})
      })
  }
}

function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error
  if (error instanceof UnreadableError) return new HttpProblem(500, 'Not readable', error.message)
  if (error instanceof InvalidInputError) return new HttpProblem(422, 'The input cannot be taken', error.message, error.problems)
  const { status, type } = (error ?? {}) as { status?: unknown; type?: unknown }
  if (typeof status === 'number' && status >= 400 && status < 500) {
    // Only the body reader's own words go out; others may name files of this machine.
    const words = typeof type === 'string' ? (error as Error).message : 'There is nothing to be had at that address in that way.'
    return new HttpProblem(status, 'The request cannot be read', words)
  }
  if (isAway(error)) return new HttpProblem(503, 'The database does not answer', 'What you sent was not kept. It is sent again by itself.')
  return new HttpProblem(500, 'Something went wrong here', 'The server failed; what you sent was not kept. Try again.')
}

/** A PostgreSQL that is not there, is stopping, or has no connection left: it may come again. */
function isAway(error: unknown): boolean {
  const { code, name = '', message = '' } = (error ?? {}) as { code?: unknown; name?: string; message?: string }
  return (
    name === 'KnexTimeoutError' ||
    (typeof code === 'string' && /^(ECONN|EPIPE|ENOTFOUND|EAI_|ETIMEDOUT|57P|08|53300)/.test(code)) ||
    message.startsWith('Connection terminated')
  )
}
