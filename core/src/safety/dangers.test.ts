/** When a plan asks for a deliberate yes, and when a long enough bath makes it unnecessary. */
import { describe, expect, it } from 'vitest'
import { cautionsFor } from './cautions'
import { dangersOf, type Cooked } from './dangers'
import { OILS } from '#core/kit/oil'

const ordinary = { intact: 'yes', vulnerable: false } as const
const hours = (h: number, celsius: number): Cooked => {
  const time = Array.from({ length: 61 }, (_, i) => (i * h * 3600) / 60)
  return {
    peak: { core: celsius, time: h * 3600 },
    history: { time, core: time.map(() => celsius) },
    carve: { time: h * 3600 },
    lethal: [
      { reference: 'a', core: 0 },
      { reference: 'b', core: 1.4 }
    ]
  }
}
const ids = (...args: Parameters<typeof dangersOf>): string[] => dangersOf(...args).map(d => d.id)

describe('dangers', () => {
  it('none for whole muscle and ordinary guests, however rare', () => expect(ids(46, ordinary, hours(0.5, 46), 'a')).toEqual([]))

  it('needled meat and guests at risk, below what each should have', () => {
    expect(ids(62.8, { intact: 'no', vulnerable: false }, null, 'a')).toEqual(['not intact'])
    expect(ids(71, { intact: 'unknown', vulnerable: true }, null, 'a')).toEqual([])
    expect(dangersOf(54, { intact: 'no', vulnerable: true }, null, 'a').map(d => d.saferC)).toEqual([71, 63])
  })

  it('not where the reference gone by is reached at the core', () => {
    const both = { intact: 'no', vulnerable: true } as const
    expect(ids(57, both, hours(3, 57), 'a')).toHaveLength(2)
    expect(ids(57, both, hours(3, 57), 'b')).toEqual([])
  })

  it('where it really comes to counts, not what was wanted', () => {
    const guest = { intact: 'yes', vulnerable: true } as const
    expect(ids(63, guest, hours(0.5, 50), 'a')).toEqual(['vulnerable'])
    expect(ids(63, guest, hours(0.5, 62.6), 'a')).toEqual([])
  })

  it('of somebody named, what is cooked for that one counts: theirs to 63 is safe beside others that are rare, and not the other way round', () => {
    const theirs = (atRiskC: number) => ({ intact: 'yes', vulnerable: true, atRiskC }) as const
    expect(ids(50, theirs(63), hours(0.5, 50), 'a')).toEqual([])
    expect(ids(65, theirs(50), hours(0.5, 65), 'a')).toEqual(['vulnerable'])
    expect(ids(54, theirs(54), hours(0.5, 54), 'a')).toEqual(['vulnerable'])
    // A bath that kills at its own target says nothing of a piece cooked rarer.
    expect(ids(57, theirs(50), hours(3, 57), 'b')).toEqual(['vulnerable'])
    expect(ids(57, theirs(57), hours(3, 57), 'b')).toEqual([])
    // Of needled meat nobody's may be rare, whatever the plan is for.
    const needled = { intact: 'no', vulnerable: false, rarestC: 50 } as const
    expect(ids(72, needled, hours(0.5, 72), 'b')).toEqual(['not intact'])
    expect(ids(72, { intact: 'no', vulnerable: false }, hours(0.5, 72), 'a')).toEqual([])
    expect(cautionsFor(72, 200, 'metric', needled).map(c => c.id)).toContain('not intact')
    const said = (atRiskC: number): string =>
      cautionsFor(50, 200, 'metric', theirs(atRiskC))
        .map(c => c.id)
        .join()
    expect(said(50)).toContain('vulnerable')
    expect(said(63)).not.toContain('vulnerable')
  })

  it('more than four hours between 5 and 54 °C', () => {
    expect(ids(52, ordinary, hours(3.9, 52), 'a')).toEqual([])
    expect(ids(52, ordinary, hours(4.5, 52), 'a')).toEqual(['long and warm'])
    expect(ids(52, ordinary, hours(4.5, 52), 'b')).toEqual(['long and warm'])
    expect(ids(55, ordinary, hours(24, 55), 'a')).toEqual([])
  })

  it('more than six hours down to 5 °C, where it is chilled; the way up is counted for itself', () => {
    const chilled = (downH: number): Cooked => {
      const up = hours(3, 52)
      const time = Array.from({ length: 20 }, (_, i) => (3 + (downH * (i + 1)) / 20) * 3600)
      const core = time.map((_, i) => 52 - (48.5 * (i + 1)) / 20)
      const history = { time: [...up.history.time, ...time], core: [...up.history.core, ...core] }
      return { ...up, history, carve: { time: (3 + downH) * 3600 } }
    }
    expect(ids(52, ordinary, chilled(5.5), 'a')).toEqual([])
    expect(ids(52, ordinary, chilled(8), 'a')).toEqual(['slow to chill'])
    expect(dangersOf(52, ordinary, chilled(8), 'a')[0].hours).toBeGreaterThan(6)
  })
})

describe('oil', () => {
  it('smokes past its own point, and a fat that bears the pan is named', () => {
    const smoke = (panC: number, id: string): string | undefined =>
      cautionsFor(
        70,
        panC,
        'metric',
        ordinary,
        OILS.find(o => o.id === id)
      ).find(c => c.id === 'smoke')?.text
    expect(smoke(180, 'butter')).toContain('virgin olive bears it')
    expect(smoke(180, 'rapeseed')).toBeUndefined()
    expect(smoke(290, 'avocado')).not.toContain('bears it')
  })
})
