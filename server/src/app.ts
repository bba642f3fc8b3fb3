/**
 * The web server: the Book's interface and the built pages, with a strict
 * content-security policy. Built without listening, so that tests can drive it.
 */
import compression from 'compression'
import express, { type Express } from 'express'
import { rateLimit } from 'express-rate-limit'
import helmet from 'helmet'
import type { Knex } from 'knex'
import { existsSync } from 'node:fs'
import { uptime } from 'node:os'
import { join } from 'node:path'
import type { Logger } from 'pino'
import { assertPlain } from '#core/input/plain'
import { Changes } from './changes'
import { CookRepository } from './cooks/repository'
import { cookRoutes } from './cooks/routes'
import { EverythingRepository } from './everything/repository'
import { everythingRoutes } from './everything/routes'
import { ownPagesOnly } from './house/hosts'
import type { Lan } from './house/lan'
import { HouseRepository } from './house/repository'
import { houseRoutes, pairedOnly } from './house/routes'
import { KitRepository } from './kit/repository'
import { kitRoutes } from './kit/routes'
import { DrillRepository } from './drills/repository'
import { drillRoutes } from './drills/routes'
import type { Neighbours } from './neighbours'
import { PacketRepository } from './packets/repository'
import { packetRoutes } from './packets/routes'
import { Probes } from './probes/probes'
import { probeRoutes } from './probes/routes'
import { printRoutes } from './print/routes'
import { Rehearsals } from './rehearsals/rehearsals'
import { rehearsalRoutes } from './rehearsals/routes'
import { RecipeRepository } from './recipes/repository'
import { recipeRoutes } from './recipes/routes'
import { ServiceRepository } from './services/repository'
import { serviceRoutes } from './services/routes'
import { notFound, HttpProblem, problemHandler } from './problem'

export interface AppParts {
  readonly db: Knex
  readonly log: Logger
  /** Folder of the built pages; null serves the interface only. */
  readonly pages: string | null
  /** The door to the local network; null where there is none. */
  readonly lan?: Lan | null
  /** The kitchen's other servers, where it has some. */
  readonly neighbours?: Neighbours | null
  /** From one address; more than a page and its streams ever need. */
  readonly requestsAMinute?: number
}

const BODY_LIMIT = '256kb'
const REQUESTS_A_MINUTE = 1200

const NO_LAN: Lan = { names: () => [], addresses: () => [], open: () => Promise.resolve(), shut: () => Promise.resolve() }

export function createApp({ db, log, pages, lan = null, neighbours = null, requestsAMinute = REQUESTS_A_MINUTE }: AppParts): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          // The component library writes its theme as style elements at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"]
        }
      },
      strictTransportSecurity: false
    })
  )
  const door = lan ?? NO_LAN
  app.use(ownPagesOnly(() => door.names()))
  app.use(compression())

  const api = express.Router()
  api.use(
    rateLimit({
      windowMs: 60_000,
      limit: requestsAMinute,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new HttpProblem(429, 'Too many requests', 'Wait a minute and try again.')
      }
    })
  )
  api.use(express.json({ limit: BODY_LIMIT }))
  api.use((request, _response, next) => {
    if (request.url.includes('%00')) throw new HttpProblem(400, 'The request cannot be read', 'An address cannot hold a null character.')
    if (request.body !== undefined) assertPlain(request.body)
    next()
  })
  const house = new HouseRepository(db)
  api.use('/house', houseRoutes(house, door))
  api.use(pairedOnly(house))
  api.get('/health', async (_request, response) => {
    await db.raw('select 1')
    // By which every screen goes; and the machine's own count, which goes on in its sleep and whatever its clock is set to.
    response.json({ status: 'ok', now: Date.now(), machineS: uptime() })
  })
  const cooks = new CookRepository(db)
  const probes = new Probes(db, cooks)
  const changes = new Changes(neighbours, probe => probes.heardElsewhere(probe))
  api.use('/cooks', cookRoutes(cooks, changes))
  api.use('/packets', packetRoutes(new PacketRepository(db)))
  api.use('/kit', kitRoutes(new KitRepository(db)))
  api.use('/services', serviceRoutes(new ServiceRepository(db), cooks, changes))
  api.use('/recipes', recipeRoutes(new RecipeRepository(db), changes))
  api.use('/everything', everythingRoutes(new EverythingRepository(db), changes))
  api.use('/probes', probeRoutes(probes, cooks, changes))
  api.use('/rehearsals', rehearsalRoutes(new Rehearsals(db, cooks), changes))
  api.use('/drills', drillRoutes(new DrillRepository(db)))
  api.use('/print', printRoutes())
  api.use(notFound)
  app.use('/api', api)

  if (pages !== null && existsSync(join(pages, 'index.html'))) {
    app.use(
      express.static(pages, {
        index: false,
        setHeaders: (response, path) =>
          response.setHeader('Cache-Control', path.includes('assets') ? 'public, max-age=31536000, immutable' : 'no-cache')
      })
    )
    app.get(/^\/(?!assets\/).*/, (_request, response) => {
      response.setHeader('Cache-Control', 'no-cache')
      response.sendFile(join(pages, 'index.html'))
    })
  }
  app.use(notFound)
  app.use(problemHandler(log))
  return app
}
