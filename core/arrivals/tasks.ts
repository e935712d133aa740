import { animalGroupById } from '../catalogue/animal-group.ts'
import { inspectionKindOf } from '../catalogue/inspection-kind.ts'
import { headSightings } from '../household/head-count.ts'
import { animalById, animalLabel, tankOfAnimal, type Animal } from '../household/animals.ts'
import type { Settings } from '../household/settings.ts'
import { equipmentOf } from '../household/tanks.ts'
import type { Content, ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { asItStands, wordContent, type Standing, type Task, type TaskWindow } from '../schedule/task.ts'
import { iso, MS_PER_DAY, MS_PER_HOUR, type Day } from '../time/zone.ts'
import { byLight, lightRamp, RAMP_DAYS } from './run/light.ts'
import { runsOf, type Run } from './run/runs.ts'

export type ArrivalTaskKind =
  | 'first-meal'
  | 'evening-check'
  | 'morning-check'
  | 'light-on'
  | 'flow-up'
  | 'light-step'
  | 'watch'
  | 'box-check'
  | 'open'
  | 'settle-watch'
  | 'stop'
  | 'wound-check'
  | 'training'
  | 'chore'
  | 'coral-look'
  | 'case-look'
  | 'bench-look'

/** Something due for animals that came in, worked out from their arrival and what was done since. */
export interface ArrivalTask extends Task {
  kind: ArrivalTaskKind
  animalIds: readonly string[]
  /** The introduction it belongs to. */
  introId?: string
  /** The case it belongs to. */
  caseId?: string
  /** The procedure of the bench that it follows. */
  benchId?: string
}

export type ArrivalTaskDraft = Omit<ArrivalTask, keyof Standing> & TaskWindow

/** An unquarantined newcomer is watched so long: quarantine.md 7.1, qt-f-observe 30–45 d. */
export const WATCH_DAYS = 30
/** "Eating by day 3" (quarantine.md 9, intro-watch). */
const EATING_BY_DAYS = 3
const EVENING = 19 * 60
const NIGHT = 21 * 60
const MORNING = 8 * 60
const NOON = 12 * 60
const MIDNIGHT = 23 * 60 + 59
/** Left in peace after the move for so long. */
const PEACE_HOURS = 1
/** Animals of which a first meal tells something: corals and anemones are not fed while they settle. */
const FED: ReadonlySet<string> = new Set(['fish', 'crustacean', 'echinoderm'])

const listed = (words: readonly string[]) =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

const kindOf = ({ group }: Animal) => {
  const known = animalGroupById(group)
  return known ? inspectionKindOf(known) : 'fish'
}

/** Whether any of some animals was seen eating since an instant. */
function hasEaten(journal: Journal, animal: Animal, since: number): boolean {
  return journal
    .about(`animal:${animal.id}`)
    .some(
      ({ content, at, struck }) =>
        !struck &&
        at >= since &&
        ((content.kind === 'sighting' && (content.appetite ?? 0) >= 3) ||
          (content.kind === 'training' && content.mark >= 3)),
    )
}

/** What a released run leaves to be done, day by day, up to a horizon. */
function draftsOf(journal: Journal, run: Run, { clock }: Settings, horizon: Day): ArrivalTaskDraft[] {
  const released = run.ended!.at
  const { tankId } = run.start
  const day = clock.dayOf(released)
  const here = run.start.animals.flatMap(({ animalId }) => {
    const animal = animalById(journal, animalId)
    return animal && tankOfAnimal(animal) === tankId ? [animal] : []
  })
  if (here.length === 0) return []
  const drafts: ArrivalTaskDraft[] = []
  const names = (animals: readonly Animal[]) => listed(animals.map(animalLabel))
  const add = (
    kind: ArrivalTaskKind,
    occasion: string,
    animals: readonly Animal[],
    words: { title: string; why: string },
    [notBefore, best, notAfter]: [number, number, number],
  ) =>
    drafts.push({
      id: `arrival/${run.id}/${kind}${occasion}`,
      tankId,
      kind,
      animalIds: animals.map(({ id }) => id),
      ...words,
      notBefore,
      best,
      notAfter,
    })
  const at = (on: Day, minute: number) => clock.instantAt(on, minute)
  // An arrival late in the evening has its first meal and its check before midnight all the same, or the next evening.
  const settled = released + PEACE_HOURS * MS_PER_HOUR
  const evening = settled < at(day, MIDNIGHT) ? day : day + 1
  const mealAt = Math.max(settled, at(evening, EVENING))
  const fed = here.filter((animal) => FED.has(kindOf(animal)))
  const hungry = fed.filter((animal) => !hasEaten(journal, animal, released))
  if (hungry.length > 0)
    for (let i = 0; i < EATING_BY_DAYS; i++)
      add(
        'first-meal',
        i === 0 ? '' : `/${i}`,
        hungry,
        {
          title: `${i === 0 ? 'First meal' : 'A meal again'}: ${names(hungry)}`,
          why:
            i === 0
              ? 'a small one; what is left out again after ten minutes. Not eating the first night is common'
              : `not seen eating yet, day ${i} of ${EATING_BY_DAYS}`,
        },
        [
          Math.max(settled, at(evening + i, NOON)),
          i === 0 ? mealAt : at(evening + i, EVENING),
          at(evening + i, MIDNIGHT),
        ],
      )
  add(
    'evening-check',
    '',
    here,
    { title: `Look at ${names(here)} before the night`, why: 'breathing, position, whether anyone is chased' },
    [Math.max(settled, at(evening, 17 * 60)), Math.max(settled, at(evening, NIGHT)), at(evening, MIDNIGHT)],
  )
  add('morning-check', '', here, { title: `Head count: ${names(here)}`, why: 'each seen by name, the morning after' }, [
    at(evening + 1, 6 * 60),
    at(evening + 1, MORNING),
    at(evening + 1, NOON),
  ])
  const off = (item: 'light' | 'flow') =>
    equipmentOf(journal, tankId).some((one) => one.item === item && !one.running && one.since === released)
  if (off('light'))
    add('light-on', '', [], { title: 'Lights on again', why: 'they stayed off for its first day' }, [
      at(day + 1, MORNING),
      at(day + 1, 10 * 60),
      at(day + 1, MIDNIGHT),
    ])
  if (off('flow'))
    add(
      'flow-up',
      '',
      here.filter((animal) => kindOf(animal) === 'anemone'),
      { title: 'Flow up again, once the foot holds', why: 'in steps; the guards stay on: it walks for days' },
      [at(day + 1, MORNING), at(day + 1, NOON), at(day + 2, MIDNIGHT)],
    )
  // As the run had them, so that what was done of one stays done when another dies.
  const corals = run.start.animals.filter(({ group }) => animalGroupById(group)?.kind === 'coral')
  byLight(corals).forEach(({ fromUmol, corals: together }, i, { length }) => {
    const these = here.filter(({ id }) => together.some(({ animalId }) => animalId === id))
    for (const { day: after, words } of these.length > 0 ? lightRamp(fromUmol).steps : [])
      add(
        'light-step',
        `/${after}${i === 0 ? '' : `/${i}`}`,
        these,
        {
          title: `Light${length === 1 ? '' : ` on ${names(these)}`} to ${words}`,
          why: `day ${after} of ${RAMP_DAYS}; paler than yesterday: back a step`,
        },
        [at(day + after, MORNING), at(day + after, 10 * 60), at(day + after + 1, MIDNIGHT)],
      )
  })
  const unquarantined = run.start.animals.filter(({ noQuarantine }) => noQuarantine).map(({ animalId }) => animalId)
  const watched = here.filter(({ id }) => unquarantined.includes(id))
  if (watched.length > 0)
    for (let i = 1; i <= WATCH_DAYS && day + i <= horizon; i++)
      add(
        'watch',
        `/${i}`,
        watched,
        {
          title: `Watch half an hour: ${names(watched)} and the others`,
          why: `no quarantine, day ${i} of ${WATCH_DAYS}; in several sessions: by torch before the lights, at a meal, from two metres`,
        },
        [at(day + i, 6 * 60), at(day + i, EVENING), at(day + i, MIDNIGHT)],
      )
  return drafts
}

const RANK = { late: 0, due: 1, ahead: 2 }
/** A check that was missed is not made up for days later: it drops out after so long. */
const GONE_AFTER_MS = 2 * MS_PER_DAY

/**
 * What is due for those who came in: first meal, evening and morning checks, head count, lights and flow, the light ramp,
 * and the watch over whoever was not quarantined.
 */
export function arrivalTasks(journal: Journal, settings: Settings, now: number, horizon: Day): ArrivalTask[] {
  const reach = now - (WATCH_DAYS + 3) * MS_PER_DAY
  return runsOf(journal)
    .filter((run) => run.ended?.outcome === 'released' && run.ended.at > reach)
    .flatMap((run) => draftsOf(journal, run, settings, horizon))
    .flatMap((draft) => asItStands(journal, draft, now) ?? [])
    .filter(({ notAfter, best }) => notAfter > now - GONE_AFTER_MS && settings.clock.dayOf(best) <= horizon)
    .filter(onlyLatestMeal)
    .sort((a, b) => RANK[a.state] - RANK[b.state] || a.best - b.best)
}

/** A meal that was missed is offered once: as the latest that is due, or the first ahead. */
function onlyLatestMeal(task: ArrivalTask, _i: number, all: readonly ArrivalTask[]): boolean {
  if (task.kind !== 'first-meal') return true
  const run = task.id.split('/')[1]
  const meals = all.filter((one) => one.kind === 'first-meal' && one.id.split('/')[1] === run)
  const open = meals.filter(({ state }) => state !== 'ahead')
  return task === (open.length > 0 ? open.reduce((a, b) => (a.best > b.best ? a : b)) : meals[0])
}

/** How a task was answered. */
export interface ArrivalAnswer {
  /** First meal: how it went, on the scale of sightings. */
  appetite?: number
  /** Head count: who was seen. */
  seen?: readonly string[]
  /** Head count: of groups not seen in full, how many were. */
  seenCounts?: Readonly<Record<string, number>>
}

const CALM = {
  'evening-check': 'evening: calm, nothing seen',
  watch: 'watched half an hour, nothing seen',
  'settle-watch': 'watched together, nothing to stop',
  'wound-check': 'no wound seen',
} as const

/** Everything that doing a task keeps. */
export function arrivalTaskContents(
  task: Pick<ArrivalTask, 'id' | 'kind' | 'tankId' | 'animalIds' | 'title'>,
  now: number,
  { appetite, seen, seenCounts = {} }: ArrivalAnswer = {},
): Content[] {
  const happened = iso(now)
  const { tankId } = task
  const done = wordContent(task, 'done', now)
  const sighting = (animalIds: readonly string[], rest: Partial<ContentOf<'sighting'>>): Content => ({
    kind: 'sighting',
    happened,
    tankId,
    animalIds: [...animalIds],
    signs: [],
    ...rest,
  })
  switch (task.kind) {
    case 'first-meal':
      return [
        sighting(task.animalIds, {
          appetite: appetite ?? 0,
          ...(appetite === 0 && { signs: [{ sign: 'not-eating', present: true }] }),
        }),
        done,
      ]
    case 'chore':
      return [done]
    case 'evening-check':
    case 'watch':
    case 'settle-watch':
    case 'wound-check':
      return [sighting(task.animalIds, { words: CALM[task.kind] }), done]
    case 'morning-check': {
      return [...headSightings(tankId, task.animalIds, { seen: seen ?? task.animalIds, seenCounts }, now), done]
    }
    case 'light-on':
    case 'flow-up': {
      const item = task.kind === 'light-on' ? 'light' : 'flow'
      return [{ kind: 'equipment', happened, tankId, item, running: true }, done]
    }
    case 'light-step':
      return [wordContent(task, 'done', now, { why: task.title })]
    // Done on the introduction's own page, or by the meal itself.
    case 'box-check':
    case 'open':
    case 'stop':
    case 'training':
    case 'coral-look':
    case 'case-look':
    case 'bench-look':
      return [done]
  }
}
