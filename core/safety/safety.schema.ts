import Type, { type Static } from 'typebox'
import { instant, oneOf, strict } from '../schema/types.ts'

export const ConcernsInput = strict({
  journal: Type.Unsafe<object>({ type: 'object', description: 'a journal file’s content' }),
  now: instant(),
  proposed: Type.Unsafe<object>({
    type: 'object',
    description: 'a content as it would be kept: dose, equipment, arrival, move',
  }),
})
export type ConcernsInput = Static<typeof ConcernsInput>

export const ConcernsOutput = Type.Array(
  strict({
    rule: Type.String({ description: 'row of the interactions, or a rule of the guard' }),
    severity: oneOf(['never', 'block', 'ask', 'caution', 'note'] as const, 'ask: it cannot be judged'),
    what: Type.String(),
    reason: Type.String(),
  }),
)
export type ConcernsOutput = Static<typeof ConcernsOutput>
