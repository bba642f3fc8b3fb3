/**
 * /api/cooks: begin one, say what happened, judge it, find it again.
 */
import { Router, type Request } from 'express'
import { MOST_COOKS } from '#core/book/lessons'
import { parseCookPage, parseEvents, parseLog, parseNewCook, parseOutcome, parseTitle } from '#core/book/cookSchema'
import type { Changes } from '#server/changes'
import { HttpProblem } from '#server/problem'
import type { CookRepository } from './repository'

export function cookRoutes(cooks: CookRepository, changes: Changes): Router {
  const routes = Router()
  const told = async (id: string): Promise<void> => changes.tell(await cooks.serviceOf(id))

  routes.get('/', async (request, response) => {
    const { service } = request.query
    response.json(
      typeof service === 'string'
        ? { cooks: await cooks.ofService(service), unreadable: [] }
        : await cooks.list(parseCookPage(request.query))
    )
  })

  routes.post('/', async (request, response) => {
    const cook = parseNewCook(request.body)
    const added = await cooks.add(cook)
    await told(cook.id)
    response
      .status(added ? 201 : 200)
      .location(`/api/cooks/${cook.id}`)
      .json(await cooks.find(cook.id))
  })

  /** What the kit is learned from. */
  routes.get('/read', async (_, response) => {
    response.json({ cooks: await cooks.read(MOST_COOKS) })
  })

  routes.get('/:id', async (request, response) => {
    response.json(there(await cooks.find(request.params.id), request))
  })

  routes.post('/:id/events', async (request, response) => {
    const record = there(await cooks.addEvents(request.params.id, parseEvents(request.body)), request)
    await told(record.id)
    response.json(record)
  })

  routes.put('/:id/outcome', async (request, response) => {
    const record = there(await cooks.judge(request.params.id, parseOutcome(request.body)), request)
    await told(record.id)
    response.json(record)
  })

  routes.put('/:id/log', async (request, response) => {
    response.json(there(await cooks.keepLog(request.params.id, parseLog(request.body)), request))
  })

  routes.delete('/:id/log', async (request, response) => {
    response.json(there(await cooks.keepLog(request.params.id, null), request))
  })

  routes.put('/:id/title', async (request, response) => {
    response.json(there(await cooks.rename(request.params.id, parseTitle(request.body)), request))
  })

  routes.delete('/:id', async (request, response) => {
    there(await cooks.setRemoved(request.params.id, Date.now()), request)
    await told(request.params.id)
    response.status(204).end()
  })

  routes.post('/:id/restored', async (request, response) => {
    there(await cooks.setRemoved(request.params.id, null), request)
    await told(request.params.id)
    response.json(there(await cooks.find(request.params.id), request))
  })

  return routes
}

function there<T>(found: T | null | false, request: Request): T {
  if (found === null || found === false) throw new HttpProblem(404, 'No such cook', `There is no cook “${String(request.params['id'])}”.`)
  return found
}
