import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { plannedOf } from '#core/book/record'
import { OWN, SCALES } from '#core/doneness/scale'
import { kitInUse, READY_KITS } from '#core/kit/kit'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { parseEvents, parseNewCook, parseOutcome } from '#core/book/cookSchema'
import { parseKit } from '#core/kit/kitSchema'
import { planned as planOf } from '#core/plan/planned.fixture'
import { answerCompare, answerPlan, answerSimulate } from './answers'
import { InvalidInputError, type Problem } from '#core/input/problem'
import { parseRequest } from '#core/request/schema'

const EXAMPLES = new URL('../../../docs/examples/', import.meta.url)
const read = (name: string): Record<string, unknown> => JSON.parse(readFileSync(new URL(name, EXAMPLES), 'utf8')) as Record<string, unknown>

interface Plan {
  feasible: boolean
  pull: { atS: number; coreC: number }
  peak: { coreC: number }
  turnsAtS: number[]
  nearest?: { coreC: number }
  remarks: string[]
  spread?: { pullS: number[] }
}
interface Simulation {
  series: { timeS: number[]; coreC: number[]; firstSurfaceC: number[]; panC: (number | null)[]; waterLost: number[] }
  stages: { name: string; endS: number }[]
  coldestPoint: { peakC: number }
}
const plan = (input: unknown): Plan => answerPlan(input) as Plan
const simulate = (input: unknown): Simulation => answerSimulate(input) as Simulation

function problems(work: () => unknown): readonly Problem[] {
  try {
    work()
  } catch (error) {
    if (error instanceof InvalidInputError) return error.problems
    throw error
  }
  throw new Error('Nothing was refused.')
}

describe('the examples in docs/examples', () => {
  it.each(readdirSync(EXAMPLES).filter(f => f.endsWith('.json')))('%s runs', name => {
    const input = read(name)
    if ('stages' in input) {
      const { series, coldestPoint } = simulate(input)
      expect(series.coreC).toHaveLength(series.timeS.length)
      expect([...series.coreC, ...series.firstSurfaceC, coldestPoint.peakC].every(Number.isFinite)).toBe(true)
    } else if ('methods' in input) {
      const { methods } = answerCompare(input) as { methods: { feasible: boolean; peak: { coreC: number } }[] }
      expect(methods).toHaveLength((input['methods'] as unknown[]).length)
      for (const m of methods) expect(Math.abs(m.peak.coreC - 54)).toBeLessThan(0.7)
    } else {
      const answer = plan(input)
      expect(answer.feasible).toBe(true)
      expect(Math.abs(answer.peak.coreC - 54)).toBeLessThan(0.15)
    }
  })

  it('a stage ends when the core reads what it was to reach', () => {
    const { series, stages } = simulate(read('pan-by-hand.json'))
    const at = series.timeS.findIndex(t => Math.abs(t - stages[1].endS) < 0.2)
    expect(series.coreC[at]).toBeCloseTo(47, 0)
    expect(series.panC[0]).toBe(220)
  })

  it('water lost only grows', () => {
    const { waterLost } = simulate(read('pan-by-hand.json')).series
    waterLost.slice(1).forEach((w, i) => expect(w).toBeGreaterThanOrEqual(waterLost[i] - 2e-4))
  })
})

describe('a wrong case is refused with the key, the value and the range', () => {
  const good = read('strip-38.json') as { piece: object; method: object; target: object }

  it.each([
    ['piece.thickness', { ...good, piece: { ...good.piece, thickness: '38 g' } }, '38 g', /measures mass/],
    ['piece.thickness', { ...good, piece: { ...good.piece, thickness: 38 } }, 38, /with its unit/],
    ['piece.thickness', { ...good, piece: { ...good.piece, thickness: '2 mm' } }, '2 mm', /3 to 200 mm/],
    ['piece.start', { ...good, piece: { ...good.piece, start: '-20 °C' } }, '-20 °C', /frozen/],
    ['piece.cut', { ...good, piece: { ...good.piece, cut: 'unicorn' } }, 'unicorn', /is not one of/],
    ['method.heat', { ...good, method: { ...good.method, heat: '900 °C' } }, '900 °C', /120 to 300/],
    ['method.rest', { ...good, method: { ...good.method, rest: 'for ever' } }, 'for ever', /no rest/],
    ['target.core', { ...good, target: { core: '20 °C' } }, '20 °C', /40 to 75/]
  ])('%s', (key, input, value, message) => {
    const found = problems(() => plan(input)).find(p => p.key === key)
    expect(found?.message).toMatch(message)
    expect(found?.value).toBe(value)
  })

  it('ranges travel with their unit', () => {
    const [found] = problems(() => plan({ ...good, piece: { ...good.piece, thickness: '2 mm' } }))
    expect(found.range).toEqual(['3 mm', '200 mm'])
  })

  it('unknown keys are named where they stand, all at once', () => {
    const keys = problems(() => plan({ ...good, colour: 'red', piece: { ...good.piece, fat: 'much' } })).map(p => p.key)
    expect(keys).toContain('colour')
    expect(keys).toContain('piece.fat')
  })

  it('missing parts, two targets, no target', () => {
    expect(problems(() => plan({})).map(p => p.key)).toEqual(
      expect.arrayContaining(['piece.cut', 'piece.thickness', 'method.kind', 'target'])
    )
    expect(problems(() => plan({ ...good, target: { core: '54 °C', doneness: 'rare' } }))[0].key).toBe('target')
    expect(problems(() => plan({ ...good, target: {} }))[0].key).toBe('target')
  })

  it('a braising cut is refused with the reason, a piece that does not fit with its share of the pan', () => {
    expect(problems(() => plan({ ...good, piece: { ...good.piece, cut: 'shin', weight: '500 g' } }))[0].message).toMatch(
      /connective tissue/
    )
    const crowd = problems(() => plan({ ...good, piece: { ...good.piece, weight: '2.6 kg' } }))[0]
    expect(crowd.key).toBe('method.pan')
    expect(crowd.message).toMatch(/% of the pan/)
  })

  it('a stage in a pan needs a pan, and only one face lies in it', () => {
    const { pan, ...rest } = read('pan-by-hand.json') as { pan: object; stages: object[] }
    expect(problems(() => simulate(rest))[0].key).toBe('pan')
    expect(problems(() => simulate({ ...rest, pan, stages: [{ for: '1 min', first: 'pan', second: 'pan' }] }))[0].message).toMatch(
      /one face/
    )
    expect(
      problems(() =>
        simulate({ ...rest, pan, stages: [{ for: '1 min', until: { core: '50 °C', atMost: '1 h' }, first: 'pan', second: 'board' }] })
      )[0].key
    ).toBe('stages[0]')
    expect(problems(() => simulate({ ...rest, pan, stages: [{ for: '1 min', first: 'lava', second: 'board' }] }))[0].key).toBe(
      'stages[0].first'
    )
  })
})

describe('what cannot be had is an answer, with the nearest that can', () => {
  it('5 mm from 25 °C to 45 °C', () => {
    const answer = plan({
      piece: { cut: 'skirt', thickness: '5 mm', start: '25 °C', weight: '90 g' },
      method: { kind: 'pan sear', heat: '260 °C', turning: 'once' },
      target: { core: '45 °C' }
    })
    expect(answer.feasible).toBe(false)
    expect(answer.nearest?.coreC).toBeGreaterThan(45)
  })

  it('a contradiction between weight and size is remarked on', () => {
    const good = read('strip-38.json') as { piece: object }
    expect(plan({ ...good, spread: false, piece: { ...good.piece, weight: '900 g' } }).remarks.join()).toMatch(/disagree/)
  })
})

describe('what the server takes', () => {
  const planned = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)
  const cook = { id: 'abcdef12', title: 'Strip', createdAt: 1, request: FIRST_REQUEST, planned, service: null }

  it('a cook as the app makes it', () => {
    expect(parseNewCook(JSON.parse(JSON.stringify(cook)))).toEqual(cook)
    expect(JSON.stringify(cook).length).toBeLessThan(20_000)
  })

  it('a cook of a dinner says of which, and after whom; one from before there were dinners has none', () => {
    const { service: _, ...before } = cook
    expect(parseNewCook(before).service).toBeNull()
    const service = { id: 'dinner-1', after: { cookId: 'cook-of-before', seconds: 90 }, called: 'rare piece' }
    expect(parseNewCook({ ...cook, service }).service).toEqual(service)
    expect(problems(() => parseNewCook({ ...cook, service: { ...service, after: { cookId: 'x', seconds: -1 } } })).map(p => p.key)).toEqual(
      ['service.after.cookId', 'service.after.seconds']
    )
  })

  it('a setting that the method has not, or that cannot stand there, is named with its range', () => {
    const by = (kind: string, settings: object): unknown => ({ ...FIRST_REQUEST, method: { kind, settings } })
    for (const [wrong, key] of [
      [by('roast', { bathC: 55 }), 'method.settings.bathC'],
      [by('roast', { ovenC: 900 }), 'method.settings.ovenC'],
      [by('roast', { ovenC: '160' }), 'method.settings.ovenC'],
      [by('roast', { ovenC: NaN }), 'method.settings.ovenC'],
      [by('roast', { rest: { kind: 'clock' } }), 'method.settings.rest'],
      [by('roast', { turning: 'now and then' }), 'method.settings.turning'],
      [by('pot', { topUps: [{ at: -1, litres: 1 }] }), 'method.settings.topUps'],
      [by('boiled', {}), 'method.kind']
    ] as const)
      expect(problems(() => parseRequest(wrong)).map(p => p.key)).toContain(key)
    const [found] = problems(() => parseRequest(by('pan sear', { panC: 900 })))
    expect(found).toMatchObject({ key: 'method.settings.panC', value: 900, range: [120, 300] })
    expect(problems(() => parseRequest(null)).length).toBeGreaterThan(0)
  })

  it('events of a known kind with what belongs to it', () => {
    const event = { id: 'event-01', kind: 'reading', at: 1, entered: 1, coreC: 41.5 }
    expect(parseEvents({ events: [event] })).toEqual([event])
    for (const wrong of [
      { ...event, coreC: 300 },
      { ...event, coreC: undefined },
      { ...event, kind: 'flambéed' },
      { ...event, kind: 'turned' },
      { ...event, kind: 'undone', coreC: undefined }
    ]) {
      expect(problems(() => parseEvents({ events: [wrong] })).length).toBeGreaterThan(0)
    }
  })

  it('a verdict from the lists, or none', () => {
    expect(parseOutcome({ doneness: null, crust: 'good', notes: '' }).crust).toBe('good')
    expect(problems(() => parseOutcome({ doneness: 'exquisite', crust: null, notes: '' }))[0].key).toBe('doneness')
  })
})

describe('a kit and a scale of one’s own', () => {
  it('every kit to start from is one, and comes back from its file as it was', () => {
    for (const { kit } of READY_KITS) expect(parseKit(JSON.parse(JSON.stringify(kit)))).toEqual(kit)
  })

  it('is refused with the key and what would be right', () => {
    const [{ kit }] = READY_KITS
    const wrong = (part: object): string => {
      try {
        parseKit({ ...kit, ...part })
        return 'taken'
      } catch (error) {
        return (error as Error).message
      }
    }
    expect(wrong({ pans: [] })).toContain('one pan at least')
    expect(wrong({ pans: [{ ...kit.pans[0], floorMm: 0 }] })).toMatch(/pans\[0\].floorMm: .*0.8 to 20 mm/)
    expect(wrong({ rings: [kit.rings[0], kit.rings[0]] })).toContain('same id')
    expect(wrong({ thermometers: [{ ...kit.thermometers[0], inBoilingC: 40 }] })).toContain('no thermometer')
    expect(wrong({ altitudeM: 9000 })).toContain('-400 to 4500')
    expect(wrong({ knives: [] })).toContain('no such key')
  })

  it('a request brings its own pan and its own scale, or is told that they are missing', () => {
    const kit = kitInUse(READY_KITS[1].kit, {}, '', '')
    const own = { ...SCALES[0], id: OWN, name: 'Mine' }
    const request = { ...FIRST_REQUEST, kit, target: { coreC: 54, scaleId: OWN, ownScale: own } }
    expect(parseRequest(JSON.parse(JSON.stringify(request)))).toEqual(request)
    expect(() => parseRequest({ ...request, kit: { ...kit, pan: undefined } })).toThrow(/kit.pan.id: This needs an id/)
    expect(() => parseRequest({ ...request, target: { coreC: 54, scaleId: OWN } })).toThrow(/ownScale: This is missing/)
    const crossed = { ...own, bands: own.bands.map((b, i) => (i === 2 ? { ...b, aim: 61 } : b)) }
    expect(() => parseRequest({ ...request, target: { ...request.target, ownScale: crossed } })).toThrow(/medium rare.*inside its own band/)
  })
})
