import { ingredientById } from '../../catalogue/ingredient.ts'
import { CORAL_DIPS, type CoralDip } from '../../catalogue/corals/coral-dips.data.ts'
import { DIPS_ONLY } from '../../catalogue/treatments/tank-limits.data.ts'
import { DOSES, type Dose } from '../../catalogue/treatments/treatments.ts'
import { courseById } from '../../courses/course.ts'
import { dipForbidden } from '../../courses/amounts/planned-dip.ts'
import { animalById } from '../../household/animals.ts'
import { partById } from '../../household/parts.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import { tankById } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import { cannotJudge, concern, type Asking, type Concern } from '../concern.ts'
import { agentConcerns } from '../judge/interactions.ts'
import { reactionsOfBath } from '../judge/reactions.ts'
import { sensitivityConcerns, unknownConcerns } from '../judge/sensitivities.ts'
import { DIP_MATCH, waterToCompare } from '../judge/water-match.ts'
import { agentName, isCopperAgent } from '../water/agents.ts'
import { contextsOfResident, WARM_C, type Context } from '../water/contexts.ts'
import { isInvertebrate, residentOf, residentOfPart, residentsIn, type Resident } from '../water/residents.ts'
import { waterBetween, type WaterState } from '../water/state.ts'
import { countedMassMg } from '../../dosing/counted-mass.ts'

/** A dip of corals of another kind than those of the catalogue: the bench’s hard stop, outbreaks.md 6.2 and further-schools.md 4. */
const HARD_STOP_MINUTES = 15
/** A level or a time counts as over its limit by more than rounding. */
const SLACK = 1e-6
/** Clocks are no better than this: a bath so little before its time is in time (EA). */
const EARLY_HOURS = 1

type Bath = ContentOf<'bath'>

/** A bath's own rows, for fish; in mg/L, µL/L of formalin or minutes of fresh water. */
const bathRows = (agent: string): Dose[] =>
  DIPS_ONLY.has(agent) ? [] : DOSES.filter((row) => row.agent === agent && row.route === 'bath')

/** Fresh water has no strength: its minutes are its dose. */
const isWaterAlone = (rows: readonly Dose[]): boolean => rows.some(({ unit }) => unit === 'min')

/** What a row's strength is kept in: a gram is a thousand milligrams. */
const perUnit = ({ unit }: Dose): number => (unit === 'g/L' ? 1000 : 1)

/** Who is in a bath: as it names them; a bath that names nobody is of all fish of its tank. */
function whoIsIn(journal: Journal, bath: Bath, at: number): { residents: Resident[]; missing: string[] } {
  const { animalIds, partIds = [] } = bath
  if (animalIds.length === 0 && partIds.length === 0) {
    const all = residentsIn(journal, bath.tankId, at)
    const isDip =
      CORAL_DIPS.some(({ ingredient }) => ingredient === bath.ingredient) && bathRows(bath.ingredient).length === 0
    return {
      residents: all.filter(({ kind }) => (isDip ? kind === 'coral' : kind === 'fish' || kind === 'unknown')),
      missing: [],
    }
  }
  const residents: Resident[] = []
  const missing: string[] = []
  for (const id of animalIds) {
    const animal = animalById(journal, id)
    if (animal) residents.push(residentOf(animal))
    else missing.push(id)
  }
  for (const id of partIds) {
    const part = partById(journal, id)
    if (!part) missing.push(id)
    else {
      const animal = part.animalId === undefined ? null : animalById(journal, part.animalId)
      const resident = animal ? residentOf(animal) : residentOfPart(part)
      if (resident && !residents.some((one) => one.id === resident.id)) residents.push(resident)
    }
  }
  return { residents, missing }
}

/** The coral dip that an ingredient is for some piece; undefined where it is none. */
const dipFor = (resident: Resident, ingredient: string): CoralDip | undefined =>
  resident.kind === 'coral' || resident.group?.id === 'anemone' || resident.group?.id === 'clam'
    ? CORAL_DIPS.find((dip) => dip.ingredient === ingredient)
    : undefined

const mustNot = (resident: Resident, dip: CoralDip): string | null => dipForbidden(dip, { group: resident.group?.id })

/** What the bath is not for at all. */
function routeConcerns(journal: Journal, bath: Bath, residents: readonly Resident[]): Concern[] {
  const { ingredient } = bath
  const name = agentName(ingredient)
  const rows = bathRows(ingredient)
  const isMarine = tankById(journal, bath.tankId)?.water === 'marine'
  return residents.flatMap((resident): Concern[] => {
    const { label, kind } = resident
    const dip = dipFor(resident, ingredient)
    if (dip) {
      const why = mustNot(resident, dip)
      return why === null ? [] : [concern('dip-forbidden', 'block', `${label} in this dip`, why, 'reason')]
    }
    if (kind === 'fish' && CORAL_DIPS.some((one) => one.ingredient === ingredient) && rows.length === 0)
      return [concern('dip-not-for-fish', 'block', `${label} in ${name}`, 'it is a dip for corals and toxic to fish')]
    if (isInvertebrate(resident) && isWaterAlone(rows))
      return [
        concern(
          'fw-dip-invert',
          'block',
          `${label} in fresh water`,
          'corals, shrimp, snails, crabs, stars and clams do not survive a freshwater dip',
        ),
      ]
    if (
      kind === 'fish' &&
      ingredient === 'permanganate' &&
      (resident.group?.water ?? (isMarine ? 'marine' : 'freshwater')) === 'marine'
    )
      return [
        concern(
          'permanganate-sea',
          'block',
          `${label} is a marine fish`,
          'permanganate is for fresh water only: in sea water a brown precipitate settles on the gills',
        ),
      ]
    return []
  })
}

/** The limits of strength and time that hold for those in the bath. */
function limitsOf(bath: Bath, residents: readonly Resident[]): { dip: CoralDip | undefined; rows: Dose[] } {
  const rows = bathRows(bath.ingredient)
  const dips = residents.map((resident) => dipFor(resident, bath.ingredient))
  const isDip = residents.length > 0 ? dips.every(Boolean) : rows.length === 0
  const dip = isDip ? (dips[0] ?? CORAL_DIPS.find(({ ingredient }) => ingredient === bath.ingredient)) : undefined
  return { dip, rows: dip ? [] : rows }
}

function strengthConcerns(bath: Bath, residents: readonly Resident[]): Concern[] {
  const name = agentName(bath.ingredient)
  const { dip, rows } = limitsOf(bath, residents)
  if (isWaterAlone(rows)) return []
  if (dip?.mgPerL === null)
    return countedMassMg(bath) === undefined
      ? [concern('by-label', 'note', name, 'its label alone says how strong it is; one piece first')]
      : []
  if (!dip && rows.length === 0)
    return DIPS_ONLY.has(bath.ingredient)
      ? []
      : [
          cannotJudge(
            ingredientById(bath.ingredient)
              ? `the handbook has no bath of ${name}`
              : `“${bath.ingredient}” is not in the catalogue`,
            'how strong and how long it may be cannot be judged: a veterinarian or the label decides',
          ),
        ]
  if (countedMassMg(bath) === undefined)
    return [
      cannotJudge(
        `no strength of ${name} is known`,
        'what level this bath makes cannot be judged: add the product with its strength',
      ),
    ]
  const makes = countedMassMg(bath)! / bath.litres
  const [unit, per] = dip ? ['mg/L', 1] : [rows[0]!.unit, perUnit(rows[0]!)]
  const high = dip ? dip.mgPerL.high : Math.max(...rows.map((row) => row.high * perUnit(row)))
  return makes <= high * (1 + SLACK)
    ? []
    : [
        concern(
          'over-band',
          'block',
          `That makes ${Number((makes / per).toPrecision(3))} ${unit}`,
          `above the ${high / per} ${unit} of the handbook’s baths of ${name}`,
          'reason',
        ),
      ]
}

function timeConcerns(bath: Bath, residents: readonly Resident[]): Concern[] {
  const { dip, rows } = limitsOf(bath, residents)
  const isOfCorals = residents.length > 0 && residents.every(({ kind }) => kind === 'coral')
  const most = dip
    ? dip.minutes[1]
    : isOfCorals
      ? HARD_STOP_MINUTES
      : Math.max(...rows.flatMap(({ bathMinutes }) => (bathMinutes ? [bathMinutes[1]] : [])), -Infinity)
  return Number.isFinite(most) && bath.minutes > most + SLACK
    ? [
        concern(
          'bath-too-long',
          'block',
          `${bath.minutes} min`,
          `more than the ${most} min that the handbook gives a bath of ${agentName(bath.ingredient)}`,
          'reason',
        ),
      ]
    : []
}

/** Hours that have to lie between two baths of an agent: its row's, or those of the course that counts them. */
function apartHours(journal: Journal, bath: Bath): number | null {
  const course = bath.courseId === undefined ? null : courseById(journal, bath.courseId)
  for (const track of course?.definition.tracks ?? [])
    if (
      track.kind === 'rounds' &&
      track.of === 'bath' &&
      DOSES.find(({ id }) => id === track.dose)?.agent === bath.ingredient
    )
      return track.apartHours[0]
  const hours = bathRows(bath.ingredient).flatMap(({ redoseHours }) => (redoseHours ? [redoseHours[0]] : []))
  return hours.length > 0 ? Math.min(...hours) : null
}

/** The same bath on the same fish sooner than its row allows. */
function againConcerns(
  journal: Journal,
  bath: Bath,
  residents: readonly Resident[],
  at: number,
  except?: string,
): Concern[] {
  const hours = apartHours(journal, bath)
  if (hours === null) return []
  const ids = new Set(residents.filter(({ kind }) => kind === 'fish').map(({ id }) => id))
  const near = journal
    .ofKind('bath')
    .find(
      (line) =>
        line.id !== except &&
        line.content.ingredient === bath.ingredient &&
        line.at !== at &&
        Math.abs(line.at - at) < (hours - EARLY_HOURS) * MS_PER_HOUR &&
        line.content.animalIds.some((id) => ids.has(id)),
    )
  if (!near) return []
  const who = residents.filter(({ id }) => near.content.animalIds.includes(id)).map(({ label }) => label)
  return [
    concern(
      'bath-too-soon',
      'block',
      `${who.join('; ')} had a bath of ${agentName(bath.ingredient)} ${Math.round(Math.abs(at - near.at) / MS_PER_HOUR)} h ${near.at < at ? 'before' : 'after'}`,
      `at least ${hours} h between two`,
    ),
  ]
}

/** What those in the bath, and the water it is made of, speak against its agent. */
function metConcerns(journal: Journal, bath: Bath, residents: readonly Resident[], at: number): Concern[] {
  const { ingredient } = bath
  const tank = waterBetween(journal, bath.tankId, at)
  if (!tank) return []
  const isTankWater = bath.water === 'tank'
  // Whom a coral dip is for is no invertebrate in a medicine.
  const undipped = residents.filter((resident) => !dipFor(resident, ingredient))
  const contexts: Context[] = [
    ...undipped.flatMap(contextsOfResident).filter(({ id }) => id !== 'ctx-plants'),
    ...tank.contexts.filter(
      ({ id }) => id === 'ctx-open-ulcer' || (id === 'ctx-hard-or-sea-water' && !isWaterAlone(bathRows(ingredient))),
    ),
    ...warmContext(journal, bath, tank),
  ].filter(({ id, what }) => id !== 'ctx-open-ulcer' || residents.some(({ label }) => what.startsWith(label)))
  const water: WaterState = { ...tank, residents: undipped, contexts, agents: isTankWater ? tank.agents : [] }
  const treatment = { agent: ingredient, isBath: true, ...(bath.courseId !== undefined && { courseId: bath.courseId }) }
  const rows = bathRows(ingredient)
  const met = agentConcerns(treatment, water)
  return [
    ...met,
    ...sensitivityConcerns(undipped, { ...treatment, ...(rows[0] && { dose: rows[0] }) }).filter(
      // Of an invertebrate the interaction's row has spoken.
      ({ what }) => !met.some((one) => one.rule === 'drug-invert' && one.what === what),
    ),
    ...(isCopperAgent(ingredient) ? [] : unknownConcerns(undipped, agentName(ingredient))),
  ]
}

/** The bath's own temperature; where nobody told it, its tank's when its water is the tank's. */
function warmContext(journal: Journal, bath: Bath, tank: WaterState): Context[] {
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  if (bath.temperatureC !== undefined)
    return bath.temperatureC > WARM_C
      ? [{ id: 'ctx-warm-or-low-oxygen', what: `the bath is ${measureText(bath.temperatureC, '°C', units, 3)}` }]
      : []
  return bath.water === 'tank' ? tank.contexts.filter(({ id }) => id === 'ctx-warm-or-low-oxygen') : []
}

/** The bath's water beside the tank's: a freshwater dip to a degree and 0.2 pH. */
function matchConcerns(journal: Journal, bath: Bath, residents: readonly Resident[], at: number): Concern[] {
  if (residents.length === 0) return []
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const tank = waterToCompare(journal, bath.tankId, at)
  const isDip = isWaterAlone(bathRows(bath.ingredient))
  const mostC = isDip ? DIP_MATCH.celsius : 1.5
  const concerns: Concern[] = []
  if (
    bath.temperatureC !== undefined &&
    tank.temperatureC !== null &&
    Math.abs(bath.temperatureC - tank.temperatureC) > mostC + SLACK
  )
    concerns.push(
      concern(
        'temp-apart',
        'caution',
        `the bath is at ${measureText(bath.temperatureC, '°C', units, 3)}, their tank at ${measureText(tank.temperatureC, '°C', units, 3)}`,
        `match it to within ${measureText(mostC, '°C apart', units, 2)} first`,
      ),
    )
  if (isDip && bath.pH !== undefined && tank.pH !== null && Math.abs(bath.pH - tank.pH) > DIP_MATCH.pH + 1e-6)
    concerns.push(
      concern(
        'ph-apart',
        'caution',
        `the dip is at pH ${bath.pH.toFixed(1)}, their tank at ${tank.pH.toFixed(1)}`,
        `match it to within ${DIP_MATCH.pH} first`,
      ),
    )
  return concerns
}

/**
 * What speaks against a bath or a dip, for whoever is in it: what they do not tolerate, its row's strength, minutes and hours to the next, what the
 * same animal had before, and the water it is made of.
 */
export function bathConcerns(journal: Journal, bath: Bath, { except }: Asking): Concern[] {
  const at = Date.parse(bath.happened)
  const { residents, missing } = whoIsIn(journal, bath, at)
  const route = routeConcerns(journal, bath, residents)
  const isRefused = (label: string) => route.some(({ what }) => what.startsWith(label))
  const rest = residents.filter(({ label }) => !isRefused(label))
  return [
    ...route,
    ...(rest.length > 0 || residents.length === 0 ? strengthConcerns(bath, rest) : []),
    ...timeConcerns(bath, residents),
    ...againConcerns(journal, bath, residents, at, except),
    ...reactionsOfBath(journal, residents, bath.ingredient, at, except),
    ...metConcerns(journal, bath, rest, at),
    ...matchConcerns(journal, bath, residents, at),
    ...(missing.length > 0
      ? [
          cannotJudge(
            `${missing.length === 1 ? 'one' : missing.length} in this bath is not on record`,
            'whether it tolerates the bath cannot be judged',
          ),
        ]
      : []),
  ]
}
