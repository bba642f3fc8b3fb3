/** /api/drills: how each went. When one comes again is for the page to work out. */
import { Router } from 'express'
import { parseDrillDone } from '#core/rehearsal/schema'
import { HttpProblem } from '#server/problem'
import type { DrillRepository } from './repository'

export function drillRoutes(drills: DrillRepository): Router {
  const routes = Router()

  routes.get('/', async (_request, response) => {
    response.json({ drills: await drills.list() })
  })

  routes.put('/:id', async (request, response) => {
    const done = parseDrillDone(request.body)
    if (done.id !== request.params.id)
      throw new HttpProblem(422, 'The input cannot be taken', 'The id in the address and in the drill differ.')
    response.status((await drills.add(done)) ? 201 : 200).json(done)
  })

  return routes
}
