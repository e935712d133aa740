/** A range of a handbook column, both ends counted; one number is a range of no width. */
export type Range = readonly [number, number]

/** A dose of an agent: its therapeutic band and how it is given. */
export interface Dose {
  id: string
  agent: string
  route: 'tank' | 'bath' | 'food'
  unit: string
  low: number
  target: number
  high: number
  /** Minutes in a separate container; 0 dosed to the tank; null: held by test, not by clock. */
  bathMinutes: Range | null
  redoseHours: Range | null
  courseDays: Range | null
  rounds: Range | null
  useFor: readonly { id: string | null; remark?: string }[]
  source: string
}

export interface TestKind {
  id: string
  measures: string
  step: string
  uncertainty: string
  agents: string
  caveat: string
}

export interface Ramp {
  agent: string
  levels: readonly number[] | null
  words: string
  intervalHours: Range | null
  total: string
  emergency: { allowed: 'yes' | 'no' | 'vet'; to: number | null; words: string }
}

/** Something a group does not tolerate, or only with care. */
export interface Intolerance {
  /** Agent, dose or group ids; empty for a remark that holds for any treatment. */
  agents: readonly string[]
  only?: 'high-band' | 'fast-ramp' | 'full-dose' | 'over-1-to-2-g-per-l'
  words?: string
}

export interface Sensitivity {
  id: string
  examples: string
  avoid: readonly Intolerance[]
  caution: readonly Intolerance[]
  prefer: string
  source: string
}

/** `never` has no override; a `block` is overridden with a written reason and a veterinarian's word; `caution` asks; `note` tells. */
export type Severity = 'never' | 'block' | 'caution' | 'note'

export interface Interaction {
  id: string
  a: readonly string[]
  b: readonly string[]
  severity: Severity
  /** Agents or groups for which the row has no override. */
  neverFor?: readonly string[]
  reason: string
}

export interface School {
  id: string
  school: string
  coreDays: string
  tanks: string
  covers: string
  notCovered: string
  pro: string
  con: string
  effortHours: Range | null
  exclusions: string
  failureModes: string
}

export interface ProtocolStep {
  protocol: string
  step: number
  day: string
  action: string
  value: string
  gate: string
}

export interface TransferRule {
  id: string
  rule: string
  why: string
}

export interface ClockEvent {
  id: string
  appliesTo: string
  effect: string
  detail: string
}

/** A parasite's life in numbers, for the risks. */
export interface LifeModel {
  parasite: string
  onHostLight: number
  onHostHeavy: number
  onHost: { medianHours: number; logSd: number }
  cyst: { minHours: number; medianHours: number; logSd: number }
  infection: number
  fallow: {
    cysts: number
    typical: { medianDays: number; logSd: number }
    slow: { share: number; medianDays: number; logSd: number }
    freeLifeHours: number
  }
}
