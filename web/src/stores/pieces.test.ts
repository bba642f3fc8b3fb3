/** Several pieces of one ticket, one after the other at the fire: what was set of each is there when it comes back. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { cutById } from '#core/meat/cuts'
import type { PlanRequest } from '#core/request/request'
import { plan as planOf } from '#core/usecase/plan'
import { useDraft } from './draft'
import { freshEach, reload } from './fresh.fixture'
import { usePass } from './pass'
import { usePieces } from './pieces'
import { usePreparation } from './preparation'

/** An engine that answers when it is let. */
const { remote, idle, open } = vi.hoisted(() => ({
  remote: { plan: vi.fn(), thaw: vi.fn(), warmedUp: vi.fn() },
  idle: (): Promise<void> => new Promise(() => undefined),
  open: { gate: Promise.resolve(), let: (): void => undefined }
}))
vi.mock('../workers/engine', () => ({
  startEngine: () => ({
    remote: { ...remote, warmUp: idle, spread: idle, misjudged: idle, cancel: idle, serve: idle },
    terminate: () => undefined
  }),
  askEngine: <T>(question: (engine: typeof remote) => Promise<T>) => question(remote)
}))

freshEach()
beforeEach(() => {
  open.gate = Promise.resolve()
  remote.plan.mockImplementation(async (request: PlanRequest) => {
    await open.gate
    return planOf(request)
  })
  remote.thaw.mockResolvedValue(16 * 3600)
  remote.warmedUp.mockResolvedValue(9)
})
const settled = (): Promise<unknown> => vi.advanceTimersByTimeAsync(2000)
const shut = (): void => void (open.gate = new Promise(resolve => (open.let = resolve)))

async function onTheTicket(cut: string, thicknessMm: number): Promise<string> {
  const draft = useDraft()
  draft.take(cutById(cut)!, { pieces: 1, thicknessMm })
  draft.choose('pan sear')
  await settled()
  expect(usePieces().putOn()).toBeNull()
  await settled()
  return draft.pieceId
}
const lineOf = (id: string) => usePass().pieces.find(p => p.id === id)!
const searOf = (id: string): number => lineOf(id).dish.steps.find(s => s.tool === 'ring')?.seconds ?? 0

async function two(): Promise<readonly [string, string]> {
  usePieces()
  usePass().change({ lines: [] })
  return [await onTheTicket('hanger', 24), await onTheTicket('flat-iron', 30)]
}

describe('another piece comes to the fire before what was set of this one is planned', () => {
  it('it is planned all the same, and stands on the ticket', async () => {
    const [hanger, flat] = await two()
    const [draft, pass] = [useDraft(), usePass()]
    const before = searOf(flat)
    shut()
    draft.aim({ coreC: 58 })
    pass.openBeef(hanger)
    await settled()
    expect(lineOf(flat).request.target.coreC).not.toBe(58)
    open.let()
    await settled()
    expect(draft.pieceId).toBe(hanger)
    expect(lineOf(flat).request.target.coreC).toBe(58)
    expect(searOf(flat)).toBeGreaterThan(before)
    expect(lineOf(hanger).request.target.coreC).not.toBe(58)
  })
  it('it is as it was set when one comes straight back, and after a reload too', async () => {
    const [hanger, flat] = await two()
    shut()
    useDraft().aim({ coreC: 58 })
    usePass().openBeef(hanger)
    usePass().openBeef(flat)
    expect(useDraft().request.target.coreC).toBe(58)
    usePass().openBeef(hanger)
    reload()
    usePieces()
    expect(useDraft().pieceId).toBe(hanger)
    open.let()
    await settled()
    expect(lineOf(flat).request.target.coreC).toBe(58)
  })
  it('how it is got ready too', async () => {
    const [hanger, flat] = await two()
    const pass = usePass()
    pass.openBeef(hanger)
    await settled()
    shut()
    pass.openBeef(flat)
    usePreparation().change({ salt: 'after' })
    pass.openBeef(hanger)
    open.let()
    await settled()
    expect(lineOf(flat).prepared?.how.salt).toBe('after')
    expect(
      lineOf(flat)
        .dish.steps.map(s => s.what)
        .join()
    ).not.toMatch(/[Ss]alt it/)
  })
  it('what is not safe by itself stays off the ticket, and is there to be said yes to when it is opened again', async () => {
    const [hanger, flat] = await two()
    const [draft, pass] = [useDraft(), usePass()]
    draft.changePiece({ intact: 'no' })
    draft.aim({ coreC: 50 })
    pass.openBeef(hanger)
    await settled()
    await settled()
    expect(lineOf(flat).request.piece.intact).not.toBe('no')
    pass.openBeef(flat)
    expect(draft.request.piece.intact).toBe('no')
    expect(draft.request.target.coreC).toBe(50)
  })
  it('what has been changed elsewhere since goes before it', async () => {
    const [hanger, flat] = await two()
    const pass = usePass()
    shut()
    useDraft().aim({ coreC: 58 })
    pass.openBeef(hanger)
    const { request } = lineOf(flat)
    const elsewhere = { ...request, target: { ...request.target, coreC: 52 } }
    pass.ticket = { ...pass.ticket, lines: pass.ticket.lines.map(l => (l.id === flat ? { ...l, request: elsewhere } : l)) }
    open.let()
    await settled()
    expect(lineOf(flat).request.target.coreC).toBe(52)
    pass.openBeef(flat)
    expect(useDraft().request.target.coreC).toBe(52)
  })
})

describe('how a piece is got ready goes with it', () => {
  it('each has its own schools, list and packet; what is changed of one is in its dish at once', async () => {
    const [hanger, flat] = await two()
    const [pass, preparation] = [usePass(), usePreparation()]
    preparation.change({ salt: 'the day before' })
    preparation.tick('salt')
    await settled()
    expect(lineOf(flat).prepared?.how.salt).toBe('the day before')
    expect(
      lineOf(flat)
        .dish.ahead?.map(a => a.what)
        .join()
    ).toMatch(/Salt it on all sides/)
    pass.openBeef(hanger)
    await settled()
    expect(preparation.preparation.salt).toBe('right before')
    expect(preparation.ticked).toEqual([])
    expect(lineOf(hanger).dish.ahead).toBeUndefined()
    pass.openBeef(flat)
    expect(preparation.preparation.salt).toBe('the day before')
    expect(preparation.ticked).toEqual(['salt'])
  })
  it('as it was kept before, apart from the piece, it is found', () => {
    const how = { ...useDraft().prepared.how, salt: 'after' }
    localStorage.removeItem('macellaio.prepared')
    localStorage.setItem('macellaio.preparation', JSON.stringify(how))
    localStorage.setItem('macellaio.ticked', '["pat"]')
    reload()
    expect(useDraft().prepared).toEqual({ how, ticked: ['pat'] })
  })
})
