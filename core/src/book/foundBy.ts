/** What a cook in the Book can be found by: its name and notes, its cut in any language, how it came out, and when it was. */
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import type { CookSummary } from './record'

const OUTCOME: Readonly<Record<string, string>> = { under: 'underdone', 'as wanted': 'as wanted', over: 'overdone' }

const LONG = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
const SHORT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

export function foundBy({ title, createdAt, request, outcome }: Pick<CookSummary, 'title' | 'createdAt' | 'request' | 'outcome'>): string {
  const cut = cutById(request.piece.cutId)
  const { doneness, crust, notes } = outcome
  return [
    title,
    notes,
    request.method.kind,
    ...(cut ? [cut.name, pieceName(request.piece, cut), ...Object.values(cut.regional).flat()] : []),
    doneness === null ? '' : OUTCOME[doneness],
    crust === null ? '' : `crust ${crust}`,
    LONG.format(createdAt),
    SHORT.format(createdAt)
  ].join(' ')
}
