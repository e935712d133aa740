/** `npm start`: from a fresh clone to a served app. A second start finds everything there. */
import { pathToFileURL } from 'node:url'
import { ensureBuilt } from './ensure/built.mjs'
import { root } from './ensure/paths.mjs'

await ensureBuilt()
process.env.BRINVO_DIST ??= `${root}/dist`
await import(pathToFileURL(`${root}/.build/server.mjs`).href)
