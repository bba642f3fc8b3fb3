/** What may be asked of a rehearsal, checked by one schema on both sides. */
import * as yup from 'yup'
import { epochMs, madeHere, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'
import { SPEEDS } from './clock'
import { EXERCISES } from './exercises'

const newShape = yup
  .object({
    id: madeHere(),
    exercise: yup
      .string()
      .strict()
      .nullable()
      .defined('This is missing.')
      .oneOf([...EXERCISES.map(e => e.id), null], 'There is no such exercise.')
  })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parseNewRehearsal = (input: unknown): { readonly id: string; readonly exercise: string | null } => validate(newShape, input)

/** What an exercise came to once. */
export interface Score {
  readonly id: string
  readonly exercise: string
  /** Epoch ms. */
  readonly createdAt: number
  /** Of 100. */
  readonly points: number
}
const scoreShape = yup
  .object({
    id: madeHere(),
    exercise: yup
      .string()
      .strict()
      .required('This is missing.')
      .oneOf(
        EXERCISES.map(e => e.id),
        'There is no such exercise.'
      ),
    createdAt: epochMs().required('This is missing.'),
    points: within([0, 100], 'points').required('This is missing.')
  })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parseScore = (input: unknown): Score => validate(scoreShape, input)

const speedShape = yup
  .object({ speed: within([SPEEDS[0], SPEEDS[SPEEDS.length - 1]], '') })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parseSpeed = (input: unknown): number => validate(speedShape, input).speed
