import { ingredientById } from '../../catalogue/ingredient.ts'
import { parameterById } from '../../catalogue/parameter.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import { PEROXIDE_TIERS } from '../../catalogue/treatments/peroxide-tiers.data.ts'
import {
  AMMONIUM_LIMITS_MG_PER_L,
  CEILINGS,
  DIPS_ONLY,
  SAME_OCCASION_SHARE,
  TANK_LIMITS_MG_PER_L,
} from '../../catalogue/treatments/tank-limits.data.ts'
import { ceilingOf } from '../../catalogue/ceiling.ts'
import { DOSES, doseById, type Dose } from '../../catalogue/treatments/treatments.ts'
import { doseToward } from '../../courses/amounts/planned-dose.ts'
import { SILICATE_MOST_MG_PER_L } from '../../courses/amounts/silicate-loop.ts'
import { tierOf } from '../../courses/amounts/planned-session.ts'
import type { Course } from '../../courses/course.ts'
import { productById } from '../../household/shelf.ts'
import { netVolumeAt, tankAt } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue } from '../../readings/evidence.ts'
import { raisedBy } from '../../readings/raises.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { NH4_PER_N } from '../../units/units.ts'
import { cannotJudge, concern, type Concern } from '../concern.ts'
import { agentName } from '../water/agents.ts'
import { coursesIn } from '../water/contexts.ts'
import { levelOf, type AgentLevel } from '../water/level.ts'
import { isInvertebrate, type Resident } from '../water/residents.ts'
import type { WaterState } from '../water/state.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** A level counts as over a band's high by more than a syringe can tell. */
const SLACK = 1e-6
/** Redosing in full after each half change ends at 1.875 times the first dose: further-schools.md 6. */
const FULL_REDOSE = 1.875
/** Copper is dosed by a reading of the last two days: quarantine.md 7.4, level-unknown. */
const READ_WITHIN_HOURS = 48
/** The longest time between two steps of a ramp, h: quarantine.md 5, 12 to 24 h. */
const RAMP_STEP_HOURS = 24

/** How much an agent may come to in a tank, and whose word it is. */
interface Limit {
  /** In mg/L, or µL/L for formalin. */
  high: number
  target: number
  /** As a screen says it. */
  unit: string
  /** Which part of a shown figure one of `high` is: g/L are kept as mg/L. */
  perShown: number
  /** Hours after which it is given again; null where it is held. */
  redoseHours: number | null
  /** In words: "this course may reach". */
  whose: string
}

const UNITS: Readonly<Record<string, { unit: string; perShown: number }>> = {
  'mg/L': { unit: 'mg/L', perShown: 1 },
  'µL/L': { unit: 'µL/L', perShown: 1 },
  'g/L': { unit: 'g/L', perShown: 1000 },
}

const limitOfRow = (row: Dose, whose: string): Limit | null => {
  const shown = UNITS[row.unit]
  return shown === undefined
    ? null
    : {
        ...shown,
        high: row.high * shown.perShown,
        target: row.target * shown.perShown,
        redoseHours: row.redoseHours?.[0] ?? null,
        whose,
      }
}

const plainLimit = (high: number, whose: string): Limit => ({
  high,
  target: high,
  unit: 'mg/L',
  perShown: 1,
  redoseHours: null,
  whose,
})

const OF_COURSE = 'of this course'

/** What a course allows of an agent: its drug's row, its count of doses, or the step of its plan. */
function limitOfCourse({ dose, definition, options }: Course, agent: string): Limit | null {
  if (dose?.agent === agent) return limitOfRow(dose, OF_COURSE)
  for (const track of definition.tracks) {
    if (track.kind !== 'rounds' || !('dose' in track)) continue
    const row = doseById(track.dose)
    if (row?.agent === agent && row.route === 'tank') return limitOfRow(row, OF_COURSE)
  }
  if (!definition.products.some(({ ingredient }) => ingredient === agent)) return null
  const levels = definition.steps.flatMap((step) => (step.amount === 'to-level' ? [step.mgPerL ?? 0] : []))
  if (definition.steps.some(({ amount }) => amount === 'session-cap')) levels.push(tierOf(options['tier']).capMgPerL)
  if (definition.steps.some(({ amount }) => amount === 'silicate-loop')) levels.push(SILICATE_MOST_MG_PER_L)
  if (levels.length === 0) return null
  const isInFull = options['redose'] === 'full' && options['dose'] !== 'high'
  return plainLimit(Math.max(...levels) * (isInFull ? FULL_REDOSE : 1), OF_COURSE)
}

/** How far peroxide may go by who is in the water: further-schools.md 4. */
function peroxideLimit(residents: readonly Resident[]): Limit {
  const company = residents.some((one) => one.kind !== 'fish') ? 'animals' : residents.length > 0 ? 'fish' : 'nobody'
  const high = Math.max(
    ...PEROXIDE_TIERS.filter(({ allows }) => allows.includes(company)).map((tier) => tier.capMgPerL),
  )
  const who = { animals: 'with invertebrates or plants in', fish: 'with fish in', nobody: 'of a bare tank' }[company]
  return plainLimit(high, who)
}

/** The limit of an agent in a tank: its course's own row, else the widest of its rows for a tank. */
function limitOf(
  journal: Journal,
  tankId: string,
  agent: string,
  at: number,
  residents: readonly Resident[],
): Limit | null {
  const isFresh = tankAt(journal, tankId, at)?.water === 'freshwater'
  for (const course of coursesIn(journal, tankId, at)) {
    const own = limitOfCourse(course, agent)
    if (own) return own
  }
  if (agent === 'peroxide') return peroxideLimit(residents)
  const named = `of the handbook’s doses of ${agentName(agent)}`
  const rows = DOSES.filter(
    (row) => row.agent === agent && row.route === 'tank' && (isFresh || row.water !== 'freshwater'),
  ).flatMap((row) => limitOfRow(row, named) ?? [])
  const widest = rows.reduce<Limit | null>((most, row) => (most && most.high >= row.high ? most : row), null)
  if (widest) {
    // Of rows with several rhythms the shortest tells one occasion from the next.
    const redose = rows.flatMap(({ redoseHours }) => redoseHours ?? [])
    return { ...widest, redoseHours: redose.length > 0 ? Math.min(...redose) : null }
  }
  const high = TANK_LIMITS_MG_PER_L[agent]
  return high === undefined ? null : plainLimit(high, named)
}

/** What doses since an instant left of an agent, mg/L: no fading, thinned by changes. */
function dosedSince(
  journal: Journal,
  tankId: string,
  agent: string,
  since: number,
  at: number,
  except?: string,
): AgentLevel {
  let mgPerL: number | null = 0
  let isKnown = false
  for (const { content, struck, id, at: when } of journal.about(`water:${tankId}`)) {
    if (struck || id === except || when <= since || when > at) continue
    const netL = netVolumeAt(journal, tankId, when)
    if (content.kind === 'dose' && content.ingredient === agent) {
      isKnown = true
      mgPerL =
        mgPerL === null || netL === null || countedMassMg(content) === undefined
          ? null
          : mgPerL + countedMassMg(content)! / netL
    } else if (content.kind === 'water-change' && netL !== null && mgPerL !== null)
      mgPerL *= 1 - Math.min(1, content.litres / netL)
  }
  return { mgPerL, isKnown, reading: null }
}

/** The level that counts toward a limit: all that is held, of what is given again only this occasion, of peroxide a whole day's. */
function levelBefore(
  journal: Journal,
  dose: ContentOf<'dose'>,
  limit: Limit | null,
  at: number,
  except?: string,
): AgentLevel {
  const { tankId, ingredient } = dose
  if (ingredient === 'peroxide') return dosedSince(journal, tankId, ingredient, at - MS_PER_DAY, at, except)
  const hours = limit?.redoseHours ?? null
  if (hours !== null)
    return dosedSince(journal, tankId, ingredient, at - hours * SAME_OCCASION_SHARE * MS_PER_HOUR, at, except)
  const isHeld = coursesIn(journal, tankId, at).some((course) => course.dose?.agent === ingredient)
  return levelOf(journal, tankId, ingredient, at, { except, isHeld })
}

/** What a dose makes of the level of its agent, as far as that can be worked out. */
export interface MadeLevel {
  /** mg/L, or µL/L of formalin; null where a mass, a volume or an earlier dose is not known. */
  makes: number | null
  /** The same a day before. */
  dayBefore: number
}

/** The level that a dose makes with what is in the water already. */
export function levelMadeBy(
  journal: Journal,
  dose: ContentOf<'dose'>,
  { netL, residents }: WaterState,
  at: number,
  except?: string,
): MadeLevel {
  const before = levelBefore(journal, dose, limitOf(journal, dose.tankId, dose.ingredient, at, residents), at, except)
  const dayAgo = levelOf(journal, dose.tankId, dose.ingredient, at - MS_PER_DAY, { except })
  return {
    makes:
      before.mgPerL === null || netL === null || countedMassMg(dose) === undefined
        ? null
        : before.mgPerL + countedMassMg(dose)! / netL,
    dayBefore: dayAgo.mgPerL ?? 0,
  }
}

const shown = (value: number, { unit, perShown }: Limit): string =>
  `${unit === 'mg/L' ? (value / perShown).toFixed(2) : Number((value / perShown).toPrecision(3))} ${unit}`

/** A level over what an agent may come to. */
function bandConcerns(
  journal: Journal,
  dose: ContentOf<'dose'>,
  water: WaterState,
  at: number,
  except?: string,
): Concern[] {
  const { netL, residents } = water
  const limit = limitOf(journal, dose.tankId, dose.ingredient, at, residents)
  const before = levelBefore(journal, dose, limit, at, except)
  if (!limit || netL === null || countedMassMg(dose) === undefined) return []
  if (before.mgPerL === null)
    return [
      cannotJudge(
        `an earlier dose of ${agentName(dose.ingredient)} has no known strength`,
        'what level this makes cannot be judged: read it first, or correct the earlier entry',
      ),
    ]
  const makes = before.mgPerL + countedMassMg(dose)! / netL
  if (makes <= limit.high * (1 + SLACK) + SLACK) return []
  const product = dose.productId === undefined ? null : productById(journal, dose.productId)
  const right = doseToward(before.mgPerL, limit.target, limit.high, netL, product)
  return [
    {
      ...concern(
        'over-band',
        'block',
        `That makes ${shown(makes, limit)}`,
        `above the ${shown(limit.high, limit)} ${limit.whose}`,
        'reason',
      ),
      ...(right?.amount && { rather: { amount: right.amount, makesMgPerL: right.makesMgPerL } }),
    },
  ]
}

/** Copper is held by readings: one that follows older doses without a test is asked about. */
function readFirst(journal: Journal, dose: ContentOf<'dose'>, at: number, except?: string): Concern[] {
  if (!isCopper(dose.ingredient)) return []
  const { reading, mgPerL } = levelOf(journal, dose.tankId, dose.ingredient, at, { except })
  if (reading && at - reading.at <= READ_WITHIN_HOURS * MS_PER_HOUR) return []
  const course = coursesIn(journal, dose.tankId, at).find((one) => one.dose?.agent === dose.ingredient)
  // The last step of a ramp starts from the range's low end, half a day after the step that reached it: that is no redose.
  const earlier = levelOf(journal, dose.tankId, dose.ingredient, at - RAMP_STEP_HOURS * MS_PER_HOUR, { except })
  const low = course?.dose?.low ?? 0
  const isRamping = [mgPerL, earlier.mgPerL].some((level) => level !== null && level < low)
  if (!course || isRamping || mgPerL === 0) return []
  return [
    concern(
      'read-first',
      'caution',
      reading ? 'Copper was last read more than two days ago' : 'Copper has not been read since it was dosed',
      'read it before you dose: without a reading the dose is worked out from a guess',
    ),
  ]
}

/** Whether a medicine may go into a tank at all, and what the handbook knows of it. */
function routeConcerns({ ingredient }: ContentOf<'dose'>): Concern[] {
  const name = agentName(ingredient)
  const known = ingredientById(ingredient)
  if (!known)
    return [
      cannotJudge(
        `“${ingredient}” is not in the catalogue`,
        'what it does to this water cannot be judged: choose its active ingredient',
      ),
    ]
  if (DIPS_ONLY.has(ingredient))
    return [
      concern(
        'dip-in-tank',
        'block',
        `${name} is a dip for corals`,
        'it poisons fish and invertebrates in the tank: use it in a tub of its own and pour that away',
      ),
    ]
  if (known.kind !== 'medicine' || ingredient === 'peroxide' || TANK_LIMITS_MG_PER_L[ingredient] !== undefined)
    return []
  const rows = DOSES.filter(({ agent }) => agent === ingredient)
  if (rows.some(({ route }) => route === 'tank')) return []
  return [
    cannotJudge(
      rows.length === 0
        ? `the handbook has no dose of ${name}`
        : `the handbook gives ${name} as ${routesOf(rows)}, never to a tank`,
      'how much a tank may hold cannot be judged: a veterinarian or the label decides',
    ),
  ]
}

const routesOf = (rows: readonly Dose[]): string =>
  [...new Set(rows.map(({ route }) => (route === 'bath' ? 'a bath' : 'medicine in food')))].join(' or ')

/** Ammonium chloride: poison for fish and corals; in a fallow and for a cycle within its limits. */
function ammoniumConcerns(
  journal: Journal,
  dose: ContentOf<'dose'>,
  { netL, residents, tank }: WaterState,
  at: number,
): Concern[] {
  if (dose.ingredient !== 'ammonium-chloride') return []
  const poisoned = residents.filter(({ kind }) => kind === 'fish' || kind === 'coral' || kind === 'unknown')
  if (poisoned.length > 0)
    return [
      concern(
        'ammonia-with-animals',
        'block',
        poisoned.map(({ label }) => label).join(', '),
        'ammonium chloride is ammonia: it poisons fish and corals. Only in water without them',
      ),
    ]
  if (netL === null || countedMassMg(dose) === undefined) return []
  const isWaiting =
    residents.length > 0 ||
    coursesIn(journal, tank.id, at).some(
      ({ definition }) => definition.kind === 'fallow' || definition.kind === 'coral',
    )
  const most = isWaiting ? AMMONIUM_LIMITS_MG_PER_L.fallow : AMMONIUM_LIMITS_MG_PER_L.nobody
  const makes = (countedMassMg(dose)! / netL) * NH4_PER_N
  return makes <= most * (1 + SLACK)
    ? []
    : [
        concern(
          'over-band',
          'block',
          `That makes ${makes.toFixed(2)} mg/L of total ammonia`,
          isWaiting
            ? `above the ${most.toFixed(1)} mg/L that feeds the filter of a tank without fish`
            : `above ${most} mg/L: more stalls the bacteria that it feeds`,
          'reason',
        ),
      ]
}

/** A nutrient or an element over its ceiling, or over what is plausible in any tank. */
function ceilingConcerns(journal: Journal, dose: ContentOf<'dose'>, { netL, tank }: WaterState, at: number): Concern[] {
  const ingredient = ingredientById(dose.ingredient)
  const parameter = ingredient?.raises == null ? undefined : parameterById(ingredient.raises)
  if (!parameter || netL === null || countedMassMg(dose) === undefined || parameter.id === 'copper') return []
  const last = lastValue(journal, tank.id, parameter.id, at + 1)?.value ?? 0
  const makes = last + raisedBy(dose.ingredient, parameter.id, countedMassMg(dose)! / netL)
  const most = ceilingOf(parameter.id)!
  return makes <= most * (1 + SLACK)
    ? []
    : [
        concern(
          'over-band',
          'block',
          `That makes ${Number(makes.toPrecision(3))} ${parameter.unit} of ${parameter.name}`,
          CEILINGS[parameter.id] === undefined
            ? `above ${most} ${parameter.unit}, the most that is plausible in any tank`
            : `above the ${most} ${parameter.unit} that it may come to`,
          'reason',
        ),
      ]
}

/**
 * What speaks against how much is dosed into a tank: a level over its course's or the handbook's row, in that row's own unit; a nutrient or an
 * element over its ceiling; a dip for corals in a tank; and `ask` where no volume, no strength or no row is known.
 */
export function doseLimitConcerns(
  journal: Journal,
  dose: ContentOf<'dose'>,
  water: WaterState,
  at: number,
  except?: string,
): Concern[] {
  const ingredient = ingredientById(dose.ingredient)
  const name = agentName(dose.ingredient)
  const foreign = water.agents.some(
    (one) => isCopper(one.agent) && isCopper(dose.ingredient) && one.agent !== dose.ingredient,
  )
  // No level of two forms together can be told: that they meet is said by their own row.
  if (foreign || ingredient?.kind === 'conditioner') return []
  const route = routeConcerns(dose)
  if (route.length > 0) return route
  const isJudged =
    ingredient?.kind === 'medicine' ||
    ingredient?.raises != null ||
    limitOf(journal, dose.tankId, dose.ingredient, at, water.residents) !== null
  if (!isJudged) return []
  if (water.netL === null)
    return [
      cannotJudge(
        `The net volume of ${water.tank.name} is unknown`,
        'what level this makes cannot be judged: fill in the volume sheet first',
      ),
    ]
  if (countedMassMg(dose) === undefined)
    return [
      ...ammoniumConcerns(journal, dose, water, at),
      cannotJudge(
        `no strength of ${name} is known`,
        'what level this makes cannot be judged: add the product with its strength',
      ),
    ]
  return [
    ...bandConcerns(journal, dose, water, at, except),
    ...readFirst(journal, dose, at, except),
    ...ammoniumConcerns(journal, dose, water, at),
    ...ceilingConcerns(journal, dose, water, at),
  ]
}

/** Whether invertebrates or corals live in a water. */
export const hasInvertebrates = (residents: readonly Resident[]): boolean => residents.some(isInvertebrate)
