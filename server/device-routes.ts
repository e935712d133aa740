import { timingSafeEqual } from 'node:crypto'
import express, { Router, type Request, type RequestHandler, type Response } from 'express'
import { readMessage, type DeviceOffered } from '../core/devices/messages.ts'
import { orderFault } from '../core/devices/order-bounds.ts'
import { isZone } from '../core/time/zone.ts'
import { standInPicture } from './picture.ts'
import type { StandIns } from './stand-ins.ts'

const TICK_MS = 250

/** A browser says which page asks: only the server's own may. Without the header it is no browser. */
const ownPagesOnly: RequestHandler = (request, response, next) => {
  const { origin, host } = request.headers
  if (origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`) {
    response.status(403).json({ error: 'only pages of this server may speak to the devices' })
    return
  }
  next()
}

/** The header that brings the pairing word. */
const PAIRING = 'x-brinvo-pairing'

const pairedWritesOnly =
  (word: string): RequestHandler =>
  (request, response, next) => {
    const came = Buffer.from(request.get(PAIRING) ?? '')
    const expected = Buffer.from(word)
    if (request.method === 'GET' || (came.length === expected.length && timingSafeEqual(came, expected))) return next()
    response.status(401).json({ error: 'type the pairing word that the server shows where it was started' })
  }

/** An instant of the query; the beginning of time where there is none. */
const sinceOf = (request: Request): number => {
  const { since } = request.query
  const at = typeof since === 'string' ? Date.parse(since) : NaN
  return Number.isNaN(at) ? 0 : at
}

/**
 * The devices' interface: JSON over HTTP and server-sent events, docs/devices.md. The stand-ins answer it; a real device takes their place by answering the
 * same.
 * @param pairingWord what every write has to bring where the server listens beyond its own machine; null where it does not
 */
export function deviceRoutes(standIns: StandIns, pairingWord: string | null = null): Router {
  const routes = Router()
  routes.use(ownPagesOnly)
  // Whoever is on the network may look; only who has read the word at the server may make a pump give something.
  if (pairingWord !== null) routes.use(pairedWritesOnly(pairingWord))
  routes.use(express.json({ limit: '64kb' }))
  routes.use((_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    next()
  })

  const known = (request: Request, response: Response, type?: DeviceOffered['type']): DeviceOffered | null => {
    const device = standIns.device(String(request.params['id']))
    if (device && (type === undefined || device.type === type)) return device
    response.status(404).json({ error: `no ${type ?? 'device'} is called “${String(request.params['id'])}”` })
    return null
  }

  routes.get('/devices', (_request, response) => {
    response.json(standIns.list())
  })

  routes.get('/devices/stream', (request, response) => {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      // Compression would hold the events back.
      'Cache-Control': 'no-store, no-transform',
      Connection: 'keep-alive',
    })
    const send = (event: string, data: unknown) => response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
    response.write('retry: 2000\n\n')
    const sent = new Map<string, string>()
    let until = standIns.now()
    const tick = () => {
      const now = standIns.now()
      for (const device of standIns.list().devices.filter(({ type }) => type === 'probe'))
        for (const measure of device.measures) {
          const sample = standIns.sample(device, measure, now)
          const key = `${device.id} ${measure.parameter}`
          if (!sample || sent.get(key) === sample.at) continue
          sent.set(key, sample.at)
          send('sample', sample)
        }
      for (const shot of standIns.shotsBetween(Math.min(until, now), now)) send('shot', shot)
      until = now
    }
    tick()
    const timer = setInterval(tick, TICK_MS)
    request.on('close', () => clearInterval(timer))
  })

  routes.get('/devices/:id/samples', (request, response) => {
    const device = known(request, response)
    if (device) response.json({ samples: device.type === 'probe' ? standIns.memory(device, sinceOf(request)) : [] })
  })

  routes.post('/devices/:id/measure', (request, response) => {
    const device = known(request, response, 'photometer')
    if (!device) return
    const asked = readMessage('measureRequest', request.body)
    const measure = asked.ok && device.measures.find(({ parameter }) => parameter === asked.value.parameter)
    if (!measure) {
      const able = device.measures.map(({ parameter }) => parameter).join(', ')
      response.status(400).json({ error: asked.ok ? `it measures ${able}` : asked.error.message })
      return
    }
    setTimeout(() => {
      const sample = standIns.sample(device, measure, standIns.now())
      if (sample) response.json(sample)
      else response.status(503).json({ error: 'it gave no value' })
    }, measure.everySeconds * 1000)
  })

  routes.get('/devices/:id/plan', (request, response) => {
    const device = known(request, response, 'pump')
    if (device) response.json(standIns.report(device.id, sinceOf(request)))
  })

  routes.put('/devices/:id/plan', (request, response) => {
    const device = known(request, response, 'pump')
    if (!device) return
    const order = readMessage('pumpOrder', request.body)
    const fault = order.ok ? orderFault(order.value, standIns.now()) : null
    if (!order.ok) response.status(400).json({ error: `${order.error.path} ${order.error.message}` })
    else if (!isZone(order.value.timeZone))
      response.status(400).json({ error: `no time zone is called “${order.value.timeZone}”` })
    else if (fault !== null) response.status(400).json({ error: fault })
    else {
      standIns.order(device.id, order.value)
      response.json(standIns.report(device.id, 0))
    }
  })

  routes.delete('/devices/:id/plan', (request, response) => {
    const device = known(request, response, 'pump')
    if (!device) return
    standIns.order(device.id, null)
    response.json(standIns.report(device.id, 0))
  })

  routes.get('/devices/:id/picture', (request, response) => {
    if (known(request, response, 'camera')) response.type('png').send(standInPicture(standIns.now()))
  })

  routes.put('/simulator', (request, response) => {
    const setting = readMessage('simulatorSetting', request.body)
    if (!setting.ok) {
      response.status(400).json({ error: `${setting.error.path} ${setting.error.message}` })
      return
    }
    standIns.set(setting.value)
    response.json(standIns.list())
  })

  return routes
}
