/**
 * Finite volumes of a piece that is the same all round its axis: rings of cells in
 * radius, layers of cells along the axis. A slab is one ring with a closed side; a
 * long cylinder is one layer with closed ends; a roast has many of both. Geometry is
 * only areas, volumes and distances, so one solver serves all three.
 *
 * An oval cross-section is rings too, of half its thickness, whose length grows outward with a power between a
 * slab's 0 and a cylinder's 1: its heat transfer dimensionality less one (after A. C. Cleland and R. L. Earle, J. Food
 * Science 47, 1982), fitted in `ovalDimension` to runs of the true section.
 */
import { filled } from '#core/numerics/filled'

/** Cells one after another in one direction. */
export interface Axis {
  readonly cells: number
  /** Centres of the cells, m from the first face (from the axis of a cylinder). */
  readonly centre: Float64Array
  /** Edges of the cells, m; one more than there are cells. */
  readonly edge: Float64Array
  /** Area of each edge: 1 along the axis; m² for each m of length in radius, 0 at the axis itself and at a closed side. */
  readonly area: Float64Array
  /** Along the axis m³ for each m², that is m; in radius m² of cross-section. */
  readonly volume: Float64Array
}

export interface Grid {
  readonly radial: Axis
  readonly axial: Axis
  /** radial.cells × axial.cells; cell (ring, layer) stands at ring × axial.cells + layer. */
  readonly cells: number
  /** Which material each cell is of, by its place in the subject's list; 0 is the meat. */
  readonly material: Uint8Array
  /** Of a slab that has an end: from its axis to its rim; null for one without. */
  readonly rim: Axis | null
  /** Of its cross-section: 1 a slab's, 2 a round's. */
  readonly dimension: number
  /** Whether it is the first half only of a piece that is alike at both ends. */
  readonly mirrored: boolean
  /** Where along the axis the thermal centre is sought, m from the first face: see `thermalCentre.ts`. */
  readonly centralSpan: readonly [from: number, to: number]
}

/** How cells grow from a heated face inward, m unless said otherwise. */
export interface Resolution {
  /** The outermost cell: water is pressed out and dries off within a few tenths of a millimetre. */
  readonly skin: number
  /** Cells where the boiling front goes, and how deep that is. In a thin piece they are 1.2 % of half its thickness, if that is less. */
  readonly crustCell: number
  readonly crust: number
  /** Each cell is at most this much thicker than the one outside it. */
  readonly growth: number
  /** The thickest cell, as a share of the way from the face to the middle. */
  readonly coarsest: number
}

/** For a piece heated through two faces; see the refinement study in docs/physics.md. */
export const DEFAULT_RESOLUTION: Resolution = { skin: 0.08e-3, crustCell: 0.22e-3, crust: 2.2e-3, growth: 1.25, coarsest: 0.06 }
/** For a piece of finite height and width, whose cells multiply. */
export const ROUND_RESOLUTION: Resolution = { skin: 0.15e-3, crustCell: 0.2e-3, crust: 1e-3, growth: 1.2, coarsest: 0.08 }
/** For searches and for many draws, whose answers are corrected or compared among themselves. */
export const COARSE_RESOLUTION: Resolution = { skin: 0.25e-3, crustCell: 0.5e-3, crust: 2e-3, growth: 1.5, coarsest: 0.13 }
export const COARSE_ROUND_RESOLUTION: Resolution = { skin: 0.4e-3, crustCell: 0.4e-3, crust: 0.8e-3, growth: 1.5, coarsest: 0.16 }

/** Across a steak that stands on its faces: its rim is only aired, and needs far less. */
export const RIM_RESOLUTION: Resolution = { skin: 2e-3, crustCell: 2e-3, crust: 0, growth: 1.9, coarsest: 0.4 }
export const COARSE_RIM_RESOLUTION: Resolution = { skin: 4e-3, crustCell: 4e-3, crust: 0, growth: 2.2, coarsest: 0.6 }

/** Along a log, from its ends: tested down to logs hardly longer than they are wide. */
export const END_RESOLUTION: Resolution = { skin: 0.3e-3, crustCell: 0.35e-3, crust: 1e-3, growth: 1.6, coarsest: 0.2 }

/** Something other than meat lying on the outside: a fat cap, a bone, a crust of pastry. */
export interface Coat {
  readonly on: 'first' | 'second' | 'side'
  /** m, counted in the size of the whole. */
  readonly thickness: number
  /** Its place in the subject's list of materials. */
  readonly material: number
}

/**
 * @param thickness m, coats and all
 * @param radius of its face, m; without end where left out
 */
export function slabGrid(
  thickness: number,
  resolution: Resolution = DEFAULT_RESOLUTION,
  coats: readonly Coat[] = [],
  radius: number | null = null
): Grid {
  const grid = gridOf(ONE_RING, along(thickness, resolution, coats), coats, 1)
  return radius === null ? grid : { ...grid, rim: rings(roundSection(radius), OUTWARD, []) }
}
/** From a slab's rim inward. */
const OUTWARD: Resolution = { skin: 1.5e-3, crustCell: 1.5e-3, crust: 0, growth: 1.6, coarsest: 0.22 }

/** What a log is across, without its coats. */
export interface CrossSection {
  /** Half the thickness, m. */
  readonly half: number
  /** m² */
  readonly area: number
  readonly dimension: number
}
export const roundSection = (radius: number): CrossSection => ({ half: radius, area: Math.PI * radius * radius, dimension: 2 })

/** Of an oval so many times as wide as it is thick; its times are those of the true section to 6 %, from shares left of 0.6 to 0.3 and Biot numbers of 1 to 6. */
export const ovalDimension = (aspect: number): number => 1 + aspect ** -OVAL_POWER
/** Of which oval a section is. */
export const aspectOf = (dimension: number): number => (dimension - 1) ** (-1 / OVAL_POWER)
const OVAL_POWER = 1.75

/** @param coats on the side, outside the section */
export function cylinderGrid(section: CrossSection, resolution: Resolution = DEFAULT_RESOLUTION, coats: readonly Coat[] = []): Grid {
  return gridOf(rings(section, resolution, coats), ONE_LAYER, coats, section.dimension)
}

/**
 * @param height m, coats and all
 * @param rim resolution in radius, where that is another
 */
export function roundGrid(
  section: CrossSection,
  height: number,
  resolution: Resolution = ROUND_RESOLUTION,
  coats: readonly Coat[] = [],
  rim: Resolution = resolution
): Grid {
  return gridOf(rings(section, rim, coats), along(height, resolution, coats), coats, section.dimension)
}

/**
 * Half of such a piece, whose two ends are always treated alike: from the first face to
 * the plane in the middle, where nothing passes. Half the work; `amount` counts halves.
 */
export function mirroredGrid(
  section: CrossSection,
  height: number,
  resolution: Resolution = ROUND_RESOLUTION,
  coats: readonly Coat[] = [],
  end: Resolution = resolution
): Grid {
  const half = snapped(edgesOf(refinedSteps(height / 2, end)), depths(coats.filter(c => c.on === 'first')))
  const axial = axisOf(
    half,
    () => 1,
    (a, b) => b - a
  )
  axial.area[axial.cells] = 0
  const grid = gridOf(
    rings(section, resolution, coats),
    axial,
    coats.filter(c => c.on !== 'second'),
    section.dimension
  )
  return { ...grid, mirrored: true, centralSpan: [height / 4, height / 2] }
}

/** One square metre of slab. */
const ONE_RING: Axis = axisOf(
  Float64Array.of(0, 1),
  () => 0,
  () => 1
)
/** One metre of cylinder. */
const ONE_LAYER: Axis = axisOf(
  Float64Array.of(0, 1),
  () => 0,
  () => 1
)

function along(thickness: number, resolution: Resolution, coats: readonly Coat[]): Axis {
  const half = refinedSteps(thickness / 2, resolution)
  const first = coats.filter(c => c.on === 'first')
  const second = coats.filter(c => c.on === 'second')
  const edge = snapped(edgesOf([...half, ...half.slice().reverse()]), [...depths(first), ...depths(second).map(depth => thickness - depth)])
  return axisOf(
    edge,
    () => 1,
    (a, b) => b - a
  )
}

function rings({ half, area, dimension }: CrossSection, resolution: Resolution, coats: readonly Coat[]): Axis {
  const side = coats.filter(c => c.on === 'side')
  const radius = half + side.reduce((sum, c) => sum + c.thickness, 0)
  const edge = snapped(
    edgesOf(refinedSteps(radius, resolution).reverse()),
    depths(side).map(depth => radius - depth)
  )
  return axisOf(
    edge,
    r => (dimension * area * (r / half) ** (dimension - 1)) / half,
    (a, b) => area * ((b / half) ** dimension - (a / half) ** dimension)
  )
}

/** How deep each coat reaches, the outermost first. */
function depths(coats: readonly Coat[]): number[] {
  let sum = 0
  return coats.map(c => (sum += c.thickness))
}

/** Moves the nearest inner edge to each boundary, so that no cell is half of one material. */
function snapped(edge: Float64Array, boundaries: readonly number[]): Float64Array {
  for (const boundary of boundaries) {
    let nearest = 1
    for (let i = 1; i < edge.length - 1; i++) if (Math.abs(edge[i] - boundary) < Math.abs(edge[nearest] - boundary)) nearest = i
    edge[nearest] = boundary
  }
  return edge
}

const THIN = 0.012
/** However deep a crust may go, most of a thin piece is not crust. */
const THICKEST_CRUST = 0.35
/** From the skin to the crust cells grow faster than elsewhere. */
const SKIN_GROWTH = 1.5

/** Steps from a face inward that add up to `depth`. */
function refinedSteps(depth: number, { skin, crustCell, crust, growth, coarsest }: Resolution): number[] {
  const steps: number[] = []
  const crustStep = crust > 0 ? Math.min(crustCell, THIN * depth) : crustCell
  let step = Math.min(skin, crustStep)
  let sum = 0
  while (sum < depth) {
    steps.push(step)
    sum += step
    step =
      sum < Math.min(crust, THICKEST_CRUST * depth) ? Math.min(step * SKIN_GROWTH, crustStep) : Math.min(step * growth, coarsest * depth)
  }
  const scale = depth / sum
  return steps.map(s => s * scale)
}

function edgesOf(steps: readonly number[]): Float64Array {
  const edge = new Float64Array(steps.length + 1)
  steps.forEach((s, i) => {
    edge[i + 1] = edge[i] + s
  })
  return edge
}

function axisOf(edge: Float64Array, area: (at: number) => number, volume: (from: number, to: number) => number): Axis {
  const cells = edge.length - 1
  return {
    cells,
    edge,
    area: filled(cells + 1, i => area(edge[i])),
    centre: filled(cells, i => (edge[i] + edge[i + 1]) / 2),
    volume: filled(cells, i => volume(edge[i], edge[i + 1]))
  }
}

function gridOf(radial: Axis, axial: Axis, coats: readonly Coat[], dimension: number): Grid {
  const material = new Uint8Array(radial.cells * axial.cells)
  const within = (on: Coat['on']): ((ring: number, layer: number, depth: number) => boolean) => {
    const height = axial.edge[axial.cells]
    const radius = radial.edge[radial.cells]
    switch (on) {
      case 'first':
        return (_, layer, depth) => axial.centre[layer] < depth
      case 'second':
        return (_, layer, depth) => height - axial.centre[layer] < depth
      case 'side':
        return (ring, _, depth) => radius - radial.centre[ring] < depth
    }
  }
  for (const on of ['first', 'second', 'side'] as const) {
    const here = coats.filter(c => c.on === on)
    const depth = depths(here)
    const covers = within(on)
    // The innermost first, so that the coats outside it overwrite what they cover.
    for (let c = here.length - 1; c >= 0; c--) {
      for (let ring = 0; ring < radial.cells; ring++) {
        for (let layer = 0; layer < axial.cells; layer++) {
          if (covers(ring, layer, depth[c])) material[ring * axial.cells + layer] = here[c].material
        }
      }
    }
  }
  const height = axial.edge[axial.cells]
  return {
    radial,
    axial,
    cells: radial.cells * axial.cells,
    material,
    rim: null,
    dimension,
    mirrored: false,
    centralSpan: [height / 4, (3 * height) / 4]
  }
}
