/** /api/house: the kitchen's other screens. Opened, shown out and locked from this machine only; a device pairs itself with a secret or the passcode. */
import { parse } from 'cookie'
import { Router, type Request, type RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import * as yup from 'yup'
import { parseClaim, parsePasscode, type House } from '#core/formats/houseSchema'
import { validate } from '#core/input/problem'
import { HttpProblem } from '#server/problem'
import { overTheNetwork } from './hosts'
import type { Lan } from './lan'
import type { HouseRepository } from './repository'
import { hashOf, lockedBy, newCode, opens, same } from './secrets'

const COOKIE = 'macellaio_device'
const COOKIE_DAYS = 180
const DAY_MS = 24 * 3600_000
/** Long enough to fetch the phone. */
const INVITED_MS = 10 * 60_000
const ATTEMPTS = 10
const ATTEMPTS_WITHIN_MS = 15 * 60_000
const hereOnly: RequestHandler = (request, _response, next) => {
  if (overTheNetwork(request)) throw new HttpProblem(403, 'Not from here', 'This can be done only at the machine that Macellaio runs on.')
  next()
}
/** Lets in what is on this machine, and the devices that were paired. */
export function pairedOnly(house: HouseRepository): RequestHandler {
  return async (request, _response, next) => {
    if (overTheNetwork(request) && (await deviceOf(house, request)) === null)
      throw new HttpProblem(401, 'Not paired', 'This device is not known in this kitchen. Pair it first.')
    next()
  }
}
const deviceOf = (house: HouseRepository, request: Request): Promise<string | null> =>
  house.known(parse(request.headers.cookie ?? '')[COOKIE] ?? '', Date.now())

export function houseRoutes(house: HouseRepository, lan: Lan): Router {
  const routes = Router()
  routes.get('/', async (request, response) => {
    const network = overTheNetwork(request)
    const device = network ? await deviceOf(house, request) : null
    const addresses = lan.addresses()
    const seen: House = {
      here: !network,
      in: !network || device !== null,
      passcode: (await house.kept('passcode')) !== null,
      ...(network ? {} : { open: addresses.length > 0, addresses, devices: await house.devices() })
    }
    response.json(seen)
  })

  routes.put('/open', hereOnly, async (request, response) => {
    const { open } = validate(yup.object({ open: yup.boolean().strict().required('This is missing.') }).noUnknown(), request.body)
    if (open) {
      await lan.open()
      if (lan.addresses().length === 0) {
        await lan.shut()
        throw new HttpProblem(409, 'No network', 'This machine is in no network that a phone could reach it by.')
      }
    } else await lan.shut()
    await house.keep('open', open ? 'yes' : null)
    response.status(204).end()
  })

  routes.put('/passcode', hereOnly, async (request, response) => {
    const { passcode: chosen } = parsePasscode(request.body)
    await house.keep('passcode', chosen === null ? null : await lockedBy(chosen))
    response.status(204).end()
  })

  /** One invitation at a time, good once, at whichever server it is shown. */
  routes.post('/invitations', hereOnly, async (_request, response) => {
    const [address] = lan.addresses()
    if (address === undefined) throw new HttpProblem(409, 'Shut', 'Open it for the kitchen’s other screens first.')
    const secret = newCode()
    const until = Date.now() + INVITED_MS
    await house.keep('invited', JSON.stringify({ hash: hashOf(secret), until }))
    response.status(201).json({ url: `${address}/pair#${secret}`, until })
  })

  const attempts = rateLimit({
    windowMs: ATTEMPTS_WITHIN_MS,
    limit: ATTEMPTS,
    skipSuccessfulRequests: true,
    // Whoever guesses from many addresses guesses no faster.
    keyGenerator: () => 'all',
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new HttpProblem(429, 'Too many attempts', 'Too many attempts to come in. Wait a quarter of an hour.')
    }
  })
  routes.post('/devices', attempts, async (request, response) => {
    const { name, secret, passcode: said } = parseClaim(request.body)
    const invited = await house.kept('invited')
    const bySecret = secret !== undefined && invited !== null && isInvited(secret, invited)
    const lock = await house.kept('passcode')
    if (!bySecret && !(said !== undefined && lock !== null && (await opens(said, lock))))
      throw new HttpProblem(
        403,
        'Not let in',
        'That is neither the passcode nor a code that is shown now. A code is good once, for ten minutes.'
      )
    if (bySecret && !(await house.take('invited', invited)))
      throw new HttpProblem(403, 'Not let in', 'That code was used a moment ago. Show another.')
    const token = await house.pair(name, Date.now())
    if (token === null) throw new HttpProblem(409, 'Too many devices', 'Forty devices are paired. Put one out first.')
    response.cookie(COOKIE, token, {
      httpOnly: true,
      secure: overTheNetwork(request),
      sameSite: 'strict',
      maxAge: COOKIE_DAYS * DAY_MS,
      path: '/'
    })
    response.status(201).json({ name })
  })

  routes.delete('/devices/:id', hereOnly, async (request, response) => {
    if (!(await house.putOut(String(request.params['id'])))) throw new HttpProblem(404, 'No such device', 'That device is not paired.')
    response.status(204).end()
  })

  return routes
}

function isInvited(secret: string, kept: string): boolean {
  const { hash, until } = JSON.parse(kept) as { hash: string; until: number }
  return until > Date.now() && same(hash, hashOf(secret))
}
