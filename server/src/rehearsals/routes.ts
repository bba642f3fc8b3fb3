/** /api/rehearsals: begin one, set its clock, look at the signs, put a thermometer in, and cut it open. */
import { Router } from 'express'
import { exerciseById } from '#core/rehearsal/exercises'
import { parseNewRehearsal, parseSpeed } from '#core/rehearsal/schema'
import type { Changes } from '#server/changes'
import { HttpProblem } from '#server/problem'
import type { Rehearsals } from './rehearsals'

export function rehearsalRoutes(rehearsals: Rehearsals, changes: Changes): Router {
  const routes = Router()

  routes.get('/', async (_, response) => {
    response.json({ rehearsals: await rehearsals.list(), best: await rehearsals.best() })
  })

  routes.post('/', async (request, response) => {
    const { id, exercise } = parseNewRehearsal(request.body)
    response.status(201).json(await rehearsals.begin(id, exercise, Date.now()))
  })

  routes.get('/:id', async (request, response) => {
    response.json(there(await rehearsals.find(request.params.id, Date.now()), request.params.id))
  })

  routes.put('/:id/speed', async (request, response) => {
    const { id } = request.params
    const rehearsal = there(await rehearsals.go(id, parseSpeed(request.body), Date.now()), id)
    changes.tell(id)
    response.json(rehearsal)
  })

  for (const [way, done] of [
    ['put', true],
    ['delete', false]
  ] as const)
    routes[way]('/:id/sides/:call', async (request, response) => {
      const { id, call } = request.params
      const rehearsal = there(await rehearsals.did(id, call, done, Date.now()), id)
      changes.tell(id)
      response.json(rehearsal)
    })

  routes.post('/:id/cooks/:cook/probe', async (request, response) => {
    const { id, cook } = request.params
    const { exercise } = there(await rehearsals.find(id, Date.now()), id)
    if (exercise !== null && exerciseById(exercise)?.probe === false)
      throw new HttpProblem(409, 'No thermometer', 'There is no thermometer on board in this exercise.')
    const read = await rehearsals.probe(id, cook, Date.now())
    if (read === null) throw new HttpProblem(409, 'Nothing to probe', 'It has not been laid in yet.')
    response.json(read)
  })

  routes.get('/:id/cooks/:cook/cut', async (request, response) => {
    const { id, cook } = request.params
    const cut = there(await rehearsals.cut(id, cook), id)
    if (cut === 'whole') throw new HttpProblem(409, 'Not cut yet', 'What is inside is seen when it is carved.')
    response.json(cut)
  })

  return routes
}

function there<T>(found: T | null, id: string): T {
  if (found === null) throw new HttpProblem(404, 'No such rehearsal', `There is no rehearsal “${id}”, or no such piece or side in it.`)
  return found
}
