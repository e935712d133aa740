import compression from 'compression'
import express, { type ErrorRequestHandler, type Express, type Response } from 'express'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { isOwnHost } from './address.ts'
import { deviceRoutes } from './device-routes.ts'
import { securityHeaders } from './security.ts'
import { StandIns } from './stand-ins.ts'

/** What is wrong with a request to the devices that never reached its own route. */
const API_FAULTS: Readonly<Record<number, string>> = {
  400: 'expected JSON',
  413: 'expected at most 64 KB',
  415: 'expected JSON in UTF-8',
}

const YEAR_S = 31_536_000

/**
 * Serves the built app. No accounts, no database: what a keeper writes never leaves the browser.
 * @param dist the folder of the built app
 * @param listening the host the server listens on: requests for other hosts are refused
 * @param standIns the simulated devices
 * @param pairingWord what every order to a device has to bring; null where the server answers to its own machine alone
 */
export function createApp(
  dist: string,
  listening = '127.0.0.1',
  { standIns = new StandIns(), pairingWord = null }: { standIns?: StandIns; pairingWord?: string | null } = {},
): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(securityHeaders())
  app.use((request, response, next) => {
    if (isOwnHost(request.headers.host, listening)) return next()
    const fault = 'This server answers to its own names only.'
    if (request.path.startsWith('/api')) response.status(421).json({ error: fault })
    else response.status(421).type('text/plain').send(fault)
  })
  app.use(compression())
  app.use('/api', deviceRoutes(standIns, pairingWord), (_request, response) => {
    response.status(404).json({ error: 'there is no such address; docs/devices.md lists them' })
  })
  app.use(
    '/assets',
    // Their names carry a hash of their content.
    express.static(join(dist, 'assets'), { immutable: true, maxAge: YEAR_S * 1000, fallthrough: false, index: false }),
  )
  // The document names its scripts relative to itself, for static hosts; here any screen's address may be asked for.
  const sendDocument = async (response: Response) => {
    const document = await readFile(join(dist, 'index.html'), 'utf8')
    response.setHeader('Cache-Control', 'no-cache')
    response.type('html').send(document.replace(/\b(src|href)="\.\//g, '$1="/'))
  }
  app.get('/index.html', (_request, response) => sendDocument(response))
  app.use(express.static(dist, { maxAge: 0, index: false }))
  app.get('/{*page}', async (request, response) => {
    if (!request.accepts('html')) {
      response.status(404).type('text/plain').send('There is nothing here.')
      return
    }
    await sendDocument(response)
  })
  const onError: ErrorRequestHandler = (error: { status?: number }, request, response, _next) => {
    const status = error.status ?? 500
    if (status >= 500) console.error(error)
    if (request.path.startsWith('/api')) {
      response.status(status).json({ error: API_FAULTS[status] ?? 'something went wrong on the server' })
      return
    }
    response
      .status(status)
      .type('text/plain')
      .send(status === 404 ? 'There is nothing here.' : 'Something went wrong on the server.')
  }
  app.use(onError)
  return app
}
