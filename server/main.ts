import { createServer } from 'node:http'
import { fileURLToPath } from 'node:url'
import { createApp } from './app.ts'

const FIRST_PORT = 5820
const PORTS_TO_TRY = 20

const host = process.env['BRINVO_HOST'] ?? '127.0.0.1'
const asked = process.env['PORT']
const dist = process.env['BRINVO_DIST'] ?? fileURLToPath(new URL('../dist', import.meta.url))

/** Listens on the asked port, or on the first free one from 5820 on. */
function listen(port: number, left: number): void {
  const server = createServer(createApp(dist))
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && asked === undefined && left > 0) return listen(port + 1, left - 1)
    console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken; choose another with PORT=…` : error.message)
    process.exit(1)
  })
  server.listen(port, host, () => {
    console.log(`Brinvo is at http://${host.includes(':') ? `[${host}]` : host}:${port}`)
    if (host !== '127.0.0.1' && host !== 'localhost')
      console.log(
        'Listening beyond this machine: anyone on the network can open the page (each browser keeps its own journal).',
      )
  })
}

listen(asked === undefined ? FIRST_PORT : Number(asked), PORTS_TO_TRY)
