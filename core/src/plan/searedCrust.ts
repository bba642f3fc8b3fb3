/**
 * The crust of a joint that was rolled in a pan. Its body is the same all round and takes the heat of the pan spread
 * over all of it; a place on its outside gets that heat in the short while it lies on the metal. The crust is that of
 * a slab that lies there for as long as such a place does in all.
 */
import { readSection, geometryOf } from '#core/doneness/section'
import { between } from '#core/heat/faces'
import { slabGrid } from '#core/heat/grid'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { meatMaterial } from '#core/heat/properties'
import { boilingPoint } from '#core/heat/vapour'
import { compositionOf, SURFACES } from '#core/meat/piece'
import { rolledIn, searLump, type Searing } from '#core/method/parts'
import type { Setup } from '#core/method/setup'

const THICK_M = 0.03

/** mm; 0 where it was not seared in a pan. */
export function searedCrust(setup: Setup<Partial<Searing>>): number {
  const { fields, body } = onTheMetal(setup, setup.settings.searS ?? 0) ?? { fields: [], body: null }
  return body ? readSection(fields[fields.length - 1], geometryOf(body.grid), 0, boilingPoint(setup.room.altitudeM)).crustMm[0] : 0
}

/** A place on the outside of a joint, for as long as it lies on the metal while that is rolled so long; null where it is not. */
export function onTheMetal(setup: Setup<Partial<Searing>>, rolledS: number): Run | null {
  const { piece, cut, room, constants, settings } = setup
  const { pan, ring } = settings
  if (piece.form !== 'roast' || rolledS <= 0 || !pan || !ring) return null
  const searing = setup as Setup<Searing>
  const { metal, above, share, touchedM2, burner } = rolledIn(searing)
  const boiling = boilingPoint(room.altitudeM)
  return run(
    {
      grid: slabGrid(THICK_M),
      materials: [meatMaterial(compositionOf(piece, cut), constants, piece.cookedC)],
      start: { temperature: piece.startC, film: SURFACES[piece.surface].filmKgM2, boiling },
      lumps: [searLump(searing)],
      amount: piece.count * touchedM2,
      constants
    },
    [{ name: 'on the metal', end: { after: share * rolledS }, faces: between(metal, above), burners: [burner] }],
    { ...KEEP_ENDS, every: 1, fieldEvery: Infinity }
  )
}
