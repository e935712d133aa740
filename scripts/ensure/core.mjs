/** Bundles the core's command line when the core has changed: a script that pipes a thousand questions should not wait. */
import { pathToFileURL } from 'node:url'
import { ensureChecks } from './checks.mjs'
import { isFresh } from './fresh.mjs'
import { root } from './paths.mjs'

const BUNDLE = '.build/core-command.mjs'

/** @returns {Promise<typeof import('../../core/operations/command.ts')>} */
export async function ensureCoreCommand() {
  ensureChecks()
  if (!isFresh(BUNDLE, ['core', 'core/generated/operations.d.ts', 'scripts/ensure/core.mjs', 'package-lock.json'])) {
    const { build } = await import('esbuild')
    await build({
      entryPoints: [`${root}/core/operations/command.ts`],
      outfile: `${root}/${BUNDLE}`,
      bundle: true,
      platform: 'node',
      format: 'esm',
      // A package's UMD file requires its parts at run time, which an ES module cannot: its ES build is taken first.
      mainFields: ['module', 'main'],
      logLevel: 'error',
    })
  }
  return import(pathToFileURL(`${root}/${BUNDLE}`).href)
}
