/**
 * The piece cut open, read off a field of the engine: where each temperature lies,
 * how thick the crust and the grey edge are, how even the rest is. Millimetres from
 * the first face, °C.
 */
import type { Grid } from '#core/heat/grid'
import type { Field } from '#core/heat/history'
import { FREE_WATER_GONE } from '#core/heat/vapour'

/** Where the cells of a field lie, mm. */
export interface CutGeometry {
  /** Edges along the axis, from the first face. */
  readonly edgesMm: readonly number[]
  /** Edges outward from the axis; two for a flat piece, whose width does not count. */
  readonly radiiMm: readonly number[]
  /** Of a flat piece's rim, outward from the axis; null where it has none of its own. */
  readonly rimMm: readonly number[] | null
  /** Of the cross-section: how the volume of a ring grows outward; 2 of a round. */
  readonly dimension: number
  /** Whether the edges end at the plane in the middle of a piece alike at both ends. */
  readonly mirrored: boolean
}

export const geometryOf = (grid: Grid): CutGeometry => ({
  edgesMm: Array.from(grid.axial.edge, e => e * 1000),
  radiiMm: Array.from(grid.radial.edge, e => e * 1000),
  rimMm: grid.rim ? Array.from(grid.rim.edge, e => e * 1000) : null,
  dimension: grid.dimension,
  mirrored: grid.mirrored
})

export interface SectionReading {
  /** Crust at the first and at the second face, mm: where the free water has boiled away, or has dried off. */
  readonly crustMm: readonly [number, number]
  /** Grey edge at either face, mm, crust included: where it has passed 65 °C. */
  readonly greyMm: readonly [number, number]
  /** The same at the side, half-way up; null for a flat piece. */
  readonly side: { readonly crustMm: number; readonly greyMm: number } | null
  /** Share of the meat whose hottest was within 3 °C of the target. */
  readonly evenness: number
}

export const GREY_FROM = 65
const EVEN_WITHIN = 3

export function readSection(field: Field, geometry: CutGeometry, target: number, boiling: number): SectionReading {
  const { edgesMm, radiiMm, mirrored } = geometry
  const dry = boiling + FREE_WATER_GONE.aboveBoiling
  const dried: Field = {
    ...field,
    hottest: field.hottest.map((T, i) => (field.wetness[i] < FREE_WATER_GONE.share ? Math.max(T, asBoiled(field.wetness[i], boiling)) : T))
  }
  const depth = (of: Field, above: number): [number, number] => {
    const column = axisColumn(of, geometry).hottest
    const first = depthFrom(column, edgesMm, above)
    return [first, mirrored ? first : depthFrom([...column].reverse(), fromOtherFace(edgesMm), above)]
  }
  const atSide = (of: Field, above: number): number => depthFrom(sideRay(of, geometry) ?? [], fromOtherFace(radiiMm), above)
  return {
    crustMm: depth(dried, dry),
    greyMm: depth(field, GREY_FROM),
    side: sideRay(field, geometry) && { crustMm: atSide(dried, dry), greyMm: atSide(field, GREY_FROM) },
    evenness: evenness(field, geometry, target)
  }
}

/** The temperature at which a cell that keeps so much of its water would have lost the rest by boiling: however it went, what is as dry is crust. */
const asBoiled = (wetness: number, boiling: number): number =>
  boiling + (FREE_WATER_GONE.aboveBoiling * (1 - wetness)) / (1 - FREE_WATER_GONE.share)

/** The field along the axis: all of it for a flat piece. */
export function axisColumn(field: Field, { edgesMm }: CutGeometry): Field {
  const layers = edgesMm.length - 1
  if (field.temperature.length === layers) return field
  const { time, temperature, hottest, wetness } = field
  const axis = (values: readonly number[]): number[] => values.slice(0, layers)
  return { time, temperature: axis(temperature), hottest: axis(hottest), wetness: axis(wetness) }
}

/** The hottest so far from the axis outward, half-way up: what a cut across a joint shows. Null for a flat piece. */
export function acrossMiddle(field: Field, geometry: CutGeometry): number[] | null {
  return sideRay(field, geometry)?.reverse() ?? null
}

/** The hottest so far from the side inward, half-way up. */
function sideRay({ hottest }: Field, { edgesMm, radiiMm, mirrored }: CutGeometry): number[] | null {
  const rings = radiiMm.length - 1
  if (rings < 2) return null
  const layers = edgesMm.length - 1
  const middle = mirrored ? layers - 1 : layers >> 1
  return Array.from({ length: rings }, (_, i) => hottest[(rings - 1 - i) * layers + middle])
}

function evenness({ hottest, rimOver }: Field, { edgesMm, radiiMm, rimMm, dimension }: CutGeometry, target: number): number {
  if (rimOver && rimMm) return evenWithRim(hottest, edgesMm, rimOver, rimMm, target)
  const layers = edgesMm.length - 1
  let even = 0
  let all = 0
  hottest.forEach((T, cell) => {
    const ring = Math.floor(cell / layers)
    const layer = cell % layers
    const volume = (edgesMm[layer + 1] - edgesMm[layer]) * (radiiMm[ring + 1] ** dimension - radiiMm[ring] ** dimension)
    all += volume
    if (Math.abs(T - target) <= EVEN_WITHIN) even += volume
  })
  return even / all
}

/** Of a steak's cut face, through its axis: each ring is as the axis is, and so much hotter as its mean over the thickness has been. */
function evenWithRim(
  hottest: readonly number[],
  edgesMm: readonly number[],
  rimOver: readonly number[],
  rimMm: readonly number[],
  target: number
): number {
  let even = 0
  rimOver.forEach((over, ring) => {
    const across = rimMm[ring + 1] - rimMm[ring]
    hottest.forEach((T, layer) => {
      if (Math.abs(T + over - target) <= EVEN_WITHIN) even += across * (edgesMm[layer + 1] - edgesMm[layer])
    })
  })
  return even / (rimMm[rimMm.length - 1] * edgesMm[edgesMm.length - 1])
}

/** Depths, mm from the first face, at which the hottest-so-far passes a temperature. */
export function isotherm(field: Field, edgesMm: readonly number[], celsius: number): number[] {
  const centre = field.hottest.map((_, i) => (edgesMm[i] + edgesMm[i + 1]) / 2)
  const depths: number[] = []
  for (let i = 1; i < centre.length; i++) {
    const a = field.hottest[i - 1] - celsius
    const b = field.hottest[i] - celsius
    if (a === b || a * b > 0) continue
    depths.push(centre[i - 1] + ((centre[i] - centre[i - 1]) * a) / (a - b))
  }
  return depths
}

function depthFrom(hottest: readonly number[], edgesMm: readonly number[], above: number): number {
  const within = hottest.findIndex(T => T < above)
  if (within === 0) return 0
  if (within < 0) return edgesMm[edgesMm.length - 1]
  const inner = (edgesMm[within] + edgesMm[within + 1]) / 2
  const outer = (edgesMm[within - 1] + edgesMm[within]) / 2
  const share = (hottest[within - 1] - above) / (hottest[within - 1] - hottest[within])
  return outer + share * (inner - outer)
}

const fromOtherFace = (edgesMm: readonly number[]): number[] => edgesMm.map(e => edgesMm[edgesMm.length - 1] - e).reverse()
