import type { Condition, CountMeasure, Definition, Only, Option, Rule, Step, Track } from './definition.ts'

/** The universal stop of every plan, outbreaks.md 5.1: gasping, ammonia with fish in, or a death without a cause. */
export const UNIVERSAL_STOP: Rule = {
  id: 'stop-0',
  role: 'stop',
  when: {
    any: [
      { sign: ['surface-gasping'], withinHours: 24 },
      { left: { parameter: 'tan' }, op: '>=', right: 0.25 },
      { unexplainedDeath: { withinDays: 1 } },
    ],
  },
  says: 'a fish gasps, ammonia at 0.25 mg/L or over, or a death without a cause',
  then: 'stop, change 30–50 % of the water, air, carbon where it is not forbidden',
}

/** What the rules of a plan are written with: a condition over records, or the question that only the keeper can answer. */
const ruleOf =
  (role: 'stop' | 'escalate') =>
  (n: number, when: Condition | string, says: string, then: string, only?: Only): Rule => ({
    id: `${role}-${n}`,
    role,
    when: typeof when === 'string' ? { asks: when } : when,
    says,
    then,
    ...(only && { only }),
  })
/** A rule that stops a plan, numbered as the handbook's row lists them. */
export const stop = ruleOf('stop')
/** A rule that leads on from a plan that does not work. */
export const escalate = ruleOf('escalate')
/** What a plan is for. */
export const success = (when: Condition | string, says: string, only?: Only): Rule => ({
  id: 'success',
  role: 'success',
  when: typeof when === 'string' ? { asks: when } : when,
  says,
  ...(only && { only }),
})

/** Weekly means at least six days apart: courses.md, persistence. */
const WEEKLY_HOURS = 144

/** On so many weekly rounds on end. */
export const weekly = (
  measure: CountMeasure,
  op: '<' | '<=' | '>=',
  right: number | { measure: CountMeasure; at: 'start'; times: number },
  onLast: number,
): Condition => ({ left: { measure }, op, right, onLast, apartHours: WEEKLY_HOURS })

/** None seen for some days. */
export const noneFor = (measure: CountMeasure, forDays: number): Condition => ({
  left: { measure },
  op: '<=',
  right: 0,
  forDays,
})

/** From a day of the course on, something of a measure against a share of its first round. */
export const byDay = (day: number, ...conditions: readonly Condition[]): Condition => ({
  all: [{ left: { day: true }, op: '>=', right: day }, ...conditions],
})

/** A measure of the whole tank or of its parts together. */
export const measured = (
  measure: CountMeasure,
  name: string,
  unit: string,
  more: Partial<Omit<Extract<Track, { kind: 'measure' }>, 'kind' | 'measure' | 'name' | 'unit'>> = {},
): Track => ({
  id: measure,
  kind: 'measure',
  name,
  measure,
  unit,
  of: 'sum',
  better: 'lower',
  expected: [],
  silentByDay: null,
  ...more,
})

/** The stage of each patch against what peroxide does, outbreaks.md 7: stage 2 by day 2–4, 4 by 7–10, 5 by 14; silent by day 5. */
export const PATCH_STAGE: Track = {
  id: 'stage',
  kind: 'series',
  name: 'stage of each patch',
  measure: 'patch-stage',
  expected: [
    { byDay: 4, value: 2 },
    { byDay: 10, value: 4 },
    { byDay: 14, value: 5 },
  ],
  silentByDay: 5,
}

/** Least or most of the last scores of the treated patches. */
export const treatedStage = (of: 'least' | 'most', op: '<' | '<=' | '>=', right: number): Condition => ({
  left: { series: 'stage', arm: 'treated', of },
  op,
  right,
})

/** All treated patches white, the control lower: only against it does a change say something. */
export const ALL_WHITE: Condition = {
  all: [
    treatedStage('least', '>=', 4),
    {
      left: { series: 'stage', arm: 'control', of: 'most' },
      op: '<',
      right: { series: 'stage', arm: 'treated', of: 'least' },
    },
  ],
}

/** Who is in the water decides how much peroxide a session may use: further-schools.md 4. */
export const TIER_OPTION: Option = {
  id: 'tier',
  label: 'Who is in the water',
  choices: [
    { id: 'animals-in', label: 'animals stay in' },
    { id: 'changed', label: 'fish alone, then a change' },
  ],
}

export const OPEN_WATER =
  'Goggles and gloves: peroxide burns eyes and skin. Unplug what stands in the water before hands go in.'

export const STAGES =
  'The same lamp, the same eye: 0 living colour, 1 dull or bubbling, 2 pink, red or lighter, 3 half pale, 4 white, 5 detached.'

type PlanFields = Pick<
  Definition,
  'id' | 'name' | 'treats' | 'water' | 'days' | 'lead' | 'tracks' | 'steps' | 'rules'
> &
  Partial<
    Pick<
      Definition,
      'products' | 'options' | 'daysOption' | 'restore' | 'isTreatment' | 'looksBack' | 'byPump' | 'notReached'
    >
  > & {
    /** The schedule of its end; the usual one where it is left out. */
    closeBy?: 'close-plan' | 'close-ladder'
  }

/** A plan for an outbreak: what all of them share is filled in, the universal stop and the step that closes it too. */
export const planOf = ({ steps, rules, closeBy = 'close-plan', ...fields }: PlanFields): Definition => ({
  kind: 'plan',
  roles: [{ role: 'main', label: 'Tank', must: true }],
  drugs: [],
  products: [],
  options: [],
  ends: 'plan',
  handling: 0,
  restore: [],
  ...fields,
  steps: [...steps, { id: 'close', title: 'Finish the plan', act: 'close', due: { by: closeBy } }],
  rules: [UNIVERSAL_STOP, ...rules],
})

/** The step that marks the end of the treatment, from which the later steps count. */
export const END: Step = {
  id: 'end',
  title: 'End the treatment',
  act: 'mark',
  due: { by: 'end-mark' },
  how: 'What follows counts from here: earlier when a stop rule says so, later if you say so.',
}
