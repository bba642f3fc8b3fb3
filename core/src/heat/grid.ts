/**
 * Finite volumes along one direction: through a slab, or from the axis of a long
 * cylinder outward. Geometry is only areas, volumes and distances, so one solver
 * serves both.
 */

export interface Grid {
  readonly cells: number
  /** Centres of the cells, m from the first face (from the axis, for a cylinder). */
  readonly centre: Float64Array
  /** Outer edges of the cells, m; one more than there are cells. */
  readonly edge: Float64Array
  /** Area of each edge, m² for each m² of slab or m of cylinder; 0 at an axis. */
  readonly area: Float64Array
  /** m³ for each m² of slab or m of cylinder. */
  readonly volume: Float64Array
  /** Where the thermal centre is sought, m from the first face: see `heart.ts`. */
  readonly heart: readonly [from: number, to: number]
}

export interface Resolution {
  /** Thickness of the cell at a heated face, m. */
  readonly finest: number
  /** Each cell inward is at most this much thicker. */
  readonly growth: number
  readonly coarsest: number
}

export const DEFAULT_RESOLUTION: Resolution = { finest: 0.09e-3, growth: 1.08, coarsest: 0.9e-3 }
/** For searches and for many draws, whose answers are corrected or compared among themselves. */
export const COARSE_RESOLUTION: Resolution = { finest: 0.2e-3, growth: 1.18, coarsest: 1.2e-3 }

/** @param thickness m */
export function slabGrid(thickness: number, resolution: Resolution = DEFAULT_RESOLUTION): Grid {
  const half = refinedSteps(thickness / 2, resolution)
  const edge = edgesOf([...half, ...half.slice().reverse()])
  return build(
    edge,
    () => 1,
    (a, b) => b - a,
    [thickness / 4, (3 * thickness) / 4]
  )
}

/** @param radius m */
export function cylinderGrid(radius: number, resolution: Resolution = DEFAULT_RESOLUTION): Grid {
  const edge = edgesOf(refinedSteps(radius, resolution).reverse())
  return build(
    edge,
    r => 2 * Math.PI * r,
    (a, b) => Math.PI * (b * b - a * a),
    [0, radius]
  )
}

/** Steps from a face inward that add up to `depth`, each no more than `growth` times the one before. */
function refinedSteps(depth: number, { finest, growth, coarsest }: Resolution): number[] {
  const steps: number[] = []
  let sum = 0
  for (let step = finest; sum < depth; step = Math.min(step * growth, coarsest)) {
    steps.push(step)
    sum += step
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

function build(
  edge: Float64Array,
  area: (at: number) => number,
  volume: (from: number, to: number) => number,
  heart: readonly [number, number]
): Grid {
  const cells = edge.length - 1
  return {
    cells,
    edge,
    area: edge.map(area),
    centre: Float64Array.from({ length: cells }, (_, i) => (edge[i] + edge[i + 1]) / 2),
    volume: Float64Array.from({ length: cells }, (_, i) => volume(edge[i], edge[i + 1])),
    heart
  }
}
