import { isIP } from 'node:net'
import { hostname } from 'node:os'

/** Where the server listens, or what is wrong with what was asked for. */
export type Address = { host: string; port: number | null } | { problem: string }

const LOOPBACK = '127.0.0.1'
const LAST_PORT = 65_535

/**
 * Reads where to listen from the environment: loopback unless told otherwise.
 * @param env PORT, BRINVO_HOST; either may be missing or empty
 * @returns port null for the first free one
 */
export function readAddress(env: Readonly<Record<string, string | undefined>>): Address {
  const host = (env['BRINVO_HOST'] ?? '').trim() || LOOPBACK
  const asked = (env['PORT'] ?? '').trim()
  if (!/^[A-Za-z0-9.:_-]+$/.test(host))
    return { problem: `BRINVO_HOST=${host} is no host: expected a name or an address such as 127.0.0.1` }
  if (asked === '') return { host, port: null }
  const port = Number(asked)
  return /^\d{1,5}$/.test(asked) && port <= LAST_PORT
    ? { host, port }
    : { problem: `PORT=${asked} is no port: expected a whole number from 0 to ${LAST_PORT}` }
}

/** A host in a URL: an IPv6 address stands in brackets. */
export const inUrl = (host: string): string => (host.includes(':') ? `[${host}]` : host)

const isEverywhere = (host: string) => host === '0.0.0.0' || host === '::'

/**
 * Whether a request's Host header is one of the server's own names. A foreign name means that some other page's address was
 * pointed at this machine, to reach what listens here.
 */
export function isOwnHost(header: string | undefined, listening: string): boolean {
  const name = /^(?:\[([^\]]+)\]|([^:]*))(?::\d+)?$/.exec(header ?? '')
  const host = (name?.[1] ?? name?.[2] ?? '').toLowerCase()
  if (host === '') return false
  const own = ['localhost', LOOPBACK, '::1', listening.toLowerCase()]
  if (own.includes(host)) return true
  const machine = hostname().toLowerCase()
  // Asked to listen on every interface, it is reached by address or by the machine's own name.
  return isEverywhere(listening) && (isIP(host) !== 0 || host === machine || host === `${machine}.local`)
}
