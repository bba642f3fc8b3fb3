/** A ticket as a file: out and in the same, and what is wrong with another told by where. */
import { describe, expect, it } from 'vitest'
import { ownDish } from '#core/service/ticket'
import { TICKET } from '#core/service/ticket.fixture'
import { InvalidInputError } from '#core/input/problem'
import { readTicket, writeTicket } from './ticketSchema'

describe('a ticket', () => {
  it('goes out and comes in the same', () => {
    expect(readTicket(JSON.parse(JSON.stringify(writeTicket(TICKET))))).toEqual(TICKET)
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
              steps: [{ what: 'x', tool: 'oven', ovenC: [210, 190], seconds: 60, hands: [0, 0], stands: [0, 0] }]
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
