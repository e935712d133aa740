import Type, { type Static } from 'typebox'
import { instant, oneOf, strict } from '../../schema/types.ts'

export const StandingInput = strict({
  journal: Type.Unsafe<object>({ type: 'object', description: 'a journal file’s content' }),
  now: instant(),
  horizonDays: Type.Optional(
    Type.Integer({ minimum: 1, maximum: 400, description: 'days ahead whose tasks are wanted; 21 unless said' }),
  ),
})
export type StandingInput = Static<typeof StandingInput>

const basis = () => oneOf(['happened', 'expected'] as const)
const maybeInstant = (description?: string) => Type.Union([instant(description), Type.Null()])

const anchor = strict({ at: instant(), basis: basis() })

const count = strict({
  track: Type.String({
    description: 'held: the level; watch: the time without medicine; moves, baths: rounds; docs/courses.md',
  }),
  kind: oneOf(['hold', 'rounds'] as const),
  state: oneOf(['waiting', 'running', 'broken', 'full'] as const),
  unit: oneOf(['h', 'rounds'] as const),
  has: Type.Number(),
  needs: Type.Number(),
  fullAt: maybeInstant('when it was full, or would be if all goes on as it does; null where nobody can say'),
  basis: basis(),
  proof: oneOf(['proven', 'logged'] as const, 'proven: by readings; logged: by what was done'),
  restarts: Type.Array(strict({ at: instant(), why: Type.String({ description: 'the rule that set it to zero' }) })),
})

const rule = strict({
  rule: Type.String(),
  role: oneOf(['gate', 'hard', 'stop', 'escalate', 'success', 'event'] as const),
  state: oneOf(['holds', 'not', 'unknown', 'ask'] as const, 'ask: only the keeper can say'),
  asOf: maybeInstant('the reading or count that it rests on; null where it rests on none'),
  blindSince: Type.Optional(instant('unknown since then, though the course should have tested it')),
  is: Type.Optional(Type.Number()),
  limit: Type.Optional(Type.Number()),
})

const series = strict({
  track: Type.String(),
  part: Type.String(),
  control: Type.Boolean({ description: 'left untreated' }),
  last: Type.Union([strict({ at: instant(), value: Type.Number() }), Type.Null()]),
  expected: Type.Union([Type.Number(), Type.Null()]),
  verdict: oneOf(['on-course', 'behind', 'no-response', 'unknown'] as const),
})

const task = strict({
  id: Type.String(),
  step: Type.String(),
  act: oneOf([
    'dose',
    'bath',
    'feed',
    'change',
    'read',
    'count',
    'look',
    'move',
    'switch',
    'bench',
    'tick',
    'mark',
    'close',
  ] as const),
  notBefore: instant(),
  best: instant(),
  notAfter: maybeInstant(),
  state: oneOf(['waiting', 'ahead', 'due', 'late'] as const, 'waiting: for the rules it names'),
  waitsFor: Type.Optional(Type.Array(Type.String())),
  amount: Type.Optional(
    strict({ value: Type.Number(), unit: Type.String(), makes: Type.Optional(Type.Number({ description: 'mg/L' })) }),
  ),
})

const standing = strict({
  courseId: Type.String(),
  definition: Type.String({ description: 'of docs/courses.md' }),
  tankId: Type.String(),
  stage: oneOf(['ahead', 'treating', 'watching', 'to-close', 'closed'] as const),
  anchors: Type.Unsafe<Record<string, Static<typeof anchor>>>({
    type: 'object',
    additionalProperties: anchor,
    description: 'start, end, and begun and full of each count',
  }),
  counts: Type.Array(count),
  series: Type.Array(series),
  rules: Type.Array(rule),
  tasks: Type.Array(task),
  warnings: Type.Array(strict({ rule: Type.String(), text: Type.String() })),
})
export type CourseStanding = Static<typeof standing>

export const StandingOutput = strict({ courses: Type.Array(standing) })
export type StandingOutput = Static<typeof StandingOutput>
