import { coursesOf } from '../../courses/course.ts'
import { tankById, tanksOf } from '../../household/tanks.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { evidenceOf } from '../../readings/evidence.ts'
import { listed } from '../../words/numbers.ts'
import { readingResult } from '../../words/quantities.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { kitConcerns } from '../judge/crossing.ts'
import { contextConcerns } from '../judge/interactions.ts'
import { COPPER_TRACE_MG_PER_L, worseEnd } from '../water/level.ts'
import { isInvertebrate, residentsIn } from '../water/residents.ts'
import { waterBetween } from '../water/state.ts'

/** Other tanks that a copper reading may have been meant for: those under copper first. */
function otherTanks(journal: Journal, tankId: string, at: number): string[] {
  const under = new Set(
    coursesOf(journal)
      .filter(
        ({ dose, startedAt, ended }) =>
          dose !== null && isCopper(dose.agent) && startedAt <= at && (ended === null || ended.at > at),
      )
      .map((course) => course.tankId),
  )
  return tanksOf(journal)
    .filter(({ id }) => id !== tankId && under.has(id))
    .map(({ id }) => id)
}

/** Copper where invertebrates or corals live: either the tank is the wrong one, or it is an alarm. */
function copperConcerns(journal: Journal, reading: ContentOf<'reading'>, at: number, except?: string): Concern[] {
  if (reading.parameter !== 'copper') return []
  const evidence = evidenceOf({
    id: except ?? '',
    content: reading,
    at,
    logged: '',
    struck: false,
    corrected: false,
    amendedBy: null,
  })
  if (worseEnd(evidence) < COPPER_TRACE_MG_PER_L) return []
  const living = residentsIn(journal, reading.tankId, at).filter(isInvertebrate)
  if (living.length === 0) return []
  const tank = tankById(journal, reading.tankId)
  const settings = settingsOf(journal) ?? DEFAULT_SETTINGS
  const others = otherTanks(journal, reading.tankId, at)
  const names = others.flatMap((id) => tankById(journal, id)?.name ?? [])
  const { value, unit } = readingResult(reading, settings.units)
  return [
    {
      ...concern(
        'which-tank',
        'ask',
        `copper ${value} ${unit} in ${tank?.name ?? 'this tank'}, where ${listed(living.slice(0, 3).map(({ label }) => label))} ${living.length === 1 ? 'lives' : 'live'}`,
        names.length > 0
          ? `which tank was tested? ${listed(names)} ${names.length === 1 ? 'is' : 'are'} under copper. If it is right, it kills them: take them out first`
          : 'which tank was tested? If it is right, it kills them: take them out first',
        'confirm',
      ),
      tankIds: others,
    },
  ]
}

/** What falsifies an ammonia test: formalin and binders in the water. */
function ammoniaConcerns(journal: Journal, reading: ContentOf<'reading'>, at: number): Concern[] {
  if (reading.parameter !== 'tan' && reading.parameter !== 'nh3') return []
  const water = waterBetween(journal, reading.tankId, at)
  return water ? contextConcerns({ id: 'ctx-ammonia-test', what: 'an ammonia test' }, water.agents) : []
}

/** What speaks against a reading: a kit that crosses tanks, copper where it cannot be, a test that something in the water falsifies. */
export function readingConcerns(journal: Journal, reading: ContentOf<'reading'>, { except }: Asking): Concern[] {
  const at = Date.parse(reading.happened)
  return [
    ...copperConcerns(journal, reading, at, except),
    ...kitConcerns(journal, reading, at),
    ...ammoniaConcerns(journal, reading, at),
  ]
}
