/** /api/everything: all that is kept, as one file; and read back, part by part. */
import { Router } from 'express'
import { EVERYTHING_FORMAT, EVERYTHING_VERSION, parseEverything } from '#core/formats/everythingSchema'
import type { Changes } from '#server/changes'
import type { EverythingRepository } from './repository'

export function everythingRoutes(everything: EverythingRepository, changes: Changes): Router {
  const routes = Router()

  routes.get('/', async (_request, response) => {
    const rest = await everything.rest()
    const savedAt = new Date()
    response.type('json')
    response.setHeader('Content-Disposition', `attachment; filename="macellaio-${savedAt.toISOString().slice(0, 10)}.json"`)
    const head = { format: EVERYTHING_FORMAT, version: EVERYTHING_VERSION, savedAt: savedAt.toISOString(), ...rest }
    response.write(JSON.stringify(head).slice(0, -1))
    response.write(',"services":[')
    await each(everything.allServices(), text => response.write(text))
    response.write('],"cooks":[')
    await each(everything.allCooks(), text => response.write(text))
    response.end(']}')
  })

  routes.post('/', async (request, response) => {
    const taken = await everything.takeIn(parseEverything(request.body), Date.now())
    changes.tellAll()
    response.json(taken)
  })

  return routes
}

async function each(all: AsyncIterable<unknown>, write: (text: string) => void): Promise<void> {
  let first = true
  for await (const one of all) {
    write(`${first ? '' : ','}${JSON.stringify(one)}`)
    first = false
  }
}
