/**
 * The pieces of the service that stand on the ticket, one of them at the fire: what is changed there is changed on the
 * ticket as soon as it is planned, where it is safe.
 */
import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import { cutById } from '#core/meat/cuts'
import { piecesName } from '#core/meat/piece'
import type { PlanRequest } from '#core/request/request'
import { dangersOf } from '#core/safety/dangers'
import { useDraft } from './draft'
import { useGuests } from './guests'
import { usePans } from './pans'
import { usePass } from './pass'
import { usePreparation } from './preparation'
import { usePlan, type PlanResult } from './plan'
import { useTable } from './table'

const named = ({ piece }: PlanRequest): string => {
  const cut = cutById(piece.cutId)
  return cut ? piecesName(piece, cut) : 'Beef'
}

export const usePieces = defineStore('pieces', () => {
  const draft = useDraft()
  const plan = usePlan()
  const pass = usePass()
  const guests = useGuests()
  const table = useTable()
  const preparation = usePreparation()
  usePans()

  /** Of the plan for exactly what is at the fire. */
  const safe = ({ request, plan: of }: PlanResult): boolean =>
    dangersOf(request.target.coreC, draft.table, of, guests.reference).length === 0
  /** As it goes onto the ticket: of several donenesses by the one that is longest at the heat. */
  function follow(now: PlanResult): void {
    const shares = table.shown?.of === now ? table.shown.shares : []
    const longest = shares.reduce<PlanResult>((most, { result }) => (result.plan.carve.time > most.plan.carve.time ? result : most), now)
    pass.follow(now.request, longest.plan, shares.length)
  }
  watch(
    [() => plan.current, () => table.shown, () => draft.prepared, () => preparation.tasks],
    ([now]) => {
      if (now && safe(now)) follow(now)
    },
    { immediate: true }
  )

  /** What can be put on the ticket as it stands: planned, and safe or said yes to at the fire. */
  const ready = computed(() => (plan.current && safe(plan.current) ? plan.current : null))
  /** @param of said yes to, where it is not safe by itself. @returns what is wrong; null once it is on the ticket */
  function putOn(of: PlanResult | null = ready.value): string | null {
    if (!of) return 'There is no plan of it yet.'
    const wrong = pass.putBeef(of.request, of.plan)
    if (wrong === null) follow(of)
    return wrong
  }

  /** Those on the ticket, and the one at the fire where it is not on it yet. */
  const all = computed(() => {
    const there = pass.pieces.map(({ id, request }) => ({ id, name: named(id === draft.pieceId ? draft.request : request), there: true }))
    return pass.atTheFire ? there : [...there, { id: draft.pieceId, name: named(draft.request), there: false }]
  })
  return { all, ready, putOn, follow }
})
