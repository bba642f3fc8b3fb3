/**
 * Seared in the pan, finished in the oven, for steaks too thick for a pan alone. The
 * free quantity is the time in the oven.
 */
import { between, type Faces } from '#core/heat/faces'
import { ovenAround, type Oven } from '#core/kit/oven'
import { contactWith } from '#core/kit/pan'
import type { Method, PlannedStage, Resting } from './method'
import { inOven, PAN, searLump, searStages, stageIn, thenRest, type Searing } from './parts'
import { subjectOf, type Setup } from './setup'

export interface SearThenOven extends Searing, Resting {
  readonly oven: Oven
  readonly ovenC: number
  /** On a rack over a tray, or left in the hot pan, whose floor keeps cooking one face. */
  readonly standing: 'rack' | 'pan floor'
}

export const searThenOven: Method<SearThenOven> = {
  kind: 'sear then oven',
  free: 'time in the oven',
  subject: (setup, fineness) => subjectOf(setup, fineness, [searLump(setup)]),
  program: (setup, free) => thenRest(setup, [...searStages(setup), ovenStage(setup, free)]),
  bounds: () => [0, 3 * 3600],
  guess: setup => 0.25 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.thicknessMm < 25 ? 'Under about 25 mm the sear alone has cooked it through: the oven would have nothing left to do.' : null
}

function ovenStage(setup: Setup<SearThenOven>, seconds: number): PlannedStage {
  const { oven, ovenC, pan, standing } = setup.settings
  const air = inOven(setup, oven, ovenC)
  const stage = stageIn('oven', standing === 'rack' ? 'on a rack in the oven' : 'in its pan in the oven', seconds, air)
  if (standing === 'rack') return stage
  const faces: Faces = { ...between({ kind: 'metal', lump: PAN, contact: contactWith(pan, setup.constants) }, air), side: air }
  return { ...stage, faces, burners: [ovenAround(pan, oven, ovenC)] }
}
