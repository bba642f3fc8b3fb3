/** When which drill is due again: by how well it went, spaced over days by a kept algorithm (FSRS). */
import { defineStore } from 'pinia'
import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs'
import { DRILLS, type DrillKind } from '#core/rehearsal/drills'
import { kept } from './kept'

/** Questions in one go: a minute's worth. */
export const A_MINUTE = 5
/** Right of five, from which on it was good, and easy enough to be asked again soon. */
const GOOD = 4
const HARD = 3

type Cards = Partial<Record<DrillKind, Card>>

function parseCards(stored: unknown): Cards {
  const cards: Cards = {}
  for (const kind of DRILLS) {
    const card = (stored as Cards)[kind]
    if (!card) continue
    const due = new Date(card.due)
    const { last_review: last } = card
    if (![due.getTime(), card.stability, card.difficulty].every(Number.isFinite)) continue
    cards[kind] = { ...card, due, ...(last ? { last_review: new Date(last) } : {}) }
  }
  return cards
}

export const useDrills = defineStore('drills', () => {
  const cards = kept<Cards>('macellaio.drills', () => ({}), parseCards)
  const days = fsrs({ enable_short_term: false, enable_fuzz: false })

  /** When it is due again; null where it was never tried. */
  const dueAt = (kind: DrillKind): Date | null => cards.value[kind]?.due ?? null
  const isDue = (kind: DrillKind, now = Date.now()): boolean => (dueAt(kind)?.getTime() ?? 0) <= now

  /** @param right of five */
  function done(kind: DrillKind, right: number, now = new Date()): Date {
    const grade: Grade = right >= A_MINUTE ? Rating.Easy : right >= GOOD ? Rating.Good : right >= HARD ? Rating.Hard : Rating.Again
    const { card } = days.next(cards.value[kind] ?? createEmptyCard(now), now, grade)
    cards.value = { ...cards.value, [kind]: card }
    return card.due
  }

  return { dueAt, isDue, done }
})
