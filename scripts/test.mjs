/**
 * `npm test`: from a fresh clone, everything: type check, lint, unit tests, then end-to-end tests against the built app.
 * The last line sums all of them: `N passed, M failed`.
 */
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { ensureBuilt } from './ensure/built.mjs'
import { ensureChecks } from './ensure/checks.mjs'
import { ensureChromium } from './ensure/chromium.mjs'
import { root } from './ensure/paths.mjs'

const MODULES = `${root}/node_modules`

/** Runs a command to its end, showing what it prints; its exit code. */
const run = (name, args) =>
  new Promise((resolve) => {
    console.log(`\n— ${name}`)
    spawn(process.execPath, args, { cwd: root, stdio: 'inherit' }).on('exit', (code) => resolve(code ?? 1))
  })

const total = { passed: 0, failed: 0 }
const count = (passed, failed) => {
  total.passed += passed
  total.failed += failed
}
/** A check that passes or fails as one. */
const countOne = (code) => (code === 0 ? count(1, 0) : count(0, 1))

/** The counts of a runner's report; a runner that died without one counts as one failure. */
function countReport(path, read, code) {
  try {
    const { passed, failed } = read(JSON.parse(readFileSync(path, 'utf8')))
    // A runner can fail beyond its tests: a suite that does not load, a server that does not start.
    count(passed, failed === 0 && code !== 0 ? 1 : failed)
  } catch {
    count(0, 1)
  }
}

mkdirSync(`${root}/.build`, { recursive: true })
const reports = { jest: `${root}/.build/jest.json`, e2e: `${root}/.build/e2e.json` }
for (const path of Object.values(reports)) rmSync(path, { force: true })

ensureChecks()
ensureChromium()

// Lint takes longest, and keeps one core busy: what else there is runs beside it, and neither writes what the other reads.
const linting = run('lint', [
  `${MODULES}/eslint/bin/eslint.js`,
  '.',
  '--max-warnings',
  '0',
  '--cache',
  '--cache-location',
  '.build/eslintcache',
])
countOne(await run('type check', [`${MODULES}/typescript/bin/tsc`, '-p', 'tsconfig.json']))
countOne(await run('format', [`${MODULES}/prettier/bin/prettier.cjs`, '--check', '--log-level', 'warn', '.']))
await ensureBuilt()

const jest = await run('unit tests', [`${MODULES}/jest/bin/jest.js`, '--json', `--outputFile=${reports.jest}`])
countReport(
  reports.jest,
  (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }),
  jest,
)

countOne(await linting)

const e2e = await run('end-to-end tests', [`${MODULES}/@playwright/test/cli.js`, 'test'])
countReport(reports.e2e, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }), e2e)

console.log(`\n${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed === 0 ? 0 : 1)
