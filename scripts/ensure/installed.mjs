/** Installs the packages of the lock file when node_modules does not hold them. */
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { root } from './paths.mjs'

const MARK = `${root}/node_modules/.brinvo-installed`

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(`${root}/package-lock.json`))
    .digest('hex')

/** @param {(line: string) => void} say told only when something has to be installed */
export function ensureInstalled(say = console.error) {
  const wanted = lockHash()
  if (existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted) return
  say('Installing packages (once; about a minute) …')
  // npm's own chatter goes to standard error, so that a command's answer stays alone on standard output.
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  })
  if (status !== 0) {
    say('npm ci failed: see above.')
    process.exit(1)
  }
  writeFileSync(MARK, wanted)
}
