/**
 * Roasted in the oven, with or without a sear before. The free quantity is the time in
 * the oven.
 */
import type { Oven } from '#core/kit/oven'
import type { Method, Resting } from './method'
import { inOven, searLump, searStages, stageIn, thenRest, type Searing } from './parts'
import { subjectOf } from './setup'

/** `searS` of 0 roasts without a sear. */
export interface Roast extends Searing, Resting {
  readonly oven: Oven
  readonly ovenC: number
}

export const roast: Method<Roast> = {
  kind: 'roast',
  free: 'time in the oven',
  subject: (setup, fineness) => subjectOf(setup, fineness, [searLump(setup)]),
  program: (setup, free) => {
    const { oven, ovenC } = setup.settings
    return thenRest(setup, [...searStages(setup), stageIn('oven', 'on a rack in the oven', free, inOven(setup, oven, ovenC))])
  },
  bounds: () => [0, 10 * 3600],
  guess: setup => (0.4 * setup.piece.thicknessMm ** 2 * 180) / setup.settings.ovenC,
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.form === 'roast' || piece.thicknessMm >= 45 ? null : 'An oven browns too slowly for a steak: it would be grey before it is brown.'
}
