/** Who is let in: this machine, and devices that were paired with it; nobody under another name, and no page of another site. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import { createServer, type AddressInfo } from 'node:net'
import pino from 'pino'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { createApp } from '../app'
import { emptyDatabase } from '../db/place.fixture'
import { lanOn, type Lan } from './lan'
import { HouseRepository } from './repository'
import { lockedBy, opens } from './secrets'

let db: Knex
let app: Express
let lan: Lan
let port: number
/** One certificate does for all of them: a key takes a second to be made. */
let certificate: string | null = null

const freePort = (): Promise<number> =>
  new Promise(found => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port: free } = probe.address() as AddressInfo
      probe.close(() => found(free))
    })
  })
beforeEach(async () => {
  db = await emptyDatabase()
  port = await freePort()
  const house = new HouseRepository(db)
  await house.keep('certificate', certificate)
  lan = lanOn(port, house, () => app, '127.0.0.1')
  app = createApp({ db, log: pino({ level: 'silent' }), pages: null, lan, requestsAMinute: 60 })
  await lan.open()
  certificate = await house.kept('certificate')
})
afterEach(async () => {
  await lan.shut()
  await db.destroy()
})

/** As another device has it. */
const phone = (method: 'get' | 'post' | 'put' | 'delete', path: string, cookie = '') => {
  const asked = request(`https://127.0.0.1:${port}`)[method](`/api${path}`).disableTLSCerts()
  return cookie === '' ? asked : asked.set('Cookie', cookie)
}
const invited = async (): Promise<string> => {
  const { body } = await request(app).post('/api/house/invitations').expect(201)
  return String((body as { url: string }).url).split('#')[1]
}
const cookieOf = (answer: { headers: Record<string, unknown> }): string => String((answer.headers['set-cookie'] as string[])[0])

describe('another device in the network', () => {
  it('sees nothing before it is paired, and opens nothing', async () => {
    for (const path of ['/services', '/cooks', '/kit', '/packets', '/health', '/cooks/some-cook'])
      await phone('get', path)
        .expect(401)
        .expect('content-type', /problem\+json/)
    await phone('post', '/cooks').send({}).expect(401)
    const { body } = await phone('get', '/house').expect(200)
    expect(body).toEqual({ here: false, in: false, passcode: false })
    await phone('put', '/house/open').send({ open: false }).expect(403)
    await phone('put', '/house/passcode').send({ passcode: 'long enough' }).expect(403)
    await phone('post', '/house/invitations').expect(403)
    await phone('delete', '/house/devices/some').expect(403)
  })

  it('comes in once by what it was shown, stays in by a cookie that no script reads, and is put out', async () => {
    const secret = await invited()
    const answer = await phone('post', '/house/devices').send({ name: 'Galley phone', secret }).expect(201)
    const cookie = cookieOf(answer)
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/Secure/)
    expect(cookie).toMatch(/SameSite=Strict/)
    const [shown] = cookie.split(';')
    await phone('get', '/services', shown).expect(200)
    // Used up.
    await phone('post', '/house/devices').send({ name: 'Another', secret }).expect(403)
    // Nothing in the database lets anybody in.
    const rows = JSON.stringify(await db('devices'))
    expect(rows).not.toContain(shown.split('.')[1])
    const { body } = await request(app).get('/api/house').expect(200)
    const { devices } = body as { devices: { id: string; name: string }[] }
    expect(devices).toMatchObject([{ name: 'Galley phone' }])
    await request(app).delete(`/api/house/devices/${devices[0].id}`).expect(204)
    await phone('get', '/services', shown).expect(401)
    await phone('get', '/services', `macellaio_device=${devices[0].id}.guessed`).expect(401)
  })

  it('comes in by the passcode, once there is one', async () => {
    await phone('post', '/house/devices').send({ name: 'Tablet', passcode: '' }).expect(403)
    await request(app).put('/api/house/passcode').send({ passcode: 'short' }).expect(422)
    await request(app).put('/api/house/passcode').send({ passcode: 'lock and weir 7' }).expect(204)
    expect(await new HouseRepository(db).kept('passcode')).not.toContain('weir')
    await phone('post', '/house/devices').send({ name: 'Tablet', passcode: 'lock and weir 8' }).expect(403)
    await phone('post', '/house/devices').send({ name: 'Tablet', passcode: 'lock and weir 7' }).expect(201)
    await phone('post', '/house/devices').send({ name: '', passcode: 'lock and weir 7' }).expect(422)
    await request(app).put('/api/house/passcode').send({ passcode: null }).expect(204)
    await phone('post', '/house/devices').send({ name: 'Tablet', passcode: 'lock and weir 7' }).expect(403)
  })

  it('does not guess for long', async () => {
    for (let i = 0; i < 10; i++)
      await phone('post', '/house/devices')
        .send({ name: 'x', secret: `guess ${i}` })
        .expect(403)
    const secret = await invited()
    await phone('post', '/house/devices').send({ name: 'x', secret }).expect(429)
  })

  it('is gone where the door is shut, and is known again where it is opened', async () => {
    const secret = await invited()
    const [shown] = cookieOf(await phone('post', '/house/devices').send({ name: 'Phone', secret })).split(';')
    await request(app).put('/api/house/open').send({ open: false }).expect(204)
    await expect(phone('get', '/services', shown)).rejects.toThrow(/ECONNREFUSED/)
    await request(app).post('/api/house/invitations').expect(409)
    await request(app).put('/api/house/open').send({ open: true }).expect(204)
    await phone('get', '/services', shown).expect(200)
  })
})

describe('on this machine', () => {
  it('another name that was turned to this address reads and writes nothing', async () => {
    for (const host of ['rebound.example', 'rebound.example:4380', 'localhost.rebound.example', '']) {
      await request(app).get('/api/services').set('Host', host).expect(421)
      await request(app).post('/api/cooks').set('Host', host).send({}).expect(421)
    }
    for (const host of ['localhost:4380', '127.0.0.1', '[::1]:4380', 'LOCALHOST'])
      await request(app).get('/api/services').set('Host', host).expect(200)
  })

  it('a page of another site asks in vain, and uses nothing up', async () => {
    const from = (site: string) => request(app).post('/api/cooks/demo/restored').set('Host', 'localhost:4380').set('Origin', site)
    for (let i = 0; i < 30; i++) {
      await from('https://other.example').expect(403)
      await from('null').expect(403)
      await request(app).get('/api/services').set('Sec-Fetch-Site', 'cross-site').expect(403)
    }
    await request(app).get('/api/services').set('Sec-Fetch-Site', 'same-site').expect(403)
    // Its own page still has all it may ask for.
    await from('http://localhost:4380').expect(404)
    await request(app).get('/api/services').set('Sec-Fetch-Site', 'same-origin').expect(200)
  })
})

it('a passcode opens its own lock only, however it is written, and two locks of one passcode differ', async () => {
  const lock = await lockedBy('Crème brûlée')
  expect(await opens('Cre\u0300me bru\u0302le\u0301e', lock)).toBe(true)
  expect(await opens('Creme brulee', lock)).toBe(false)
  expect(await lockedBy('Crème brûlée')).not.toBe(lock)
  expect(await opens('anything', 'no lock')).toBe(false)
})
