/**
 * Grilled over the coals alone, turned once or often. The free quantity is the time
 * over them.
 */
import type { Method } from './method'
import { twoZone, type TwoZone } from './twoZone'
import type { Setup } from './setup'

/** The two-zone grill's settings; the time over the coals is what is solved for. */
export const grillOver: Method<TwoZone> = {
  kind: 'grill',
  free: 'time over the coals',
  subject: twoZone.subject,
  program: (setup, free) => {
    const program = twoZone.program(onlyDirect(setup, free), 0)
    return { ...program, heating: program.heating.filter(s => s.phase === 'coals') }
  },
  bounds: () => [30, 75 * 60],
  guess: setup => 0.6 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.thicknessMm > 50 || piece.form === 'roast'
      ? 'Past about 50 mm the outside burns before the middle is warm: finish it beside the coals.'
      : null
}

const onlyDirect = (setup: Setup<TwoZone>, directS: number): Setup<TwoZone> => ({ ...setup, settings: { ...setup.settings, directS } })
