import type { ContentOf } from '../../journal/entry.ts'
import type { EquipmentItem } from '../../household/tanks.ts'
import type { CountMeasure } from '../courses/definition.ts'
import type { Water } from '../parameter.types.ts'

/** Something that is put right before the first step, or put back after the last. */
export interface ChecklistItem {
  id: string
  words: string
  /** The equipment that it switches, and whether it runs afterwards. */
  switches?: { item: EquipmentItem; running: boolean }
  /** It is meant to stay as it was switched: nothing puts it back. */
  stays?: true
  /** Shown beside the item, before it is done. */
  caution?: string
  /** Figures that are checked before anything is done. */
  records?: readonly StepRecord[]
  only?: OnlyWhere
  amount?: AmountName
}

/** Shown and asked only where one of these was chosen before it began. */
export interface OnlyWhere {
  choice: string
  is: readonly string[]
}

/** What is dealt with one by one, or all together. */
export type SubjectKind = ContentOf<'part-setup'>['what'] | 'animal'

/** A cap on the sum of a figure over the whole session: see `sessionLimit`. */
export type SessionLimitName = 'peroxide-by-tier' | 'peroxide-in-tub' | 'leather-drip' | 'kalk-paste'

/** A figure that is written down at a step, kept in the core's unit. */
export interface StepRecord {
  id: string
  label: string
  /** A unit of core/words/measure, or one that is said as it is. */
  unit: string
  /** A count has buttons for wet hands, a tick is 1 or 0; all others are typed. */
  kind?: 'count' | 'tick'
  /** The step may be done without it. */
  mayBeEmpty?: true
  /** What a count or a tick stands at before it is touched; else it has to be given. */
  begins?: number
  /** Refused under or over these, with what to do. */
  least?: { value: number; words: string }
  most?: { value: number; words: string }
  /** Refused further than this from another figure of the run. */
  near?: { record: string; within: number; words: string }
  sessionLimit?: SessionLimitName
  /** The count of the ledger that it becomes when the procedure is closed. */
  keeps?: CountMeasure
}

/** Amounts that are worked out for a step: core/bench/amounts.ts. */
export type AmountName =
  'measured-out' | 'redose' | 'session-cap' | 'tub-cap' | 'tier-change' | 'half-change' | 'salt' | 'tub-water'

/** Minutes of a step, or whose minutes they are: the dip's or the bath's that was chosen. */
export type StepTimer =
  | { minutes: number; leastMinutes?: number; stopMinutes?: number; meanwhile?: true }
  | { by: 'chosen'; meanwhile?: true }

/** One thing that is done, in the order of the list. */
export interface ProcedureStep {
  id: string
  title: string
  why?: string
  /** Shown before the step is done. */
  caution?: string
  /** Done once for each subject: rock by rock, coral by coral, patch by patch. Such steps stand together. */
  each?: boolean
  only?: OnlyWhere
  /** The step lasts: it is begun, rings, and is then done. With `meanwhile` the next subject may be begun while it lasts. */
  timer?: StepTimer
  /** A clock that begins with this step and runs until the step that ends it; `limits` names a row of AIR_LIMITS by a choice. */
  begins?: { clock: string; label: string } & ({ warnMinutes: number; stopMinutes: number } | { limits: 'air' })
  ends?: string
  records?: readonly StepRecord[]
  amount?: AmountName
  /** A picture of it is worth keeping. */
  photo?: true
  /** The entry of the ledger that it becomes when the procedure is closed. */
  makes?: 'bath' | 'move' | 'water-change' | 'dose' | 'new-water'
}

/** Something that is chosen before a procedure begins, the first one by default. */
export interface ProcedureChoice {
  id: string
  label: string
  options: readonly { id: string; label: string; why?: string }[]
}

/** What is measured out before a procedure begins: into a tub of some litres, or into the tank. */
export type MeasuredOut =
  /** A bath of fish, by its row of the doses. */
  | { for: 'bath'; dose: string }
  /** The dip that was chosen, of the catalogue's dips of corals. */
  | { for: 'dip' }
  /** Into the tank's net volume, mg/L by the choice `dose`. */
  | { for: 'tank'; ingredient: string; mgPerL: Readonly<Record<string, number>> }

/** A hands-on procedure: what is put right before, the steps, and what is put back after. */
export interface Procedure {
  id: string
  name: string
  about: string
  /** Where it stands among the others. */
  group: 'algae' | 'corals' | 'pests' | 'fish' | 'water'
  /** The water it belongs to; null where it is done in both. */
  water: Water | null
  /** What it is done to; empty where there is nothing to choose. */
  subjects: readonly SubjectKind[]
  /** It may be begun without any subject. */
  mayHaveNone?: true
  choices: readonly ProcedureChoice[]
  /** Asked before it begins. */
  figures: readonly StepRecord[]
  measuredOut?: MeasuredOut
  /** Animals or corals go to another tank: it is asked which. */
  movesTo?: OnlyWhere | true
  /** A figure whose sum is a dose into the tank's water, asked about before it begins and written down when it is closed. */
  doses?: { ingredient: string; recordId: string; percentByMass: number }
  /** Not again on the same subject within these days. */
  notWithinDays?: number
  before: readonly ChecklistItem[]
  steps: readonly ProcedureStep[]
  after: readonly ChecklistItem[]
  /** What is looked for after it, and when. */
  watch: readonly { afterHours: number; words: string }[]
  source: string
}
