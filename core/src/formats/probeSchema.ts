/** What a thermometer may say, and what may be said of one; checked by one schema on both sides. See docs/probe-interface.md. */
import * as yup from 'yup'
import { epochMs, lineId, madeHere, named, oneOf, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'
import { READING_LIMITS } from '#core/session/events'
import { TIPS, type Probe, type Sample, type Tip } from '#core/session/probes'

/** °C: what a probe in an oven's air can show besides. */
const SHOWN_LIMITS = [-40, 400] as const
const MOST_AT_ONCE = 500
const NAME_LENGTH = 40

export const parseProbeId = (input: unknown): string => validate(lineId().required(), input)

const samplesShape = yup
  .object({
    name: named(NAME_LENGTH).optional(),
    readings: yup
      .array(yup.object({ at: epochMs().optional(), celsius: within(SHOWN_LIMITS, '°C') }).noUnknown())
      .required('The readings are missing.')
      .min(1, 'One reading at least.')
      .max(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} readings at once.`)
  })
  .noUnknown()
  .required()
/**
 * @param now epoch ms, for what was read just now, and by a clock that is ahead
 * @throws InvalidInputError
 */
export function parseSamples(input: unknown, now: number): { readonly name: string | undefined; readonly samples: readonly Sample[] } {
  const { name, readings } = validate(samplesShape, input)
  const samples = readings.map(({ at, celsius }) => ({ at: Math.min(at ?? now, now), celsius }))
  return { name, samples: samples.sort((a, b) => a.at - b.at) }
}

const placeShape = yup
  .object({ cook: madeHere().nullable().defined('This is missing.'), tip: oneOf(TIPS) })
  .noUnknown()
  .required()
/** In which cook's piece its tip is, or in none. @throws InvalidInputError */
export const parsePlace = (input: unknown): { readonly cook: string | null; readonly tip: Tip } => validate(placeShape, input)

/** A thermometer as it is known, but for what it says. */
export type PlacedProbe = Pick<Probe, 'id' | 'name' | 'tip' | 'cook'>
const probeShape = yup
  .object({
    id: lineId().required(),
    name: named(NAME_LENGTH).required(),
    cook: madeHere().nullable().defined('This is missing.'),
    tip: oneOf(TIPS)
  })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parsePlacedProbe = (input: unknown): PlacedProbe => validate(probeShape, input)

/** Whether the middle of a piece can show that. */
export const inMeat = ({ celsius }: Sample): boolean => celsius >= READING_LIMITS[0] && celsius <= READING_LIMITS[1]
