import type { EquipmentItem } from '../../household/tanks.ts'

/** What a tank is in a course: where it runs, the second transfer set, the sterile tank after it, a tub at the bench. */
export type Role = 'main' | 'other' | 'observe' | 'tub'

/** Something chosen when a course starts. The first choice is the default. */
export interface Option {
  id: string
  label: string
  choices: readonly { id: string; label: string; why: string }[]
}

/** Comparison of a judged quantity with its limit. */
export type Op = '<' | '<=' | '>' | '>='

/** A number that a condition looks at. */
export type Quantity =
  | number
  /** The last reading of a parameter, in its unit. */
  | { parameter: string }
  /** Scores of a series at its last round: of the parts treated, or left as control. */
  | { series: string; arm: 'treated' | 'control'; of: 'least' | 'most' }
  /** Rounds of a step that were done. */
  | { rounds: string }

/** Something that holds or does not, judged from what the journal says of a course. */
export type Condition =
  | { all: readonly Condition[] }
  | { any: readonly Condition[] }
  | { left: Quantity; op: Op; right: Quantity }
  /** A count of the course. */
  | { track: string; is: 'full' }
  /** A sign of the catalogue, seen on any animal of the tank within some hours. */
  | { sign: readonly string[]; withinHours: number }
  /** A death without a stated cause within some days. */
  | { unexplainedDeath: { withinDays: number } }
  /** Judged by a rule of its own, core/courses/rules. */
  | {
      judged:
        | 'two-in-range'
        | 'ammonia-low'
        | 'no-signs'
        | 'level-kept'
        | 'late-move'
        | 'bath-spacing'
        | 'bath-without-move'
        | 'sets-dry'
        | 'new-fish'
        | 'cross-contact'
        | 'carbon-left-in'
        | 'level-low'
        | 'level-unknown'
        | 'level-high'
        | 'sign-seen'
        | 'new-wet-item'
    }
  /** Only the keeper can say. */
  | { asks: string }

/** A rule of a course: what has to hold before something, stops it, ends it or sets it back. */
export interface Rule {
  id: string
  role: 'gate' | 'hard' | 'stop' | 'escalate' | 'success' | 'event'
  when: Condition
  /** In words, as its list shows it. */
  says: string
  /** What follows when it holds, for stop and escalate. */
  then?: string
}

/** A count or a measure of a course. */
export type Track =
  /** The level of the course's drug held in its range: proven by readings where a test exists, logged where none does. */
  | { id: string; kind: 'hold'; name: string; by: 'drug'; days: number | 'option' }
  /** Days without signs, in clean water, once the treatment is full. */
  | { id: string; kind: 'hold'; name: string; by: 'no-signs'; days: number; preferredDays: number }
  /** Whole local days without any fish in the tank, quarantine.md 7.5. */
  | { id: string; kind: 'hold'; name: string; by: 'no-fish'; days: number }
  /** Moves from tank to tank, quarantine.md 7.2. */
  | {
      id: string
      kind: 'rounds'
      of: 'move'
      name: string
      rule: { maxIntervalHours: number; minTotalHours: number; minTransfers: number }
    }
  /** Baths some hours apart, each followed by a move. */
  | {
      id: string
      kind: 'rounds'
      of: 'bath'
      name: string
      dose: string
      need: number
      apartHours: readonly [number, number, number]
      moveWithinHours: number
    }
  /** The same score of each part, some of them left untreated. */
  | {
      id: string
      kind: 'series'
      name: string
      measure: 'patch-stage'
      /** What is expected of the treated parts by a day of the course: at least so much. */
      expected: readonly { byDay: number; value: number }[]
      /** No change of any treated part by then: it is something else. */
      silentByDay: number
    }

export type Act =
  | 'dose'
  | 'bath'
  | 'feed'
  | 'change'
  | 'read'
  | 'count'
  | 'look'
  | 'move'
  | 'switch'
  | 'bench'
  | 'tick'
  | 'mark'
  | 'close'

/** The schedules that are worked out from what happened, core/courses/steps. */
export type ScheduleName =
  | 'ramp'
  | 'redose'
  | 'dilute'
  | 'read'
  | 'read-after-carbon'
  | 'ammonia'
  | 'join'
  | 'look'
  | 'move-once'
  | 'moves'
  | 'baths'
  | 'sets'
  | 'clear'
  | 'close'
  | 'close-plan'
  | 'tier-change'
  | 'ghost-feed'
  | 'close-count'

/** Something to be done in a course. */
export interface Step {
  id: string
  title: string
  act: Act
  /** When: by a schedule of its own, or on days counted from the start's local day. */
  due: { by: ScheduleName } | { day: number; every?: number; until?: number; alternateWith?: string }
  /** Rules that have to hold first: until then it waits. */
  needs?: readonly string[]
  /** Shown beside it, before it is done. */
  caution?: string
  /** What to do, where the title does not say it. */
  how?: string
  /** The measure it counts, for `count`. */
  measure?: 'patch-stage'
  /** The tier decides how much: outbreaks.md 5.3 by further-schools.md 4. */
  amount?: 'session-cap' | 'change-share'
  share?: number
}

/** What a school, an add-on or a plan is: read by one engine. */
export interface Definition {
  id: string
  kind: 'school' | 'plan' | 'fallow'
  /** After the drug's name, or alone: "fourteen days then move". */
  name: string
  /** One sentence: what is done. */
  what: string
  treats: readonly string[]
  roles: readonly { role: Role; label: string; hint: string; must: boolean }[]
  /** Doses of the catalogue that may be its drug; the first is the default. */
  drugs: readonly string[]
  /** Doses besides the drug: of baths, of a syringe. */
  products: readonly { dose: string; ingredient: string; label: string }[]
  options: readonly Option[]
  /** Core days, as its school counts them. */
  days: number
  /** How the treatment ends: the fish move out, the drug is taken out, the moves are full, the plan's rules. */
  ends: 'move' | 'clear' | 'rounds' | 'plan' | 'count' | 'watch'
  /** The track that the ledger shows. */
  lead: string
  tracks: readonly Track[]
  steps: readonly Step[]
  rules: readonly Rule[]
  /** Times each animal is handled, for the handling load: quarantine.md 8. */
  handling: number
  /** Equipment that is asked about on day 0 and put back at the end. */
  restore: readonly EquipmentItem[]
  /** Shown before it starts. */
  cautions: readonly string[]
  source: string
}
