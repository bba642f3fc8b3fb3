/**
 * A call sheet to print: what is called out, when what begins, and what to mind. Figures
 * come as they are read, so that the page says what the screen said.
 */
import * as yup from 'yup'
import { validate } from '#core/input/problem'

export interface PrintedSheet {
  readonly title: string
  readonly subtitle: string
  readonly lines: readonly { readonly label: string; readonly figure: string; readonly unit: string }[]
  readonly schedule: readonly { readonly at: string; readonly what: string }[]
  readonly cautions: readonly string[]
  readonly paper: 'A4' | 'LETTER'
}

const text = (most: number): yup.StringSchema<string> =>
  yup.string().strict().defined('This is missing.').max(most, `At most ${most} letters.`)

const schema = yup
  .object({
    title: text(120).min(1, 'This is missing.'),
    subtitle: text(300),
    lines: yup
      .array(yup.object({ label: text(60), figure: text(20), unit: text(20) }).noUnknown())
      .required('This is missing.')
      .min(1, 'At least one line.')
      .max(12, 'At most 12 lines fit on a page.'),
    schedule: yup
      .array(yup.object({ at: text(20), what: text(80) }).noUnknown())
      .required('This is missing.')
      .max(16, 'At most 16 lines fit on a page.'),
    cautions: yup.array(text(600)).required('This is missing.').max(5, 'At most 5 cautions fit on a page.'),
    paper: yup.string().strict().required('This is missing.').oneOf(['A4', 'LETTER'])
  })
  .noUnknown()
  .required('A sheet is missing.')

/** @throws InvalidInputError */
export function parsePrintedSheet(input: unknown): PrintedSheet {
  return validate(schema, input) as PrintedSheet
}
