import Type, { type Static } from 'typebox'
import { MAX_POINTS } from '../numbers/limits.ts'
import { finite, instant, nonNegative, positive, strict } from '../schema/types.ts'

const instants = () => Type.Array(instant(), { maxItems: MAX_POINTS })

export const TransferCheckInput = strict({
  rule: strict({
    maxIntervalHours: positive('longest time in one tank'),
    minTotalHours: positive('least time from arrival to the last move'),
    minTransfers: Type.Integer({ minimum: 0, maximum: MAX_POINTS }),
    baths: Type.Optional(
      strict({
        count: Type.Integer({ minimum: 0, maximum: MAX_POINTS }),
        apartHours: positive(),
        toleranceHours: nonNegative(),
      }),
    ),
  }),
  arrivalAt: instant(),
  transfers: instants(),
  baths: Type.Optional(instants()),
  now: instant(),
})
export type TransferCheckInput = Static<typeof TransferCheckInput>

const index = () => Type.Integer({ minimum: 0 })

export const TransferViolation = Type.Union([
  strict({ kind: Type.Literal('late'), index: index(), hoursLate: positive() }),
  strict({ kind: Type.Literal('bath-spacing'), index: index(), hoursOff: finite('actual less what was due') }),
  strict({ kind: Type.Literal('bath-without-move'), index: index() }),
])
export type TransferViolation = Static<typeof TransferViolation>

export const TransferCheck = strict({
  transfersNeeded: Type.Integer({ minimum: 0 }),
  nextDueAt: Type.Union([instant(), Type.Null()]),
  earliestFinishAt: instant(),
  done: Type.Boolean(),
  ok: Type.Boolean(),
  violations: Type.Array(TransferViolation),
})
export type TransferCheck = Static<typeof TransferCheck>
