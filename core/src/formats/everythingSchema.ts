/**
 * All that a kitchen has written down, as one file: its Book, services, larder, recipes and kit. Read back part by
 * part, into an empty kitchen or a full one; each part is checked as if it were told for the first time.
 */
import * as yup from 'yup'
import { parseEvents, parseLog, parseNewCook, parseOutcome } from '#core/book/cookSchema'
import type { CookRecord } from '#core/book/record'
import { InvalidInputError, validate } from '#core/input/problem'
import type { Kit } from '#core/kit/kit'
import { parseKit } from '#core/kit/kitSchema'
import type { Recipe } from '#core/service/recipe'
import type { ServiceEvent } from '#core/service/record'
import type { Packet } from '#core/shop/larder'
import { parsePacket } from '#core/shop/schema'
import { parseDrillDone, parseScore, type DrillDone, type Score } from '#core/rehearsal/schema'
import { parsePlacedProbe, type PlacedProbe } from './probeSchema'
import { parseRecipe } from './recipeSchema'
import { parseServiceEvents, parseServiceId } from './serviceSchema'

export interface SavedService {
  readonly id: string
  readonly events: readonly ServiceEvent[]
}
export interface Everything {
  readonly cooks: readonly CookRecord[]
  readonly services: readonly SavedService[]
  readonly packets: readonly Packet[]
  readonly recipes: readonly Recipe[]
  readonly kit: Kit | null
  /** Thermometers that speak for themselves, and where each is. */
  readonly probes: readonly PlacedProbe[]
  /** What exercises came to. */
  readonly scores: readonly Score[]
  /** How each drill went, each time. */
  readonly drills: readonly DrillDone[]
}
/** How many of each were not there yet. */
export interface TakenIn {
  readonly cooks: number
  readonly services: number
  readonly packets: number
  readonly recipes: number
  readonly kit: number
  readonly probes: number
  readonly scores: number
  readonly drills: number
}
export const NOTHING_TAKEN: TakenIn = { cooks: 0, services: 0, packets: 0, recipes: 0, kit: 0, probes: 0, scores: 0, drills: 0 }

export const EVERYTHING_FORMAT = 'macellaio kitchen'
export const EVERYTHING_VERSION = 1
/** Told at once; a file is told in so many parts. */
const MOST_AT_ONCE = 100

const parts = yup.array().ensure().max(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} at once.`)
const partShape = yup
  .object({
    cooks: parts,
    services: parts,
    packets: parts,
    recipes: parts,
    kit: yup.mixed().nullable().default(null),
    probes: parts,
    scores: parts,
    drills: parts
  })
  .noUnknown()
  .required('This is missing.')
  .test({
    name: 'something',
    message: 'There is nothing in it.',
    test: part => Object.values(part).some(of => (Array.isArray(of) ? of.length > 0 : of !== null))
  })

function at<T>(key: string, read: () => T): T {
  try {
    return read()
  } catch (error) {
    if (!(error instanceof InvalidInputError)) throw error
    throw new InvalidInputError(error.problems.map(p => ({ ...p, key: p.key ? `${key}.${p.key}` : key })))
  }
}

function cookOf(input: unknown): CookRecord {
  const parts = yup.object({ events: yup.mixed(), outcome: yup.mixed(), log: yup.mixed().optional() }).required()
  const { events, outcome, log, ...cook } = validate(parts, input)
  const kept = { ...parseNewCook(cook), events: parseEvents({ events }), outcome: parseOutcome(outcome) }
  return log === undefined ? kept : { ...kept, log: parseLog(log) }
}
function serviceOf(input: unknown): SavedService {
  const { id, events } = validate(yup.object({ id: yup.mixed(), events: yup.mixed() }).noUnknown().required(), input)
  return { id: parseServiceId(id), events: parseServiceEvents({ events }) }
}

/** @throws InvalidInputError */
export function parseEverything(input: unknown): Everything {
  const given = validate(partShape, input)
  const each = <T>(key: Exclude<keyof Everything, 'kit'>, read: (of: unknown) => T): T[] =>
    (given[key] ?? []).map((of: unknown, i) => at(`${key}[${i}]`, () => read(of)))
  return {
    cooks: each('cooks', cookOf),
    services: each('services', serviceOf),
    packets: each('packets', parsePacket),
    recipes: each('recipes', parseRecipe),
    kit: given.kit === null ? null : at('kit', () => parseKit(given.kit)),
    probes: each('probes', parsePlacedProbe),
    scores: each('scores', parseScore),
    drills: each('drills', parseDrillDone)
  }
}

/** Bytes of one part: well below what a body may have. */
const PART_BYTES = 150_000

/**
 * A whole file in parts that can be told one after the other; told again they change nothing.
 * @throws InvalidInputError where it is no such file
 */
export function partsOf(file: unknown): Partial<Everything>[] {
  const { cooks, services, packets, recipes, kit, probes, scores, drills } = validate(
    yup
      .object({
        format: yup
          .string()
          .strict()
          .required('This is missing.')
          .oneOf([EVERYTHING_FORMAT], `This is no saved kitchen: it must say “${EVERYTHING_FORMAT}”.`),
        version: yup
          .number()
          .strict()
          .required('This is missing.')
          .oneOf([EVERYTHING_VERSION], `Only version ${EVERYTHING_VERSION} can be read.`),
        savedAt: yup.string().optional(),
        cooks: yup.array().ensure(),
        services: yup.array().ensure(),
        packets: yup.array().ensure(),
        recipes: yup.array().ensure(),
        kit: yup.mixed().nullable().default(null),
        // Older files have none.
        probes: yup.array().ensure(),
        scores: yup.array().ensure(),
        drills: yup.array().ensure()
      })
      .noUnknown(),
    file
  )
  // Recipes and services first: what is cooked belongs to them; and a thermometer is in what is cooked.
  const lists = { recipes, services: inStretches(services ?? []), packets, cooks: inStretches(cooks ?? []), probes, scores, drills }
  const told = Object.entries(lists).flatMap(([key, all]) => inParts(all ?? []).map(some => ({ [key]: some }) as Partial<Everything>))
  return kit === null ? told : [{ kit: kit as Kit }, ...told]
}

/** Of one log told at once; a long one is told a stretch at a time. */
const MOST_EVENTS = 50
const STRETCH_BYTES = 80_000

/** What has a long log, as often as that has stretches: told one after the other they are one again. */
function inStretches(all: readonly unknown[]): unknown[] {
  return all.flatMap((one): unknown[] => {
    const { events } = (one ?? {}) as { readonly events?: unknown }
    if (!Array.isArray(events) || events.length === 0) return [one]
    return chunks(events, MOST_EVENTS, STRETCH_BYTES).map(some => ({ ...(one as object), events: some }))
  })
}

const inParts = (all: readonly unknown[]): unknown[][] => chunks(all, MOST_AT_ONCE, PART_BYTES)

function chunks(all: readonly unknown[], most: number, mostBytes: number): unknown[][] {
  const found: unknown[][] = []
  let bytes = Infinity
  for (const one of all) {
    const size = JSON.stringify(one).length
    if (bytes + size > mostBytes || found[found.length - 1].length >= most) {
      found.push([])
      bytes = 0
    }
    found[found.length - 1].push(one)
    bytes += size
  }
  return found
}
