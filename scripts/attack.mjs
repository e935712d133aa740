/** `npm run attack`: see scripts/attack/main.ts. */
import { spawnSync } from 'node:child_process'
import { ensureBuilt } from './ensure/built.mjs'
import { ensureChromium } from './ensure/chromium.mjs'
import { root } from './ensure/paths.mjs'

await ensureBuilt()
ensureChromium()
const { status } = spawnSync(
  process.execPath,
  ['--import', 'tsx', 'scripts/attack/main.ts', ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
  },
)
process.exit(status ?? 1)
