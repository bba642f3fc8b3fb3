/** /api/packets: what is in the larder. Putting one back is putting it again. */
import { Router } from 'express'
import { parsePacket } from '#core/shop/schema'
import { HttpProblem } from '#server/problem'
import type { PacketRepository } from './repository'

export function packetRoutes(packets: PacketRepository): Router {
  const routes = Router()

  routes.get('/', async (_request, response) => {
    response.json({ packets: await packets.list() })
  })

  routes.put('/:id', async (request, response) => {
    const packet = parsePacket(request.body)
    if (packet.id !== request.params.id)
      throw new HttpProblem(422, 'The input cannot be taken', 'The id in the address and in the packet differ.')
    const added = await packets.put(packet)
    response.status(added ? 201 : 200).json(packet)
  })

  routes.delete('/:id', async (request, response) => {
    const found = await packets.remove(request.params.id, Date.now())
    if (!found) throw new HttpProblem(404, 'No such packet', `There is no packet “${request.params.id}”.`)
    response.status(204).end()
  })

  return routes
}
