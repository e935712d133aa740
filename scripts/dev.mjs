/** `npm run dev`: the app with hot reloading, for work on it. */
import { spawn } from 'node:child_process'
import { ensureChecks } from './ensure/checks.mjs'
import { root } from './ensure/paths.mjs'

ensureChecks()
const vite = spawn(process.execPath, ['node_modules/vite/bin/vite.js', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
})
vite.on('exit', (code) => process.exit(code ?? 0))
