/** What the server is started with: by flags, else by the environment, else as is usual; checked before anything is touched. */
import { parseArgs } from 'node:util'
import * as yup from 'yup'
import { InvalidInputError, validate } from '#core/input/problem'
import { isPostgresUrl } from './db/dialect'

export interface Settings {
  /** Path of SQLite's file, or the address of a PostgreSQL database. */
  readonly db: string
  readonly port: number
  /** Of the door to the local network. */
  readonly lanPort: number
  /** Opened at once, and not by the switch on the page. */
  readonly lan: boolean
  /** How other devices find it, where that is not by its own addresses. */
  readonly lanName: string | null
  readonly demo: boolean
  readonly log: string
}

const LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'] as const
export const HELP = `macellaio: the server

  --db FILE      the database, made where there is none     (MACELLAIO_DB)
                 or postgres://…, where several servers
                 keep one kitchen                           (DATABASE_URL)
  --port NUMBER  on this machine only, 1 to 65535; 4380     (MACELLAIO_PORT)
  --lan          open to the kitchen’s other screens at once (MACELLAIO_LAN=1)
  --lan-port N   for those, encrypted; the port and one     (MACELLAIO_LAN_PORT)
  --lan-name N   how those find it, if not by its addresses (MACELLAIO_LAN_NAME)
  --demo         fills an empty Book with the demo's cooks  (MACELLAIO_DEMO=1)
  --log LEVEL    ${LEVELS.join(', ')}; info  (MACELLAIO_LOG)
  --help         this
`

const USUAL_PORT = '4380'
const PORT = 'A port is a whole number from 1 to 65535.'
const portShape = (): yup.NumberSchema<number> =>
  yup
    .number()
    .required(PORT)
    .transform((_, given: string) => (/^\d+$/.test(given) ? Number(given) : NaN))
    .typeError(PORT)
    .min(1, PORT)
    .max(65535, PORT)
const shape = yup
  .object({
    db: yup
      .string()
      .strict()
      .required('The database needs a file.')
      .test(
        'place',
        'The database is a file, or postgres://USER@HOST/NAME.',
        place => !/^[a-z]+:\/\//i.test(place) || isPostgresUrl(place)
      ),
    port: portShape(),
    lanPort: portShape(),
    lan: yup.boolean().strict().required(),
    lanName: yup
      .string()
      .strict()
      .nullable()
      .defined()
      .matches(/^[a-z0-9.-]{1,253}$/i, 'A name in the network is letters, digits, dots and hyphens.'),
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
    flags = parseArgs({
      args: [...args],
      options: { db: text, port: text, 'lan-port': text, 'lan-name': text, log: text, lan: yes, demo: yes, help: yes },
      strict: true
    }).values
  } catch (error) {
    throw new InvalidInputError([{ key: '', message: `${(error as Error).message} --help tells what there is.` }])
  }
  if (flags.help === true) return null
  const port = flags.port ?? environment['MACELLAIO_PORT'] ?? USUAL_PORT
  return validate(shape, {
    db: flags.db ?? environment['MACELLAIO_DB'] ?? environment['DATABASE_URL'] ?? usualDb,
    port,
    lanPort: flags['lan-port'] ?? environment['MACELLAIO_LAN_PORT'] ?? String(Math.min(65535, Number(port) + 1)),
    lanName: flags['lan-name'] ?? environment['MACELLAIO_LAN_NAME'] ?? null,
    lan: flags.lan ?? environment['MACELLAIO_LAN'] === '1',
    demo: flags.demo ?? environment['MACELLAIO_DEMO'] === '1',
    log: flags.log ?? environment['MACELLAIO_LOG'] ?? 'info'
  })
}
