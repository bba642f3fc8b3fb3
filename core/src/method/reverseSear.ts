/**
 * A gentle oven first, a hard sear last: dry from the oven it browns at once, and being
 * late there is forgiven. The free quantity is the time in the oven; the sear's own
 * warmth is counted in.
 */
import type { Oven } from '#core/kit/oven'
import type { Method, Resting } from './method'
import { inOven, panReady, searLump, searStages, stageIn, thenRest, type Searing } from './parts'
import { subjectOf } from './setup'

export interface ReverseSear extends Searing, Resting {
  readonly oven: Oven
  readonly ovenC: number
}

export const reverseSear: Method<ReverseSear> = {
  kind: 'oven then sear',
  free: 'time in the oven',
  subject: (setup, fineness) => subjectOf(setup, fineness, [searLump(setup)]),
  program: (setup, free) => {
    const { oven, ovenC } = setup.settings
    const gentle = stageIn('oven', 'on a rack in a gentle oven', free, inOven(setup, oven, ovenC))
    return thenRest(setup, [gentle, ...searStages(setup, [panReady(setup)])])
  },
  bounds: () => [0, 6 * 3600],
  guess: setup => 1.2 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.thicknessMm < 25 ? 'Under about 25 mm the sear alone overshoots: there is no room for an oven before it.' : null
}
