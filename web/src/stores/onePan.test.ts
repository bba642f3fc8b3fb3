/** Two pieces of a ticket in one pan: what each takes from it is in the other's plan, wherever one of them is changed. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { cutById } from '#core/meat/cuts'
import type { PlanRequest } from '#core/request/request'
import { coverage } from '#core/request/setup'
import { plan as planOf } from '#core/usecase/plan'
import { useDraft } from './draft'
import { freshEach } from './fresh.fixture'
import { usePass } from './pass'
import { usePieces } from './pieces'
import { usePlan } from './plan'

/** An engine that answers at once, and is never asked twice for the same in a row. */
const { remote, asked, idle } = vi.hoisted(() => ({
  remote: { plan: vi.fn() },
  asked: [] as unknown[],
  idle: (): Promise<void> => new Promise(() => undefined)
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
  asked.length = 0
  remote.plan.mockImplementation((request: PlanRequest) => {
    asked.push(request)
    return Promise.resolve(planOf(request))
  })
})
const settled = (): Promise<unknown> => vi.advanceTimersByTimeAsync(2000)

/** A steak at the fire, on its ticket. */
async function onTheTicket(thicknessMm: number): Promise<string> {
  const draft = useDraft()
  draft.take(cutById('strip')!, { pieces: 1, thicknessMm })
  draft.choose('pan sear')
  draft.turn({ panC: 200 })
  await settled()
  expect(usePieces().putOn()).toBeNull()
  await settled()
  return draft.pieceId
}
const searOf = (id: string): number => {
  const line = usePass().pieces.find(p => p.id === id)
  return line?.dish.steps.find(s => s.tool === 'ring')?.seconds ?? 0
}

describe('two pieces in one pan', () => {
  it('each takes longer than by itself, also the one that is not at the fire; parted again they do not', async () => {
    const [draft, pass, plan] = [useDraft(), usePass(), usePlan()]
    pass.change({ lines: [] })
    const first = await onTheTicket(26)
    const alone = searOf(first)
    expect(plan.current?.request.beside).toBeUndefined()
    const second = await onTheTicket(22)
    expect(plan.current?.request.beside).toHaveLength(1)
    expect(plan.current?.request.beside?.[0].areaM2).toBeGreaterThan(0.005)
    expect(searOf(first)).toBeGreaterThan(alone * 1.015)
    expect(draft.request.beside).toBeUndefined()
    expect(coverage(draft.request)).toBeLessThan(0.6)

    // It comes to rest: nothing is planned anew by itself.
    const before = asked.length
    await settled()
    await settled()
    expect(asked).toHaveLength(before)

    pass.openBeef(first)
    await settled()
    expect(plan.current?.request.beside).toHaveLength(1)
    expect(plan.current?.plan.pull.time).toBeCloseTo(searOf(first), -1)
    draft.turn({ panC: 230 })
    await settled()
    expect(plan.current?.request.beside).toBeUndefined()
    expect(pass.pieces.find(p => p.id === second)?.request.beside).toBeUndefined()
    draft.turn({ panC: 200 })
    await settled()
    expect(pass.pieces.every(p => p.request.beside?.length === 1)).toBe(true)
    pass.remove(second)
    await settled()
    expect(searOf(first)).toBe(alone)
  })
})
