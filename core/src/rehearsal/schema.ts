/** What may be asked of a rehearsal, checked by one schema on both sides. */
import * as yup from 'yup'
import { epochMs, madeHere, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'
import { SPEEDS } from './clock'
import { DRILLS, type DrillKind } from './drills'
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

/** A drill gone through once. */
export interface DrillDone {
  readonly id: string
  readonly kind: DrillKind
  /** Of the minute's questions. */
  readonly right: number
  /** Epoch ms. */
  readonly at: number
}
/** Questions in one go of a drill: a minute's worth. */
export const A_MINUTE = 5
const drillDoneShape = yup
  .object({
    id: madeHere(),
    kind: yup
      .string()
      .strict()
      .required('This is missing.')
      .oneOf([...DRILLS], `This may be one of: ${DRILLS.join(', ')}.`),
    right: within([0, A_MINUTE], 'right answers').integer('Whole answers only.').required('This is missing.'),
    at: epochMs().required('This is missing.')
  })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parseDrillDone = (input: unknown): DrillDone => validate(drillDoneShape, input)

const speedShape = yup
  .object({ speed: within([SPEEDS[0], SPEEDS[SPEEDS.length - 1]], '') })
  .noUnknown()
  .required()
/** @throws InvalidInputError */
export const parseSpeed = (input: unknown): number => validate(speedShape, input).speed
