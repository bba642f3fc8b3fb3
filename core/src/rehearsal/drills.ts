/**
 * Small drills, a minute each: a question whose answer the engine, the catalogue or the schematic of the side knows.
 * What is asked is drawn by a seed; what has to be worked out for it is a plan.
 */
import { bandOf, SCALES } from '#core/doneness/scale'
import { isTender, type Cut } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import type { Piece } from '#core/meat/piece'
import { SIDE } from '#core/meat/side'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { Randomness } from '#core/numerics/random'
import type { Plan } from '#core/plan/plan'
import { capital, showDuration, showLength, showTemperature, showTemperatureRise, shownText, withArticle } from '#core/quantity/format'
import { sayIn } from '#core/quantity/sentence'
import type { UnitSystem } from '#core/quantity/units'
import { fieldAt } from '#core/heat/history'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { PlanRequest } from '#core/request/request'
import { feelOf, sharesIn, stiffness } from './feel'

export const DRILLS = ['muscle', 'grain', 'doneness', 'centre', 'climb', 'first', 'finger'] as const
export type DrillKind = (typeof DRILLS)[number]

export interface Question {
  readonly kind: DrillKind
  readonly asks: string
  readonly options: readonly string[]
  /** Which of them. */
  readonly right: number
  readonly why: string
  /** What is looked at, or felt. */
  readonly shows:
    | { readonly muscle: string }
    | { readonly edgesMm: readonly number[]; readonly hottestC: readonly number[] }
    | { readonly stiffness: number }
    | null
}

/** A question before its plans are there. */
export interface Drawn {
  readonly kind: DrillKind
  readonly seed: number
  readonly requests: readonly PlanRequest[]
}

interface Given {
  readonly piece?: Partial<Piece>
  readonly coreC?: number
  readonly kind?: MethodKind
  readonly settings?: Settings
}
const asked = ({ piece = {}, coreC = 54, kind = 'pan sear', settings = {} }: Given): PlanRequest => ({
  ...FIRST_REQUEST,
  piece: { ...FIRST_REQUEST.piece, ...piece },
  target: { ...FIRST_REQUEST.target, coreC },
  method: { kind, settings }
})
/** A strip of so much, by its usual weight. */
const strip = (thicknessMm: number): Partial<Piece> => ({ thicknessMm, weightG: Math.round((450 * thicknessMm) / 38) })
const joint = (thicknessMm: number): Partial<Piece> => ({
  cutId: 'ribeye',
  form: 'roast',
  thicknessMm,
  widthMm: thicknessMm,
  lengthMm: 220,
  weightG: Math.round(2000 * (thicknessMm / 100) ** 2),
  startC: 8
})
const WAYS: readonly ((thicknessMm: number) => Given)[] = [
  mm => ({ piece: strip(mm), settings: { turning: 'once' } }),
  mm => ({ piece: strip(mm), settings: { turning: 'every 60 s' } }),
  mm => ({ piece: strip(mm), kind: 'oven then sear', settings: { ovenC: 110 } }),
  mm => ({ piece: strip(mm), kind: 'sear then oven', settings: { ovenC: 160 } }),
  mm => ({ piece: joint(mm + 60), kind: 'roast', settings: { ovenC: 120 } }),
  mm => ({ piece: joint(mm + 60), kind: 'roast', settings: { ovenC: 200 } }),
  mm => ({ piece: strip(mm), kind: 'bath then sear', coreC: 55, settings: { bathC: 55.5, searS: 60 } })
]
/** A bath leaves nothing of it to ask. */
const FLAT = WAYS.filter(way => way(30).kind !== 'roast' && way(30).kind !== 'bath then sear')
const SCALE = SCALES[0]
const AIMS = [46, 50, 54, 59, 65] as const

const pick = <T>(random: Randomness, all: readonly T[]): T => all[Math.floor(random.even() * all.length)]
const shuffled = <T>(random: Randomness, all: readonly T[]): T[] =>
  all
    .map(of => ({ of, at: random.even() }))
    .sort((a, b) => a.at - b.at)
    .map(x => x.of)
const between = (random: Randomness, low: number, high: number): number => Math.round(low + (high - low) * random.even())

/** What is asked, and which plans it takes. */
export function draw(kind: DrillKind, seed: number): Drawn {
  const random = new Randomness(seed)
  const mm = between(random, 24, 44)
  switch (kind) {
    case 'muscle':
    case 'grain':
      return { kind, seed, requests: [] }
    case 'doneness':
    case 'finger':
      return { kind, seed, requests: [asked({ piece: strip(mm), coreC: pick(random, AIMS), settings: { turning: 'every 60 s' } })] }
    case 'centre':
      return { kind, seed, requests: [asked(pick(random, FLAT)(mm))] }
    case 'climb':
      return { kind, seed, requests: [asked(pick(random, WAYS)(mm))] }
    case 'first': {
      const [a, b] = shuffled(random, WAYS)
      return { kind, seed, requests: [asked(a(mm)), asked(b(between(random, 24, 44)))] }
    }
  }
}

/** "38 mm of strip from the pan, turned once" */
function inWords({ piece, method: { kind, settings } }: PlanRequest, system: UnitSystem): string {
  const thick = shownText(showLength(piece.thicknessMm, system))
  const what = piece.form === 'roast' ? `a rib joint, ${thick} through` : `a strip steak of ${thick}`
  const oven = settings.ovenC === undefined ? '' : ` at ${shownText(showTemperature(settings.ovenC, system))}`
  switch (kind) {
    case 'pan sear':
      return `${what} in the pan, turned ${settings.turning === 'once' ? 'once' : 'every minute'}`
    case 'oven then sear':
      return `${what} in the oven${oven}, then seared`
    case 'sear then oven':
      return `${what} seared, then in the oven${oven}`
    case 'roast':
      return `${what}, roasted${oven}`
    default:
      return `${what} in a bath, then seared`
  }
}

const answered = (
  kind: DrillKind,
  asks: string,
  options: readonly string[],
  right: number,
  why: string,
  shows: Question['shows'] = null
): Question => ({ kind, asks, options, right, why, shows })

/** @param plans of what was drawn, in its order. @returns null where it has no clear answer: another is drawn */
export function questionOf({ kind, seed, requests }: Drawn, plans: readonly Plan[], system: UnitSystem): Question | null {
  const random = new Randomness(seed + 17)
  switch (kind) {
    case 'muscle':
      return muscleQuestion(random)
    case 'grain':
      return grainQuestion(random)
    case 'doneness':
      return byTemperature(kind, plans[0], random, system)
    case 'finger':
      return byTemperature(kind, plans[0], random, system)
    case 'centre':
      return centreQuestion(requests[0], plans[0], system)
    case 'climb':
      return climbQuestion(requests[0], plans[0], system)
    case 'first':
      return firstQuestion(requests, plans, system)
  }
}

function muscleQuestion(random: Randomness): Question {
  const layer = pick(random, ['outer', 'inner'] as const)
  const all = shuffled(
    random,
    SIDE.filter(m => m.layer === layer)
  )
  const [mine] = all
  const options = shuffled(
    random,
    all.slice(0, 4).map(m => m.label)
  )
  const deep = layer === 'inner' ? 'under the outer layer' : 'on the outside'
  return answered('muscle', 'Which muscle is this?', options, options.indexOf(mine.label), `${mine.label}, ${deep}.`, { muscle: mine.id })
}

const KNIVES = [
  'straight across its length',
  'along its length',
  'slantwise',
  'leaning, across what stands up through it',
  'in two where it turns, then each across'
] as const
const KNIFE_FOR: Partial<Record<Cut['grain']['runs'], number>> = { along: 0, across: 1, slanting: 2, through: 3, turning: 4 }
function grainQuestion(random: Randomness): Question {
  const cut = pick(
    random,
    CUTS.filter(c => isTender(c) && KNIFE_FOR[c.grain.runs] !== undefined && !/slice/.test(c.grain.text))
  )
  const right = KNIFE_FOR[cut.grain.runs] ?? 0
  const asks = `In ${withArticle(cut.name.toLowerCase())} the fibres run ${cut.grain.text}. How does the knife go?`
  return answered('grain', asks, KNIVES.map(capital), right, `${capital(KNIVES[right])}: ${cut.slice.text}`)
}

/** A section looked at, or a piece pressed. */
function byTemperature(
  kind: 'doneness' | 'finger',
  { fields, carve, geometry, peak }: Plan,
  random: Randomness,
  system: UnitSystem
): Question {
  const field = fieldAt(fields, carve.time)
  const nearest = AIMS.reduce((found, aim) => (Math.abs(aim - peak.core) < Math.abs(found - peak.core) ? aim : found), AIMS[0])
  const options = AIMS.map(aim => `${shownText(showTemperature(aim, system))}, ${bandOf(SCALE, aim).word}`)
  const right = AIMS.indexOf(nearest)
  if (kind === 'doneness') {
    const why = `Its middle came to ${shownText(showTemperature(peak.core, system))}.`
    return answered(kind, 'How far was it cooked?', options, right, why, { edgesMm: geometry.edgesMm, hottestC: field.hottest })
  }
  const felt = Math.min(1, Math.max(0, stiffness(sharesIn(field.hottest, geometry.edgesMm)) + 0.03 * random.normal()))
  const why = `It was at ${shownText(showTemperature(peak.core, system))}, and under the finger: ${feelOf(felt)}. The same feel is found ${sayIn('eight degrees', system)} apart.`
  return answered(kind, 'Press it. How far is it?', options, right, why, { stiffness: felt })
}

/** Of its thickness: nearer the middle than that is the middle. */
const MIDDLE = 0.07
function centreQuestion(request: PlanRequest, { fields, carve, geometry }: Plan, system: UnitSystem): Question {
  const field = fieldAt(fields, carve.time)
  const { edgesMm } = geometry
  const coldest = field.hottest.indexOf(Math.min(...field.hottest))
  const at = (edgesMm[coldest] + edgesMm[coldest + 1]) / 2 / edgesMm[edgesMm.length - 1]
  const right = Math.abs(at - 0.5) < MIDDLE ? 0 : at < 0.5 ? 1 : 2
  const options = ['In the middle', 'Nearer the face that was down first', 'Nearer the face that was down last']
  const why = `${options[right]}: ${Math.round(100 * at)} % of the way from the face that was down first. That is where the probe belongs.`
  return answered('centre', `${capital(inWords(request, system))}: where is it cooked least?`, options, right, why)
}

/** K, from one answer to the next. */
const CLIMBS = [2, 5, 8] as const
/** So near to the line between two no answer is fair, K. */
const UNFAIR_K = 0.4
function climbQuestion(request: PlanRequest, { pull, peak }: Plan, system: UnitSystem): Question | null {
  const climb = peak.core - pull.core
  if (CLIMBS.some(c => Math.abs(c - climb) < UNFAIR_K)) return null
  const rise = (k: number): string => shownText(showTemperatureRise(k, system))
  const options = [`Less than ${rise(2)}`, `${rise(2)} to ${rise(5)}`, `${rise(5)} to ${rise(8)}`, `More than ${rise(8)}`]
  const right = CLIMBS.filter(c => climb >= c).length
  const why = `${shownText(showTemperatureRise(climb, system, 1))}: the hotter its outside at the end, and the thicker it is, the further.`
  return answered('climb', `${capital(inWords(request, system))}: how far does its middle still climb off the heat?`, options, right, why)
}

/** Nearer together than that, as a share, both are ready at once. */
const SAME = 0.12
function firstQuestion(requests: readonly PlanRequest[], plans: readonly Plan[], system: UnitSystem): Question | null {
  const [a, b] = plans.map(p => p.carve.time)
  if (Math.abs(a - b) < SAME * Math.max(a, b)) return null
  const options = requests.map(r => capital(inWords(r, system)))
  if (options[0] === options[1]) return null
  const long = (s: number): string => shownText(showDuration(s))
  const right = a < b ? 0 : 1
  return answered(
    'first',
    'Both go in at the same moment. Which is carved first?',
    options,
    right,
    `After ${long(Math.min(a, b))}, the other after ${long(Math.max(a, b))}.`
  )
}
