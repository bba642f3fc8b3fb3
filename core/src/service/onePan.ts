/** Pieces that go in one pan, one after the other so that all are carved at once: on the ticket they are one dish. */
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { capital, showDuration, shownText } from '#core/quantity/format'
import { byItself, type PlanRequest } from '#core/request/request'
import { floorAreaM2 } from '#core/kit/pan'
import type { Beside } from '#core/method/setup'
import { coverage, MOST_OF_FLOOR, settingsOf } from '#core/request/setup'
import type { Task } from '#core/words/preparation'
import { gettingReady } from './beef'
import type { Dish, Step } from './dish'
import type { Placed } from './placed'

/** A piece on the ticket with the dish that its plan is. */
export interface PieceDish {
  readonly id: string
  readonly dish: Dish
  readonly request: PlanRequest
}

/** Nobody sets a pan finer than that, K. */
const AS_HOT_K = 2

const heatOf = (request: PlanRequest): number => (settingsOf(request) as { readonly panC?: number }).panC ?? NaN
const searedOnly = ({ method }: PlanRequest): boolean => method.kind === 'pan sear'
const inOnePan = (a: PlanRequest, b: PlanRequest): boolean =>
  searedOnly(a) && searedOnly(b) && a.kit.pan.id === b.kit.pan.id && a.kit.ring.id === b.kit.ring.id
const coverageOf = (requests: readonly PlanRequest[]): number => requests.reduce((sum, r) => sum + coverage(r), 0)

/** Those of which one can be cooked in the pan of another, were it as hot: there is room for both, and it is the same pan. */
export const mayShare = (a: PlanRequest, b: PlanRequest): boolean => inOnePan(a, b) && coverageOf([a, b]) <= MOST_OF_FLOOR
const asHot = (a: PlanRequest, b: PlanRequest): boolean => Math.abs(heatOf(a) - heatOf(b)) <= AS_HOT_K

/** Whatever shares a pan together, in the order given; what is alone in its pan is alone in its list. */
export function byPan<T extends { readonly request: PlanRequest }>(pieces: readonly T[]): T[][] {
  const pans: T[][] = []
  for (const piece of pieces) {
    const there = pans.find(pan => {
      const requests = pan.map(p => p.request)
      return (
        requests.every(r => inOnePan(r, piece.request) && asHot(r, piece.request)) &&
        coverageOf([...requests, piece.request]) <= MOST_OF_FLOOR
      )
    })
    if (there) there.push(piece)
    else pans.push([piece])
  }
  return pans
}

/** Their times go by one another's: no finer than that, s. */
const FINE_S = 30
/** To a tenth of a square decimetre. */
const PER_M2 = 1e4

/** What lies in the pan beside one of them; nothing where it is alone in it. @param dish what the plan of each comes to */
export function besideOf(id: string, pieces: readonly PieceDish[]): Beside[] {
  const pan = byPan(pieces).find(p => p.some(piece => piece.id === id)) ?? []
  return pan.flatMap(piece => {
    if (piece.id === id) return []
    const areaM2 = coverage(piece.request) * floorAreaM2(piece.request.kit.pan)
    return [{ areaM2: Math.round(areaM2 * PER_M2) / PER_M2, seconds: Math.round(partOf(piece).sear / FINE_S) * FINE_S }]
  })
}
/** @returns the request as it is cooked beside these */
export const withBeside = (request: PlanRequest, beside: readonly Beside[]): PlanRequest =>
  beside.length > 0 ? { ...request, beside } : request.beside ? byItself(request) : request

/** "4 hanger steaks" */
export function inWords({ piece }: PlanRequest): string {
  const cut = cutById(piece.cutId)
  const name = cut ? pieceName(piece, cut).toLowerCase() : 'piece'
  return piece.count > 1 ? `${piece.count} ${name}s` : name
}

interface Part {
  readonly of: PieceDish
  readonly ready: readonly Step[]
  /** At the pan, s. */
  readonly sear: number
  /** From the pan to the knife, s. */
  readonly whole: number
}
function partOf(of: PieceDish): Part {
  const { steps } = of.dish
  const from = steps.findIndex(s => s.tool === 'ring')
  const fire = steps.slice(from, -1)
  const seconds = (some: readonly Step[]): number => some.reduce((sum, s) => sum + s.seconds, 0)
  return { of, ready: steps.slice(0, from), sear: seconds(fire.filter(s => s.tool === 'ring')), whole: seconds(fire) }
}

/**
 * When a piece goes in by a layout, s after serving; null where it is not laid out.
 * @param tasks of getting it ready
 */
export function goesIn(placed: readonly Placed[], piece: PieceDish, tasks: readonly Task[]): number | null {
  const own = placed.filter(p => p.dish.id === piece.id && !p.dish.pieces)
  const fire = own.find(p => p.index === gettingReady(tasks).length)
  if (fire) return fire.from
  const rested = placed.find(p => p.dish.pieces?.includes(piece.id) && p.index === p.dish.steps.length - 2)
  return rested ? rested.to - partOf(piece).whole : null
}

/** @param pieces two or more, each of them got ready, seared, rested and carved */
export function asOneDish(pieces: readonly PieceDish[]): Dish {
  const parts = pieces.map(partOf).sort((a, b) => b.whole - a.whole)
  const [longest] = parts
  const inAt = ({ whole }: Part): number => longest.whole - whole
  const sear = Math.max(...parts.map(p => inAt(p) + p.sear))
  const laid = parts.map(p => {
    const after = shownText(showDuration(inAt(p)))
    return inAt(p) < SOON_S ? inWords(p.of.request) : `${inWords(p.of.request)} ${after} later`
  })
  const setUp = Math.max(0, ...pieces.flatMap(p => p.dish.steps.map(s => s.setUp ?? 0)))
  const carve = pieces.map(p => p.dish.steps[p.dish.steps.length - 1]).reduce((a, b) => (a.seconds > b.seconds ? a : b))
  const rests = pieces.flatMap(p => p.dish.steps.slice(-2, -1)).filter(s => s.tool === null)
  const ahead = pieces.flatMap(p => p.dish.ahead ?? [])
  return {
    id: pieces[0].id,
    name: capital(pieces.map(p => inWords(p.request)).join(' and ')),
    kind: 'beef',
    pieces: pieces.map(p => p.id),
    ...(ahead.length > 0 ? { ahead } : {}),
    steps: [
      ...readyOf(parts),
      {
        what: `Sear, in one pan: ${laid.join(', ')}`,
        then: 'The last one out: all rest, and are carved together',
        tool: 'ring',
        setUp,
        seconds: sear,
        hands: [sear, 0],
        holds: [0, 0]
      },
      {
        what: 'Rest',
        tool: null,
        seconds: Math.max(0, longest.whole - sear),
        hands: [0, 0],
        holds: rests.reduce<Step['holds']>((least, s) => (s.holds[1] < least[1] ? s.holds : least), rests.at(0)?.holds ?? [120, 600])
      },
      carve
    ]
  }
}
/** Sooner than that is at once, s. */
const SOON_S = 15

/** What keeps for longer than that is work of the knife, which is done first, s. */
const KEEPS_S = 3600
/** What is done to all alike is done to all at once. */
function readyOf(parts: readonly Part[]): Step[] {
  const own = (p: Part, steps: readonly Step[]): Step[] =>
    steps.map(s => ({ ...s, what: `${capital(inWords(p.of.request))}: ${s.what.charAt(0).toLowerCase()}${s.what.slice(1)}` }))
  const knife = parts.flatMap(p =>
    own(
      p,
      p.ready.filter(s => s.holds[1] > KEEPS_S)
    )
  )
  const timed = parts.map(p => p.ready.filter(s => s.holds[1] <= KEEPS_S))
  const [first] = timed
  const alike = timed.every(steps => steps.length === first.length && steps.every((s, i) => s.what === first[i].what))
  if (!alike) return [...knife, ...parts.flatMap((p, i) => own(p, timed[i]))]
  const all = first.map((step, i): Step => {
    const seconds = Math.max(...timed.map(steps => steps[i].seconds))
    const hands = timed.reduce((sum, steps) => sum + steps[i].hands[0], 0)
    return { ...step, seconds, hands: [Math.min(seconds, hands), 0] }
  })
  return [...knife, ...all]
}
