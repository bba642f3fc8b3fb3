/** Any grid with each of its cells cut in two, in both directions; for tests of how much hangs on the cells. */
import type { Axis, Grid } from './grid'

function split(axis: Axis, round: boolean): Axis {
  // One ring or one layer is a closed direction, not a cell.
  if (axis.cells === 1) return axis
  const edge = Float64Array.from({ length: 2 * axis.cells + 1 }, (_, i) =>
    i % 2 === 0 ? axis.edge[i / 2] : (axis.edge[(i - 1) / 2] + axis.edge[(i + 1) / 2]) / 2
  )
  const cells = 2 * axis.cells
  const area = edge.map((r, i) => (i % 2 === 0 ? axis.area[i / 2] : round ? 2 * Math.PI * r : 1))
  const between = (a: number, b: number): number => (round ? Math.PI * (b * b - a * a) : b - a)
  return {
    cells,
    edge,
    area,
    centre: Float64Array.from({ length: cells }, (_, i) => (edge[i] + edge[i + 1]) / 2),
    volume: Float64Array.from({ length: cells }, (_, i) => between(edge[i], edge[i + 1]))
  }
}

export function splitGrid(grid: Grid): Grid {
  const [radial, axial] = [split(grid.radial, true), split(grid.axial, false)]
  const whole = (i: number, from: Axis, to: Axis): number => Math.floor((i * from.cells) / to.cells)
  const material = new Uint8Array(radial.cells * axial.cells)
  for (let ring = 0; ring < radial.cells; ring++)
    for (let layer = 0; layer < axial.cells; layer++)
      material[ring * axial.cells + layer] =
        grid.material[whole(ring, grid.radial, radial) * grid.axial.cells + whole(layer, grid.axial, axial)]
  return { ...grid, radial, axial, cells: radial.cells * axial.cells, material }
}
