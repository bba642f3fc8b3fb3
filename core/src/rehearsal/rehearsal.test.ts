/** A rehearsal's truth, its signs and what is made of it when it is cut: held against what every cook knows. */
import { describe, expect, it } from 'vitest'
import type { CookRecord } from '#core/book/record'
import { valueAt } from '#core/heat/history'
import { finish } from '#core/numerics/steps'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { progressOf } from '#core/session/progress'
import { faceOf, shadeOf, SHADES } from './browning'
import { boardMl, cuttingOpen, drawnOut, turnedInstead, type CutOpen, type Mistake, type Priced } from './cutOpen'
import { EXERCISES, exerciseById } from './exercises'
import { FEELS, feelOf, stiffness } from './feel'
import { playedByCalls, type Otherwise } from './played.fixture'
import { scoreOf } from './score'
import { panSign, probedAt, signsAt, type Signs } from './signs'
import { ALONE, emptyPanC, lived, panMetAt, truthOf, type Lived, type Twist } from './truth'
import { twistOf } from './twists'
import { hiddenTexts, noticed, pricedText, probedText } from './words'

const STRIP = by(FIRST_REQUEST, 'pan sear', { turning: 'every 60 s' })
const AS_SAID: Twist = { thickness: 0, start: 0, contact: 0, air: 0, heat: 0, model: 0 }
const SEED = 12

const cut = (otherwise: Otherwise, twist: Twist = AS_SAID, request = STRIP, guestsLateS = 0): CutOpen =>
  finish(cuttingOpen(truthOf(request, SEED, twist), playedByCalls(request, otherwise), ALONE, guestsLateS))
const priceOf = ({ prices }: CutOpen, what: Mistake): Priced | undefined => prices.find(p => p.what === what)
const asCalled = cut({})

describe('a piece that is as was said, cooked as the calls say', () => {
  it('comes to what was planned, and nobody would notice anything', () => {
    expect(asCalled.served.peakC).toBeCloseTo(54, 0)
    expect(Math.abs(asCalled.served.greyMm - asCalled.wanted.greyMm)).toBeLessThan(0.8)
    expect(asCalled.prices).toEqual([])
    expect(asCalled.score.points).toBe(100)
    expect(noticed(asCalled, 'metric')).toEqual([])
    expect(hiddenTexts(asCalled.hidden, STRIP, 'metric')).toEqual([])
  })

  it('would have been colder in the middle, and wetter on the board, if cut at once', () => {
    const { sections } = asCalled
    expect(Math.min(...sections.atOnce.hottestC)).toBeLessThan(Math.min(...sections.served.hottestC) - 4)
    const atOnce = cut({ carved: -240 })
    expect(atOnce.served.boardMl).toBeGreaterThan(asCalled.served.boardMl + 3)
    expect(priceOf(atOnce, 'rest')?.by).toBeGreaterThan(60)
  })

  it('is gone through again from raw to served', () => {
    const { frames } = asCalled
    expect(frames[0]).toMatchObject({ timeS: 0, coreC: 5 })
    expect(frames[frames.length - 1].coreC).toBeCloseTo(asCalled.served.carvedC, 0)
  })
})

describe('each mistake has its price', () => {
  it('taken off four minutes late it is hotter and greyer, and taken off in time would have been right', () => {
    const late = cut({ pulled: 240 })
    const price = priceOf(late, 'pull')!
    expect(price.by).toBeGreaterThan(100)
    expect(price.by).toBeLessThan(270)
    expect(Math.abs(price.instead.peakC - 54)).toBeLessThan(0.7)
    // On one face it is that face more than the middle.
    expect(late.served.peakC - price.instead.peakC).toBeGreaterThan(0.5)
    expect(late.served.greyMm - price.instead.greyMm).toBeGreaterThan(1.5)
    expect(late.score.points).toBeLessThan(90)
    expect(pricedText(price, late.served, 'metric')).toMatch(/^Taken off .*late: .*mm more grey edge/)
  })

  it('off when it was hardly in, the time it would have taken is found all the same', () => {
    const raw = cut({ pulled: -780 })
    expect(raw.score.points).toBeLessThan(10)
    const price = priceOf(raw, 'pull')!
    expect(price.by).toBeLessThan(-450)
    expect(Math.abs(price.instead.peakC - 54)).toBeLessThan(1)
  })

  it('turned once instead of every minute it has more grey on the face that lay longest', () => {
    const once = cut({ turns: 1 })
    const price = priceOf(once, 'turns')!
    expect(price.by).toBe(progressOf(playedByCalls(STRIP).events).turns - 1)
    expect(once.served.greyMm).toBeGreaterThan(price.instead.greyMm)
  })

  it('laid into a pan that is not hot yet it stays paler and colder', () => {
    const cold = cut({ laid: -110 })
    const price = priceOf(cold, 'pan')!
    expect(price.by).toBeLessThan(-50)
    expect(cold.served.peakC).toBeLessThan(price.instead.peakC)
    expect(cold.served.crust!.dose).toBeLessThan(price.instead.crust!.dose)
    expect(pricedText(price, cold.served, 'us')).toMatch(/too cold/)
  })

  it('over the flames its crust burns; lifted out while they burn it does not', () => {
    const { parts } = exerciseById('flare-up')!
    const flare = { ...AS_SAID, flare: { fromS: 150, forS: 60 } }
    const stayed = cut({}, flare, parts[0].request)
    const lifted = cut({ lifted: [148, 212] }, flare, parts[0].request)
    expect(priceOf(stayed, 'flames')!.instead.crust!.dose).toBeLessThan(stayed.served.crust!.dose)
    expect(stayed.served.crust!.dose).toBeGreaterThan(1.2 * lifted.served.crust!.dose)
  })

  it('a table that is late is not the cook’s fault', () => {
    const waited = cut({ carved: 900 }, AS_SAID, STRIP, 900)
    expect(waited.score.minutes).toBe(0)
    expect(cut({ carved: 900 }).score.minutes).toBeGreaterThan(5)
    expect(waited.served.carvedC).toBeLessThan(asCalled.served.carvedC - 5)
  })

  it('what is drawn out goes on being turned, what is cut short ends sooner, and what is turned otherwise keeps its time', () => {
    const past = [
      { stage: 0, down: 'first', seconds: 100 },
      { stage: 0, down: 'second', seconds: 60 },
      { stage: 1, down: 'first', seconds: 30 }
    ] as const
    expect(drawnOut(past, 270).map(s => [s.down, s.seconds])).toEqual([
      ['first', 100],
      ['second', 80],
      ['first', 60],
      ['first', 30]
    ])
    expect(drawnOut(past, 100).map(s => s.seconds)).toEqual([70, 30])
    expect(drawnOut([past[2]], 45).map(s => s.seconds)).toEqual([45])
    expect(turnedInstead(past, 0, 3).map(s => [s.down, s.seconds])).toEqual([
      ['first', 40],
      ['second', 40],
      ['first', 40],
      ['second', 40],
      ['first', 30]
    ])
  })
})

describe('signs', () => {
  const record = playedByCalls(STRIP)
  const truth = truthOf(STRIP, SEED, AS_SAID)
  const { laidAt, litAt, pulledAt } = progressOf(record.events)
  /** @param s since it was laid in */
  const at = (s: number, of = truth, played: CookRecord = record): Signs => {
    const now = progressOf(played.events).laidAt! + 1000 * s
    const events = played.events.filter(e => e.at <= now)
    return signsAt(of, events, lived(of, events, now + 1000, ALONE), now, ALONE)
  }

  it('the pan climbs from sign to sign, and is at its heat when the call says so', () => {
    const pans = [-200, -120, -60, -30, -1].map(s => at(s).pan)
    expect(new Set(pans).size).toBeGreaterThan(2)
    expect(pans[4]).toBe(panSign(truth.pan!.holdC - 1))
    expect(emptyPanC(truth.pan!, (laidAt! - litAt!) / 1000)).toBeCloseTo(truth.pan!.holdC, 0)
    expect(signsAt(truth, [], null, 0, ALONE).pan).toBeNull()
  })

  it('forgotten on its ring it smokes', () => {
    const forgotten = playedByCalls(STRIP, { laid: 240 })
    expect(panMetAt(truth, forgotten.events, ALONE)).toBeGreaterThan(280)
    expect(at(-1, truth, forgotten).smoke).toBe('steady')
    expect(at(-1).smoke).toBe('none')
  })

  it('the face that shows browns, from raw to chestnut, and the hiss falls as it dries', () => {
    const shades = [5, 70, 200, 500, 840].map(s => SHADES.indexOf(at(s).shade!))
    expect(shades[0]).toBe(0)
    expect(shades).toEqual([...shades].sort((a, b) => a - b))
    expect(SHADES[shades[4]]).toBe('chestnut')
    expect(at(30).hiss!.loud).toBeGreaterThan(at(700).hiss!.loud)
    expect(at((pulledAt! - laidAt!) / 1000 + 30).hiss).toBeNull()
  })

  it('a joint that is rolled in its pan browns the longer it is, in a hotter pan sooner, and in the oven nothing is told of it', () => {
    const shades = (panC: number): (number | null)[] => {
      const request = by(
        {
          ...FIRST_REQUEST,
          piece: {
            ...FIRST_REQUEST.piece,
            cutId: 'chateaubriand',
            form: 'roast',
            count: 1,
            weightG: 700,
            thicknessMm: 65,
            widthMm: 68,
            lengthMm: 190
          }
        },
        'sear then oven',
        { panC, searS: 600 }
      )
      const [of, played] = [truthOf(request, SEED, AS_SAID), playedByCalls(request, {})]
      return [10, 120, 300, 420, 580, 700].map(s => {
        const { shade } = at(s, of, played)
        return shade && SHADES.indexOf(shade)
      })
    }
    const [usual, hot] = [shades(215), shades(250)]
    for (const seen of [usual, hot]) {
      expect(seen.at(-1)).toBeNull()
      const rolled = seen.slice(0, -1) as number[]
      expect(rolled).toEqual([...rolled].sort((a, b) => a - b))
    }
    expect(SHADES[usual[0]!]).toMatch(/raw|grey/)
    // Two minutes a face for each of four brown it; half of that leaves it pale.
    expect(SHADES[usual[2]!]).toMatch(/grey|straw/)
    expect(SHADES[usual[4]!]).toBe('hazelnut')
    expect(SHADES[hot[4]!]).toBe('chestnut')
  })

  it('wet it hisses louder and longer, and is paler after a minute on each side', () => {
    const wet = truthOf(STRIP, SEED, { ...AS_SAID, surface: 'wet' })
    const heard = (of: typeof truth): number => [20, 40, 60, 80, 100].reduce((sum, s) => sum + at(s, of).hiss!.loud, 0)
    expect(heard(wet)).toBeGreaterThan(heard(truth))
    const face = (of: typeof truth): number => {
      const { run } = lived(of, record.events, laidAt! + 130_000, ALONE) as Lived
      return faceOf(run.history.time, run.history.first, 125).dose
    }
    expect(face(wet)).toBeLessThan(0.8 * face(truth))
  })

  it('yields as raw at first, and comes back when it is medium rare', () => {
    expect(at(20).feel).toBe('soft as raw')
    const feels = [300, 700, 1050].map(s => FEELS.indexOf(at(s).feel!))
    expect(feels[2]).toBeGreaterThan(feels[0])
    expect(feelOf(stiffness({ below45: 0, below55: 0.35, below65: 0.3, above: 0.35 }))).toBe('gives, and comes back')
    expect(stiffness({ below45: 1, below55: 0, below65: 0, above: 0 })).toBe(0)
    expect(stiffness({ below45: 0, below55: 0, below65: 0, above: 1 })).toBe(1)
  })

  it('a tip off the centre reads high while it heats, and says the same of the same moment', () => {
    const life = lived(truth, record.events, laidAt! + 1_200_000, ALONE) as Lived
    const probed = Array.from({ length: 40 }, (_, i) => probedAt(truth, life, 400 + 5 * i))
    const off = probed.map(p => p.shownC - p.trueC)
    expect(off.reduce((sum, o) => sum + o, 0) / off.length).toBeGreaterThan(0.3)
    const near = probed.filter(p => p.offMm < 0.5)
    expect(Math.max(...near.map(p => Math.abs(p.shownC - p.trueC)))).toBeLessThan(1)
    expect(probedAt(truth, life, 500)).toEqual(probedAt(truth, life, 500))
    expect(probed[3].trueC).toBeCloseTo(valueAt(life.run.history.time, life.run.history.core, 415), 6)
    expect(probedText({ time: 500, offMm: 6, shownC: 34, trueC: 30 }, 'metric')).toMatch(/6\smm off the centre: 4\s°C more/)
  })

  it('a second piece meets the pan as the first one has it', () => {
    const { events } = playedByCalls(STRIP, { laid: 200 })
    const alone = panMetAt(truth, events, ALONE)!
    expect(panMetAt(truth, events, { ...ALONE, panInUseFrom: litAt! + 150_000 })).toBe(truth.pan!.holdC)
    expect(alone).toBeGreaterThan(truth.pan!.holdC + 40)
  })
})

describe('what nobody had said', () => {
  it('is found out when it is cut, and only what is worth a word', () => {
    const odd = cut({}, { ...AS_SAID, thickness: -4, start: 6, surface: 'wet', ring: 0.5 })
    const said = hiddenTexts(odd.hidden, STRIP, 'metric').join(' ')
    expect(said).toMatch(/34\smm thick, not 38/)
    expect(said).toMatch(/went in at 11\s°C, not at 5/)
    expect(said).toMatch(/faces were wet/)
    expect(said).toMatch(/50 % of its power/)
  })

  it('of a plan of one’s own is drawn anew with every seed', () => {
    const thick = (seed: number): number => truthOf(STRIP, seed, null).kitchen.setup.piece.thicknessMm
    expect(thick(1)).toBe(thick(1))
    expect(thick(1)).not.toBe(thick(2))
  })

  it('what is raw has no shade, however long it lies', () => {
    expect(shadeOf({ dose: 0, hottestC: 50 })).toBe('raw')
    expect(shadeOf({ dose: 0, hottestC: 80 })).toBe('grey')
    expect(boardMl(400, 0)).toBeGreaterThan(2 * boardMl(400, 900))
  })

  it('points are lost by what a diner notices, and never fall below nothing', () => {
    const served = { peakC: 54, carvedC: 54, greyMm: 8, crust: null, loss: 0.15 }
    const wanted = { loss: 0.15, greyMm: 8 }
    expect(scoreOf({ targetC: 54, served, wanted, lateS: 0 }).points).toBe(100)
    expect(scoreOf({ targetC: 54, served: { ...served, peakC: 58 }, wanted, lateS: 0 }).degrees).toBe(20)
    expect(scoreOf({ targetC: 70, served: { ...served, peakC: 20, carvedC: 10, greyMm: 30, loss: 0.5 }, wanted, lateS: 3600 }).points).toBe(
      0
    )
  })
})

describe('the exercises', () => {
  it('are fourteen at least, each with a twist of its own that no page is told', () => {
    expect(EXERCISES.length).toBeGreaterThanOrEqual(14)
    expect(new Set(EXERCISES.map(e => e.id)).size).toBe(EXERCISES.length)
    for (const e of EXERCISES) {
      expect(twistOf(e.id), e.id).not.toBeNull()
      expect(JSON.stringify(e), e.id).not.toMatch(/twist|seed|flare"/)
    }
    expect(twistOf(null)).toBeNull()
  })

  it.each(EXERCISES.map(e => [e.id, e] as const))('%s can be played to its end', (id, { parts }) => {
    for (const { request } of parts) {
      const { score, served } = finish(cuttingOpen(truthOf(request, SEED, twistOf(id)), playedByCalls(request), ALONE))
      expect(served.peakC).toBeGreaterThan(40)
      expect(score.points).toBeGreaterThan(10)
    }
  })
})
