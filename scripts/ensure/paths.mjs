import { fileURLToPath } from 'node:url'

/** Folder of the project. */
export const root = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '')
