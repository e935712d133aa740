import Type, { type Static } from 'typebox'
import type { Content } from '../journal/entry.ts'
import { instant, oneOf, strict } from '../schema/types.ts'

export const LogLineInput = strict({
  journal: Type.Unsafe<object>({ type: 'object', description: 'a journal file’s content' }),
  now: instant(),
  line: Type.String({ maxLength: 4000 }),
  locale: Type.Optional(
    Type.String({ maxLength: 40, description: 'BCP 47 name: decides whether 0,4 is 0.4 or is asked about' }),
  ),
})
export type LogLineInput = Static<typeof LogLineInput>

export const LogLineOutput = strict({
  state: oneOf(['empty', 'keep', 'choose', 'unclear'] as const),
  contents: Type.Optional(Type.Array(Type.Unsafe<Content>({ type: 'object' }))),
  notices: Type.Optional(Type.Array(Type.String())),
  question: Type.Optional(Type.String()),
  message: Type.Optional(Type.String()),
  choices: Type.Optional(Type.Array(strict({ label: Type.String(), text: Type.String() }))),
})
export type LogLineOutput = Static<typeof LogLineOutput>
