/** Whether something built from files is still newer than they are. */
import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './paths.mjs'

const SKIPPED = new Set(['node_modules', 'generated', '.git'])

/** Newest change among files and the files below folders, ms since the epoch. */
function newest(path) {
  if (!existsSync(path)) return 0
  const stat = statSync(path)
  if (!stat.isDirectory()) return stat.mtimeMs
  // A folder's own time counts: it moves when a file is deleted.
  return readdirSync(path, { withFileTypes: true })
    .filter(({ name }) => !SKIPPED.has(name))
    .reduce((latest, { name }) => Math.max(latest, newest(join(path, name))), stat.mtimeMs)
}

/**
 * @param {string} built   file that a build writes last, from the project's folder
 * @param {string[]} from  files and folders it is built from
 */
export function isFresh(built, from) {
  const target = join(root, built)
  return existsSync(target) && from.every((path) => newest(join(root, path)) <= statSync(target).mtimeMs)
}
