/** /api/print: pages as PDF. */
import { Router } from 'express'
import { parsePrintedOrder } from '#core/shop/schema'
import { parsePrintedSheet } from '#core/formats/sheetSchema'
import { sheetPage } from './sheet'
import { slipPage } from './slip'

export function printRoutes(): Router {
  const routes = Router()
  routes.post('/order-slip', async (request, response) => {
    const { order, units } = parsePrintedOrder(request.body)
    const pdf = await slipPage(order, units)
    response.type('application/pdf').set('Content-Disposition', 'inline; filename="order.pdf"').send(pdf)
  })
  routes.post('/call-sheet', async (request, response) => {
    const pdf = await sheetPage(parsePrintedSheet(request.body))
    response.type('application/pdf').set('Content-Disposition', 'inline; filename="call-sheet.pdf"').send(pdf)
  })
  return routes
}
