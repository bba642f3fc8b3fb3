/**
 * The plan being made: the request as it stands, kept through reloads, and what is
 * wrong with what was typed.
 */
import { defineStore } from 'pinia'
import { computed, reactive } from 'vue'
import { parseRequest } from '#core/request/schema'
import { findContradiction } from '#core/meat/contradiction'
import type { Cut } from '#core/meat/cut'
import { CUTS, cutById } from '#core/meat/cuts'
import { weightFromSize, type Piece } from '#core/meat/piece'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { PlanRequest } from '#core/request/request'
import { kept } from './kept'

/** What was ordered of a cut. */
export interface Ordered {
  readonly pieceG?: number
  readonly thicknessMm?: number | null
}

export const useDraft = defineStore('draft', () => {
  const request = kept<PlanRequest>('macellaio.draft', () => FIRST_REQUEST, parseRequest)
  const touched = kept<boolean>(
    'macellaio.touched',
    () => false,
    stored => stored === true
  )
  /** What was typed and cannot be read, by field. */
  const problems = reactive<Record<string, string>>({})

  const cut = computed(() => cutById(request.value.piece.cutId) ?? CUTS[0])
  const round = computed(() => cut.value.shape.outline === 'round' && request.value.piece.form !== 'roast')
  const contradiction = computed(() => findContradiction(request.value.piece, cut.value))
  const table = computed(() => ({ intact: request.value.piece.intact ?? ('yes' as const), vulnerable: request.value.vulnerable ?? false }))
  const firstProblem = computed(() => Object.entries(problems)[0] as [string, string] | undefined)

  function change(part: Partial<PlanRequest>): void {
    request.value = { ...request.value, ...part }
    touched.value = true
  }
  /** What comes of the kit and not of the cook's hand. */
  function lay(part: Partial<PlanRequest>): void {
    request.value = { ...request.value, ...part }
  }
  function changePiece(part: Partial<Piece>): void {
    change({ piece: { ...request.value.piece, ...part } })
  }
  /** A steak cut round has one diameter, and a thin end is never thicker than the thick one. */
  function measure(part: Partial<Piece>): void {
    const { thinEndMm } = request.value.piece
    const fits =
      part.thicknessMm === undefined || thinEndMm === undefined ? part : { ...part, thinEndMm: Math.min(thinEndMm, part.thicknessMm) }
    changePiece(round.value && part.lengthMm !== undefined ? { ...fits, widthMm: part.lengthMm } : fits)
  }
  function complain(field: string, message: string | null): void {
    if (message === null) delete problems[field]
    else problems[field] = message
  }

  /** Puts a piece of a cut on the bench: a usual one, or as it was ordered. */
  function take(chosen: Cut, ordered: Ordered = {}): void {
    const middle = ([low, high]: readonly [number, number]): number => Math.round((low + high) / 2)
    const { shape } = chosen
    const usual = {
      thicknessMm: ordered.thicknessMm ?? middle(shape.thicknessMm),
      lengthMm: middle(shape.lengthMm),
      widthMm: shape.outline === 'round' && chosen.form === 'steak' ? middle(shape.lengthMm) : middle(shape.widthMm),
      startC: request.value.piece.startC
    }
    const weightG = ordered.pieceG ?? Math.round(weightFromSize(usual, chosen) / 10) * 10
    // Heavier than usual is a joint cut longer, or a steak larger both ways.
    const larger = weightG / weightFromSize(usual, chosen)
    const round = chosen.form === 'roast'
    const lengthMm = Math.round(usual.lengthMm * (round ? larger : Math.sqrt(larger)))
    const widthMm = round ? usual.widthMm : Math.round(usual.widthMm * Math.sqrt(larger))
    put({ cutId: chosen.id, form: chosen.form, count: 1, surface: 'patted', ...usual, lengthMm, widthMm, weightG })
  }

  /** Puts another piece on the bench: nothing of the one before stays. */
  function put(piece: Piece): void {
    change({ piece })
    for (const field of Object.keys(problems)) delete problems[field]
  }

  return {
    request,
    touched,
    problems,
    cut,
    round,
    contradiction,
    table,
    firstProblem,
    change,
    lay,
    changePiece,
    measure,
    complain,
    take,
    put
  }
})
