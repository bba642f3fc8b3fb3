/**
 * The door for scripts: `plan`, `compare` and `simulate` read a case from a file, or from
 * standard input for "-", and print the answer as JSON. Exit code 2 for a case that
 * is wrong, with what is wrong as JSON on standard error. `batch` reads one question a line
 * and answers one a line, in order; a refused line is answered in its place.
 */
import { createReadStream, readFileSync } from 'node:fs'
import { createInterface } from 'node:readline'
import { answerLine } from '#core/formats/batch'
import { ANSWERS } from '#core/formats/answers'
import { assertPlain } from '#core/input/plain'
import { InvalidInputError, type Problem } from '#core/input/problem'

const USAGE = `Use: npm run -s macellaio -- plan FILE.json | compare FILE.json | simulate FILE.json | batch FILE.jsonl   (“-” reads standard input)`

function refuse(problems: readonly Problem[]): never {
  process.stderr.write(`${JSON.stringify({ error: 'The case cannot be read.', problems }, null, 2)}\n`)
  process.exit(2)
}
const unreadable = (error: unknown, file: string): never =>
  refuse([{ key: '', message: `The file cannot be read: ${(error as Error).message}`, value: file }])

function readCase(file: string): unknown {
  let text: string
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch (error) {
    return unreadable(error, file)
  }
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch (error) {
    return refuse([{ key: '', message: `This is not JSON: ${(error as Error).message}` }])
  }
  assertPlain(read)
  return read
}

/** Line by line as they come, so that a long list need not be held, and the first answers are there at once. */
async function batch(file: string): Promise<void> {
  const input = file === '-' ? process.stdin : createReadStream(file)
  input.on('error', (error: Error) => unreadable(error, file))
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    if (line.trim() === '') continue
    if (!process.stdout.write(`${JSON.stringify(answerLine(line))}\n`)) await new Promise(go => process.stdout.once('drain', go))
  }
}

const [command = '', file, ...rest] = process.argv.slice(2)
const answer = Object.hasOwn(ANSWERS, command) ? ANSWERS[command as keyof typeof ANSWERS] : null
if ((!answer && command !== 'batch') || !file || rest.length > 0) {
  process.stderr.write(`${USAGE}\n`)
  process.exit(2)
}
try {
  if (answer) process.stdout.write(`${JSON.stringify(answer(readCase(file)), null, 2)}\n`)
  else await batch(file)
} catch (error) {
  if (error instanceof InvalidInputError) refuse(error.problems)
  throw error
}
