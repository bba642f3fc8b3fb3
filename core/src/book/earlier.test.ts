/** Requests, dials and cooks as they were kept before every method had one request: read as what they meant. */
import { describe, expect, it } from 'vitest'
import { parseNewCook } from './cookSchema'
import { SCALES } from '#core/doneness/scale'
import { READY_KITS, kitInUse } from '#core/kit/kit'
import { dialsOf, fitsDial } from '#core/method/dials'
import { fromEarlier, settingsFromEarlier } from '#core/request/earlier'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { parseRequest } from '#core/request/schema'
import { setupOf, settingsOf } from '#core/request/setup'

const EARLIER = {
  piece: FIRST_REQUEST.piece,
  method: 'pan sear',
  panId: 'cast-iron-28',
  ringId: 'large-ring',
  panC: 225,
  turning: 'twice a side',
  cover: 'loose foil',
  rest: { kind: 'clock', seconds: 480 },
  fatEdgeS: 60,
  scaleId: 'middle',
  targetC: 57,
  vulnerable: true,
  room: FIRST_REQUEST.room
}

describe('a pan’s request of before', () => {
  it('keeps its settings, its target and who is at the table', () => {
    const request = parseRequest(EARLIER)
    expect(request).toMatchObject({
      target: { coreC: 57, scaleId: 'middle' },
      guests: { atRisk: true, named: [] },
      method: {
        kind: 'pan sear',
        settings: { panC: 225, turning: 'twice a side', cover: 'loose foil', rest: { kind: 'clock', seconds: 480 }, fatEdgeS: 60 }
      }
    })
    expect(request.kit.pan.id).toBe('cast-iron-28')
    expect(settingsOf(request)).toMatchObject({ panC: 225, fatEdgeS: 60, rewarmS: 0, basted: false })
  })

  it('with a kit of its own keeps that pan; without one the pan that it named', () => {
    const kit = kitInUse(READY_KITS[1].kit, {}, '', '')
    expect(parseRequest({ ...EARLIER, kit, panId: kit.pan.id, ringId: kit.ring.id }).kit).toEqual(kit)
    expect(parseRequest({ ...EARLIER, panId: 'gone' }).kit.pan.id).toBe('cast-iron-28')
  })

  it('with its own scale', () => {
    const ownScale = { ...SCALES[0], id: 'own', name: 'Mine' }
    expect(parseRequest({ ...EARLIER, scaleId: 'own', ownScale }).target).toEqual({ coreC: 57, scaleId: 'own', ownScale })
  })

  it('what is a request already, or nothing at all, is left as it is', () => {
    expect(fromEarlier(FIRST_REQUEST)).toBe(FIRST_REQUEST)
    expect(fromEarlier(null)).toBeNull()
    expect(parseRequest(FIRST_REQUEST)).toEqual(FIRST_REQUEST)
  })
})

describe('dials of before', () => {
  it('spells are a schedule, the rest is one thing, topping up is its moments', () => {
    expect(settingsFromEarlier({ ovenC: 160, searSpells: 4, restSchool: 'clock', restS: 900 })).toEqual({
      ovenC: 160,
      turning: 'twice a side',
      rest: { kind: 'clock', seconds: 900 }
    })
    expect(settingsFromEarlier({ directSpells: 6, restSchool: 'half the cooking time', restS: 600 })).toEqual({
      turning: '6 spells',
      rest: { kind: 'half the cooking time' }
    })
    const { topUps } = settingsFromEarlier({ topUpEveryS: 600, topUpL: 0.25 })
    expect(topUps?.slice(0, 2)).toEqual([
      { at: 600, litres: 0.25 },
      { at: 1200, litres: 0.25 }
    ])
    expect(settingsFromEarlier({ topUpEveryS: 0, topUpL: 0.5 }).topUps).toEqual([])
    expect(settingsFromEarlier(null)).toEqual({})
  })

  it('fit the dials of today', () => {
    const of = { pot: { topUpEveryS: 300, topUpL: 1, restSchool: 'to the peak' }, grill: { directSpells: 3, grateC: 250 } } as const
    for (const kind of ['pot', 'grill'] as const) {
      const settings = settingsFromEarlier(of[kind])
      for (const [key, value] of Object.entries(settings)) {
        const dial = dialsOf(kind).find(d => d.key === key)!
        expect(fitsDial(dial, value), key).toBe(true)
      }
    }
  })
})

describe('a cook of before', () => {
  const figures = { pullS: 700, pullC: 45, peakS: 1000, peakC: 54, carveS: 1000, carveC: 54, turnsS: [60], preheatS: 200, loss: 0.12 }
  const planned = { ...figures, pullRangeS: null, curve: { timeS: [0], coreC: [5] }, section: { edgesMm: [0, 38], hottestC: [50] } }
  const cook = { id: 'cook-old', title: 'Strip', createdAt: 1, request: EARLIER, planned }

  it('in the pan: its free time is what it was on its faces', () => {
    expect(parseNewCook(cook).planned.freeS).toBe(640)
    expect(parseNewCook({ ...cook, way: null }).request.method.kind).toBe('pan sear')
  })

  it('by any other way: its method, its dials and its free time', () => {
    const found = parseNewCook({ ...cook, way: { kind: 'roast', dials: { ovenC: 140, searS: 240, searSpells: 2 }, free: 4321 } })
    expect(found.request.method).toEqual({ kind: 'roast', settings: { ovenC: 140, searS: 240, turning: 'once' } })
    expect(found.planned.freeS).toBe(4321)
    expect(setupOf(found.request).setup.settings).toMatchObject({ ovenC: 140, cover: 'loose foil' })
    expect(() => parseNewCook({ ...cook, way: { kind: 'roast', dials: { bathC: 50 }, free: 1 } })).toThrow(/nothing to “roast”/)
  })
})
