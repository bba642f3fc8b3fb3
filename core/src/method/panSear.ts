/**
 * Searing in a pan from first to last: on the hot metal, turned by one school or
 * another, its fat edge at the end, lifted out early, rested. The free quantity is the
 * time on its faces.
 */
import type { Method, Resting } from './method'
import { searLump, searStages, thenRest, type InAPan } from './parts'
import { subjectOf } from './setup'

/** How long on the metal is what is solved for. */
export interface PanSear extends InAPan, Resting {}

const TOO_THICK = 65

export const panSear: Method<PanSear> = {
  kind: 'pan sear',
  free: 'time in the pan',
  subject: (setup, fineness) => subjectOf(setup, fineness, [searLump(setup)]),
  program: (setup, free) => {
    const searing = { ...setup, settings: { ...setup.settings, searS: free } }
    return thenRest(searing, searStages(searing, [], true))
  },
  bounds: () => [20, 75 * 60],
  // Heating time goes with thickness squared: about 0.45 s for each mm², from trials of this engine.
  guess: setup => Math.max(60, 0.45 * setup.piece.thicknessMm ** 2),
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.form === 'roast' || piece.thicknessMm > TOO_THICK
      ? `Past about ${TOO_THICK} mm a pan alone burns the outside first: finish it with gentler heat.`
      : null
}
