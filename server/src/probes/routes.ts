/** /api/probes: what thermometers say, and where they are. See docs/probe-interface.md. */
import { Router } from 'express'
import { parsePlace, parseProbeId, parseSamples } from '#core/formats/probeSchema'
import type { Changes } from '#server/changes'
import type { CookRepository } from '#server/cooks/repository'
import { HttpProblem } from '#server/problem'
import type { Probes } from './probes'

export function probeRoutes(probes: Probes, cooks: CookRepository, changes: Changes): Router {
  const routes = Router()

  routes.get('/', async (_, response) => {
    response.json({ probes: await probes.list() })
  })

  routes.get('/changes', changes.probeStream)

  routes.post('/:id/readings', async (request, response) => {
    const { name, samples } = parseSamples(request.body, Date.now())
    const said = await probes.say(parseProbeId(request.params.id), name, samples)
    if (said === null) throw new HttpProblem(409, 'Too many probes', 'There are forty probes already. Take one out first.')
    changes.tellProbe(said.probe)
    if (said.read && said.probe.cook !== null) changes.tell(await cooks.serviceOf(said.probe.cook))
    response.status(202).json(said.probe)
  })

  routes.put('/:id/place', async (request, response) => {
    const { cook, tip } = parsePlace(request.body)
    if (cook !== null && (await cooks.find(cook)) === null) throw new HttpProblem(404, 'No such cook', `There is no cook “${cook}”.`)
    const probe = there(await probes.place(request.params.id, cook, tip), request.params.id)
    changes.tellProbe(probe)
    response.json(probe)
  })

  routes.delete('/:id', async (request, response) => {
    there(await probes.forget(request.params.id), request.params.id)
    response.status(204).end()
  })

  return routes
}

function there<T>(found: T | null | false, id: string): T {
  if (found === null || found === false) throw new HttpProblem(404, 'No such probe', `No probe “${id}” has said anything here.`)
  return found
}
