/**
 * What to say at the butcher's: the cut by the name used there, how many, how thick, how
 * heavy, and what to do with bone, fat and sinew. Plain text, one fact a line.
 */
import { capital, showLength, showMass, shownText } from '#core/quantity/format'
import { sayIn } from '#core/quantity/sentence'
import type { UnitSystem } from '#core/quantity/units'
import { gramsPerMm } from './choose'
import { REGION_NAMES, type Cut, type Region } from '#core/meat/cut'

export interface Order {
  readonly cutId: string
  readonly region: Region
  readonly pieces: number
  readonly pieceG: number
  /** Null where the shape is not the butcher's to choose. */
  readonly thicknessMm: number | null
  /** Left on, mm; null for a cut that has none. */
  readonly fatMm: number | null
  readonly tied: boolean
  /** Needles carry what is outside to the inside. */
  readonly notNeedled: boolean
  readonly note: string
}

export interface SlipLine {
  readonly label: string
  readonly value: string
}

export interface OrderSlip {
  readonly title: string
  /** What it is called elsewhere, where the butcher may not know the name. */
  readonly alsoCalled: string
  readonly lines: readonly SlipLine[]
  /** To be said or sent. */
  readonly sentence: string
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
const inWords = (n: number): string => NUMBERS[n] ?? String(n)

/** The name used there; our own where the region has none. */
export const nameIn = (cut: Cut, region: Region): string => cut.regional[region]?.[0] ?? cut.name.toLowerCase()

/** Steaks are counted, everything else comes in pieces. */
const severalOf = (name: string): string => (/ steak$/.test(name) ? `${name}s` : `pieces of ${name}`)

/** A first order for some people. @param purchase pieces and their weight */
export function orderFor(cut: Cut, region: Region, purchase: { readonly pieces: number; readonly pieceG: number }): Order {
  const perMm = gramsPerMm(cut)
  const [thin, thick] = cut.shape.thicknessMm
  return {
    cutId: cut.id,
    region,
    pieces: purchase.pieces,
    pieceG: purchase.pieceG,
    // As thick as a slice of that weight is.
    thicknessMm: perMm === null ? null : Math.min(thick, Math.max(thin, Math.round(purchase.pieceG / perMm))),
    fatMm: cut.fatEdge ? 6 : null,
    tied: cut.form === 'roast',
    notNeedled: true,
    note: ''
  }
}

/** @param system of units to write in */
export function slipOf(order: Order, cut: Cut, system: UnitSystem): OrderSlip {
  const length = (mm: number): string => shownText(showLength(mm, system))
  const mass = (g: number): string => shownText(showMass(g, system))
  const name = nameIn(cut, order.region)
  const others = (cut.regional[order.region] ?? []).slice(1)
  const line = (label: string, value: string | null): SlipLine[] => (value === null ? [] : [{ label, value }])
  const trimming = cut.features.filter(f => f.kind === 'silverskin' || (f.kind === 'sinew strip' && /\bout\b|Cut along/.test(f.advice)))
  const lines = [
    ...line('Number', `${order.pieces}`),
    ...line(
      'Weight',
      order.pieces > 1 ? `about ${mass(order.pieceG)} each, ${mass(order.pieces * order.pieceG)} in all` : `about ${mass(order.pieceG)}`
    ),
    ...line('Thickness', order.thicknessMm === null ? null : `${length(order.thicknessMm)}, all alike`),
    ...line('Bone', cut.bone ? 'left in' : 'none'),
    ...line('Fat', order.fatMm === null ? null : order.fatMm === 0 ? 'trimmed off' : `${length(order.fatMm)} left on`),
    ...line('Trim', trimming.length === 0 ? null : trimming.map(f => `${f.kind} ${f.where}: off`).join('; ')),
    ...line('Tie', order.tied ? sayIn('tied every 3 cm', system) : cut.form === 'roast' ? 'not tied' : null),
    ...line('Untreated', order.notNeedled ? 'no needles, nothing injected, no marinade' : null),
    ...line('Also', order.note.trim() === '' ? null : order.note.trim())
  ]
  const many = order.pieces > 1
  const thick = order.thicknessMm === null ? '' : `, ${length(order.thicknessMm)} thick`
  const fat = order.fatMm === null ? '' : order.fatMm === 0 ? ', fat off' : `, fat left on at ${length(order.fatMm)}`
  const sentence = `${capital(inWords(order.pieces))} ${many ? severalOf(name) : name}${thick}, about ${mass(order.pieceG)}${many ? ' each' : ''}${fat}${order.tied ? ', tied' : ''}${order.notNeedled ? ', and not needled, please' : ', please'}.`
  return {
    title: capital(name),
    alsoCalled: [...others, cut.muscle].join(' · '),
    lines,
    sentence
  }
}

/** As plain text, to send or print. */
export function slipText(slip: OrderSlip, region: Region): string {
  const wide = Math.max(...slip.lines.map(l => l.label.length))
  return [
    slip.title,
    `(${slip.alsoCalled}; ${REGION_NAMES[region]})`,
    '',
    ...slip.lines.map(l => `${`${l.label}:`.padEnd(wide + 2)}${l.value}`),
    '',
    `“${slip.sentence}”`,
    ''
  ].join('\n')
}
