/** A ticket as a file: out and in the same, and what is wrong with another told by where. */
import { describe, expect, it } from 'vitest'
import type { Dish } from '#core/service/dish'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { ownDish, type Ticket } from '#core/service/ticket'
import { TICKET } from '#core/service/ticket.fixture'
import { InvalidInputError } from '#core/input/problem'
import { readTicket, writeTicket } from './ticketSchema'

/** The lines of the file, a recipe's and a dish's. */
const writeTicketLines = (): readonly { readonly dish?: Dish }[] => (writeTicket(TICKET) as { lines: { dish?: Dish }[] }).lines

describe('a ticket', () => {
  it('goes out and comes in the same', () => {
    expect(readTicket(JSON.parse(JSON.stringify(writeTicket(TICKET))))).toEqual(TICKET)
  })
  it('with names of cooks and a piece as it was asked for, too', () => {
    const [, own] = TICKET.lines
    const beef = { ...own, request: FIRST_REQUEST }
    const ticket = { ...TICKET, names: ['Ines', 'Per'], lines: [TICKET.lines[0], beef] }
    expect(readTicket(JSON.parse(JSON.stringify(writeTicket(ticket as Ticket))))).toEqual(ticket)
    const hot = { ...FIRST_REQUEST, target: { ...FIRST_REQUEST.target, coreC: 400 } }
    expect(() => readTicket(writeTicket({ ...ticket, lines: [{ ...beef, request: hot }] } as Ticket))).toThrow('The request cannot be used')
    expect(() => readTicket({ ...writeTicket(TICKET), lines: [{ id: 'a', recipe: 'mash', request: FIRST_REQUEST }] })).toThrow(
      'Only a dish of beef'
    )
    expect(() => readTicket({ ...writeTicket(TICKET), names: ['a', 'b', 'c', 'd', 'e'] })).toThrow('At most 4 names')
  })
  it('of the first version is read as it was meant', () => {
    const before = (step: object): object => {
      const { holds, setUp, ...rest } = { setUp: 90, ...step } as { holds: unknown; setUp: unknown }
      return { ...rest, stands: holds, ahead: setUp }
    }
    const [recipe, own] = writeTicketLines()
    const file = {
      ...writeTicket(TICKET),
      version: 1,
      lines: [recipe, { ...own, dish: { ...own.dish!, steps: own.dish!.steps.map(before) } }]
    }
    expect(JSON.stringify(file)).not.toContain('holds')
    const { steps } = own.dish!
    expect(readTicket(file).lines[1]).toMatchObject({ dish: { steps: steps.map(s => ({ ...s, setUp: 90 })) } })
    expect(() => readTicket({ ...file, version: 3 })).toThrow('Only versions 1 and 2')
  })
  it.each([
    ['another file', { format: 'something' }, 'must say'],
    ['a day that is none', { ...writeTicket(TICKET), serveAt: '2026-02-30T19:30' }, 'no such day'],
    ['half a guest', { ...writeTicket(TICKET), diners: 2.5 }, 'whole number'],
    ['a recipe of another book', { ...writeTicket(TICKET), lines: [{ id: 'a', recipe: 'lobster' }] }, 'no recipe “lobster”'],
    ['one id twice', { ...writeTicket(TICKET), lines: [TICKET.lines[0], TICKET.lines[0]] }, 'one id'],
    [
      'an oven from hot to cold',
      {
        ...writeTicket(TICKET),
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
    ['a plan that is none', { ...writeTicket(TICKET), lines: [{ ...TICKET.lines[1], plan: { piece: {} } }] }, 'plan cannot be used'],
    [
      'a step without an end',
      { ...writeTicket(TICKET), lines: [{ id: 'b', dish: { id: 'b', name: 'x', kind: 'own', steps: [{}] } }] },
      'seconds'
    ]
  ])('%s is refused, and where', (_, file, says) => {
    expect(() => readTicket(file)).toThrow(InvalidInputError)
    expect(() => readTicket(file)).toThrow(says)
  })
})
