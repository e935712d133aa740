import type { Sign } from './sign.types.ts'
import { SIGNS } from './signs.data.ts'

export type { Sign } from './sign.types.ts'
export { SIGNS }

const byId = new Map<string, Sign>(SIGNS.map((sign) => [sign.id, sign]))

/** The sign with this id, or undefined. */
export const signById = (id: string): Sign | undefined => byId.get(id)
