/** /api/print: pages as PDF. */
import { Router } from 'express'
import { parsePrintedOrder } from '#core/formats/counterSchema'
import { slipPage } from './slip'

export function printRoutes(): Router {
  const routes = Router()
  routes.post('/order-slip', async (request, response) => {
    const { order, units } = parsePrintedOrder(request.body)
    const pdf = await slipPage(order, units)
    response.type('application/pdf').set('Content-Disposition', 'inline; filename="order.pdf"').send(pdf)
  })
  return routes
}
