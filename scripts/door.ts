/**
 * The door for scripts: `plan`, `compare` and `simulate` read a case from a file, or from
 * standard input for "-", and print the answer as JSON. Exit code 2 for a case that
 * is wrong, with what is wrong as JSON on standard error.
 */
import { readFileSync } from 'node:fs'
import { answerCompare, answerPlan } from '#core/formats/answers'
import { answerSimulate } from '#core/formats/simulate'
import { InvalidInputError, type Problem } from '#core/input/problem'

const COMMANDS: Record<string, (input: unknown) => object> = { plan: answerPlan, compare: answerCompare, simulate: answerSimulate }
const USAGE = `Use: npm run -s macellaio -- plan FILE.json | compare FILE.json | simulate FILE.json   (“-” reads standard input)`

function refuse(problems: readonly Problem[]): never {
  process.stderr.write(`${JSON.stringify({ error: 'The case cannot be read.', problems }, null, 2)}\n`)
  process.exit(2)
}

function readCase(file: string): unknown {
  let text: string
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch (error) {
    return refuse([{ key: '', message: `The file cannot be read: ${(error as Error).message}`, value: file }])
  }
  try {
    return JSON.parse(text)
  } catch (error) {
    return refuse([{ key: '', message: `This is not JSON: ${(error as Error).message}` }])
  }
}

const [command, file, ...rest] = process.argv.slice(2)
const answer = COMMANDS[command ?? '']
if (!answer || !file || rest.length > 0) {
  process.stderr.write(`${USAGE}\n`)
  process.exit(2)
}
try {
  process.stdout.write(`${JSON.stringify(answer(readCase(file)), null, 2)}\n`)
} catch (error) {
  if (error instanceof InvalidInputError) refuse(error.problems)
  throw error
}
