import Type, { type TProperties } from 'typebox'
import { instant, strict } from '../../schema/types.ts'
import { NAME_LETTERS, WORDS_LETTERS } from './text-limits.ts'

/** Names something within the journal. */
export const id = (description?: string) =>
  Type.String({ minLength: 1, maxLength: 64, pattern: '^[A-Za-z0-9_-]+$', ...(description && { description }) })
export const name = (description?: string) =>
  Type.String({ minLength: 1, maxLength: NAME_LETTERS, ...(description && { description }) })
export const words = (description?: string) =>
  Type.String({ minLength: 1, maxLength: WORDS_LETTERS, ...(description && { description }) })
export const count = (description?: string) =>
  Type.Integer({ minimum: 1, maximum: 100_000, ...(description && { description }) })
export const finiteValue = () => Type.Number()
/** An occasion of a course or another schedule: `c7/move/2`. */
export const taskId = () => Type.String({ minLength: 1, maxLength: 120, description: 'the occasion it was done for' })
/** A time of day on the household's wall clock. */
export const wallTime = (description: string) => Type.String({ pattern: '^([01]\\d|2[0-3]):[0-5]\\d$', description })
/** A property that may be left out. */
export const opt = Type.Optional

/** What was knowingly set aside: each row with the written reason and whether a veterinarian has agreed. */
export const overrides = () =>
  opt(
    Type.Array(
      strict({
        rule: id('row of the interactions or sensitivities'),
        why: words(),
        vetAgreed: Type.Boolean(),
        answer: opt(
          Type.Union([Type.Literal('read'), Type.Literal('reason'), Type.Literal('happened')], {
            description:
              'read and confirmed; done for the reason written; it had happened already. Left out in older entries',
          }),
        ),
      }),
      { maxItems: 50, description: 'what spoke against it and was set aside' },
    ),
  )

/** What every content has: its kind and the time it happened. */
export const content = <K extends string, P extends TProperties>(kind: K, properties: P, description: string) =>
  strict({ kind: Type.Literal(kind), happened: instant(), note: opt(words()), ...properties }, description)
