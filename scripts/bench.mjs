/** `npm run bench`: ratios measured in one run on this machine; nothing here passes or fails. */
import { spawnSync } from 'node:child_process'
import { ensureBuilt } from './ensure/built.mjs'
import { ensureChromium } from './ensure/chromium.mjs'
import { root } from './ensure/paths.mjs'

await ensureBuilt()
ensureChromium()
const only = process.argv[2]
const parts = ['core', 'plan', 'guard', 'dose', 'diagnose', 'microscope', 'water', 'arrivals', 'ledger'].filter(
  (part) => only === undefined || part === only,
)
for (const part of parts) {
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', `scripts/bench/${part}.ts`], {
    cwd: root,
    stdio: 'inherit',
  })
  if (status !== 0) process.exit(status ?? 1)
}
