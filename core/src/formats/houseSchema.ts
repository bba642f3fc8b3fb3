/** What the server takes of a device that wants to come in, and of the lock it is kept out by; checked by one schema on both sides. */
import * as yup from 'yup'
import { named } from '#core/input/plainFields'
import { validate } from '#core/input/problem'

export const DEVICE_NAME_LENGTH = 40
const PASSCODE_LENGTH = [8, 100] as const

export interface Claim {
  readonly name: string
  /** As it was shown at the machine it runs on; else by the passcode. */
  readonly secret?: string | undefined
  readonly passcode?: string | undefined
}
const said = yup.string().strict().max(PASSCODE_LENGTH[1], `At most ${PASSCODE_LENGTH[1]} letters.`)
const claimShape = yup
  .object({ name: named(DEVICE_NAME_LENGTH), secret: said.optional(), passcode: said.optional() })
  .noUnknown()
  .required('This is missing.')
/** @throws InvalidInputError */
export const parseClaim = (input: unknown): Claim => validate(claimShape, input)

const tooShort = `A passcode has at least ${PASSCODE_LENGTH[0]} letters or digits.`
const passcodeShape = yup
  .object({ passcode: said.nullable().defined('This is missing.').min(PASSCODE_LENGTH[0], tooShort) })
  .noUnknown()
  .required('This is missing.')
/** Null takes the lock away. @throws InvalidInputError */
export const parsePasscode = (input: unknown): { readonly passcode: string | null } => validate(passcodeShape, input)

/** As a device sees the kitchen that it is in, or not in yet. */
export interface House {
  /** On the machine it runs on. */
  readonly here: boolean
  /** Let in. */
  readonly in: boolean
  /** Whether a passcode lets in. */
  readonly passcode: boolean
  /** Told on the machine itself only. */
  readonly open?: boolean
  readonly addresses?: readonly string[]
  readonly devices?: readonly { readonly id: string; readonly name: string; readonly pairedAt: number; readonly seenAt: number }[]
}
