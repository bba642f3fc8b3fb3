/** No fire beats the exact bound: both faces at the boiling point of the meat's own water from the first moment. */
import { describe, expect, it } from 'vitest'
import { fastestS } from './fastest'
import { asked, planned } from './planned.fixture'

const timeOf = (of: ReturnType<typeof planned>): readonly [engine: number, bound: number] => [
  of.plan.pull.time,
  fastestS(of.request, of.setup.cut, of.plan)
]

describe('how soon a steak could be done at all', () => {
  it.each([
    ['pan sear', { panC: 180 }],
    ['pan sear', { panC: 230 }],
    ['pan sear', { panC: 260, basted: true }],
    ['grill', {}]
  ] as const)('%s %o: never sooner, and turned each minute within twice of it', (kind, settings) => {
    for (const mm of [24, 32, 40])
      for (const startC of [5, 18]) {
        const [engine, bound] = timeOf(planned(asked(kind, settings, { thicknessMm: mm, weightG: 11.8 * mm, startC })))
        expect(engine).toBeGreaterThan(bound)
        expect(engine).toBeLessThan(2 * bound)
      }
  })
  it('turned once one face is heated at a time: about twice as long', () => {
    for (const mm of [28, 34, 40]) {
      const [engine, bound] = timeOf(planned(asked('pan sear', { turning: 'once' }, { thicknessMm: mm, weightG: 11.8 * mm })))
      expect(engine / bound).toBeGreaterThan(1.8)
      expect(engine / bound).toBeLessThan(2.3)
    }
  })
  it('is the first term of the series: against all of it at the middle of a slab', () => {
    const { request, setup, plan } = planned(asked('pan sear', {}, { thicknessMm: 30, weightG: 354 }))
    const bare = { ...plan, section: { ...plan.section, crustMm: [0, 0] as const } }
    const seconds = fastestS(request, setup.cut, bare)
    const fourier = (1.4354e-7 * seconds) / 0.015 ** 2
    const left = [0, 1, 2, 3, 4].reduce((sum, n) => {
      const m = (n + 0.5) * Math.PI
      return sum + ((2 * (-1) ** n) / m) * Math.exp(-m * m * fourier)
    }, 0)
    expect(100 - (100 - request.piece.startC) * left).toBeCloseTo(plan.pull.core, 0)
  })
  it('high up water boils cooler, and it takes longer', () => {
    const { request, setup, plan } = planned(asked('pan sear'))
    const high = { ...request, room: { ...request.room, altitudeM: 2000 } }
    expect(fastestS(high, setup.cut, plan)).toBeGreaterThan(1.05 * fastestS(request, setup.cut, plan))
  })
})
