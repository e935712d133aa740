import type { EquipmentItem } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { FALL_A_DAY, RAISE_A_DAY } from '../daily-caps.data.ts'
import type { ParameterId } from '../parameter.types.ts'
import type { ScheduleName } from './schedule-name.ts'

/** What a tank is in a course: where it runs, the second transfer set, the sterile tank after it, a tub at the bench. */
export type Role = 'main' | 'other' | 'observe' | 'tub'

/** Something chosen when a course starts. The first choice is the default. */
export interface Option {
  id: string
  label: string
  /** `notWith`: animal groups for which this choice is refused without a written reason. */
  choices: readonly { id: string; label: string; notWith?: readonly string[]; notWithWhy?: string }[]
}

/** Belongs to a course only where an option was chosen so; the option's first choice counts where nothing was chosen. */
export interface Only {
  option: string
  is: readonly string[]
}

/** Least, best and most hours. */
export type Hours = readonly [number, number, number]

/** What a plan counts or scores. */
export type CountMeasure = NonNullable<ContentOf<'count'>['measure']>

/** Comparison of a judged quantity with its limit. */
export type Op = '<' | '<=' | '>' | '>='

/** A number that a condition looks at. */
export type Quantity =
  | number
  /**
   * A reading of a parameter, in its unit: the last one, the first of the course, or how much it has changed since a day ago.
   * `times` multiplies it.
   */
  | { parameter: string; at?: 'last' | 'start' | 'day-change'; times?: number }
  /** What was counted of a measure: in its last round, or in its first. `times` multiplies it, `plus` is added. */
  | { measure: CountMeasure; at?: 'last' | 'start'; times?: number; plus?: number }
  /** Day of the course, 0 on its first. */
  | { day: true }
  /** How much a parameter may change in a day in that tank, slower with small-polyp corals; a fall is under 0: outbreaks.md 5.4. */
  | { dayCap: 'rise'; of: keyof typeof RAISE_A_DAY }
  | { dayCap: 'fall'; of: keyof typeof FALL_A_DAY }
  /** An end of the tank's own band of a parameter; `usual` where it has none. */
  | { bandEnd: 'low' | 'high'; of: ParameterId; usual: number }
  /** Scores of a series at its last round: of the parts treated, or left as control. */
  | { series: string; arm: 'treated' | 'control'; of: 'least' | 'most' }
  /** Rounds of a step that were done. */
  | { rounds: string }

/** Something that holds or does not, judged from what the journal says of a course. */
export type Condition =
  | { all: readonly Condition[] }
  | { any: readonly Condition[] }
  | {
      left: Quantity
      op: Op
      right: Quantity
      /** On so many of the last rounds of a measure, each so many hours after the one before. */
      onLast?: number
      apartHours?: number
      /** On every reading or round of so many days, the first of them that old. */
      forDays?: number
    }
  | { not: Condition }
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
        | 'kept-warm'
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
        | 'eating'
        | 'eats-all'
        | 'missed-redose'
        | 'deworm-spacing'
        | 'salinity-high'
        | 'salinity-low'
        | 'not-better'
        | 'lesion-worse'
        | 'pest-seen'
        | 'late-dip'
        | 'dips-rising'
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
  only?: Only
}

/** A count or a measure of a course. */
export type Track = TrackKind & { only?: Only }

type TrackKind =
  /** The level of the course's drug held in its range: proven by readings where a test exists, logged where none does. */
  | { id: string; kind: 'hold'; name: string; by: 'drug'; days: number | 'option' }
  /** Days without signs, in clean water, once the treatment is full. */
  | {
      id: string
      kind: 'hold'
      name: string
      by: 'no-signs'
      days: number
      preferredDays: number
      /** After a sign so many days are enough, once the others are over; all of them begin again where it is left out. */
      afterSignDays?: number
    }
  /** Salinity held low, as specific gravity: broken over `high` only, quarantine.md 7.4, salinity-high. */
  | { id: string; kind: 'hold'; name: string; by: 'salinity'; days: number; low: number; target: number; high: number }
  /** Days that pass, whatever happens. */
  | { id: string; kind: 'hold'; name: string; by: 'elapsed'; days: number }
  /** Whole local days without any fish in the tank, quarantine.md 7.5. */
  | {
      id: string
      kind: 'hold'
      name: string
      by: 'no-fish'
      days: number | 'option'
      /** As warm as this all the days, °C; so many days where it was not. */
      leastC?: number
      elseDays?: number
    }
  /** Moves from tank to tank, quarantine.md 7.2. */
  | {
      id: string
      kind: 'rounds'
      of: 'move'
      name: string
      /** Hours from one move to the next: at least (EA), usually, and at most; hours in all, and moves. */
      rule: {
        minIntervalHours: number
        usualHours: number
        maxIntervalHours: number
        minTotalHours: number
        minTransfers: number
      }
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
  /** Dips of every host of a pest, at the pace of its life: core/catalogue/corals. */
  | { id: string; kind: 'rounds'; of: 'dip'; name: string }
  /** Doses of one medicine some hours apart: into the water, with the food, or as baths, as its row of the doses says. */
  | {
      id: string
      kind: 'rounds'
      of: 'dose'
      name: string
      dose: string
      need: number
      /** Hours from each to the next; the last one given holds for all that follow. */
      apart: readonly Hours[]
      /** When the first is due: hours from the start, from the beginning of the watch, or from another count's end. */
      first: { after: 'start' | 'watch' | { full: string }; hours: Hours }
      /** What a missed one means: all begin again, or the count only ends later. */
      missed: 'redo' | 'extend'
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
  /** A measure of the whole tank, or of its parts together, against what is expected of it by a day: outbreaks.md 7. */
  | {
      id: string
      kind: 'measure'
      name: string
      measure: CountMeasure
      /** How the parts of a round make one figure. */
      of: 'sum' | 'mean' | 'worst'
      unit: string
      /** Which way it should go. */
      better: 'lower' | 'higher'
      /** At most (or at least) this value, this share of the first round, or so much more than the first round. */
      expected: readonly { byDay: number; value?: number; share?: number; plus?: number }[]
      /** No real change by then: identify it again. Null where none is given. */
      silentByDay: number | null
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

/** Pages where a step of a plan is worked out. */
export type PlanPage = 'correct' | 'uv' | 'tally' | 'corals' | 'devices'

/** What a step raises a day by hand: to the middle of the tank's band, else of this one; or so much a day up to a level. */
export interface RaiseStep {
  parameter: string
  middleOf?: readonly [low: number, high: number]
  /** In the parameter's unit. */
  perDay?: number
  until?: number
}

/** Something to be done in a course. */
export interface Step {
  id: string
  title: string
  act: Act
  /** When: by a schedule of its own, or on days counted from the start's local day. */
  due:
    | { by: ScheduleName }
    /** Days from the start, or from the end of the treatment; `until` may be that end. */
    | {
        day: number
        every?: number
        until?: number | 'end'
        alternateWith?: string
        /** Past `until` it goes on to this day, as long as a treated patch is not white. */
        goesOnTo?: number
        of?: 'end'
        /** Hours after the tank's lights come on or go off; before it where negative. */
        light?: { of: 'on' | 'off'; hours: number }
      }
  /** The count of doses whose next one it is. */
  track?: string
  only?: Only
  /** Rules that have to hold first: until then it waits. */
  needs?: readonly string[]
  /** It protects what lives there, or is what later tests are held against: doses and bench work of its plan wait until it is done. */
  protects?: true
  /** Once more after every treated patch is white: further-schools.md 4. */
  onceMoreWhenWhite?: true
  /** Shown beside it, before it is done. */
  caution?: string
  /** What to do, where the title does not say it. */
  how?: string
  /** The measure it counts, for `count`. */
  measure?: CountMeasure
  /** What is counted one by one; the whole tank where it is left out. */
  each?: ContentOf<'part-setup'>['what']
  /** What it tests, for `read`. */
  parameters?: readonly string[]
  /** The tier decides how much: outbreaks.md 5.3 by further-schools.md 4. */
  amount?: 'session-cap' | 'change-share' | 'to-level' | 'silicate-loop'
  share?: number
  /** The share of the water that is changed before it at least. */
  changeFirst?: number
  /** What it raises by hand, for `raise-today`. */
  raises?: RaiseStep
  /** mg/L of the plan’s product, for `to-level`. */
  mgPerL?: number
  /** The procedure of the bench that does it. */
  procedure?: string
  /** What is switched with it: each is asked about, and kept with it. */
  switches?: readonly { item: EquipmentItem; running: boolean }[]
  /** Snails, shrimp and urchins that it moves out of the tank, or back into it: asked which. */
  moves?: 'crew-out' | 'crew-back'
  /** A rung of what comes back after an outbreak, from the first up; `times` where several come one by one. */
  rung?: { times?: number }
  /** Its days, for `held-days`: held while the outbreak is back. */
  heldDays?: Exclude<Step['due'], { by: unknown }>
  /** The step whose run at the bench does this one too. */
  partOfBench?: string
  /** The page of the app where it is worked out. */
  page?: PlanPage
}

/** What a school, an add-on or a plan is: read by one engine. */
export interface Definition {
  id: string
  kind: 'school' | 'add-on' | 'plan' | 'fallow' | 'coral'
  /** A dosing pump may give its portions. */
  byPump?: true
  /** It looks for a cause in what went before its start. */
  looksBack?: true
  /** A plan that treats: one at a time in a tank, a week apart. */
  isTreatment?: true
  /** What is next where its usual end comes and its goal is not reached, though no rule leads on. */
  notReached?: string
  /** After the drug's name, or alone: "fourteen days then move". */
  name: string
  treats: readonly string[]
  /** The water it is for; salt water alone unless said. */
  water?: 'freshwater' | 'marine' | 'any'
  roles: readonly { role: Role; label: string; must: boolean }[]
  /** Doses of the catalogue that may be its drug; the first is the default. */
  drugs: readonly string[]
  /** Doses besides the drug: of baths, of a syringe. */
  products: readonly { dose: string; ingredient: string; label: string; only?: Only }[]
  options: readonly Option[]
  /** Core days, as its school counts them. */
  days: number
  /** An option whose chosen number of days is the planned length of the treatment. */
  daysOption?: string
  /** How the treatment ends: the fish move out, the drug is taken out, the moves are full, the plan's rules. */
  ends: 'move' | 'clear' | 'rounds' | 'plan' | 'count' | 'watch' | 'raise' | 'doses' | 'dips'
  /** Schools that may follow once its doses are full. */
  goesOn?: readonly string[]
  /** The track that the ledger shows. */
  lead: string
  tracks: readonly Track[]
  steps: readonly Step[]
  rules: readonly Rule[]
  /** Times each animal is handled, for the handling load: quarantine.md 8. */
  handling: number
  /** Equipment that is asked about on day 0 and put back at the end. */
  restore: readonly EquipmentItem[]
}

/** What is said of a definition where it is chosen, compared or begun. */
export interface DefinitionProse {
  /** One sentence: what is done. */
  what: string
  /** What each tank should be, by role. */
  hints: Readonly<Partial<Record<Role, string>>>
  /** What speaks for each choice, by option and choice. */
  whys: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** Shown before it starts. */
  cautions: readonly string[]
  source: string
}
