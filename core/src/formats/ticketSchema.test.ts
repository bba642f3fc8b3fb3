/** A ticket as a file: out and in the same, and what is wrong with another told by where. */
import { describe, expect, it } from 'vitest'
import { ownDish, type Ticket } from '#core/service/ticket'
import { InvalidInputError } from './problem'
import { readTicket, writeTicket } from './ticketSchema'

describe('a ticket', () => {
  const ticket: Ticket = {
    serveAt: '2026-11-26T19:30',
    diners: 6,
    cooks: 2,
    lines: [
      { id: 'a', recipe: 'mash' },
      { id: 'b', dish: ownDish('b', 'Dumplings', { tool: 'oven', seconds: 1500, busy: false, ovenC: 200 }) }
    ]
  }
  it('goes out and comes in the same', () => {
    expect(readTicket(JSON.parse(JSON.stringify(writeTicket(ticket))))).toEqual(ticket)
  })
  it.each([
    ['another file', { format: 'something' }, 'must say'],
    ['a day that is none', { ...writeTicket(ticket), serveAt: '2026-02-30T19:30' }, 'no such day'],
    ['half a guest', { ...writeTicket(ticket), diners: 2.5 }, 'whole number'],
    ['a recipe of another book', { ...writeTicket(ticket), lines: [{ id: 'a', recipe: 'lobster' }] }, 'no recipe “lobster”'],
    ['one id twice', { ...writeTicket(ticket), lines: [ticket.lines[0], ticket.lines[0]] }, 'one id'],
    ['a plan that is none', { ...writeTicket(ticket), lines: [{ ...ticket.lines[1], plan: { piece: {} } }] }, 'plan cannot be used'],
    [
      'a step without an end',
      { ...writeTicket(ticket), lines: [{ id: 'b', dish: { id: 'b', name: 'x', kind: 'own', steps: [{}] } }] },
      'seconds'
    ]
  ])('%s is refused, and where', (_, file, says) => {
    expect(() => readTicket(file)).toThrow(InvalidInputError)
    expect(() => readTicket(file)).toThrow(says)
  })
})
