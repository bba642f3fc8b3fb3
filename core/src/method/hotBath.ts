/**
 * The short hot bath: water far hotter than the meat is to become, and the piece pulled
 * on time. It goes on cooking by its own warmth while it cools. The free quantity is
 * the time in the water.
 */
import { heldBath } from '#core/kit/bath'
import { waterC, type Bath } from './bath'
import type { Method } from './method'
import { searLump, searStages, stageIn, thenRest } from './parts'
import { subjectOf } from './setup'

const LEAST_ABOVE = 5

export const hotBath: Method<Bath> = {
  kind: 'short hot bath',
  free: 'time in the water',
  subject: (setup, fineness) => subjectOf(setup, fineness, [searLump(setup)]),
  program: (setup, free) =>
    thenRest(setup, [
      ...searStages(setup),
      stageIn('bath', 'bagged, in hot water', free, heldBath(waterC(setup.settings), setup.constants))
    ]),
  bounds: () => [60, 6 * 3600],
  guess: setup => 0.8 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ settings }, target) =>
    waterC(settings) < target + LEAST_ABOVE
      ? `This is done in water well above the target: at least ${target + LEAST_ABOVE} °C, pulled on time.`
      : null
}
