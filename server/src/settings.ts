/** What the server is started with: by flags, else by the environment, else as is usual; checked before anything is touched. */
import { parseArgs } from 'node:util'
import * as yup from 'yup'
import { InvalidInputError, validate } from '#core/input/problem'

export interface Settings {
  readonly db: string
  readonly port: number
  readonly demo: boolean
  readonly log: string
}

const LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'] as const
export const HELP = `macellaio: the server

  --db FILE      the database, made where there is none     (MACELLAIO_DB)
  --port NUMBER  on this machine only, 1 to 65535; 4380     (MACELLAIO_PORT)
  --demo         fills an empty Book with the demo's cooks  (MACELLAIO_DEMO=1)
  --log LEVEL    ${LEVELS.join(', ')}; info  (MACELLAIO_LOG)
  --help         this
`

const PORT = 'A port is a whole number from 1 to 65535.'
const shape = yup
  .object({
    db: yup.string().strict().required('The database needs a file.'),
    port: yup
      .number()
      .required(PORT)
      .transform((_, given: string) => (/^\d+$/.test(given) ? Number(given) : NaN))
      .typeError(PORT)
      .min(1, PORT)
      .max(65535, PORT),
    demo: yup.boolean().strict().required(),
    log: yup
      .string()
      .strict()
      .required()
      .oneOf([...LEVELS], `The log has the levels ${LEVELS.join(', ')}.`)
  })
  .required()

/**
 * @param usualDb where the database stands if nothing is said
 * @returns null where help was asked for
 * @throws InvalidInputError
 */
export function readSettings(args: readonly string[], environment: NodeJS.ProcessEnv, usualDb: string): Settings | null {
  const text = { type: 'string' } as const
  const yes = { type: 'boolean' } as const
  let flags
  try {
    flags = parseArgs({ args: [...args], options: { db: text, port: text, log: text, demo: yes, help: yes }, strict: true }).values
  } catch (error) {
    throw new InvalidInputError([{ key: '', message: `${(error as Error).message} --help tells what there is.` }])
  }
  if (flags.help === true) return null
  return validate(shape, {
    db: flags.db ?? environment['MACELLAIO_DB'] ?? usualDb,
    port: flags.port ?? environment['MACELLAIO_PORT'] ?? '4380',
    demo: flags.demo ?? environment['MACELLAIO_DEMO'] === '1',
    log: flags.log ?? environment['MACELLAIO_LOG'] ?? 'info'
  })
}
