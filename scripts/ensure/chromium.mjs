/** Installs Debian's chromium, which drives the end-to-end tests, when it is not there. */
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

const CHROMIUM = '/usr/bin/chromium'

export function ensureChromium(say = console.error) {
  if (existsSync(CHROMIUM)) return
  say('Installing chromium for the end-to-end tests (once) …')
  const apt = (...args) =>
    spawnSync('apt-get', args, {
      stdio: ['ignore', 'ignore', 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  apt('update', '-qq')
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium')
  if (existsSync(CHROMIUM)) return
  say('chromium could not be installed: install the Debian package "chromium" as root, then run npm test again.')
  process.exit(1)
}
