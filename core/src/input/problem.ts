/**
 * What is wrong with an input: which key, what was given, what would be right. One
 * shape for files, forms and the server's answers.
 */
import { ValidationError } from 'yup'

export interface Problem {
  /** Path of the key, "piece.thickness"; empty for the input as a whole. */
  readonly key: string
  readonly message: string
  /** What was given, where there was something. */
  readonly value?: unknown
  /** Lowest and highest allowed, in the key's own unit, where there is a range. */
  readonly range?: readonly [low: number | string, high: number | string]
}

export class InvalidInputError extends Error {
  override readonly name = 'InvalidInputError'
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map(p => (p.key ? `${p.key}: ${p.message}` : p.message)).join('\n'))
  }
}

/** Yup's own findings as problems. */
function problemsOf(error: ValidationError): Problem[] {
  const found = error.inner.length > 0 ? error.inner : [error]
  return found.flatMap((e): Problem[] => {
    const unknown = e.type === 'noUnknown' ? String(e.params?.['unknown'] ?? '').split(', ') : null
    if (unknown) return unknown.map(name => ({ key: e.path ? `${e.path}.${name}` : name, message: 'There is no such key here.' }))
    const given = e.params?.['originalValue']
    const range = e.params?.['range'] as Problem['range'] | undefined
    return [
      {
        key: e.path ?? '',
        message: e.errors[0] ?? e.message,
        ...(given === undefined ? {} : { value: given }),
        ...(range === undefined ? {} : { range })
      }
    ]
  })
}

/**
 * Runs a schema over an input, strictly and to the end, so that every problem is told at once.
 * @throws InvalidInputError
 */
export function validate<T>(schema: { validateSync(value: unknown, options: object): T }, value: unknown): T {
  try {
    return schema.validateSync(value, { abortEarly: false, stripUnknown: false })
  } catch (error) {
    if (error instanceof ValidationError) throw new InvalidInputError(problemsOf(error))
    throw error
  }
}
