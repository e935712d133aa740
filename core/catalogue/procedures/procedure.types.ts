import type { Water } from '../parameter.types.ts'
import type { EquipmentItem } from '../../household/tanks.ts'

/** Something that is put right before the first step, or put back after the last. */
export interface ChecklistItem {
  id: string
  words: string
  /** The equipment that it switches, and whether it runs afterwards. */
  switches?: { item: EquipmentItem; running: boolean }
  /** Shown beside the item, before it is done. */
  caution?: string
}

/** A figure that is written down at a step. */
export interface StepRecord {
  id: string
  label: string
  unit: string
  /** The limit of the whole session that its sum is held against, see `limitsOf`. */
  sessionLimit?: 'peroxide-3-percent-ml'
}

/** One thing that is done, in the order of the list. */
export interface ProcedureStep {
  id: string
  title: string
  why?: string
  /** Shown before the step is done. */
  caution?: string
  /** Done once for each part: rock by rock, coral by coral, patch by patch. Such steps stand together. */
  eachPart?: boolean
  /** The step lasts: it is begun, rings, and is then done. */
  timer?: { minutes: number; leastMinutes?: number; stopMinutes?: number }
  /** A clock that begins with this step and runs until the step that ends it. */
  begins?: { clock: string; label: string; warnMinutes: number; stopMinutes: number }
  ends?: string
  records?: readonly StepRecord[]
}

/** A hands-on procedure: what is put right before, the steps, and what is put back after. */
export interface Procedure {
  id: string
  name: string
  about: string
  /** The water it belongs to; null where it is done in both. */
  water: Water | null
  /** What the steps of each part are done to; null where there are no parts. */
  parts: 'patch' | 'coral' | 'rock' | null
  /** What its steps put into the tank's water: asked about before it begins, and written down when it is closed. */
  doses?: { ingredient: string; recordId: string; percentByMass: number }
  before: readonly ChecklistItem[]
  steps: readonly ProcedureStep[]
  after: readonly ChecklistItem[]
  /** What is looked for after it, and when. */
  watch: readonly { afterHours: number; words: string }[]
  source: string
}
