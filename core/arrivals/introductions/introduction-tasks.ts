import { animalById, animalLabel, animalsOf, tankOfAnimal } from '../../household/animals.ts'
import type { Settings } from '../../household/settings.ts'
import type { Journal } from '../../journal/journal.ts'
import { asItStands } from '../../schedule/task.ts'
import { MS_PER_DAY, MS_PER_HOUR, type Day } from '../../time/zone.ts'
import {
  INTRODUCTION_WAYS,
  introductionsOf,
  keepsShut,
  stopRule,
  trainingOf,
  type Introduction,
} from './introductions.ts'
import type { ArrivalTask, ArrivalTaskDraft } from '../tasks.ts'

const MORNING = 8 * 60
const DUSK = 19 * 60
const EVENING = 18 * 60
const MIDNIGHT = 23 * 60 + 59
/** quarantine.md 9, intro-watch. */
const WATCH_DAYS = 14
/** Wounds are looked for so long after a stop. */
const WOUND_DAYS = 7
/** Training that nobody has gone on with for so long is over. */
const TRAINING_RESTS_MS = 3 * MS_PER_DAY

const named = (journal: Journal, ids: readonly string[]) =>
  ids
    .flatMap((id) => animalById(journal, id) ?? [])
    .map(animalLabel)
    .join(' and ')

function draftsOf(journal: Journal, intro: Introduction, { clock }: Settings, now: number): ArrivalTaskDraft[] {
  const today = clock.dayOf(now)
  const who = named(journal, intro.animalIds)
  const at = (day: Day, minute: number) => clock.instantAt(day, minute)
  const base = (kind: ArrivalTask['kind'], occasion: string | number) => ({
    id: `introduction/${intro.id}/${kind}/${occasion}`,
    tankId: intro.openedAt === null ? (intro.neutralTankId ?? intro.tankId) : intro.tankId,
    kind,
    animalIds: intro.animalIds,
    introId: intro.id,
  })
  if (intro.ended) {
    const since = clock.dayOf(intro.ended.at)
    if (intro.ended.outcome !== 'stopped' || today - since > WOUND_DAYS) return []
    return [
      {
        ...base('wound-check', today),
        title: `Look for wounds: ${named(journal, [...intro.animalIds, ...intro.rivalIds])}`,
        why: `day ${today - since} of ${WOUND_DAYS} after the stop: torn fins that spread, a red edge, a cloudy eye`,
        notBefore: at(today, MORNING),
        best: at(today, EVENING),
        notAfter: at(today, MIDNIGHT),
      },
    ]
  }
  const { verdict, reasons } = stopRule(journal, intro, now, (ms) => clock.dayOf(ms))
  if (verdict === 'stop')
    return [
      {
        ...base('stop', 'now'),
        title: `Stop: part ${who} and the others`,
        why: reasons.join('; '),
        notBefore: intro.startedAt,
        best: now,
        notAfter: now + MS_PER_HOUR,
      },
    ]
  if (intro.openedAt === null) {
    const shut = keepsShut(intro, now)
    const { opens } = INTRODUCTION_WAYS[intro.way]
    if (shut.length === 0)
      return [
        {
          ...base('open', 'door'),
          title: `${opens}: ${who}`,
          why: 'everything that had to be true is true; at dusk, residents full',
          notBefore: at(today, 0),
          best: at(today, DUSK),
          notAfter: at(today + 1, MIDNIGHT),
        },
      ]
    return [
      {
        ...base('box-check', today),
        title: `${INTRODUCTION_WAYS[intro.way].title}: ${who}`,
        why: `waits for: ${shut.join('; ')}`,
        notBefore: at(today, MORNING),
        best: at(today, EVENING),
        notAfter: at(today, MIDNIGHT),
      },
    ]
  }
  const day = today - clock.dayOf(intro.openedAt)
  if (day > WATCH_DAYS) return []
  return [
    {
      ...base('settle-watch', today),
      title: `Watch ${who} with the others`,
      why: `day ${day} of ${WATCH_DAYS} together; eating by day 3, chases fewer each day`,
      notBefore: at(today, MORNING),
      best: at(today, EVENING),
      notAfter: at(today, MIDNIGHT),
    },
  ]
}

/** A meal of training a day for whoever is being trained and does not yet take two foods. */
function trainingDrafts(journal: Journal, { clock }: Settings, now: number): ArrivalTaskDraft[] {
  const today = clock.dayOf(now)
  return animalsOf(journal).flatMap((animal): ArrivalTaskDraft[] => {
    const tankId = tankOfAnimal(animal)
    const { meals, takes, isTrained } = trainingOf(journal, animal.id)
    const last = meals.at(-1)
    if (!tankId || !last || isTrained || now - last.at > TRAINING_RESTS_MS) return []
    if (clock.dayOf(last.at) === today) return []
    return [
      {
        id: `training/${animal.id}/${today}`,
        tankId,
        kind: 'training',
        animalIds: [animal.id],
        title: `Feeding training: ${animalLabel(animal)}`,
        why:
          takes.length === 0
            ? 'takes nothing yet; two foods are the mark'
            : `takes ${takes[0]}; a second food is wanted`,
        notBefore: clock.instantAt(today, MORNING),
        best: clock.instantAt(today, EVENING),
        notAfter: clock.instantAt(today, MIDNIGHT),
      },
    ]
  })
}

/** What is due for animals that are being brought together, or trained for it. */
export function introductionTasks(journal: Journal, settings: Settings, now: number): ArrivalTask[] {
  return [
    ...introductionsOf(journal).flatMap((intro) => draftsOf(journal, intro, settings, now)),
    ...trainingDrafts(journal, settings, now),
  ].flatMap((draft) => asItStands(journal, draft, now) ?? [])
}
