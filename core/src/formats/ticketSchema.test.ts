/** A ticket as a file: out and in the same, and what is wrong with another told by where. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CUTS } from '#core/meat/cuts'
import { coatsFor, SURFACES, type SurfaceState } from '#core/meat/piece'
import { METHOD_KINDS } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { FROMS, MARINADES, OILINGS, OUT_MINUTES, PEPPERINGS, SALTINGS } from '#core/plan/preparation'
import { beefDish } from '#core/service/beef'
import { checklistFor } from '#core/words/preparation'
import type { Dish } from '#core/service/dish'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { ownDish, type Ticket } from '#core/service/ticket'
import { TICKET } from '#core/service/ticket.fixture'
import { InvalidInputError } from '#core/input/problem'
import type { Recipe } from '#core/service/recipe'
import { bookOf, RECIPES, shippedRecipe } from '#core/service/recipes'
import { parseDish, readTicket, writeTicket } from './ticketSchema'

const written = (ticket: Ticket): object => writeTicket(ticket, RECIPES)

/** The lines of the file, a recipe's and a dish's. */
const writtenLines = (): readonly { readonly dish?: Dish }[] => (written(TICKET) as { lines: { dish?: Dish }[] }).lines

describe('a ticket', () => {
  it('goes out and comes in the same', () => {
    expect(readTicket(JSON.parse(JSON.stringify(written(TICKET))))).toEqual({ ticket: TICKET, recipes: [] })
  })
  it('with names of cooks and a piece as it was asked for, too', () => {
    const [, own] = TICKET.lines
    const beef = { ...own, request: FIRST_REQUEST }
    const ticket = { ...TICKET, names: ['Ines', 'Per'], lines: [TICKET.lines[0], beef] }
    expect(readTicket(JSON.parse(JSON.stringify(written(ticket as Ticket)))).ticket).toEqual(ticket)
    const hot = { ...FIRST_REQUEST, target: { ...FIRST_REQUEST.target, coreC: 400 } }
    expect(() => readTicket(written({ ...ticket, lines: [{ ...beef, request: hot }] } as Ticket))).toThrow('The request cannot be used')
    expect(() => readTicket({ ...written(TICKET), lines: [{ id: 'a', recipe: 'mash', request: FIRST_REQUEST }] })).toThrow(
      'Only a dish of beef'
    )
    expect(() => readTicket({ ...written(TICKET), names: ['a', 'b', 'c', 'd', 'e'] })).toThrow('At most 4 names')
  })
  it('takes every cut of the catalogue however it is got ready', () => {
    const all = <T>(of: readonly T[]): fc.Arbitrary<T> => fc.constantFrom(...of)
    const how = fc.record({
      from: all(FROMS),
      surface: all(Object.keys(SURFACES) as SurfaceState[]),
      salt: all(SALTINGS),
      pepper: all(PEPPERINGS),
      oil: all(OILINGS),
      marinade: all(MARINADES),
      outMin: all(OUT_MINUTES),
      fridgeC: fc.constant(4),
      knife: fc.boolean(),
      tie: fc.boolean()
    })
    const { request, plan } = planned(asked('sear then oven'))
    fc.assert(
      fc.property(all(CUTS), how, fc.constantFrom(...METHOD_KINDS), fc.boolean(), (cut, getReady, kind, pasted) => {
        const coats = pasted ? coatsFor({ boneMm: 0, fatMm: 0, pasteMm: 4 }, cut.form) : []
        const piece = { ...request.piece, cutId: cut.id, form: cut.form, coats, intact: 'unknown' as const }
        const tasks = checklistFor(getReady, cut, piece, kind, 20 * 3600, { cheese: true, crust: pasted })
        const dish = beefDish('b', cut.name, { ...request, piece }, plan, 6, tasks)
        expect(parseDish(JSON.parse(JSON.stringify(dish)))).toEqual(dish)
        for (const s of dish.steps) expect(s.seconds).toBeGreaterThanOrEqual(0)
        const doable = tasks.filter(t => t.before <= 7200).map(t => t.text.slice(1, 30))
        for (const text of doable) expect(dish.steps.map(s => s.what).join()).toContain(text)
      }),
      { numRuns: 200, seed: 7 }
    )
  })
  it('brings what another kitchen’s book would not have, and for how many of the table', () => {
    const mash = shippedRecipe('mash')!
    const own: Recipe = { ...mash, id: 'own-1', name: 'Smoked mash' }
    const book = bookOf([own, { ...mash, name: 'Mash with cheese' }, { ...shippedRecipe('rice')!, name: 'Not on it' }])
    const lines = [
      { id: 'a', recipe: 'own-1', portions: 2 },
      { id: 'b', recipe: 'mash' },
      { id: 'c', recipe: 'broccoli' }
    ]
    const { ticket, recipes } = readTicket(JSON.parse(JSON.stringify(writeTicket({ ...TICKET, lines }, book))))
    expect(ticket.lines).toEqual(lines)
    expect(recipes.map(r => r.name).sort()).toEqual(['Mash with cheese', 'Smoked mash'])
    expect(recipes).toContainEqual(own)
  })
  it('of the first version is read as it was meant', () => {
    const before = (step: object): object => {
      const { holds, setUp, ...rest } = { setUp: 90, ...step } as { holds: unknown; setUp: unknown }
      return { ...rest, stands: holds, ahead: setUp }
    }
    const [recipe, own] = writtenLines()
    const file = {
      ...written(TICKET),
      version: 1,
      lines: [recipe, { ...own, dish: { ...own.dish!, steps: own.dish!.steps.map(before) } }]
    }
    expect(JSON.stringify(file)).not.toContain('holds')
    const { steps } = own.dish!
    expect(readTicket(file).ticket.lines[1]).toMatchObject({ dish: { steps: steps.map(s => ({ ...s, setUp: 90 })) } })
    expect(() => readTicket({ ...file, version: 4 })).toThrow('Only versions 1, 2 and 3')
  })
  it.each([
    ['another file', { format: 'something' }, 'must say'],
    ['a day that is none', { ...written(TICKET), serveAt: '2026-02-30T19:30' }, 'no such day'],
    ['half a guest', { ...written(TICKET), diners: 2.5 }, 'whole number'],
    ['a recipe that has no id', { ...written(TICKET), lines: [{ id: 'a', recipe: 'a b' }] }, 'up to 40 letters'],
    ['a dish for so many of the table', { ...written(TICKET), lines: [{ ...TICKET.lines[1], portions: 2 }] }, 'Only a recipe'],
    ['half a recipe with it', { ...written(TICKET), recipes: [{ id: 'x', name: 'X' }] }, 'recipes[0].steps'],
    ['one id twice', { ...written(TICKET), lines: [TICKET.lines[0], TICKET.lines[0]] }, 'one id'],
    [
      'an oven from hot to cold',
      {
        ...written(TICKET),
        lines: [
          {
            id: 'b',
            dish: {
              ...ownDish('b', 'x', { tool: 'ring', seconds: 60, busy: true, ovenC: 0 }),
              steps: [{ what: 'x', tool: 'oven', ovenC: [210, 190], seconds: 60, hands: [0, 0], holds: [0, 0] }]
            }
          }
        ]
      },
      'lowest to the highest'
    ],
    ['a plan that is none', { ...written(TICKET), lines: [{ ...TICKET.lines[1], plan: { piece: {} } }] }, 'plan cannot be used'],
    [
      'a step without an end',
      { ...written(TICKET), lines: [{ id: 'b', dish: { id: 'b', name: 'x', kind: 'own', steps: [{}] } }] },
      'seconds'
    ]
  ])('%s is refused, and where', (_, file, says) => {
    expect(() => readTicket(file)).toThrow(InvalidInputError)
    expect(() => readTicket(file)).toThrow(says)
  })
})
