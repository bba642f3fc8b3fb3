/**
 * The plan being made: the request as it stands, kept through reloads, and what is
 * wrong with what was typed.
 */
import { defineStore } from 'pinia'
import { computed, reactive } from 'vue'
import { parseRequest } from '#core/formats/requestSchema'
import { findContradiction } from '#core/meat/contradiction'
import type { Cut } from '#core/meat/cut'
import { CUTS, cutById } from '#core/meat/cuts'
import { weightFromSize, type Piece } from '#core/meat/piece'
import { FIRST_REQUEST } from '#core/plan/firstRequest'
import type { PlanRequest } from '#core/plan/request'
import { kept } from './kept'

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
  const contradiction = computed(() => findContradiction(request.value.piece, cut.value))
  const firstProblem = computed(() => Object.entries(problems)[0] as [string, string] | undefined)

  function change(part: Partial<PlanRequest>): void {
    request.value = { ...request.value, ...part }
    touched.value = true
  }
  function changePiece(part: Partial<Piece>): void {
    change({ piece: { ...request.value.piece, ...part } })
  }
  function complain(field: string, message: string | null): void {
    if (message === null) delete problems[field]
    else problems[field] = message
  }

  /** Puts a usual piece of a cut on the bench. */
  function take(chosen: Cut): void {
    const middle = ([low, high]: readonly [number, number]): number => Math.round((low + high) / 2)
    const { shape } = chosen
    const lengthMm = middle(shape.lengthMm)
    const sizes = {
      thicknessMm: middle(shape.thicknessMm),
      lengthMm,
      widthMm: shape.outline === 'round' ? lengthMm : middle(shape.widthMm),
      startC: request.value.piece.startC
    }
    changePiece({ cutId: chosen.id, count: 1, ...sizes, weightG: Math.round(weightFromSize(sizes, chosen) / 10) * 10 })
    for (const field of Object.keys(problems)) delete problems[field]
  }

  return { request, touched, problems, cut, contradiction, firstProblem, change, changePiece, complain, take }
})
