/** A recipe as a form has it: every field there, whether or not it counts as the others stand. */
import type { Amount, Recipe, RecipeStep, Takes, Timing } from '#core/service/recipe'
import { TOOLS, type Tool } from '#core/service/dish'

export interface StepDraft {
  what: string
  then: string
  where: Tool | 'board'
  ovenLow: number
  ovenHigh: number
  by: Timing
  seconds: number
  mlEach: number
  leastMl: number
  leaves: number
  busy: boolean
  first: number
  last: number
  well: number
  most: number
  loaded: boolean
  load: number
}
export interface RecipeDraft {
  name: string
  kind: Recipe['kind']
  caution: string
  inItsPan: boolean
  beforeMeat: boolean
  amounts: { what: string; each: number; unit: Amount['unit'] }[]
  steps: StepDraft[]
}

const MIN = 60
const USUAL: StepDraft = {
  what: '',
  then: '',
  where: 'board',
  ovenLow: 170,
  ovenHigh: 200,
  by: 'clock',
  seconds: 10 * MIN,
  mlEach: 100,
  leastMl: 0,
  leaves: 0.5,
  busy: true,
  first: MIN,
  last: MIN,
  well: 10 * MIN,
  most: 30 * MIN,
  loaded: false,
  load: 6
}
export const newStep = (): StepDraft => ({ ...USUAL })

export const draftOf = ({ name, kind, caution = '', inItsPan = false, beforeMeat = false, amounts, steps }: Recipe): RecipeDraft => ({
  name,
  kind,
  caution,
  inItsPan,
  beforeMeat,
  amounts: amounts.map(a => ({ ...a })),
  steps: steps.map(({ what, then = '', tool, ovenC, takes, hands, holds: [well, most], load }) => {
    const { by: _, ...timed } = takes
    return {
      ...USUAL,
      what,
      then,
      where: tool ?? 'board',
      ...(ovenC ? { ovenLow: ovenC[0], ovenHigh: ovenC[1] } : {}),
      by: takes.by,
      ...timed,
      busy: hands === 'all',
      ...(hands === 'all' ? {} : { first: hands[0], last: hands[1] }),
      well,
      most,
      ...(load === undefined ? {} : { loaded: true, load })
    }
  })
})

function takesOf({ by, seconds, mlEach, leastMl, leaves }: StepDraft): Takes {
  switch (by) {
    case 'boil':
      return { by, mlEach, leastMl, seconds }
    case 'reduce':
      return { by, mlEach, leaves }
    default:
      return { by, seconds }
  }
}

const stepOf = (s: StepDraft): RecipeStep => ({
  what: s.what.trim(),
  ...(s.then.trim() === '' ? {} : { then: s.then.trim() }),
  tool: TOOLS.find(t => t === s.where) ?? null,
  ...(s.where === 'oven' ? { ovenC: [s.ovenLow, s.ovenHigh] as const } : {}),
  takes: takesOf(s),
  hands: s.busy ? 'all' : [s.first, s.last],
  holds: [s.well, s.most],
  ...(s.loaded ? { load: s.load } : {})
})

export const recipeOf = (id: string, { name, kind, caution, inItsPan, beforeMeat, amounts, steps }: RecipeDraft): Recipe => ({
  id,
  name: name.trim(),
  kind,
  amounts: amounts.map(a => ({ ...a, what: a.what.trim() })),
  steps: steps.map(stepOf),
  ...(inItsPan ? { inItsPan } : {}),
  ...(beforeMeat ? { beforeMeat } : {}),
  ...(caution.trim() === '' ? {} : { caution: caution.trim() })
})
