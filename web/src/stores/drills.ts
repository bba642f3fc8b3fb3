/**
 * When which drill is due again: by how well it went each time, spaced over days by a kept algorithm (FSRS). How it went is
 * written down here first and told to the server, so that it is known at every screen of the kitchen.
 */
import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs'
import { computed } from 'vue'
import { DRILLS, type DrillKind } from '#core/rehearsal/drills'
import { A_MINUTE, parseDrillDone, type DrillDone } from '#core/rehearsal/schema'
import { api } from '../api/client'
import { kept } from './kept'
import { outbox } from './outbox'

/** Right of five, from which on it was good, and easy enough to be asked again soon. */
const GOOD = 4
const HARD = 3

type Cards = Partial<Record<DrillKind, Card>>

/** As an earlier version kept them, in this browser alone: how each went was not written down. */
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
const parseAll = (stored: unknown): DrillDone[] => (stored as unknown[]).map(parseDrillDone)

const DAYS = fsrs({ enable_short_term: false, enable_fuzz: false })
const gradeOf = (right: number): Grade =>
  right >= A_MINUTE ? Rating.Easy : right >= GOOD ? Rating.Good : right >= HARD ? Rating.Hard : Rating.Again

export const useDrills = defineStore('drills', () => {
  const earlier = kept<Cards>('macellaio.drills', () => ({}), parseCards)
  const gone = kept<readonly DrillDone[]>('macellaio.drilled', () => [], parseAll)
  const { letters, post, answered } = outbox<DrillDone>('macellaio.drilled.outbox', api.drilled, { heard: lay })

  function lay(done: DrillDone): void {
    gone.value = [...gone.value.filter(d => d.id !== done.id), done].sort((a, b) => a.at - b.at)
  }
  const cards = computed(() => {
    const made: Cards = { ...earlier.value }
    for (const { kind, right, at } of gone.value) {
      const now = new Date(at)
      made[kind] = DAYS.next(made[kind] ?? createEmptyCard(now), now, gradeOf(right)).card
    }
    return made
  })

  /** When it is due again; null where it was never tried. */
  const dueAt = (kind: DrillKind): Date | null => cards.value[kind]?.due ?? null
  const isDue = (kind: DrillKind, now = Date.now()): boolean => (dueAt(kind)?.getTime() ?? 0) <= now

  /** @param right of five. @returns when it is due again */
  function done(kind: DrillKind, right: number, now = Date.now()): Date {
    const one = { id: nanoid(12), kind, right, at: now }
    lay(one)
    post(one)
    return dueAt(kind) ?? new Date(now)
  }

  /** What was done at other screens too. */
  async function load(): Promise<void> {
    const there = await answered(api.drills).catch(() => null)
    if (there) gone.value = there.drills
  }

  for (const letter of letters.value) lay(letter)
  return { dueAt, isDue, done, load }
})
