/**
 * Grilled over the coals alone, turned once or often. The free quantity is the time
 * over them.
 */
import type { Method } from './method'
import { heldStages, restStage } from './parts'
import { overTheCoals, twoZone, type TwoZone } from './twoZone'

/** The two-zone grill's settings; the time over the coals is what is solved for. */
export const grillOver: Method<TwoZone> = {
  kind: 'grill',
  free: 'time over the coals',
  subject: twoZone.subject,
  program: (setup, free) => ({
    heating: overTheCoals(setup, free, true),
    rest: seconds => restStage(setup, seconds),
    rewarm: heldStages(setup)
  }),
  bounds: () => [30, 75 * 60],
  guess: setup => 0.6 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.thicknessMm > 50 || piece.form === 'roast'
      ? 'Past about 50 mm the outside burns before the middle is warm: finish it away from the coals.'
      : null
}
