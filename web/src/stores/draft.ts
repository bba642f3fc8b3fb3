/**
 * The request as it is being made: the one question that every place shows and changes, kept through
 * reloads; what is wrong with what was typed; and how each method was set when it was last looked at.
 */
import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { computed, reactive } from 'vue'
import { findContradiction } from '#core/meat/contradiction'
import { parsePrepared } from '#core/formats/preparedSchema'
import type { Cut } from '#core/meat/cut'
import { CUTS, cutById } from '#core/meat/cuts'
import { PIECE_LIMITS, weightFromSize, type Piece } from '#core/meat/piece'
import { usualSizes } from '#core/meat/usualSizes'
import { dialsOf, fitsDial, type Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { settingsFromEarlier } from '#core/request/earlier'
import { atRiskC, wantedOf } from '#core/request/guests'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, byItself, type Guests, type PlanRequest, type Target } from '#core/request/request'
import { parseRequest, TARGET_LIMITS } from '#core/request/schema'
import type { Table } from '#core/safety/cautions'
import { suitsBest } from '#core/request/suits'
import { preparedAnew, UNPREPARED, type Prepared } from '#core/service/prepared'
import { kept } from './kept'

/** What was ordered of a cut. */
export interface Ordered {
  readonly pieces?: number
  readonly pieceG?: number
  readonly thicknessMm?: number | null
}

/** K */
const WARMED_LESS_K = 2

type Set = Partial<Record<MethodKind, Settings>>

function parseSet(stored: unknown): Set {
  return Object.fromEntries(
    METHOD_KINDS.map(kind => {
      const given: Readonly<Record<string, unknown>> = { ...settingsFromEarlier((stored as Record<string, unknown>)[kind]) }
      return [kind, Object.fromEntries(dialsOf(kind).flatMap(d => (fitsDial(d, given[d.key]) ? [[d.key, given[d.key]] as const] : [])))]
    })
  )
}

const cutOf = ({ piece }: PlanRequest): Cut => cutById(piece.cutId) ?? CUTS[0]

/** What its safety goes by. */
export function tableOf(asked: PlanRequest): Table {
  const { piece } = asked
  const theirs = atRiskC(asked)
  const [rarest] = wantedOf(asked)
  return {
    intact: piece.intact ?? 'yes',
    vulnerable: theirs !== null,
    ...(theirs === null ? {} : { atRiskC: theirs }),
    ...(rarest < asked.target.coreC ? { rarestC: rarest } : {}),
    warmedAgain: piece.cookedC !== undefined
  }
}

/** As it was kept before it went with the piece. */
function preparedEarlier(): Prepared {
  const stored = (key: string): unknown => JSON.parse(localStorage.getItem(key) ?? 'null')
  try {
    const packet = stored('macellaio.benchPacket') ?? undefined
    return parsePrepared({ how: stored('macellaio.preparation'), ticked: stored('macellaio.ticked') ?? [], packet })
  } catch {
    return UNPREPARED
  }
}

export const useDraft = defineStore('draft', () => {
  const request = kept<PlanRequest>('macellaio.draft', () => FIRST_REQUEST, parseRequest)
  /** Which piece of the service it is, on the ticket or not yet. */
  const pieceId = kept<string>(
    'macellaio.piece',
    () => nanoid(8),
    stored => (typeof stored === 'string' && /^[\w-]{1,40}$/.test(stored) ? stored : nanoid(8))
  )
  /** How it is got ready, which goes with it onto the ticket. */
  const prepared = kept<Prepared>('macellaio.prepared', preparedEarlier, parsePrepared)
  const touched = kept<boolean>(
    'macellaio.touched',
    () => false,
    stored => stored === true
  )
  const set = kept<Set>('macellaio.dials', () => ({}), parseSet)
  /** What was typed and cannot be read, by field. */
  const problems = reactive<Record<string, string>>({})

  const cut = computed(() => cutOf(request.value))
  const round = computed(() => cut.value.shape.outline === 'round' && request.value.piece.form !== 'roast')
  const contradiction = computed(() => findContradiction(request.value.piece, cut.value))
  const table = computed(() => tableOf(request.value))
  const firstProblem = computed(() => Object.entries(problems)[0] as [string, string] | undefined)

  function change(part: Partial<PlanRequest>): void {
    request.value = { ...request.value, ...part }
    touched.value = true
  }
  const aim = (part: Partial<Target>): void => change({ target: { ...request.value.target, ...part } })
  /** What would be safe: for those at risk where it is only for them, else for all. @param all whether whoever eats of it is in danger */
  function makeSafe(coreC: number, all: boolean): void {
    const { guests, target } = request.value
    const everyone = all || guests.atRisk
    const named = guests.named.map(g => (g.targetC < coreC && (everyone || g.atRisk) ? { ...g, targetC: coreC } : g))
    change({ guests: { ...guests, named }, ...(everyone ? { target: { ...target, coreC: Math.max(target.coreC, coreC) } } : {}) })
  }
  const seat = (part: Partial<Guests>): void => change({ guests: { ...request.value.guests, ...part } })
  /** What comes of the kit and not of the cook's hand. */
  function lay(part: Partial<PlanRequest>): void {
    request.value = { ...request.value, ...part }
  }

  /** How a method is set: what the cook has changed of it. */
  const settingsFor = (kind: MethodKind): Settings =>
    kind === request.value.method.kind ? request.value.method.settings : (set.value[kind] ?? {})
  /** The same question by another method, as that was last set. */
  const askedBy = (kind: MethodKind): PlanRequest => by(request.value, kind, settingsFor(kind))
  function setMethod(kind: MethodKind, settings: Settings, part: Partial<PlanRequest> = {}): void {
    set.value = { ...set.value, [request.value.method.kind]: request.value.method.settings, [kind]: settings }
    request.value = { ...request.value, ...part, method: { kind, settings } }
  }
  const choose = (kind: MethodKind): void => {
    if (kind !== request.value.method.kind) setMethod(kind, settingsFor(kind))
  }
  function turn(settings: Settings): void {
    const { kind, settings: before } = request.value.method
    setMethod(kind, { ...before, ...settings })
    touched.value = true
  }
  const asUsual = (): void => setMethod(request.value.method.kind, {})
  /** A whole request that was read from elsewhere. */
  function open(read: PlanRequest): void {
    anotherId(cutOf(read))
    put(read.piece)
    // Who is at this table is not what the file says.
    const guests = { ...read.guests, named: request.value.guests.named }
    setMethod(read.method.kind, read.method.settings, { ...byItself(read), guests })
  }

  /** A piece of the service comes to the fire, as it is wanted there and by whom. */
  function stand(id: string, asked: PlanRequest, how?: Prepared): void {
    const getReady = how ?? (id === pieceId.value ? prepared.value : preparedAnew(prepared.value, cutOf(asked)))
    pieceId.value = id
    prepared.value = getReady
    // What lies beside it goes by the ticket, not by what it was.
    setMethod(asked.method.kind, asked.method.settings, byItself(asked))
    touched.value = true
    forgive()
  }
  function anotherId(of: Cut): void {
    pieceId.value = nanoid(8)
    prepared.value = preparedAnew(prepared.value, of)
  }
  /** Another piece like it, that nothing was decided of. */
  function another(of = cut.value): void {
    anotherId(of)
    request.value = { ...request.value, guests: { ...request.value.guests, named: [] } }
  }

  function changePiece(part: Partial<Piece>): void {
    change({ piece: { ...request.value.piece, ...part } })
  }
  /** A steak cut round has one diameter, and a thin end is never thicker than the thick one. */
  function measure(part: Partial<Piece>): void {
    const { thinEndMm } = request.value.piece
    const fits =
      part.thicknessMm === undefined || thinEndMm === undefined ? part : { ...part, thinEndMm: Math.min(thinEndMm, part.thicknessMm) }
    const suited = suitsBest(request.value)
    changePiece(round.value && part.lengthMm !== undefined ? { ...fits, widthMm: part.lengthMm } : fits)
    // Planned by what suited it, it is planned by what suits it now.
    if (request.value.method.kind === suited) choose(suitsBest(request.value))
  }
  /** It was cooked before and is to be warmed again, to somewhat less than it came to: its sear warms it too. @param cookedC null where it is raw */
  function cookedBefore(cookedC: number | null): void {
    const { cookedC: _, ...raw } = request.value.piece
    const { target } = request.value
    if (cookedC === null) change({ piece: raw })
    else
      change({
        piece: { ...raw, cookedC },
        target: { ...target, coreC: Math.max(TARGET_LIMITS[0], Math.min(target.coreC, cookedC - WARMED_LESS_K)) }
      })
    choose(suitsBest(request.value))
  }
  function complain(field: string, message: string | null): void {
    if (message === null) delete problems[field]
    else problems[field] = message
  }
  function forgive(): void {
    for (const field of Object.keys(problems)) delete problems[field]
  }

  /** Puts a piece of a cut on the bench: a usual one, or as it was ordered. */
  function take(chosen: Cut, ordered: Ordered = {}): void {
    another(chosen)
    const { startC } = FIRST_REQUEST.piece
    const sizes = usualSizes(chosen, { weightG: ordered.pieceG, thicknessMm: ordered.thicknessMm, startC })
    put({
      cutId: chosen.id,
      form: chosen.form,
      count: Math.min(PIECE_LIMITS.count[1], ordered.pieces ?? 1),
      surface: 'patted',
      startC,
      ...sizes,
      weightG: ordered.pieceG ?? Math.round(weightFromSize({ ...sizes, startC }, chosen) / 10) * 10
    })
  }

  /** The piece on the bench is as this now: of another cut nothing of the one before stays; it is planned by what suits it. */
  function put(piece: Piece): void {
    const otherCut = piece.cutId !== request.value.piece.cutId
    change({ piece, ...(otherCut ? { target: { ...request.value.target, coreC: FIRST_REQUEST.target.coreC } } : {}) })
    choose(suitsBest(request.value))
    forgive()
  }

  return {
    request,
    pieceId,
    prepared,
    touched,
    problems,
    cut,
    round,
    contradiction,
    table,
    firstProblem,
    change,
    aim,
    seat,
    makeSafe,
    lay,
    settingsFor,
    askedBy,
    choose,
    turn,
    asUsual,
    open,
    stand,
    another,
    changePiece,
    measure,
    cookedBefore,
    complain,
    forgive,
    take,
    put
  }
})
