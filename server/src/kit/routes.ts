/** /api/kit: what the kitchen has. */
import { Router } from 'express'
import { parseKit } from '#core/kit/kitSchema'
import type { KitRepository } from './repository'

export function kitRoutes(kits: KitRepository): Router {
  const routes = Router()

  routes.get('/', async (_request, response) => {
    response.json({ kit: await kits.get() })
  })

  routes.put('/', async (request, response) => {
    const kit = parseKit(request.body)
    await kits.put(kit, Date.now())
    response.json({ kit })
  })

  return routes
}
