/**
 * Conduction in the true cross-section of a long oval joint, in elliptic coordinates, where it is as plain as in a
 * rectangle: with x = c cosh μ cos ν and y = c sinh μ sin ν the conductances know nothing of the metric, and only
 * volume and rim do. Constant properties, one number for the heat transfer at the rim; for tests.
 */
import { solveTridiagonal } from '#core/numerics/tridiagonal'

const MU = 48
const NU = 24

/**
 * Half a thickness squared over the diffusivity is the unit of time, half a thickness that of length.
 * @param aspect width over thickness, above 1
 * @param biot by half the thickness
 * @returns the times at which what the middle has yet to climb falls to these shares, longest share first
 */
export function ovalTimes(aspect: number, biot: number, shares: readonly number[]): number[] {
  const c = Math.sqrt(aspect * aspect - 1)
  const dMu = Math.atanh(1 / aspect) / MU
  const dNu = Math.PI / 2 / NU
  const n = MU * NU
  const at = (i: number, j: number): number => j * MU + i
  const volume = new Float64Array(n)
  const rim = new Float64Array(NU)
  for (let j = 0; j < NU; j++) {
    const sin = Math.sin((j + 0.5) * dNu)
    for (let i = 0; i < MU; i++) volume[at(i, j)] = c * c * (Math.sinh((i + 0.5) * dMu) ** 2 + sin * sin) * dMu * dNu
    const length = c * Math.hypot(Math.sinh(MU * dMu), sin) * dNu
    rim[j] = 1 / (1 / (biot * length) + dMu / 2 / dNu)
  }
  const Y = new Float64Array(n).fill(1)
  const [lower, diagonal, upper, right] = [0, 1, 2, 3].map(() => new Float64Array(MU))
  const sweep = (dt: number, along: 'mu' | 'nu'): void => {
    const [count, lines, between] = along === 'mu' ? [MU, NU, dNu / dMu] : [NU, MU, dMu / dNu]
    for (let line = 0; line < lines; line++) {
      for (let k = 0; k < count; k++) {
        const cell = along === 'mu' ? at(k, line) : at(line, k)
        const below = k > 0 ? between : 0
        const above = k < count - 1 ? between : 0
        const out = along === 'mu' && k === count - 1 ? rim[line] : 0
        lower[k] = -below
        upper[k] = -above
        diagonal[k] = volume[cell] / dt + below + above + out
        right[k] = (volume[cell] / dt) * Y[cell]
      }
      solveTridiagonal(lower, diagonal, upper, right, count)
      for (let k = 0; k < count; k++) Y[along === 'mu' ? at(k, line) : at(line, k)] = right[k]
    }
  }
  // The middle of the oval: the focal line's end above it.
  const middle = at(0, NU - 1)
  const times: number[] = []
  const dt = 0.002
  for (let t = 0; times.length < shares.length && t < 20; t += dt) {
    const before = Y[middle]
    const even = Math.round(t / dt) % 2 === 0
    sweep(dt, even ? 'mu' : 'nu')
    sweep(dt, even ? 'nu' : 'mu')
    const wanted = shares[times.length]
    if (Y[middle] <= wanted) times.push(t + (dt * (before - wanted)) / (before - Y[middle]))
  }
  return times
}

/** The same of a body whose area grows inward out with a power of the distance from its middle: 0 a slab, 1 a cylinder. */
export function poweredTimes(dimension: number, biot: number, shares: readonly number[]): number[] {
  const n = 80
  const d = 1 / n
  const area = (r: number): number => r ** (dimension - 1)
  const volume = (i: number): number => (((i + 1) * d) ** dimension - (i * d) ** dimension) / dimension
  const Y = new Float64Array(n).fill(1)
  const [lower, diagonal, upper, right] = [0, 1, 2, 3].map(() => new Float64Array(n))
  const times: number[] = []
  const dt = 0.002
  for (let t = 0; times.length < shares.length && t < 20; t += dt) {
    const before = Y[0]
    for (let i = 0; i < n; i++) {
      const below = i > 0 ? area(i * d) / d : 0
      const above = i < n - 1 ? area((i + 1) * d) / d : 1 / (1 / biot + d / 2)
      lower[i] = -below
      upper[i] = i < n - 1 ? -above : 0
      diagonal[i] = volume(i) / dt + below + above
      right[i] = (volume(i) / dt) * Y[i]
    }
    solveTridiagonal(lower, diagonal, upper, right, n)
    Y.set(right)
    const wanted = shares[times.length]
    if (Y[0] <= wanted) times.push(t + (dt * (before - wanted)) / (before - Y[0]))
  }
  return times
}
