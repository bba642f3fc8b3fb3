/** What is planned: the draft, its plan, the ticket. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { isTender } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { asked, planned } from '#core/plan/planned.fixture'
import { by } from '#core/request/request'
import { writePlanCase } from '#core/formats/caseFile'
import { setupOf, settingsOf } from '#core/request/setup'
import { useDraft } from './draft'
import { useGuests } from './guests'
import { usePass } from './pass'
import { usePlan } from './plan'
import { usePreparation } from './preparation'
import { freshEach, reload, silent, storage } from './fresh.fixture'

const { start } = vi.hoisted(() => ({ start: vi.fn() }))
vi.mock('../workers/engine', () => ({ startEngine: start, askEngine: vi.fn() }))

freshEach()
beforeEach(() => void start.mockReset().mockImplementation(silent))
const { plan: PLAN } = planned(FIRST_REQUEST)

describe('the draft', () => {
  it('survives a reload', () => {
    useDraft().changePiece({ thicknessMm: 31 })
    reload()
    expect(useDraft().request.piece.thicknessMm).toBe(31)
    expect(useDraft().touched).toBe(true)
  })

  it.each(['{', '{"piece":{}}', JSON.stringify(by(FIRST_REQUEST, 'pan sear', { panC: 9000 })), 'null'])(
    'what cannot be read back (%s) gives way to the example',
    stored => {
      storage.set('macellaio.draft', stored)
      expect(useDraft().request).toEqual(FIRST_REQUEST)
    }
  )

  it.each(CUTS.filter(isTender).map(c => [c.id, c] as const))(
    'a usual piece of %s comes to the bench without contradicting itself, and can be planned',
    async (_, cut) => {
      const draft = useDraft()
      draft.take(cut)
      await nextTick()
      expect(draft.contradiction).toBeNull()
      expect(() => setupOf(draft.request)).not.toThrow()
    }
  )

  it('another cut begins from the fridge and from the usual doneness, on the scale that is gone by; the same one keeps what was said of it', () => {
    const draft = useDraft()
    draft.aim({ coreC: 63 })
    draft.measure({ startC: 18 })
    draft.take(CUTS.find(c => c.id === 'strip')!)
    expect(draft.request.target.coreC).toBe(63)
    draft.take(CUTS.find(c => c.id === 'bavette')!)
    expect(draft.request.piece.startC).toBe(FIRST_REQUEST.piece.startC)
    expect(draft.request.target).toEqual(FIRST_REQUEST.target)
  })

  it('measured thicker than a pan can cook, it goes to what suits it then; a method that was chosen against what suits stays', () => {
    const draft = useDraft()
    draft.take(CUTS.find(c => c.id === 'tri-tip')!)
    draft.measure({ thicknessMm: 40 })
    expect(draft.request.method.kind).toBe('pan sear')
    draft.measure({ thicknessMm: 55 })
    expect(draft.request.method.kind).toBe('sear then oven')
    draft.measure({ thicknessMm: 40 })
    expect(draft.request.method.kind).toBe('pan sear')
    draft.choose('oven then sear')
    draft.measure({ thicknessMm: 55 })
    expect(draft.request.method.kind).toBe('oven then sear')
  })

  it('a face is wet or dry once, wherever that is said', async () => {
    const draft = useDraft()
    const preparation = usePreparation()
    draft.measure({ surface: 'wet' })
    await nextTick()
    expect(preparation.preparation.surface).toBe('wet')
    preparation.change({ surface: 'aired' })
    expect(draft.request.piece.surface).toBe('aired')
  })

  it('a problem stands until it is mended or another cut is taken', () => {
    const draft = useDraft()
    draft.complain('Thickness', 'Not a length.')
    expect(draft.firstProblem).toEqual(['Thickness', 'Not a length.'])
    draft.take(CUTS[1])
    expect(draft.firstProblem).toBeUndefined()
  })
})

describe('one draft for every method', () => {
  it('what is set is there when one comes back to the method, and after a reload', () => {
    const draft = useDraft()
    draft.turn({ turning: 'once', byClockS: 600 })
    draft.choose('roast')
    draft.turn({ ovenC: 140 })
    expect(draft.request.method).toEqual({ kind: 'roast', settings: { ovenC: 140 } })
    expect(draft.askedBy('pan sear').method.settings).toEqual({ turning: 'once', byClockS: 600 })
    reload()
    const again = useDraft()
    expect(again.request.method).toEqual({ kind: 'roast', settings: { ovenC: 140 } })
    again.choose('pan sear')
    expect(again.request.method.settings).toEqual({ turning: 'once', byClockS: 600 })
    again.asUsual()
    expect(again.request.method.settings).toEqual({})
    expect(again.settingsFor('roast')).toEqual({ ovenC: 140 })
  })

  it('a joint on the bench is planned as a joint, a steak in its pan again', () => {
    const draft = useDraft()
    draft.take(CUTS.find(c => c.form === 'roast' && isTender(c))!)
    expect(draft.request.method.kind).toBe('roast')
    draft.take(CUTS.find(c => c.id === 'strip')!)
    expect(draft.request.method.kind).toBe('pan sear')
  })

  it('what an older page kept is read: its pan, its dials by method, its guests', () => {
    const older = { ...asked('pan sear'), method: 'pan sear', panId: 'cast-iron-28', ringId: 'large-ring', panC: 230, turning: 'once' }
    const { target: _, guests: __, kit: ___, ...plain } = older
    const stored = { ...plain, cover: 'bare', rest: { kind: 'clock', seconds: 1200 }, scaleId: 'middle', targetC: 57 }
    storage.set('macellaio.draft', JSON.stringify(stored))
    storage.set('macellaio.dials', JSON.stringify({ roast: { ovenC: 150, searSpells: 2 }, grill: { directSpells: 6 }, pot: { bathC: 3 } }))
    storage.set('macellaio.guests', JSON.stringify([{ id: 'g1', name: 'Bo', targetC: 50 }]))
    const draft = useDraft()
    expect(draft.request.target.coreC).toBe(57)
    expect(settingsOf(draft.request)).toMatchObject({ panC: 230, turning: 'once', rest: { kind: 'clock', seconds: 1200 } })
    expect(draft.settingsFor('roast')).toEqual({ ovenC: 150, turning: 'once' })
    expect(draft.settingsFor('grill')).toEqual({ turning: '6 spells' })
    expect(draft.settingsFor('pot')).toEqual({})
    expect(useGuests().guests.map(g => g.name)).toEqual(['Bo'])
    useGuests().dismiss('g1')
    reload()
    expect(useGuests().guests).toEqual([])
  })

  it('a whole request that is read comes with its method, and leaves who is at the table', () => {
    const draft = useDraft()
    useGuests().seat(50, 'Bo')
    draft.complain('Thickness', 'Not a length.')
    draft.open(asked('two-zone grill', { grateC: 280 }, { thicknessMm: 45 }, 52))
    expect(draft.request).toMatchObject({ method: { kind: 'two-zone grill', settings: { grateC: 280 } }, target: { coreC: 52 } })
    expect(draft.request.guests.named.map(g => g.name)).toEqual(['Bo'])
    expect(draft.firstProblem).toBeUndefined()
  })
})

describe('the plan of the draft', () => {
  interface Ask {
    readonly request: typeof FIRST_REQUEST
    readonly answer: (found: unknown) => void
    readonly fail: (why: Error) => void
  }
  function engine(): { readonly asks: Ask[]; readonly ended: number[] } {
    const asks: Ask[] = []
    const ended: number[] = []
    start.mockImplementation(() => {
      const number = start.mock.calls.length
      const never = (): Promise<void> => new Promise(() => undefined)
      const plan = (request: Ask['request']): Promise<unknown> => new Promise((answer, fail) => asks.push({ request, answer, fail }))
      return { remote: { plan, warmUp: never, spread: never, misjudged: never, cancel: never }, terminate: () => void ended.push(number) }
    })
    return { asks, ended }
  }
  const ticks = async (): Promise<void> => {
    for (let i = 0; i < 6; i++) await Promise.resolve()
  }
  const found = (request: Ask['request']): object => ({ kind: request.method.kind, plan: PLAN, lateS: 60 })

  it('is asked for at once, and counts only for what is on the screen', async () => {
    const { asks } = engine()
    const [draft, plan] = [useDraft(), usePlan()]
    expect(plan.state).toBe('working')
    asks[0].answer(found(asks[0].request))
    await ticks()
    expect(plan.state).toBe('ready')
    expect(plan.current?.preheatS).toBeGreaterThan(120)
    draft.turn({ panC: 225 })
    await nextTick()
    expect(plan.current).toBeNull()
    expect(plan.shown?.plan).toStrictEqual(PLAN)
    draft.choose('grill')
    await nextTick()
    expect(plan.shown).toBeNull()
  })

  it('set back before it was answered, the newest question is the one that is answered', async () => {
    const { asks } = engine()
    const [draft, plan] = [useDraft(), usePlan()]
    for (const panC of [220, 225, 230]) {
      draft.turn({ panC })
      await nextTick()
    }
    asks[0].answer(found(asks[0].request))
    await ticks()
    expect(plan.current).toBeNull()
    expect(asks).toHaveLength(2)
    expect(asks[1].request.method.settings.panC).toBe(230)
    asks[1].answer(found(asks[1].request))
    await ticks()
    expect(plan.current?.request.method.settings.panC).toBe(230)
  })

  it('what keeps a newer question waiting too long is ended, and a fresh worker asked', async () => {
    const { asks, ended } = engine()
    const [draft, plan] = [useDraft(), usePlan()]
    await vi.advanceTimersByTimeAsync(100)
    draft.turn({ panC: 220 })
    await nextTick()
    expect(ended).toEqual([])
    await vi.advanceTimersByTimeAsync(400)
    expect(ended).toEqual([1])
    expect(asks).toHaveLength(2)
    asks[0].answer(found(asks[0].request))
    await ticks()
    expect(plan.current).toBeNull()
    asks[1].answer(found(asks[1].request))
    await ticks()
    expect(plan.current?.request.method.settings.panC).toBe(220)
  })

  it('a refusal and a failure each say so, and the next change is tried again', async () => {
    const { asks } = engine()
    const [draft, plan] = [useDraft(), usePlan()]
    asks[0].answer({ kind: 'pan sear', refused: 'Too thin.', key: null, nearest: null })
    await ticks()
    expect([plan.state, plan.refused?.refused]).toEqual(['refused', 'Too thin.'])
    draft.turn({ panC: 220 })
    await nextTick()
    expect(plan.state).toBe('working')
    asks[1].fail(new Error('out of memory'))
    await ticks()
    expect(plan.refused?.refused).toMatch(/engine failed/)
    draft.complain('Pan', 'Not a temperature.')
    expect(plan.state).toBe('wrong input')
  })
})

describe('the ticket of the pass', () => {
  const at = (when: string): void => void vi.setSystemTime(new Date(when))

  it('is an example for whom the beef feeds, on the next evening there is time for', () => {
    at('2026-11-26T12:00')
    expect(usePass().ticket).toMatchObject({ serveAt: '2026-11-26T19:30', diners: 2, cooks: 1 })
    storage.clear()
    reload()
    at('2026-11-26T18:30')
    expect(usePass().ticket.serveAt).toBe('2026-11-27T19:30')
  })

  const beef = () => usePass().dishes.filter(d => d.kind === 'beef')
  const put = () => usePass().putBeef(useDraft().request, PLAN)

  it('a piece stands on it once, however it is cooked; another piece beside it, each as it was wanted and by whom', () => {
    const [pass, draft] = [usePass(), useDraft()]
    put()
    draft.turn({ panC: 205 })
    draft.choose('sear then oven')
    put()
    expect(beef()).toHaveLength(1)
    expect(beef()[0]).toMatchObject({ name: expect.stringMatching(/sear then oven$/) as string, pullC: PLAN.pull.probe })
    const first = draft.pieceId
    const asked = draft.request
    useGuests().seat(50, 'Ines')
    pass.follow(draft.request, PLAN)
    draft.take(CUTS.filter(isTender)[3])
    expect(draft.request.guests.named).toEqual([])
    put()
    expect(beef()).toHaveLength(2)
    useGuests().seat(54, 'Otto')
    useGuests().seat(58, 'Quin')
    expect(pass.ticket.diners).toBe(3)
    expect(pass.openBeef(first)).toBe(true)
    expect(draft.request).toEqual({ ...asked, guests: { ...asked.guests, named: [expect.objectContaining({ name: 'Ines' })] } })
    expect(pass.openBeef('nothing')).toBe(false)
  })

  it('what is changed at the fire is changed on it; what is not on it changes nothing there, and neither does a plan of before', () => {
    const [pass, draft] = [usePass(), useDraft()]
    put()
    const { undoable } = pass
    draft.turn({ panC: 205 })
    pass.follow(draft.request, PLAN)
    expect(pass.pieces[0].request.method.settings).toMatchObject({ panC: 205 })
    expect(pass.undoable).toStrictEqual(undoable)
    draft.another()
    const before = pass.ticket
    draft.turn({ panC: 220 })
    pass.follow(draft.request, PLAN)
    expect(pass.ticket).toEqual(before)
  })

  it('what an older version kept with a plan file comes to the fire by it', () => {
    put()
    const [{ request: _, ...line }] = usePass().pieces
    const plan = writePlanCase(by(FIRST_REQUEST, 'sear then oven', { ovenC: 170 }))
    storage.set('macellaio.ticket', JSON.stringify({ serveAt: '2026-11-26T19:30', diners: 2, cooks: 1, lines: [{ ...line, plan }] }))
    reload()
    expect(usePass().openBeef(line.id)).toBe(true)
    expect(useDraft().request.method).toMatchObject({ kind: 'sear then oven', settings: { ovenC: 170 } })
  })

  it('keeps what was changed through a reload, takes the last change back, and refuses what cannot be', () => {
    const pass = usePass()
    const before = pass.ticket
    expect(pass.add({ recipe: 'rice' })).toBeNull()
    reload()
    const again = usePass()
    expect(again.ticket.lines.at(-1)).toMatchObject({ recipe: 'rice' })
    expect(again.change({ diners: 0 })).toMatch(/from 1 to 40/)
    expect(again.ticket.diners).toBe(before.diners)
    again.remove(again.ticket.lines[0].id)
    again.undo()
    expect(again.ticket.lines).toHaveLength(before.lines.length + 1)
  })

  it('of an evening gone by is for the next, with nothing done; of one under way it stays', () => {
    at('2026-11-26T19:00')
    const pass = usePass()
    pass.change({ serveAt: '2026-11-26T19:30' })
    pass.tick('x 0 on')
    at('2026-11-26T21:00')
    pass.renew()
    expect(pass.ticket.serveAt).toBe('2026-11-26T19:30')
    expect(pass.done).toEqual(['x 0 on'])
    at('2026-11-27T10:00')
    pass.renew()
    expect(pass.ticket.serveAt).toBe('2026-11-27T19:30')
    expect(pass.done).toEqual([])
  })

  it('what an older page left behind and cannot be used is an example again', () => {
    storage.set('macellaio.ticket', JSON.stringify({ serveAt: 'soon', diners: 6, cooks: 1, lines: [] }))
    expect(usePass().ticket.lines.length).toBeGreaterThan(1)
  })
})
