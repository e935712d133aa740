/** `npm run quick`: type check, lint and unit tests of what has changed since the last commit (or since a commit given), and nothing else. */
import { execFileSync, spawnSync } from 'node:child_process'
import { ensureChecks } from './ensure/checks.mjs'
import { root } from './ensure/paths.mjs'

const since = process.argv[2] ?? 'HEAD'
const git = (...args) => execFileSync('git', args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean)
const changed = [
  ...new Set([
    ...git('diff', '--name-only', '--diff-filter=d', since),
    ...git('ls-files', '--others', '--exclude-standard'),
  ]),
].filter((path) => /\.(ts|tsx|mjs)$/.test(path))

ensureChecks()
const run = (name, args) => {
  console.log(`\n— ${name}`)
  return spawnSync(process.execPath, args, { cwd: root, stdio: 'inherit' }).status ?? 1
}
let failed = 0
failed += run('type check', ['node_modules/typescript/bin/tsc', '-p', 'tsconfig.json']) === 0 ? 0 : 1
if (changed.length > 0) {
  failed +=
    run('lint', ['node_modules/eslint/bin/eslint.js', '--max-warnings', '0', '--no-warn-ignored', ...changed]) === 0
      ? 0
      : 1
  failed +=
    run('unit tests of what these touch', [
      'node_modules/jest/bin/jest.js',
      '--passWithNoTests',
      '--findRelatedTests',
      ...changed.filter((path) => !path.startsWith('e2e/')),
    ]) === 0
      ? 0
      : 1
}
console.log(failed === 0 ? '\nquick: nothing found' : `\nquick: ${failed} of the checks failed`)
process.exit(failed === 0 ? 0 : 1)
