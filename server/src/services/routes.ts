/** /api/services: say what was decided of one, find them all, open one at any device. */
import { Router } from 'express'
import { parseServiceEvents, parseServiceId } from '#core/formats/serviceSchema'
import type { Changes } from '#server/changes'
import type { CookRepository } from '#server/cooks/repository'
import { HttpProblem } from '#server/problem'
import type { ServiceRepository } from './repository'

const A_PAGE = 100

export function serviceRoutes(services: ServiceRepository, cooks: CookRepository, changes: Changes): Router {
  const routes = Router()

  routes.get('/', async (request, response) => {
    const skip = Number(request.query['skip'] ?? 0)
    if (!Number.isInteger(skip) || skip < 0 || skip > 1e6)
      throw new HttpProblem(422, 'The input cannot be taken', '“skip” needs a whole number from 0 to 1,000,000.')
    response.json(await services.list(skip, A_PAGE))
  })

  routes.get('/:id', async (request, response) => {
    response.json(there(await services.find(request.params.id), request.params.id))
  })

  /** What was lit for it, whole; and what of it was thrown away. */
  routes.get('/:id/cooks', async (request, response) => {
    const [lit, thrownAway] = await Promise.all([cooks.litFor(request.params.id), cooks.thrownAway(request.params.id)])
    response.json({ cooks: lit, thrownAway })
  })

  routes.get('/:id/changes', changes.stream)

  routes.post('/:id/events', async (request, response) => {
    const record = await services.tell(parseServiceId(request.params.id), parseServiceEvents(request.body))
    changes.tell(record.id)
    response.json(record)
  })

  routes.delete('/:id', async (request, response) => {
    there(await services.setRemoved(request.params.id, Date.now()), request.params.id)
    response.status(204).end()
  })

  routes.post('/:id/restored', async (request, response) => {
    there(await services.setRemoved(request.params.id, null), request.params.id)
    response.json(there(await services.find(request.params.id), request.params.id))
  })

  return routes
}

function there<T>(found: T | null | false, id: string): T {
  if (found === null || found === false) throw new HttpProblem(404, 'No such service', `There is no service “${id}”.`)
  return found
}
