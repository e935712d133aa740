import Type, { type Static } from 'typebox'
import { strict } from '../schema/types.ts'
import type { Entry } from './entry.ts'

export const JournalReadInput = strict({ text: Type.String() })
export type JournalReadInput = Static<typeof JournalReadInput>

const problem = strict({
  line: Type.Optional(Type.Integer({ minimum: 1, description: 'line of the file, where the text is not JSON' })),
  path: Type.Optional(Type.String({ description: 'JSON pointer to what is wrong' })),
  message: Type.String(),
})
export type ReadProblem = Static<typeof problem>

export const JournalReadOutput = strict({
  entries: Type.Array(Type.Unsafe<Entry>({ type: 'object' })),
  problems: Type.Array(problem),
  isAltered: Type.Boolean({
    description:
      'its checksum does not fit: the file was changed or damaged after it was written; false where it has none',
  }),
})
export type JournalReadOutput = Static<typeof JournalReadOutput>
