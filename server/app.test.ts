import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, get as httpGet, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { inUrl, isOwnHost, readAddress } from './address.ts'
import { createApp } from './app.ts'

let server: Server
let folder: string
let origin: string

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'brinvo-dist-'))
  mkdirSync(join(folder, 'assets'))
  writeFileSync(
    join(folder, 'index.html'),
    '<!doctype html><title>Brinvo</title><script src="./assets/app-abc123.js"></script>',
  )
  writeFileSync(join(folder, 'assets', 'app-abc123.js'), 'export {}')
  writeFileSync(join(folder, 'sw.js'), '// worker')
  server = createServer(createApp(folder))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})

afterAll(() => {
  server.close()
  rmSync(folder, { recursive: true })
})

const get = (path: string, headers: Record<string, string> = { accept: 'text/html' }) =>
  fetch(origin + path, { headers })

describe('the server', () => {
  test('every page of the app is the one document, never kept for good', async () => {
    for (const path of ['/', '/tanks/hall', '/records?x=1']) {
      const response = await get(path)
      expect(response.status).toBe(200)
      expect(await response.text()).toContain('<title>Brinvo</title>')
      expect(response.headers.get('cache-control')).toBe('no-cache')
    }
  })

  test('assets, whose names carry a hash, are kept for a year; a missing one is not the page', async () => {
    expect((await get('/assets/app-abc123.js')).headers.get('cache-control')).toContain('immutable')
    const missing = await get('/assets/old-123.js')
    expect(missing.status).toBe(404)
    expect(await missing.text()).not.toContain('<title>')
  })

  test('the service worker is always asked for anew', async () => {
    expect((await get('/sw.js')).headers.get('cache-control')).toContain('max-age=0')
  })

  test('every answer carries the security headers, errors among them', async () => {
    for (const path of ['/', '/assets/none.js', '/sw.js']) {
      const { headers } = await get(path)
      const policy = headers.get('content-security-policy')!
      expect(policy).toContain("default-src 'none'")
      expect(policy).not.toMatch(/unsafe-(inline|eval)/)
      expect(policy).toContain("frame-ancestors 'none'")
      expect(headers.get('x-content-type-options')).toBe('nosniff')
      expect(headers.get('referrer-policy')).toBe('no-referrer')
      expect(headers.get('x-powered-by')).toBeNull()
      expect(headers.get('strict-transport-security')).toBeNull()
    }
  })

  test('a path that climbs out of the folder finds nothing', async () => {
    const response = await get('/assets/..%2f..%2fetc%2fpasswd')
    expect(response.status).toBeGreaterThanOrEqual(400)
  })

  test('a client that wants no page gets a plain 404', async () => {
    expect((await get('/api/none', { accept: 'application/json' })).status).toBe(404)
  })
})

describe('whom it answers', () => {
  const ask = (host: string) =>
    new Promise<number>((resolve, reject) => {
      const { port } = server.address() as AddressInfo
      httpGet({ host: '127.0.0.1', port, path: '/', headers: { host, accept: 'text/html' } }, (response) => {
        response.resume()
        resolve(response.statusCode ?? 0)
      }).on('error', reject)
    })

  test.each(['127.0.0.1:5820', 'localhost', '[::1]:5820'])('%s is its own name', async (host) =>
    expect(await ask(host)).toBe(200),
  )
  test.each(['evil.example', '127.0.0.1.evil.example:5820'])('%s is refused', async (host) =>
    expect(await ask(host)).toBe(421),
  )

  test('listening everywhere it answers to addresses and to the machine’s name', () => {
    expect(isOwnHost('192.168.1.7:5820', '0.0.0.0')).toBe(true)
    expect(isOwnHost('evil.example', '0.0.0.0')).toBe(false)
    expect(isOwnHost(undefined, '0.0.0.0')).toBe(false)
  })
})

test('the document’s scripts are found from any screen’s address', async () => {
  expect(await (await get('/tanks/hall')).text()).toContain('src="/assets/app-abc123.js"')
  expect(await (await get('/index.html')).text()).toContain('src="/assets/app-abc123.js"')
})

describe('where it listens', () => {
  test.each([
    [{}, { host: '127.0.0.1', port: null }],
    [
      { PORT: '', BRINVO_HOST: '' },
      { host: '127.0.0.1', port: null },
    ],
    [
      { PORT: '8080', BRINVO_HOST: '::1' },
      { host: '::1', port: 8080 },
    ],
    [{ PORT: 'abc' }, { problem: expect.stringContaining('PORT=abc is no port') as string }],
    [{ PORT: '70000' }, { problem: expect.stringContaining('0 to 65535') as string }],
    [{ BRINVO_HOST: 'a b' }, { problem: expect.stringContaining('is no host') as string }],
  ])('%j', (env, expected) => expect(readAddress(env)).toEqual(expected))

  test('an IPv6 address stands in brackets', () => expect(inUrl('::1')).toBe('[::1]'))
})
