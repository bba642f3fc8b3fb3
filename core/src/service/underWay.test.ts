import { describe, expect, it } from 'vitest'
import { READY_KITS } from '#core/kit/kit'
import { callsOf } from './calls'
import { dishOf } from './recipe'
import { shippedRecipe } from './recipes'
import { schedule } from './schedule'
import { kitchenOf } from './ticket'
import { asKept, keptAcross, keptThrough } from './underWay'

describe('a table put off while it is cooked', () => {
  const scaling = { diners: 4, ringW: 1500 }
  const kitchen = kitchenOf({ serveAt: '', diners: 4, cooks: 1, lines: [] }, READY_KITS[0].kit)
  const service = schedule(
    ['roast-potatoes', 'broccoli'].map(id => dishOf(id, shippedRecipe(id)!, scaling)),
    kitchen
  )
  const LATER = 20 * 60
  /** By the wall: s after the old serving. */
  const times = (done: string[], later: number): Record<string, number> => {
    const kept = keptThrough({}, service, done, later)
    return Object.fromEntries(callsOf(asKept(service, kept)).map(c => [c.id, c.at + later]))
  }
  const before = Object.fromEntries(callsOf(service).map(c => [c.id, c.at]))

  it('with nothing begun moves everything', () => {
    const after = times([], LATER)
    for (const [id, at] of Object.entries(before)) expect(after[id]).toBe(at + LATER)
  })
  it('leaves nothing in the oven longer than it needs', () => {
    const after = times(['roast-potatoes 0 on', 'roast-potatoes 1 on'], LATER)
    expect(after['roast-potatoes 1 on']).toBe(before['roast-potatoes 1 on'])
    expect(after['roast-potatoes 1 off']).toBe(before['roast-potatoes 1 off'])
    expect(after['broccoli 2 on']).toBe(before['broccoli 2 on'] + LATER)
  })
  it('moves what can wait for it: potatoes that are only cut go in later', () => {
    const after = times(['roast-potatoes 0 on'], LATER)
    expect(after['roast-potatoes 0 on']).toBe(before['roast-potatoes 0 on'])
    expect(after['roast-potatoes 1 on']).toBe(before['roast-potatoes 1 on'] + LATER)
  })
  it('sooner, never takes up what follows before what is under way is done', () => {
    const after = times(['roast-potatoes 0 on'], -LATER)
    expect(after['roast-potatoes 1 on']).toBe(before['roast-potatoes 1 on'])
  })
  it('laid out anew for more guests or with a ring less, what is begun and what must follow it at once stay', () => {
    const done = ['roast-potatoes 0 on', 'broccoli 0 on', 'broccoli 1 on']
    const dishes = ['roast-potatoes', 'broccoli', 'carrots'].map(id => dishOf(id, shippedRecipe(id)!, { ...scaling, diners: 9 }))
    const anew = schedule(dishes, { ...kitchen, tools: { ...kitchen.tools, ring: kitchen.tools.ring.slice(1) } })
    const stands = asKept(anew, keptAcross(service, anew, done))
    const from = (of: typeof service, id: string, index: number): number => of.placed.find(p => p.dish.id === id && p.index === index)!.from
    for (const [id, index] of [
      ['roast-potatoes', 0],
      ['broccoli', 0],
      ['broccoli', 1]
    ] as const)
      expect(from(stands, id, index)).toBeCloseTo(from(service, id, index), 6)
    expect(stands.placed.some(p => p.dish.id === 'carrots')).toBe(true)
    expect(asKept(service, keptAcross(service, service, done))).toEqual(service)
  })
  it('put off and taken back is as it was', () => {
    const done = ['roast-potatoes 0 on', 'roast-potatoes 1 on']
    const back = keptThrough(keptThrough({}, service, done, LATER), service, done, -LATER)
    expect(asKept(service, back)).toEqual(service)
  })
})
