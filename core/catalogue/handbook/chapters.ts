import type { Sheet } from './handbook.schema.ts'

/** A table of the handbook as it is shown: rows of named fields. */
export interface HandbookTable extends Sheet<Readonly<Record<string, unknown>>> {
  /** Its place in the chapter's address. */
  id: string
}

/** A chapter: loaded when it is opened, or when something is looked for. */
export interface Chapter {
  id: string
  title: string
  about: string
  load: () => Promise<HandbookTable[]>
}

const table = (id: string, sheet: Sheet<object>): HandbookTable => ({ id, ...sheet }) as HandbookTable
const plain = (id: string, title: string, source: string, rows: readonly object[]): HandbookTable =>
  table(id, { title, source, rows })

/** The handbook's chapters in the order they are read. */
export const CHAPTERS: readonly Chapter[] = [
  {
    id: 'agents',
    title: 'Agents',
    about: 'what each drug is, what takes it out, whom it harms',
    load: async () => [table('agents', (await import('./agents.data.ts')).AGENTS)],
  },
  {
    id: 'doses',
    title: 'Doses',
    about: 'ranges, ramps and tests',
    async load() {
      const { DOSES } = await import('../treatments/doses.data.ts')
      const { DOSE_SOURCES } = await import('../treatments/dose-sources.data.ts')
      const { RAMPS } = await import('../treatments/ramps.data.ts')
      const { TEST_KINDS } = await import('../treatments/tests.data.ts')
      return [
        plain(
          'doses',
          'Doses',
          'quarantine.md 5.2: each row its own',
          DOSES.map((dose) => ({ ...dose, source: DOSE_SOURCES[dose.id]! })),
        ),
        plain('ramps', 'Up to the dose', 'quarantine.md 5.5: hobby practice; copper sulphate FA165', RAMPS),
        plain('tests', 'Tests', 'quarantine.md 5.4: editorial assumption where nothing else stands', TEST_KINDS),
      ]
    },
  },
  {
    id: 'conditions',
    title: 'Conditions of fish',
    about: 'what they look like, what they are mistaken for, what is done',
    async load() {
      const { FRESHWATER_CONDITIONS, MARINE_CONDITIONS, RED_FLAGS, TREAT_FOR_BOTH } =
        await import('./conditions.data.ts')
      const { ACTIONS } = await import('./actions.data.ts')
      return [
        table('marine', MARINE_CONDITIONS),
        table('freshwater', FRESHWATER_CONDITIONS),
        table('red-flags', RED_FLAGS),
        table('both', TREAT_FOR_BOTH),
        table('actions', ACTIONS),
      ]
    },
  },
  {
    id: 'organisms',
    title: 'Organisms and corals',
    about: 'algae, films, pests and coral problems',
    load: async () => [table('organisms', (await import('./organisms.data.ts')).ORGANISMS)],
  },
  {
    id: 'plans',
    title: 'Plans',
    about: 'what is done against an outbreak, step by step',
    async load() {
      const { PLANS, PLAN_STEPS } = await import('./plans.data.ts')
      // A plan is read with its steps.
      const stepsOf = (plan: string) => PLAN_STEPS.rows.filter((step) => step.plan === plan)
      return [table('plans', { ...PLANS, rows: PLANS.rows.map((plan) => ({ ...plan, steps: stepsOf(plan.id) })) })]
    },
  },
  {
    id: 'parameters',
    title: 'Water',
    about: 'target bands, kits, what is plausible, what may change in a day',
    async load() {
      const { BAND_PROFILES, PARAMETERS } = await import('../parameters.data.ts')
      const { PARAMETER_SOURCES } = await import('../parameter-sources.data.ts')
      const parameters = PARAMETERS.map((one) => ({ ...one, source: PARAMETER_SOURCES[one.id]! }))
      const { DAILY_CAPS, PEROXIDE_CAPS, SALTS } = await import('./dosing.data.ts')
      return [
        plain('parameters', 'Parameters', 'outbreaks.md 8: hobby practice; see each row', parameters),
        plain('profiles', 'Kinds of tank the bands are for', 'outbreaks.md 8', BAND_PROFILES),
        table('caps', DAILY_CAPS),
        table('salts', SALTS),
        table('peroxide', PEROXIDE_CAPS),
      ]
    },
  },
  {
    id: 'interactions',
    title: 'What does not go together',
    about: 'drugs with drugs, with animals, with equipment',
    async load() {
      const { INTERACTIONS } = await import('../treatments/interactions.data.ts')
      const { SENSITIVITIES } = await import('../treatments/sensitivities.data.ts')
      return [
        plain('interactions', 'Interactions', 'quarantine.md 6: practice or chemistry, not trials', INTERACTIONS),
        plain('sensitivities', 'Who does not tolerate what', 'quarantine.md 5.6: hobby practice', SENSITIVITIES),
      ]
    },
  },
  {
    id: 'quarantine',
    title: 'Quarantine',
    about: 'the schools side by side, their steps, rules and set-up',
    async load() {
      const { SCHOOLS } = await import('../treatments/schools.data.ts')
      const { PROTOCOL_STEPS } = await import('../treatments/steps.data.ts')
      const { TRANSFER_RULES } = await import('../treatments/transfer-rules.data.ts')
      const { CLOCK_EVENTS } = await import('../treatments/clock-events.data.ts')
      const { SET_UP, STOCKING } = await import('./set-up.data.ts')
      const { SESSIONS, WATCH_MEASURES } = await import('./observing.data.ts')
      const { INTRODUCTION, SKIRMISHES } = await import('./introduction.data.ts')
      const { CORAL_TASKS, FALLOW_PLANS } = await import('./fallow.data.ts')
      return [
        plain('schools', 'Schools', 'quarantine.md 7.1: no school is proven best; hobby practice', SCHOOLS),
        plain('steps', 'Steps', 'quarantine.md 7.2: hobby practice', PROTOCOL_STEPS),
        plain('transfer-rules', 'The five transfer rules', 'quarantine.md 7.3: hobby practice', TRANSFER_RULES),
        plain('clock-events', 'What starts a count over', 'quarantine.md 7.4: editorial assumption', CLOCK_EVENTS),
        table('set-up', SET_UP),
        table('stocking', STOCKING),
        table('sessions', SESSIONS),
        table('measures', WATCH_MEASURES),
        table('fallow', FALLOW_PLANS),
        table('coral-tasks', CORAL_TASKS),
        table('introduction', INTRODUCTION),
        table('skirmishes', SKIRMISHES),
      ]
    },
  },
  {
    id: 'life-cycles',
    title: 'Life cycles',
    about: 'parasites in hours, and the models the risks rest on',
    async load() {
      const { LIFE_CYCLES } = await import('./life-cycles.data.ts')
      const { LIFE_MODELS } = await import('../treatments/life-models.data.ts')
      const { PEST_TIMING, CORAL_DIPS } = await import('./pests.data.ts')
      return [
        table('life-cycles', LIFE_CYCLES),
        plain(
          'models',
          'Models of the risks',
          'quarantine.md 4.1: editorial assumption, open to the keeper',
          LIFE_MODELS,
        ),
        table('pests', PEST_TIMING),
        table('dips', CORAL_DIPS),
      ]
    },
  },
  {
    id: 'signs',
    title: 'Signs',
    about: 'what can be seen on a fish',
    async load() {
      const { SIGNS } = await import('../signs.data.ts')
      const { SIGN_DEFINITIONS } = await import('../sign-definitions.data.ts')
      const { SIGN_WORDS } = await import('../sign-words.data.ts')
      const rows = SIGNS.map((sign) => ({
        ...sign,
        words: SIGN_WORDS[sign.id]!,
        definition: SIGN_DEFINITIONS[sign.id]!,
      }))
      return [plain('signs', 'Signs', 'quarantine.md 1: general textbook knowledge in the line of Noga 2010', rows)]
    },
  },
  {
    id: 'outbreaks',
    title: 'Working an outbreak',
    about: 'stages, mistakes, the microscope, measures of progress',
    async load() {
      const { DECISIONS, MISTAKES, STAGES } = await import('./working.data.ts')
      const { DINO_HABITS, KEY, SAMPLING } = await import('./microscope.data.ts')
      const { PROGRESS_MEASURES, TRAJECTORIES } = await import('./progress.data.ts')
      return [
        table('stages', STAGES),
        table('decisions', DECISIONS),
        table('mistakes', MISTAKES),
        table('sampling', SAMPLING),
        table('key', KEY),
        table('habits', DINO_HABITS),
        table('measures', PROGRESS_MEASURES),
        table('trajectories', TRAJECTORIES),
      ]
    },
  },
  {
    id: 'acclimation',
    title: 'Acclimation',
    about: 'what animals bear when they arrive',
    load: async () => [table('limits', (await import('./acclimation.data.ts')).ANIMAL_LIMITS)],
  },
  {
    id: 'cautions',
    title: 'Cautions',
    about: 'what can hurt a person, and what law asks',
    async load() {
      const { HAZARDS, OUTBREAK_HAZARDS } = await import('./cautions.data.ts')
      return [table('treatments', HAZARDS), table('outbreaks', OUTBREAK_HAZARDS)]
    },
  },
]

/** What a row is called in an address: its id, or what stands for one. */
export function rowId(row: Readonly<Record<string, unknown>>, index: number): string {
  const { id, agent, parasite, plan, group } = row as Record<string, string | undefined>
  return id ?? agent ?? (parasite ? `${parasite}-${index}` : plan ? `${plan}-${index}` : (group ?? String(index)))
}
