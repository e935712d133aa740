import compression from 'compression'
import express, { type ErrorRequestHandler, type Express } from 'express'
import { join } from 'node:path'
import { securityHeaders } from './security.ts'

const YEAR_S = 31_536_000

/** Serves the built app. No accounts, no database: what a keeper writes never leaves the browser. */
export function createApp(dist: string): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(securityHeaders())
  app.use(compression())
  app.use(
    '/assets',
    // Their names carry a hash of their content.
    express.static(join(dist, 'assets'), { immutable: true, maxAge: YEAR_S * 1000, fallthrough: false, index: false }),
  )
  app.use(express.static(dist, { maxAge: 0, index: false }))
  app.get('/{*page}', (request, response) => {
    if (!request.accepts('html')) {
      response.status(404).type('text/plain').send('There is nothing here.')
      return
    }
    response.setHeader('Cache-Control', 'no-cache')
    response.sendFile(join(dist, 'index.html'))
  })
  const onError: ErrorRequestHandler = (error: { status?: number }, _request, response, _next) => {
    const status = error.status ?? 500
    response
      .status(status)
      .type('text/plain')
      .send(status === 404 ? 'There is nothing here.' : 'Something went wrong on the server.')
    if (status >= 500) console.error(error)
  }
  app.use(onError)
  return app
}
