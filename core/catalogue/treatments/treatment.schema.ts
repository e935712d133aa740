import Type, { type Static } from 'typebox'
import { nonNegative, oneOf, positive, strict } from '../../schema/types.ts'

const id = () => Type.String({ pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' })
const words = () => Type.String({ minLength: 1 })
const maybe = () => Type.String({ description: 'empty where the handbook has a dash' })

/** A range of a handbook column, both ends counted; one number is a range of no width. */
export const Range = Type.Tuple([Type.Number(), Type.Number()])
export type Range = readonly [number, number]
const rangeOrNull = () => Type.Unsafe<Range | null>(Type.Union([Range, Type.Null()]))

export const Dose = strict({
  id: id(),
  agent: id(),
  route: oneOf(['tank', 'bath', 'food'] as const),
  unit: words(),
  low: nonNegative(),
  target: nonNegative(),
  high: nonNegative(),
  bathMinutes: rangeOrNull(),
  redoseHours: rangeOrNull(),
  courseDays: rangeOrNull(),
  rounds: rangeOrNull(),
  useFor: Type.Array(strict({ id: Type.Union([id(), Type.Null()]), remark: Type.Optional(words()) })),
  /** Of a row that is for fresh water alone, where the same agent has others. */
  water: Type.Optional(Type.Literal('freshwater')),
})
/** A dose of an agent: its therapeutic band and how it is given. `bathMinutes` is 0 dosed to the tank, null held by test. */
export type Dose = Static<typeof Dose>

export const TestKind = strict({
  id: id(),
  measures: words(),
  step: words(),
  uncertainty: words(),
  agents: words(),
  caveat: maybe(),
})
export type TestKind = Static<typeof TestKind>

export const Ramp = strict({
  agent: id(),
  levels: Type.Unsafe<readonly number[] | null>(Type.Union([Type.Array(positive()), Type.Null()])),
  words: words(),
  intervalHours: rangeOrNull(),
  total: words(),
  emergency: strict({
    allowed: oneOf(['yes', 'no', 'vet'] as const),
    to: Type.Union([positive(), Type.Null()]),
    words: words(),
  }),
})
export type Ramp = Static<typeof Ramp>

export const Intolerance = strict({
  agents: Type.Unsafe<readonly string[]>(
    Type.Array(id(), { description: 'agents, doses or groups; empty for a remark that holds for any treatment' }),
  ),
  only: Type.Optional(oneOf(['high-band', 'fast-ramp', 'full-dose', 'over-1-to-2-g-per-l'] as const)),
  words: Type.Optional(words()),
})
/** Something a group does not tolerate, or only with care. */
export type Intolerance = Static<typeof Intolerance>

const intolerances = () => Type.Unsafe<readonly Intolerance[]>(Type.Array(Intolerance))

export const Sensitivity = strict({
  id: id(),
  examples: words(),
  avoid: intolerances(),
  caution: intolerances(),
  prefer: maybe(),
  /** What is preferred, in words. */
  instead: Type.Optional(words()),
  source: maybe(),
})
export type Sensitivity = Static<typeof Sensitivity>

/** `never` has no override; a `block` is overridden with a written reason and a veterinarian's word; `caution` asks; `note` tells. */
export const Severity = oneOf(['never', 'block', 'caution', 'note'] as const)
export type Severity = Static<typeof Severity>

const idList = () => Type.Unsafe<readonly string[]>(Type.Array(id()))

const Apart = strict({
  agents: idList(),
  sensitivity: id(),
  severity: Severity,
  reason: words(),
})
type Apart = Static<typeof Apart>

export const Interaction = strict({
  id: id(),
  a: idList(),
  b: idList(),
  severity: Severity,
  neverFor: Type.Optional(idList()),
  apart: Type.Optional(
    Type.Unsafe<readonly Apart[]>(
      Type.Array(Apart, { description: 'animals for which some of the agents read otherwise than the row' }),
    ),
  ),
  /** The two are kept apart for so many hours, even when the first no longer acts. */
  apartHours: Type.Optional(positive()),
  reason: words(),
  /** Said of the agents it is never done with. */
  neverReason: Type.Optional(words()),
})
export type Interaction = Static<typeof Interaction>

export const School = strict({
  id: id(),
  school: words(),
  coreDays: words(),
  tanks: words(),
  covers: maybe(),
  notCovered: maybe(),
  pro: maybe(),
  con: maybe(),
  effortHours: rangeOrNull(),
  exclusions: maybe(),
  failureModes: maybe(),
})
export type School = Static<typeof School>

export const ProtocolStep = strict({
  protocol: id(),
  step: Type.Number(),
  day: words(),
  action: words(),
  value: maybe(),
  gate: maybe(),
})
export type ProtocolStep = Static<typeof ProtocolStep>

export const TransferRule = strict({ id: id(), rule: words(), why: words() })
export type TransferRule = Static<typeof TransferRule>

export const ClockEvent = strict({ id: id(), appliesTo: words(), effect: words(), detail: words() })
export type ClockEvent = Static<typeof ClockEvent>

const share = () => Type.Number({ minimum: 0, maximum: 1 })

export const LifeModel = strict({
  parasite: id(),
  onHostLight: positive(),
  onHostHeavy: positive(),
  onHost: strict({ medianHours: positive(), logSd: positive() }),
  cyst: strict({ minHours: nonNegative(), medianHours: positive(), logSd: positive() }),
  infection: share(),
  fallow: strict({
    cysts: positive(),
    typical: strict({ medianDays: positive(), logSd: positive() }),
    slow: strict({ share: share(), medianDays: positive(), logSd: positive() }),
    freeLifeHours: nonNegative(),
  }),
})
/** A parasite's life in numbers, for the risks. */
export type LifeModel = Static<typeof LifeModel>
