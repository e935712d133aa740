import { randomInt } from 'node:crypto'
import { createServer } from 'node:http'
import { fileURLToPath } from 'node:url'
import { inUrl, readAddress } from './address.ts'
import { createApp } from './app.ts'

const FIRST_PORT = 5820
const PORTS_TO_TRY = 20

const address = readAddress(process.env)
const dist = process.env['BRINVO_DIST'] ?? fileURLToPath(new URL('../dist', import.meta.url))

/** Without letters and figures that look alike. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789'
const WORD_LETTERS = 10

const pairingWord =
  process.env['BRINVO_PAIRING'] ??
  Array.from({ length: WORD_LETTERS }, () => LETTERS[randomInt(LETTERS.length)]).join('')

/** Listens on the asked port, or on the first free one from 5820 on. */
function listen(host: string, port: number, isAsked: boolean, left: number): void {
  const isOpen = !['127.0.0.1', 'localhost', '::1'].includes(host)
  const server = createServer(createApp(dist, host, { pairingWord: isOpen ? pairingWord : null }))
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && !isAsked && left > 0) return listen(host, port + 1, isAsked, left - 1)
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken; choose another with PORT=…`
        : error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND'
          ? `BRINVO_HOST=${host} is not an address of this machine`
          : error.message,
    )
    process.exit(1)
  })
  server.listen(port, host, () => {
    const bound = server.address()
    console.log(`Brinvo is at http://${inUrl(host)}:${typeof bound === 'object' && bound ? bound.port : port}`)
    if (isOpen)
      console.log(
        `Listening beyond this machine: anyone on the network can open the page (each browser keeps its own journal). Orders to devices need the pairing word: ${pairingWord}`,
      )
  })
}

if ('problem' in address) {
  console.error(address.problem)
  process.exitCode = 1
} else listen(address.host, address.port ?? FIRST_PORT, address.port !== null, PORTS_TO_TRY)
