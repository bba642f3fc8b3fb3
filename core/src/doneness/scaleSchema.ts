/** A scale of doneness of the cook's own: the same words, other degrees, each above the one before. */
import * as yup from 'yup'
import { OWN } from '#core/doneness/scale'
import { named, within } from '#core/input/plainFields'

const DEGREES = [0, 90] as const

export const scaleSchema = yup
  .object({
    id: yup.string().strict().required().oneOf([OWN]),
    name: named(),
    says: yup.string().strict().max(120).default(''),
    bands: yup
      .array(
        yup
          .object({ word: named(), from: within(DEGREES, '°C'), aim: within([30, 90], '°C') })
          .noUnknown()
          .required()
      )
      .min(2, 'At least two words.')
      .max(10, 'At most ten words.')
      .required('The words are missing.')
      .test({
        name: 'rising',
        test: (bands, context) => {
          const wrong = bands.findIndex(
            (b, i) => (i > 0 && b.from <= bands[i - 1].from) || b.aim < b.from || (i + 1 < bands.length && b.aim >= bands[i + 1].from)
          )
          return (
            wrong < 0 ||
            context.createError({
              path: `${context.path}[${wrong}]`,
              message: `“${bands[wrong].word}” must begin above the word before it, and be aimed at inside its own band.`
            })
          )
        }
      })
  })
  .noUnknown()
