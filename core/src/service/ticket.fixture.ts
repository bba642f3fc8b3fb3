/** A side of the book and a dish of one's own, for six; for tests. */
import { ownDish, type Ticket } from './ticket'

export const TICKET: Ticket = {
  serveAt: '2026-11-26T19:30',
  diners: 6,
  cooks: 2,
  lines: [
    { id: 'a', recipe: 'mash' },
    { id: 'b', dish: ownDish('b', 'Dumplings', { tool: 'oven', seconds: 1500, busy: false, ovenC: 200 }) }
  ]
}
