/** Builds the app and the server when something they are made of has changed. */
import { spawnSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { ensureChecks } from './checks.mjs'
import { isFresh } from './fresh.mjs'
import { root } from './paths.mjs'

const MARK = '.build/app-built'
const SOURCES = [
  'main.tsx',
  'index.html',
  'vite.config.ts',
  'public',
  'core',
  'app',
  'demo',
  'server',
  'package-lock.json',
]

export async function ensureBuilt(say = console.error) {
  ensureChecks()
  if (isFresh(MARK, SOURCES)) return
  say('Building …')
  const vite = spawnSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'warn'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  })
  if (vite.status !== 0) process.exit(1)
  const { build } = await import('esbuild')
  await build({
    entryPoints: [`${root}/server/main.ts`],
    outfile: `${root}/.build/server.mjs`,
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
  })
  writeFileSync(`${root}/${MARK}`, '')
}
