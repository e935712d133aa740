/**
 * Installs Debian's chromium, which drives the end-to-end tests, when it is not there; and its headless build, which does the same
 * without a window in two thirds of the time. The tests run without the second one too, only slower.
 */
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

const CHROMIUM = '/usr/bin/chromium'
const HEADLESS = '/usr/bin/chromium-headless-shell'

const apt = (...args) =>
  spawnSync('apt-get', ['-o', 'Acquire::Retries=1', '-o', 'Acquire::http::Timeout=20', ...args], {
    stdio: ['ignore', 'ignore', 2],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  }).status === 0

export function ensureChromium(say = console.error) {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(existsSync(HEADLESS) ? [] : ['chromium-headless-shell']),
  ]
  if (missing.length === 0) return
  say(`Installing ${missing.join(' and ')} for the end-to-end tests (once) …`)
  const install = (...names) => apt('install', '-y', '-qq', '--no-install-recommends', ...names)
  // Package lists that are there may be good enough; else new ones are fetched first.
  if (!install(...missing) && apt('update', '-qq') && !install(...missing)) install('chromium')
  if (!existsSync(CHROMIUM)) {
    say('chromium could not be installed: install the Debian package "chromium" as root, then run npm test again.')
    process.exit(1)
  }
  if (!existsSync(HEADLESS)) say('chromium-headless-shell could not be installed: the tests run with chromium, slower.')
}
