/**
 * From what a cook has to a short list: who comes, how hungry, what there is to cook on,
 * how long it may take and what it may cost. Each cut is weighed by the same few plain
 * rules, and each rule that counts says so in words.
 */
import { densityOf } from '#core/heat/properties'
import { heatsOf, isTender, tendernessWord, type Cut, type Heat, type Tenderness } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'

export const APPETITES = { light: 0.8, ordinary: 1, hearty: 1.25 } as const
export type Appetite = keyof typeof APPETITES
/** How far apart the diners want it. */
export type Table = 'alike' | 'mixed' | 'well done'

export interface Ask {
  readonly guests: number
  readonly appetite: Appetite
  /** What there is to cook on. */
  readonly heats: readonly Heat[]
  /** From the first heat to the plate, min. */
  readonly minutes: number
  readonly table: Table
  /** Most a kilogram may cost, in the cook's money; null for no limit. */
  readonly budget: number | null
  /** Prices a kilogram the cook has typed, by cut. */
  readonly prices: Readonly<Record<string, number>>
}

export const FIRST_ASK: Ask = {
  guests: 4,
  appetite: 'ordinary',
  heats: ['pan', 'pan and oven', 'oven'],
  minutes: 60,
  table: 'alike',
  budget: null,
  prices: {}
}

export interface Choice {
  readonly cut: Cut
  /** Larger is better; only the order means anything. */
  readonly score: number
  /** For it, weightiest first. */
  readonly reasons: readonly string[]
  /** Against it. */
  readonly objections: readonly string[]
  /** The heat to use. */
  readonly heat: Heat
  /** About, from the first heat to the plate. */
  readonly minutes: number
  readonly buy: Purchase
}

export interface Purchase {
  readonly pieces: number
  readonly pieceG: number
  readonly totalG: number
  /** In the cook's money, where a price was typed. */
  readonly cost: number | null
}

/** Best first; cuts that nothing at hand can cook, or that must be braised, are left out. */
export function chooseCuts(ask: Ask, among: readonly Cut[] = CUTS): Choice[] {
  return among
    .filter(cut => isTender(cut) && heatsOf(cut).some(h => ask.heats.includes(h)))
    .map(cut => weigh(cut, ask))
    .sort((a, b) => b.score - a.score)
}

/** Weight of a usual slice for each millimetre of its thickness; null where the knife does not choose that. */
export function gramsPerMm(cut: Cut): number | null {
  if (cut.portioning !== 'slices' || cut.form !== 'steak') return null
  const { lengthMm, widthMm, fill, outline } = cut.shape
  const face = middle(lengthMm) * middle(widthMm) * fill * (outline === 'round' ? Math.PI / 4 : 1)
  return (densityOf(cut.composition, 5) / 1e6) * face
}
/** Thinner than this a slice is overdone before it is brown. */
const THIN_MM = 22

/** How much of it to buy. */
export function purchaseOf(cut: Cut, ask: Pick<Ask, 'guests' | 'appetite' | 'prices'>): Purchase {
  const wanted = ask.guests * cut.gramsPerDiner * APPETITES[ask.appetite]
  const [least, most] = cut.shape.weightG
  const each = wanted / ask.guests
  // One piece a head where that is a piece worth cooking; a thin slice of a wide muscle is not, and thicker ones are shared.
  const perMm = gramsPerMm(cut)
  const worthwhile = perMm === null ? least : Math.max(least, THIN_MM * perMm)
  const pieces = each >= worthwhile ? Math.max(ask.guests, Math.ceil(wanted / most)) : Math.max(1, Math.ceil(wanted / most))
  const pieceG = Math.round(Math.max(least, wanted / pieces) / 10) * 10
  const totalG = pieces * pieceG
  const price = ask.prices[cut.id]
  return { pieces, pieceG, totalG, cost: price === undefined ? null : (price * totalG) / 1000 }
}

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2

/** Cooking and resting, min: common practice, no source; the planner works it out once a piece is on the bench. */
export function minutesFor(cut: Cut, heat: Heat): number {
  const mm = middle(cut.shape.thicknessMm)
  const log = cut.form === 'roast'
  switch (heat) {
    case 'pan':
    case 'coals':
      return log ? 0.0085 * mm * mm + 25 : 0.0094 * mm * mm + 8
    case 'pan and oven':
      return log ? 0.009 * mm * mm + 25 : 0.008 * mm * mm + 14
    case 'oven':
      return 0.011 * mm * mm + 30
    case 'water bath':
      return Math.max(60, (log ? 0.055 : 0.1) * mm * mm) + 12
    case 'braise':
      return 270
  }
}

/** Its word stands beside every cut: as a reason it is only weighed. */
const TENDERNESS_COUNTS: Readonly<Record<Tenderness, number>> = {
  'very tender': 2.2,
  tender: 1.2,
  'some chew': -0.3,
  'firm: slice it thin': -1.8,
  'tough until braised': -4
}

/** A budget without a typed price is held against the usual ladder: dear means about five times cheap. */
const LADDER = [0, 0.35, 0.5, 0.75, 1, 1.6]

function weigh(cut: Cut, ask: Ask): Choice {
  const reasons: [weight: number, text: string][] = []
  const objections: [weight: number, text: string][] = []
  const note = (weight: number, text: string): void => void (weight > 0 ? reasons : objections).push([Math.abs(weight), text])

  const { suit, minutes } = bestHeat(cut, ask)
  note(2.5, suit.because)
  if (minutes > ask.minutes) {
    note(-Math.min(6, (3 * (minutes - ask.minutes)) / Math.max(15, ask.minutes)) - 1.5, `Needs about ${Math.round(minutes / 5) * 5} min.`)
  }

  const buy = purchaseOf(cut, ask)
  if (cut.price >= 5) note(-0.8, 'Dear.')
  else if (cut.price <= 2) note(0.5, 'Cheap.')
  weighMoney(cut, ask, note)
  note(TENDERNESS_COUNTS[tendernessWord(cut)], '')

  if (ask.table === 'mixed') {
    if (cut.profile === 'triangle' || cut.profile === 'tapered log' || cut.id === 'bavette')
      note(2, 'Thick at one end and thin at the other: rare and well done from one piece.')
    else if (cut.form === 'steak' && buy.pieces >= ask.guests) note(1.5, 'A piece each, so each is done as its diner likes.')
    else if (cut.form === 'roast') note(-0.6, 'One doneness for all, but for the ends.')
  }
  if (ask.table === 'well done') {
    if (cut.fat[1] >= 0.16) note(1.8, 'Fat enough to stay moist when well done.')
    if (cut.fat[1] <= 0.06) note(-2, 'Lean: dry when well done.')
  }

  if (ask.guests >= 6) {
    const few = buy.pieces === 1 ? 'One piece feeds the table.' : `${buy.pieces} pieces feed the table.`
    if (cut.form === 'roast') note(ask.guests >= 8 ? 3 : 1.8, few)
    else if (buy.pieces <= 3) note(1.2, few)
    else if (buy.pieces >= ask.guests) note(-1.8, `${buy.pieces} pieces to cook at once.`)
  } else if (cut.form === 'roast' && cut.shape.weightG[0] > ask.guests * 350) note(-3, 'Its smallest joint is too much for so few.')
  if (cut.form === 'steak' && buy.pieces * cut.shape.weightG[0] > 1.6 * ask.guests * cut.gramsPerDiner) note(-1, 'More than you need.')

  const score = sum(reasons) - sum(objections)
  return { cut, score, reasons: texts(reasons), objections: texts(objections), heat: suit.heat, minutes: Math.round(minutes), buy }
}

/** The cut's own order of heats counts, unless only a later one is quick enough. */
function bestHeat(cut: Cut, ask: Ask): { suit: Cut['suits'][number]; minutes: number } {
  const possible = cut.suits.filter(s => ask.heats.includes(s.heat)).map(suit => ({ suit, minutes: minutesFor(cut, suit.heat) }))
  return possible.find(p => p.minutes <= ask.minutes) ?? possible.reduce((a, b) => (b.minutes < a.minutes ? b : a))
}

function weighMoney(cut: Cut, ask: Ask, note: (weight: number, text: string) => void): void {
  if (ask.budget === null) return
  const typed = ask.prices[cut.id] as number | undefined
  if (typed !== undefined) {
    if (typed > ask.budget) note(-Math.min(8, 1 + (8 * (typed - ask.budget)) / ask.budget), 'Over your price a kilogram.')
    else note(1 + Math.min(2, (2 * (ask.budget - typed)) / ask.budget), 'Within your price.')
    return
  }
  // Against the middle of what the cook has typed so far, or a middling cut at the budget.
  const known = Object.entries(ask.prices).flatMap(([id, price]) => {
    const other = CUTS.find(c => c.id === id)
    return other ? [price / LADDER[other.price]] : []
  })
  const dear = known.length > 0 ? known.reduce((s, p) => s + p, 0) / known.length : null
  if (dear === null) {
    if (cut.price <= 2) note(1.5, 'Usually within a small budget.')
    else if (cut.price >= 5) note(-2.5, 'Usually the dearest; type its price to be sure.')
    return
  }
  const guess = dear * LADDER[cut.price]
  if (guess > 1.15 * ask.budget) note(-Math.min(6, (6 * (guess - ask.budget)) / ask.budget), 'Usually over your price; type it to be sure.')
  else if (guess < 0.85 * ask.budget) note(1.5, 'Usually within your price.')
}

const sum = (list: readonly [number, string][]): number => list.reduce((s, [w]) => s + w, 0)
/** Weightiest first; what was only weighed has no words. */
const texts = (list: readonly [number, string][]): string[] =>
  [...list].sort((a, b) => b[0] - a[0]).flatMap(([, text]) => (text === '' ? [] : [text]))
