import Ajv from 'ajv'
import Type, { type TSchema } from 'typebox'
import { AnimalGroup, BandProfile, Ingredient, Parameter, Sign } from '../catalogue.schema.ts'
import { ANIMAL_GROUPS } from '../animal-group.ts'
import { INGREDIENTS } from '../ingredient.ts'
import { PARAMETER_SOURCES } from '../parameter-sources.data.ts'
import { BAND_PROFILES, PARAMETERS } from '../parameter.ts'
import { SIGN_DEFINITIONS } from '../sign-definitions.data.ts'
import { SIGNS } from '../sign.ts'
import { DOSE_SOURCES } from '../treatments/dose-sources.data.ts'
import { SIGN_SHEETS } from '../sign-tables/sign-tables.ts'
import { CLOCK_EVENTS } from '../treatments/clock-events.data.ts'
import { DOSES } from '../treatments/doses.data.ts'
import { AGENT_GROUPS, agentsIn } from '../treatments/groups.ts'
import { INTERACTIONS } from '../treatments/interactions.data.ts'
import { LIFE_MODELS } from '../treatments/life-models.data.ts'
import { RAMPS } from '../treatments/ramps.data.ts'
import { SCHOOLS } from '../treatments/schools.data.ts'
import { SENSITIVITIES } from '../treatments/sensitivities.data.ts'
import { PROTOCOL_STEPS } from '../treatments/steps.data.ts'
import { TEST_KINDS } from '../treatments/tests.data.ts'
import { TRANSFER_RULES } from '../treatments/transfer-rules.data.ts'
import * as treatments from '../treatments/treatment.schema.ts'
import * as acclimation from './acclimation.data.ts'
import { ACTIONS } from './actions.data.ts'
import * as agents from './agents.data.ts'
import * as cautions from './cautions.data.ts'
import { CHAPTERS, rowId } from './chapters.ts'
import * as conditions from './conditions.data.ts'
import * as dosing from './dosing.data.ts'
import * as fallow from './fallow.data.ts'
import { HANDBOOK_SCHEMAS, type Sheet, type SignRule } from './handbook.schema.ts'
import * as introduction from './introduction.data.ts'
import * as lifeCycles from './life-cycles.data.ts'
import * as microscope from './microscope.data.ts'
import * as observing from './observing.data.ts'
import * as organisms from './organisms.data.ts'
import * as pests from './pests.data.ts'
import * as plans from './plans.data.ts'
import * as progress from './progress.data.ts'
import * as setUp from './set-up.data.ts'
import * as working from './working.data.ts'

const SHEETS: Record<string, Sheet<object>> = {
  ...acclimation,
  ...agents,
  ...cautions,
  ...conditions,
  ...dosing,
  ...fallow,
  ...introduction,
  ...lifeCycles,
  ...microscope,
  ...observing,
  ...organisms,
  ...pests,
  ...plans,
  ...progress,
  ...setUp,
  ...working,
}

/** Rows of each table as they stand in the handbook, counted by hand. */
const ROWS: Record<string, number> = {
  SESSIONS: 5,
  WATCH_MEASURES: 6,
  MARINE_CONDITIONS: 20,
  FRESHWATER_CONDITIONS: 18,
  TREAT_FOR_BOTH: 13,
  RED_FLAGS: 9,
  LIFE_CYCLES: 28,
  AGENTS: 26,
  FALLOW_PLANS: 7,
  CORAL_TASKS: 8,
  SET_UP: 15,
  STOCKING: 4,
  INTRODUCTION: 8,
  SKIRMISHES: 4,
  HAZARDS: 14,
  OUTBREAK_HAZARDS: 9,
  STAGES: 7,
  DECISIONS: 6,
  MISTAKES: 9,
  ORGANISMS: 58,
  SAMPLING: 7,
  KEY: 13,
  DINO_HABITS: 6,
  PLANS: 34,
  PLAN_STEPS: 84,
  PEROXIDE_CAPS: 3,
  SALTS: 11,
  DAILY_CAPS: 10,
  PEST_TIMING: 8,
  CORAL_DIPS: 5,
  PROGRESS_MEASURES: 6,
  TRAJECTORIES: 13,
  ANIMAL_LIMITS: 9,
}

const PLAIN: readonly [string, readonly object[], TSchema, number][] = [
  ['doses', DOSES, treatments.Dose, 36],
  ['tests', TEST_KINDS, treatments.TestKind, 8],
  ['ramps', RAMPS, treatments.Ramp, 8],
  ['sensitivities', SENSITIVITIES, treatments.Sensitivity, 15],
  ['interactions', INTERACTIONS, treatments.Interaction, 47],
  ['schools', SCHOOLS, treatments.School, 9],
  ['protocol steps', PROTOCOL_STEPS, treatments.ProtocolStep, 22],
  ['transfer rules', TRANSFER_RULES, treatments.TransferRule, 5],
  ['clock events', CLOCK_EVENTS, treatments.ClockEvent, 13],
  ['life models', LIFE_MODELS, treatments.LifeModel, 4],
  ['signs', SIGNS, Sign, 64],
  // Fifteen of outbreaks.md 8, and the badge of quarantine.md 5.4.
  ['parameters', PARAMETERS, Parameter, 16],
  ['band profiles', BAND_PROFILES, BandProfile, 9],
  ['ingredients', INGREDIENTS, Ingredient, 40],
  ['animal groups', ANIMAL_GROUPS, AnimalGroup, 37],
]

const ajv = new Ajv({ allErrors: true, strict: false })
const faults = (schema: TSchema, rows: readonly object[]) => {
  const check = ajv.compile(Type.Array(schema))
  return check(rows) ? [] : (check.errors ?? []).map(({ instancePath, message }) => `${instancePath} ${message}`)
}

describe('every table', () => {
  test.each(Object.keys(ROWS))('%s has the rows of the handbook, each as its schema says, and a source', (name) => {
    const sheet = SHEETS[name]!
    expect(sheet.rows).toHaveLength(ROWS[name]!)
    expect(faults(HANDBOOK_SCHEMAS[name]!, sheet.rows)).toEqual([])
    expect(sheet.source).toMatch(/^(quarantine|outbreaks|acclimation)\.md/)
    expect(sheet.title).not.toBe('')
  })
  test('and there are no others', () => {
    expect(Object.keys(SHEETS).sort()).toEqual(Object.keys(ROWS).sort())
  })
  test.each(PLAIN)('%s: as the schema says, as many as there are', (_name, rows, schema, count) => {
    expect(rows).toHaveLength(count)
    expect(faults(schema, rows)).toEqual([])
  })
  test('every sign has its definition, every dose and parameter its source, and nothing else has one', () => {
    expect(Object.keys(SIGN_DEFINITIONS)).toEqual(SIGNS.map(({ id }) => id))
    expect(Object.keys(DOSE_SOURCES)).toEqual(DOSES.map(({ id }) => id))
    expect(Object.keys(PARAMETER_SOURCES)).toEqual(PARAMETERS.map(({ id }) => id))
    for (const words of [...Object.values(SIGN_DEFINITIONS), ...Object.values(DOSE_SOURCES)])
      expect(words.length).toBeGreaterThan(1)
  })
  test('ids are there once in their table', () => {
    for (const [name, { rows }] of Object.entries(SHEETS)) {
      const ids = rows.flatMap((row) => ('id' in row ? [String(row.id)] : []))
      expect([name, new Set(ids).size]).toEqual([name, ids.length])
    }
  })
})

const ids = (rows: readonly { id: string }[]) => new Set(rows.map(({ id }) => id))
const AGENT_IDS = ids(agents.AGENTS.rows)
const CONDITION_IDS = new Set([
  ...ids(conditions.MARINE_CONDITIONS.rows),
  ...ids(conditions.FRESHWATER_CONDITIONS.rows),
])
const ORGANISM_IDS = ids(organisms.ORGANISMS.rows)
const PLAN_IDS = ids(plans.PLANS.rows)
const SIGN_IDS = ids(SIGNS)
const DOSE_IDS = ids(DOSES)
const isTreatment = (id: string) =>
  AGENT_IDS.has(id) || DOSE_IDS.has(id) || AGENT_GROUPS.includes(id) || ids(ACTIONS.rows).has(id)

describe('references lead somewhere', () => {
  test('conditions: their treatments, and what they are mistaken for', () => {
    const rows = [...conditions.MARINE_CONDITIONS.rows, ...conditions.FRESHWATER_CONDITIONS.rows]
    for (const { id, treatment, lookAlikes } of rows) {
      for (const { id: step, words } of treatment.flat())
        expect([id, step === null ? words !== undefined : isTreatment(step)]).toEqual([id, true])
      for (const { than } of lookAlikes)
        if (/^[a-z-]+$/.test(than) && than.includes('-')) expect([id, CONDITION_IDS.has(than)]).toEqual([id, true])
    }
    for (const { between } of conditions.TREAT_FOR_BOTH.rows)
      for (const id of between) expect([id, CONDITION_IDS.has(id)]).toEqual([id, true])
  })

  test('red flags: every sign', () => {
    const signsOf = (rule: SignRule): string[] =>
      'sign' in rule
        ? [rule.sign]
        : 'all' in rule
          ? rule.all.flatMap(signsOf)
          : 'any' in rule
            ? rule.any.flatMap(signsOf)
            : []
    for (const { id, when } of conditions.RED_FLAGS.rows) {
      const signs = signsOf(when)
      expect(signs.length).toBeGreaterThan(0)
      for (const sign of signs) expect([id, sign, SIGN_IDS.has(sign)]).toEqual([id, sign, true])
    }
  })

  test('life cycles, doses, ramps and groups: every agent and condition', () => {
    for (const { parasite, killedBy, partly, shieldedFrom } of lifeCycles.LIFE_CYCLES.rows)
      for (const { id } of [...killedBy, ...partly, ...shieldedFrom])
        if (id !== null) expect([parasite, id, isTreatment(id)]).toEqual([parasite, id, true])
    for (const { id, agent, useFor } of DOSES) {
      expect([id, AGENT_IDS.has(agent)]).toEqual([id, true])
      for (const { id: condition } of useFor)
        if (condition !== null) expect([id, condition, CONDITION_IDS.has(condition)]).toEqual([id, condition, true])
    }
    for (const { agent } of RAMPS) expect(agent === 'others' || AGENT_IDS.has(agent)).toBe(true)
    for (const group of AGENT_GROUPS) for (const agent of agentsIn(group)) expect(AGENT_IDS.has(agent)).toBe(true)
    for (const { parasite } of LIFE_MODELS) expect(CONDITION_IDS.has(parasite)).toBe(true)
  })

  test('organisms, plans, steps, pests and habits', () => {
    for (const { id, plan, secondPlan } of organisms.ORGANISMS.rows)
      for (const one of [plan, secondPlan])
        if (one !== null) expect([id, one, PLAN_IDS.has(one)]).toEqual([id, one, true])
    for (const { id, firstLineFor, secondLineFor } of plans.PLANS.rows)
      for (const one of [...firstLineFor, ...secondLineFor])
        expect([id, one, ORGANISM_IDS.has(one)]).toEqual([id, one, true])
    const stepped = new Set(plans.PLAN_STEPS.rows.map(({ plan }) => plan))
    for (const id of PLAN_IDS) expect([id, stepped.has(id)]).toEqual([id, true])
    for (const id of stepped) expect(PLAN_IDS.has(id)).toBe(true)
    for (const { ids: of } of pests.PEST_TIMING.rows) for (const id of of) expect(ORGANISM_IDS.has(id)).toBe(true)
    for (const { id } of microscope.DINO_HABITS.rows) expect(ORGANISM_IDS.has(id)).toBe(true)
  })

  test('sign tables: their conditions, and for fish their signs', () => {
    for (const [name, sheet] of SIGN_SHEETS) {
      const isFish = name.endsWith('fish')
      for (const id of sheet.conditions)
        expect([name, id, isFish ? CONDITION_IDS.has(id) : ORGANISM_IDS.has(id)]).toEqual([name, id, true])
      if (isFish) for (const { id } of sheet.signs) expect([name, id, SIGN_IDS.has(id)]).toEqual([name, id, true])
    }
  })

  test('protocol steps: their school', () => {
    // Two sets of steps are no schools of their own: worming beside one, and the freshwater way.
    const known = new Set([...ids(SCHOOLS), 'qt-add-worm', 'qt-freshwater'])
    for (const { protocol } of PROTOCOL_STEPS) expect([protocol, known.has(protocol)]).toEqual([protocol, true])
  })
})

describe('numbers are what they can be', () => {
  test('sign tables: shares of 0…1, as many as there are conditions, priors that add up', () => {
    for (const [name, { conditions: of, priors, signs }] of SIGN_SHEETS) {
      for (const { id, p } of signs) {
        expect([name, id, p.length]).toEqual([name, id, of.length])
        for (const share of p) expect(share > 0 && share < 1).toBe(true)
      }
      for (const row of [priors['new-arrival'], priors.established]) {
        if (!row) continue
        const sum = row.reduce((all, one) => all + one, 0)
        expect([name, Math.abs(sum - (sum > 2 ? 100 : 1)) < 0.02 * sum]).toEqual([name, true])
      }
    }
  })
  test('life cycles run from least through typical to most; the outlier lies beyond', () => {
    for (const { parasite, stage, minHours, typicalHours, maxHours, outlierHours } of lifeCycles.LIFE_CYCLES.rows) {
      const known = [minHours, typicalHours, maxHours, outlierHours].filter((hours) => hours !== null)
      expect([parasite, stage, [...known].sort((a, b) => a - b)]).toEqual([parasite, stage, known])
    }
  })
  test('doses: low, target and high in this order', () => {
    for (const { id, low, target, high } of DOSES) expect([id, low <= target && target <= high]).toEqual([id, true])
  })
  test('spans run the right way, and urgencies are one to four', () => {
    for (const { rows } of Object.values(SHEETS))
      for (const row of rows)
        for (const value of Object.values(row)) {
          const span = value as { from?: number | null; to?: number | null } | null
          if (span && typeof span === 'object' && typeof span.from === 'number' && typeof span.to === 'number')
            expect(span.from).toBeLessThanOrEqual(span.to)
        }
    for (const { urgency } of organisms.ORGANISMS.rows) expect([1, 2, 3, 4]).toContain(urgency)
  })
  test('what an animal bears is over nothing, and shrimp bear less than fish', () => {
    const limits = acclimation.ANIMAL_LIMITS.rows
    for (const { maxPsuPerHour, matchC, maxMinutes } of limits) {
      if (maxPsuPerHour !== null) expect(maxPsuPerHour).toBeGreaterThan(0)
      expect(matchC).toBeGreaterThan(0)
      expect(maxMinutes).toBeGreaterThanOrEqual(45)
    }
  })
  test('peroxide by strength: half as much of twice as strong', () => {
    for (const { ml3, ml6, ml12 } of dosing.PEROXIDE_CAPS.rows)
      if (ml3 !== null && ml6 !== null && ml12 !== null) {
        expect(ml6).toBeCloseTo(ml3 / 2, 1)
        expect(Math.abs(ml12 - ml3 / 4)).toBeLessThan(0.15 * ml12)
      }
  })
})

describe('the rule grammar is read, not kept as text', () => {
  const plan = (id: string) => plans.PLANS.rows.find((row) => row.id === id)!
  test('a blackout’s stop rules: four that a meter can judge, one that only eyes can', () => {
    expect(plan('blackout-marine').stop).toEqual([
      {
        any: [
          [
            { measure: 'no3', op: '>', value: 2, timesStart: true },
            { measure: 'no3', op: '>', value: 15 },
          ],
          [
            { measure: 'po4', op: '>', value: 2, timesStart: true },
            { measure: 'po4', op: '>', value: 0.15 },
          ],
          [{ words: 'no3 rise > 10 in a day' }],
          [{ measure: 'tan', op: '>=', value: 0.25 }],
          [{ words: 'paling or tissue loss' }],
        ],
        then: 'end early',
      },
    ])
  })
  test('two rules of one plan are two', () => {
    expect(plan('coral-relocate').stop).toHaveLength(1)
    expect(plan('cut-and-save').escalate.map(({ then }) => then)).toEqual(['recession-workup now', 'discard'])
  })
  test('days count from the start or from the end of the treatment', () => {
    const steps = plans.PLAN_STEPS.rows.filter(({ plan: of }) => of === 'blackout-marine')
    expect(steps.map(({ day, until }) => [day, until])).toEqual([
      [
        { of: 'start', days: -2 },
        { of: 'start', days: -2 },
      ],
      [
        { of: 'start', days: 0 },
        { of: 'end', days: 0 },
      ],
      [
        { of: 'start', days: 1 },
        { of: 'end', days: 0 },
      ],
      [
        { of: 'end', days: 0 },
        { of: 'end', days: 0 },
      ],
      [
        { of: 'end', days: 1 },
        { of: 'end', days: 8 },
      ],
    ])
  })
  test('a red flag with both kinds of joining', () => {
    expect(conditions.RED_FLAGS.rows.find(({ id }) => id === 'rf-zoonosis')!.when).toEqual({
      any: [{ sign: 'spine-curved' }, { all: [{ sign: 'open-ulcer' }, { sign: 'eats-but-thin' }] }],
    })
  })
})

describe('what harms a person stands with what does the harm', () => {
  test('every drug has its hazard, and the worst are named', () => {
    for (const { id, hazard } of agents.AGENTS.rows)
      expect([id, hazard !== '' || id === 'hyposalinity']).toEqual([id, true])
    const hazardOf = (id: string) => agents.AGENTS.rows.find((row) => row.id === id)!.hazard
    expect(hazardOf('formalin')).toMatch(/carcinogen/)
    expect(hazardOf('chloroquine')).toMatch(/kill a person/)
    expect(cautions.OUTBREAK_HAZARDS.rows.find(({ id }) => id === 'palytoxin')!.rule).toMatch(/never boil/)
  })
})

test('the chapters hold every table, each with an address of its own', async () => {
  const loaded = await Promise.all(CHAPTERS.map(({ load }) => load()))
  const shown = loaded.flat()
  for (const [name, sheet] of Object.entries(SHEETS))
    // The steps stand with their plans.
    expect([name, name === 'PLAN_STEPS' || shown.some(({ title }) => title === sheet.title)]).toEqual([name, true])
  for (const tables of loaded) {
    expect(new Set(tables.map(({ id }) => id)).size).toBe(tables.length)
    for (const { rows } of tables) {
      const names = rows.map(rowId)
      expect(new Set(names).size).toBe(names.length)
    }
  }
})
