/** Writes core/generated from the schemas when one of them has changed. */
import { spawnSync } from 'node:child_process'
import { utimesSync } from 'node:fs'
import { isFresh } from './fresh.mjs'
import { ensureInstalled } from './installed.mjs'
import { root } from './paths.mjs'

const LAST = 'core/generated/operations.d.ts'

export function ensureChecks() {
  ensureInstalled()
  if (isFresh(LAST, ['core', 'scripts/generate', 'package-lock.json'])) return
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/generate/main.ts'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  })
  if (status !== 0) process.exit(1)
  // Writing into core moves that folder's own time past the first file written.
  const now = new Date(Date.now() + 1000)
  utimesSync(`${root}/${LAST}`, now, now)
}
