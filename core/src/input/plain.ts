/** Anything read from elsewhere, before a schema looks at it: plain data of a bearable size, and nothing that stands in for what all objects have. */
import { InvalidInputError } from './problem'

const DEEPEST = 24
const MOST_PARTS = 60_000
/** "__proto__", "constructor", "toString" and the like. */
const OF_ALL_OBJECTS: ReadonlySet<string> = new Set([...Object.getOwnPropertyNames(Object.prototype), 'prototype'])

/**
 * @param input as JSON.parse gives it
 * @param most values in it, all told
 * @throws InvalidInputError with the key of what is not plain
 */
export function assertPlain(input: unknown, most = MOST_PARTS): void {
  let parts = 0
  const refuse = (key: string, message: string): never => {
    throw new InvalidInputError([{ key, message }])
  }
  const look = (value: unknown, key: string, depth: number): void => {
    parts += 1
    if (parts > most) refuse('', `More than ${most} values are too many.`)
    if (typeof value === 'number' && !Number.isFinite(value)) refuse(key, 'This is no number that can be reckoned with.')
    if (typeof value === 'string' && value.includes('\0')) refuse(key, 'A text cannot hold a null character.')
    if (value === null || typeof value !== 'object') return
    if (depth >= DEEPEST) refuse(key, `Nested more than ${DEEPEST} deep.`)
    if (Array.isArray(value)) value.forEach((v, i) => look(v, `${key}[${i}]`, depth + 1))
    else
      for (const [name, v] of Object.entries(value)) {
        if (OF_ALL_OBJECTS.has(name)) refuse(key, `“${name}” can be no key.`)
        look(v, key === '' ? name : `${key}.${name}`, depth + 1)
      }
  }
  look(input, '', 0)
}
