/**
 * A grill with two zones: over the coals for colour, beside them under the lid to
 * finish, or the other way about. The free quantity is the time beside the coals.
 */
import { awayFromCoals, besideRim, overCoals, underLid, type Grill } from '#core/kit/grill'
import type { Method, PlannedStage, Resting } from './method'
import { restStage, stageIn } from './parts'
import { subjectOf, type Setup } from './setup'

export interface TwoZone extends Resting {
  readonly grill: Grill
  /** At the grate over the coals, °C. */
  readonly grateC: number
  /** Air under the lid, °C. */
  readonly lidC: number
  readonly order: 'direct first' | 'indirect first'
  /** Over the coals in all, s, and in how many spells. */
  readonly directS: number
  readonly directSpells: number
  /** Whether the lid is on while it lies over the coals. */
  readonly covered: boolean
}

export const twoZone: Method<TwoZone> = {
  kind: 'two-zone grill',
  free: 'time beside the coals',
  subject: (setup, fineness) => subjectOf(setup, fineness, []),
  program: (setup, free) => {
    const beside = stageIn(
      'under the lid',
      'beside the coals, lid on',
      free,
      underLid(setup.settings.lidC, setup.constants, setup.settings.grill)
    )
    const direct = overTheCoals(setup)
    return {
      heating: setup.settings.order === 'direct first' ? [...direct, beside] : [beside, ...direct],
      rest: seconds => restStage(setup, seconds),
      rewarm: []
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

function overTheCoals(setup: Setup<TwoZone>): PlannedStage[] {
  const { settings, constants, room, piece } = setup
  const down = overCoals(settings.grateC, constants, settings.grill)
  const up = settings.covered ? underLid(settings.lidC, constants, settings.grill) : awayFromCoals(settings.grateC, room, constants)
  const side = besideRim(settings.grateC, up, constants)
  const spells = Math.max(1, settings.directSpells)
  if (settings.directS <= 0) return []
  // Rolled over the bars a roast shows each part of its outside to the coals for about half the time.
  if (piece.form === 'roast') return [{ ...stageIn('coals', 'rolled over the coals', settings.directS, down), busy: true }]
  return Array.from({ length: spells }, (_, i): PlannedStage => ({
    phase: 'coals',
    busy: true,
    name: i % 2 === 0 ? 'first face to the coals' : 'second face to the coals',
    end: { after: settings.directS / spells },
    faces: i % 2 === 0 ? { first: down, second: up, side } : { first: up, second: down, side }
  }))
}
