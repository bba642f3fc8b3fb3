/** What may be asked of a rehearsal, checked by one schema on both sides. */
import * as yup from 'yup'
import { madeHere, within } from '#core/input/plainFields'
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

const speedShape = yup
  .object({ speed: within([SPEEDS[0], SPEEDS[SPEEDS.length - 1]], '') })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parseSpeed = (input: unknown): number => validate(speedShape, input).speed
