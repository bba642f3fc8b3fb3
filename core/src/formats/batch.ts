/** Many questions, one a line: `{ "do": "plan", … }` with the rest of the line as its case. Described in docs/case-format.md. */
import { assertPlain } from '#core/input/plain'
import { InvalidInputError, type Problem } from '#core/input/problem'
import { ANSWERS } from './answers'

/** @returns the answer, or what is wrong with the line: a refused one holds up none of the others */
export function answerLine(line: string): object {
  let asked: unknown
  try {
    asked = JSON.parse(line)
  } catch (error) {
    return refused([{ key: '', message: `This is not JSON: ${(error as Error).message}` }])
  }
  if (typeof asked !== 'object' || asked === null || Array.isArray(asked))
    return refused([{ key: '', message: 'A line is an object, as {"do": "plan", …}.' }])
  try {
    assertPlain(asked)
  } catch (error) {
    if (error instanceof InvalidInputError) return refused(error.problems)
    throw error
  }
  const { do: command, ...rest } = asked as Readonly<Record<string, unknown>>
  if (typeof command !== 'string' || !Object.hasOwn(ANSWERS, command))
    return refused([{ key: 'do', message: `This may be one of: ${Object.keys(ANSWERS).join(', ')}.`, value: command }])
  try {
    return ANSWERS[command as keyof typeof ANSWERS](rest)
  } catch (error) {
    if (error instanceof InvalidInputError) return refused(error.problems)
    throw error
  }
}

const refused = (problems: readonly Problem[]): object => ({ error: 'The case cannot be read.', problems })
