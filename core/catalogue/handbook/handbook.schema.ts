import Type, { type Static, type TSchema } from 'typebox'
import { oneOf, strict } from '../../schema/types.ts'

/**
 * The handbook's tables as the catalogue keeps them: one schema a table, ids unchanged. The types are used everywhere; the
 * schemas themselves only by the catalogue's test, so that the builder never ships to the browser.
 */

/** A table with its title and where its numbers come from; a row's own `source` goes before it. */
export interface Sheet<Row> {
  title: string
  source: string
  rows: readonly Row[]
}

const id = () => Type.String({ pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' })
const numberOrNull = () => Type.Union([Type.Number(), Type.Null()])
/** A range as the handbook words it, with its ends where it begins with numbers. */
const span = () => strict({ from: numberOrNull(), to: numberOrNull(), words: Type.String() })
/** Something of the catalogue by its id, perhaps with a remark; or words alone. */
const ref = () => strict({ id: Type.Union([id(), Type.Null()]), words: Type.Optional(Type.String()) })
/** A day of a plan: counted from its start, or from the day the treatment ends. */
const dayOf = () => strict({ of: oneOf(['start', 'end'] as const), days: Type.Number() })

const comparison = () =>
  Type.Union([
    strict({
      measure: Type.String(),
      op: oneOf(['>', '>=', '<', '<='] as const),
      value: Type.Number(),
      timesStart: Type.Optional(Type.Boolean({ description: 'the value times that of day 0' })),
    }),
    strict({ words: Type.String() }),
  ])
/** If any of these holds, each all of its parts together: do that. Parts no meter can judge stay in words. */
const rule = () => strict({ any: Type.Array(Type.Array(comparison())), then: Type.String() })

/** What a red flag asks: signs joined by and and or; what is no sign of the tables stays in words. */
export type SignRule = { sign: string } | { words: string } | { all: SignRule[] } | { any: SignRule[] }
const signRule = () =>
  Type.Unsafe<SignRule>({ type: 'object', minProperties: 1, maxProperties: 1, additionalProperties: true })

export const Session = strict({
  id: id(),
  when: Type.String(),
  minutes: Type.String(),
  lookFor: Type.Array(Type.String()),
})
export type Session = Static<typeof Session>

export const WatchMeasure = strict({
  id: id(),
  unit: Type.String(),
  how: Type.String(),
  warnAt: Type.String(),
  alarmAt: Type.String(),
  source: Type.String(),
})
export type WatchMeasure = Static<typeof WatchMeasure>

export const Condition = strict({
  id: id(),
  cause: Type.String(),
  proneHosts: Type.String(),
  urgency: oneOf(['hours', 'day', 'days', 'weeks'] as const),
  looksLike: Type.String(),
  lookAlikes: Type.Array(strict({ than: Type.String(), tells: Type.String() })),
  treatment: Type.Array(Type.Array(ref())),
  note: Type.Union([Type.String(), Type.Null()]),
})
export type Condition = Static<typeof Condition>

export const TreatForBoth = strict({
  id: id(),
  between: Type.Array(id()),
  extra: Type.Union([Type.String(), Type.Null()]),
  do: Type.String(),
  why: Type.String(),
})
export type TreatForBoth = Static<typeof TreatForBoth>

export const RedFlag = strict({
  id: id(),
  when: signRule(),
  showFirst: Type.String(),
  urgency: oneOf(['hours', 'day', 'days', 'weeks'] as const),
})
export type RedFlag = Static<typeof RedFlag>

export const LifeStage = strict({
  parasite: id(),
  stage: Type.String(),
  place: Type.String(),
  minHours: numberOrNull(),
  typicalHours: numberOrNull(),
  maxHours: numberOrNull(),
  outlierHours: numberOrNull(),
  q10: numberOrNull(),
  killedBy: Type.Array(ref()),
  partly: Type.Array(ref()),
  shieldedFrom: Type.Array(ref()),
  source: Type.String(),
})
export type LifeStage = Static<typeof LifeStage>

export const Agent = strict({
  id: id(),
  form: Type.String(),
  carbonRemoves: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  rockBinds: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  reefSafe: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  invertSafe: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  plantSafe: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  biofilterSafe: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  oxygenDepleting: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  lightSensitive: oneOf(['yes', 'no', 'part', 'caution', 'na', 'unk'] as const),
  decay: Type.String(),
  removal: Type.String(),
  hazard: Type.String(),
  law: Type.Union([Type.String(), Type.Null()]),
})
export type Agent = Static<typeof Agent>

export const FallowPlan = strict({
  id: id(),
  what: Type.String(),
  days: Type.Union([span(), Type.Null()]),
  temperatureC: Type.Union([span(), Type.Null()]),
  reasoning: Type.String(),
})
export type FallowPlan = Static<typeof FallowPlan>

export const CoralTask = strict({
  id: id(),
  cadence: Type.String(),
  do: Type.String(),
  accept: Type.String(),
})
export type CoralTask = Static<typeof CoralTask>

export const SetUpItem = strict({
  id: id(),
  spec: Type.String(),
  why: Type.String(),
  neededBy: Type.String(),
})
export type SetUpItem = Static<typeof SetUpItem>

export const Stocking = strict({
  id: id(),
  tankL: Type.Union([span(), Type.Null()]),
  small: numberOrNull(),
  medium: numberOrNull(),
  large: numberOrNull(),
  feed: Type.String(),
})
export type Stocking = Static<typeof Stocking>

export const IntroductionStep = strict({
  id: id(),
  day: Type.String(),
  do: Type.String(),
  goOnIf: Type.Union([Type.String(), Type.Null()]),
  stopIf: Type.Union([Type.String(), Type.Null()]),
})
export type IntroductionStep = Static<typeof IntroductionStep>

export const Skirmish = strict({
  id: id(),
  accept: Type.String(),
  stopNow: Type.String(),
})
export type Skirmish = Static<typeof Skirmish>

export const Hazard = strict({
  id: id(),
  risk: Type.String(),
  rule: Type.String(),
})
export type Hazard = Static<typeof Hazard>

export const WorkStage = strict({
  id: id(),
  question: Type.String(),
  evidence: Type.String(),
  record: Type.String(),
})
export type WorkStage = Static<typeof WorkStage>

export const WorkDecision = strict({
  id: id(),
  useWhen: Type.String(),
  note: Type.String(),
})
export type WorkDecision = Static<typeof WorkDecision>

export const Mistake = strict({
  id: id(),
  why: Type.String(),
  guard: Type.String(),
})
export type Mistake = Static<typeof Mistake>

export const Organism = strict({
  id: id(),
  group: oneOf(['film', 'animal', 'coral'] as const),
  name: Type.String(),
  domain: oneOf(['marine', 'fresh', 'both'] as const),
  urgency: numberOrNull(),
  look: Type.String(),
  tests: Type.Array(Type.String()),
  where: Type.String(),
  micro: Type.Union([Type.String(), Type.Null()]),
  lookAlikes: Type.Array(strict({ than: Type.String(), tells: Type.String() })),
  causes: Type.String(),
  harms: Type.String(),
  plan: Type.Union([Type.String(), Type.Null()]),
  secondPlan: Type.Union([Type.String(), Type.Null()]),
  doNot: Type.Array(Type.String()),
  prevent: Type.Union([Type.String(), Type.Null()]),
})
export type Organism = Static<typeof Organism>

export const SamplingStep = strict({
  id: id(),
  action: Type.String(),
  detail: Type.String(),
})
export type SamplingStep = Static<typeof SamplingStep>

export const KeyNode = strict({
  id: id(),
  look: Type.String(),
  yes: Type.String(),
  no: Type.String(),
})
export type KeyNode = Static<typeof KeyNode>

export const DinoHabit = strict({
  id: id(),
  atNight: Type.String(),
  uvHelps: Type.String(),
  mainLever: Type.String(),
  source: Type.String(),
})
export type DinoHabit = Static<typeof DinoHabit>

export const PlanHead = strict({
  id: id(),
  firstLineFor: Type.Array(id()),
  secondLineFor: Type.Array(id()),
  kind: oneOf(['hand', 'conditions', 'treat', 'emergency'] as const),
  days: Type.Union([span(), Type.Null()]),
  materials: Type.String(),
  daily: Type.String(),
  success: Type.Union([Type.String(), Type.Null()]),
  stop: Type.Array(rule()),
  escalate: Type.Array(rule()),
  caution: Type.Union([Type.String(), Type.Null()]),
})
export type PlanHead = Static<typeof PlanHead>

export const PlanStep = strict({
  plan: id(),
  n: numberOrNull(),
  day: dayOf(),
  everyDays: numberOrNull(),
  until: dayOf(),
  action: Type.String(),
  record: Type.Union([Type.String(), Type.Null()]),
})
export type PlanStep = Static<typeof PlanStep>

export const PeroxideCap = strict({
  id: id(),
  ml3: numberOrNull(),
  ml6: numberOrNull(),
  ml12: numberOrNull(),
  mgPerL: Type.String(),
  rule: Type.String(),
})
export type PeroxideCap = Static<typeof PeroxideCap>

export const Salt = strict({
  id: id(),
  adds: Type.String(),
  gPer100L: numberOrNull(),
  step: Type.String(),
  sideEffect: Type.String(),
})
export type Salt = Static<typeof Salt>

export const DailyCap = strict({
  id: id(),
  raise: Type.String(),
  lower: Type.String(),
  note: Type.Union([Type.String(), Type.Null()]),
})
export type DailyCap = Static<typeof DailyCap>

export const PestTiming = strict({
  ids: Type.Array(id()),
  hatch: Type.String(),
  hatchToEggs: Type.String(),
  clutch: Type.String(),
  killedByDip: Type.Union([Type.String(), Type.Null()]),
  survivesDip: Type.Union([Type.String(), Type.Null()]),
  dipIntervalDays: Type.Union([span(), Type.Null()]),
  cleanDips: Type.String(),
  source: Type.String(),
})
export type PestTiming = Static<typeof PestTiming>

export const CoralDip = strict({
  id: id(),
  strength: Type.String(),
  minutes: Type.Union([span(), Type.Null()]),
  hits: Type.String(),
  misses: Type.String(),
  caution: Type.String(),
})
export type CoralDip = Static<typeof CoralDip>

export const ProgressMeasure = strict({
  id: id(),
  unit: Type.String(),
  how: Type.String(),
  noise: Type.String(),
})
export type ProgressMeasure = Static<typeof ProgressMeasure>

export const Trajectory = strict({
  id: id(),
  record: Type.String(),
  every: Type.String(),
  expected: Type.String(),
  noResponseBy: Type.String(),
})
export type Trajectory = Static<typeof Trajectory>

export const AnimalLimitRow = strict({
  id: id(),
  group: Type.String(),
  maxPsuPerHour: numberOrNull(),
  matchPsu: numberOrNull(),
  matchC: numberOrNull(),
  maxFreeAmmoniaMgPerL: numberOrNull(),
  maxMinutes: numberOrNull(),
})
export type AnimalLimitRow = Static<typeof AnimalLimitRow>

/** The schema of each table's rows, by the table's name in its file. */
export const HANDBOOK_SCHEMAS: Readonly<Record<string, TSchema>> = {
  SESSIONS: Session,
  WATCH_MEASURES: WatchMeasure,
  MARINE_CONDITIONS: Condition,
  FRESHWATER_CONDITIONS: Condition,
  TREAT_FOR_BOTH: TreatForBoth,
  RED_FLAGS: RedFlag,
  LIFE_CYCLES: LifeStage,
  AGENTS: Agent,
  FALLOW_PLANS: FallowPlan,
  CORAL_TASKS: CoralTask,
  SET_UP: SetUpItem,
  STOCKING: Stocking,
  INTRODUCTION: IntroductionStep,
  SKIRMISHES: Skirmish,
  HAZARDS: Hazard,
  OUTBREAK_HAZARDS: Hazard,
  STAGES: WorkStage,
  DECISIONS: WorkDecision,
  MISTAKES: Mistake,
  ORGANISMS: Organism,
  SAMPLING: SamplingStep,
  KEY: KeyNode,
  DINO_HABITS: DinoHabit,
  PLANS: PlanHead,
  PLAN_STEPS: PlanStep,
  PEROXIDE_CAPS: PeroxideCap,
  SALTS: Salt,
  DAILY_CAPS: DailyCap,
  PEST_TIMING: PestTiming,
  CORAL_DIPS: CoralDip,
  PROGRESS_MEASURES: ProgressMeasure,
  TRAJECTORIES: Trajectory,
  ANIMAL_LIMITS: AnimalLimitRow,
}
