/**
 * A grill with two zones: over the coals for colour, beside them under the lid to
 * finish, or the other way about. The free quantity is the time beside the coals.
 */
import { awayFromCoals, besideRim, overCoals, underLid, type Grill } from '#core/kit/grill'
import type { Method, PlannedStage, Resting } from './method'
import { heldStages, restStage, stageIn } from './parts'
import { subjectOf, type Setup } from './setup'
import type { Turning } from './turning'

export interface TwoZone extends Resting {
  readonly grill: Grill
  /** At the grate over the coals, °C. */
  readonly grateC: number
  /** Air under the lid, °C. */
  readonly lidC: number
  readonly order: 'direct first' | 'indirect first'
  /** Over the coals in all, s. */
  readonly directS: number
  readonly turning: Turning
  /** Whether the lid is on while it lies over the coals. */
  readonly covered: boolean
}

export const twoZone: Method<TwoZone> = {
  kind: 'two-zone grill',
  free: 'time away from the coals',
  subject: (setup, fineness) => subjectOf(setup, fineness, []),
  program: (setup, free) => {
    const beside = stageIn(
      'under the lid',
      'away from the coals, lid on',
      free,
      underLid(setup.settings.lidC, setup.constants, setup.settings.grill)
    )
    const direct = overTheCoals(setup, setup.settings.directS)
    return {
      heating: setup.settings.order === 'direct first' ? [...direct, beside] : [beside, ...direct],
      rest: seconds => restStage(setup, seconds),
      rewarm: heldStages(setup)
    }
  },
  bounds: () => [0, 5 * 3600],
  guess: setup => 0.4 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ settings: { grill } }) => {
    if (!grill.lid) return 'Without a lid there is no mild zone to finish in.'
    return grill.twoZones === false ? 'This grill has fire under all of it: there is no mild zone to finish in.' : null
  }
}

/** @param open whether that is all there is, and its time what is solved for */
export function overTheCoals(setup: Setup<TwoZone>, seconds: number, open = false): PlannedStage[] {
  const { settings, constants, room, piece } = setup
  if (seconds <= 0) return []
  const down = overCoals(settings.grateC, constants, settings.grill)
  const up = settings.covered ? underLid(settings.lidC, constants, settings.grill) : awayFromCoals(settings.grateC, room, constants)
  const side = besideRim(settings.grateC, up, constants)
  // Rolled over the bars a roast shows each part of its outside to the coals for about half the time.
  if (piece.form === 'roast') return [{ ...stageIn('coals', 'rolled over the coals', seconds, down), busy: true, open }]
  return [
    {
      phase: 'coals',
      busy: true,
      name: 'first face to the coals',
      seconds,
      faces: { first: down, second: up, side },
      turned: { turning: settings.turning, name: 'second face to the coals', faces: { first: up, second: down, side } },
      open
    }
  ]
}
