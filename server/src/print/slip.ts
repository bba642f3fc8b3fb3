/** The order slip as a page: A5, large enough to be read across a counter. */
import { cutById } from '#core/meat/cuts'
import { REGION_NAMES } from '#core/meat/cut'
import { slipOf, type Order } from '#core/shop/orderSlip'
import type { UnitSystem } from '#core/quantity/units'
import { page, words } from './page'

export function slipPage(order: Order, units: UnitSystem): Promise<Buffer> {
  const cut = cutById(order.cutId)
  if (!cut) throw new Error(`No cut ${order.cutId}`)
  const slip = slipOf(order, cut, units)
  return page({
    pageSize: 'A5',
    title: slip.title,
    content: [
      { text: words(slip.title), fontSize: 30, bold: true, margin: [0, 0, 0, 4] },
      { text: words(`${slip.alsoCalled} · ${REGION_NAMES[order.region]}`), fontSize: 10, color: '#505a5c', margin: [0, 0, 0, 14] },
      {
        table: {
          widths: [78, '*'],
          body: slip.lines.map(l => [
            { text: l.label, color: '#505a5c', margin: [0, 4, 0, 4] },
            { text: words(l.value), bold: true, margin: [0, 4, 0, 4] }
          ])
        },
        layout: 'lightHorizontalLines',
        fontSize: 12
      },
      { text: words(`“${slip.sentence}”`), fontSize: 16, italics: false, margin: [0, 20, 0, 0] }
    ]
  })
}
