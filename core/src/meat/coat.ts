/**
 * What lies on the outside of a piece, as materials: a cap of fat, a bone, and the two
 * layers of a pastry wrap.
 */
import { coatMaterial, drySolid, type Composition, type Material } from '#core/heat/properties'
import { at } from '#core/heat/properties'
import type { Cover } from '#core/heat/surface'
import { COVERS, type CoatKind, type PieceCoat } from './piece'

/** Beef fat with the little water and fibre in it; typical, from memory. Its melting is left out. */
const FAT: Composition = { water: 0.12, protein: 0.03, fat: 0.845, ash: 0.005 }
/** Mushrooms chopped fine and cooked dry; estimate. */
const PASTE: Composition = { water: 0.78, protein: 0.06, fat: 0.04, ash: 0.02, carbohydrate: 0.1 }
/** Raw puff pastry; typical, from memory. */
const PASTRY: Composition = { water: 0.28, protein: 0.05, fat: 0.28, ash: 0.01, carbohydrate: 0.38 }

/** Vapour through dried paste: a third of that through still air, m²/s. Through risen pastry: as through still air, but over three times its rolled thickness. Estimates. */
const OPEN_CRUMB = 8e-6

/** Wet crumbs draw water along as a sponge does, faster than muscle, m²/s; estimate. */
const THROUGH_PASTE = 4e-9

/** Layers of dough and steam conduct less than the dough itself; estimate. */
const LAYERED = 0.6
/**
 * Puff pastry rises to some three times the thickness it was rolled to (common practice,
 * no source), and crumb conducts about 0.08 W/(m·K) (bread 0.06–0.1, from memory). The
 * grid keeps the rolled thickness, so the conduction takes the rise.
 */
const RISEN = 0.08 / 3

const MATERIALS: Record<CoatKind, Material> = {
  'fat cap': coatMaterial(FAT, 0.15, 1e-7),
  'mushroom paste': coatMaterial(PASTE, 0.15, OPEN_CRUMB, 1, THROUGH_PASTE),
  pastry: coatMaterial(PASTRY, RISEN, OPEN_CRUMB, LAYERED),
  // Compact bone, W/(m·K), kg/m³, J/(kg·K); typical, from memory.
  bone: drySolid(0.4, 1700, 1500)
}

export const coatOf = (kind: CoatKind): Material => MATERIALS[kind]

const WARM_C = 50
/** What of the side lies under these; null for none. */
export function coverOf(coats: readonly PieceCoat[]): Cover | null {
  const lying = coats.filter(c => c.thicknessMm > 0)
  if (lying.length === 0) return null
  // Fat on one side and bone on another: side by side.
  const share = lying.reduce((sum, c) => sum + (COVERS[c.what] ?? 0), 0)
  const conductance = lying.reduce(
    (sum, c) => sum + ((COVERS[c.what] ?? 0) * at(coatOf(c.what).wetConductivity, WARM_C)) / (c.thicknessMm / 1000),
    0
  )
  return { share, conductance: conductance / share }
}
