import { ensureBuilt } from './ensure/built.mjs'

await ensureBuilt()
