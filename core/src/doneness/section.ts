/**
 * The piece cut open, read off a field of the engine: where each temperature lies,
 * how thick the crust and the grey edge are, how even the rest is. Millimetres from
 * the first face, °C.
 */
import type { Field } from '#core/heat/history'
import { FREE_WATER_GONE } from '#core/heat/vapour'

export interface SectionReading {
  /** Crust at the first and at the second face, mm: where the free water has boiled away. */
  readonly crustMm: readonly [number, number]
  /** Grey edge at either face, mm, crust included: where it has passed 65 °C. */
  readonly greyMm: readonly [number, number]
  /** Share of the thickness whose hottest was within 3 °C of the target. */
  readonly evenness: number
}

export const GREY_FROM = 65
const EVEN_WITHIN = 3

export function readSection(field: Field, edgesMm: readonly number[], target: number, boiling: number): SectionReading {
  const depth = (above: number): [number, number] => [
    depthFrom(field.hottest, edgesMm, above),
    depthFrom([...field.hottest].reverse(), fromOtherFace(edgesMm), above)
  ]
  const cells = field.hottest.length
  const thickness = edgesMm[cells]
  let even = 0
  field.hottest.forEach((T, i) => {
    if (Math.abs(T - target) <= EVEN_WITHIN) even += edgesMm[i + 1] - edgesMm[i]
  })
  return { crustMm: depth(boiling + FREE_WATER_GONE.aboveBoiling), greyMm: depth(GREY_FROM), evenness: even / thickness }
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
