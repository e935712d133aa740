import { animalGroupById } from '../catalogue/animal-group.ts'
import { animalsOf } from '../household/animals.ts'
import type { Journal } from '../journal/journal.ts'
import { netVolumeAt } from '../household/tanks.ts'
import { readingsOf } from '../readings/latest.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import type { Course } from './course.ts'
import type { CourseRecord } from './record.ts'

/** A set stands dry or bleached so long before it is used again: quarantine.md 7.2. */
export const SET_REST_HOURS = 24

/** When the sets of a course were made sterile. */
export function cleanedSets(journal: Journal, course: Course, until: number): CourseRecord['cleaned'] {
  const own = new Set(Object.values(course.tanks))
  return journal.ofKind('gear-clean').flatMap(({ at, content }) => {
    const { tankId } = content
    return content.gearId === undefined && tankId !== undefined && own.has(tankId) && at <= until
      ? [
          {
            tankId,
            at,
            readyAt: content.until === undefined ? at + SET_REST_HOURS * MS_PER_HOUR : Date.parse(content.until),
          },
        ]
      : []
  })
}

/** Contacts that may bring a parasite of fish: quarantine.md 7.5. A dry hand or a clean tool does not. */
const WET_CONTACTS: ReadonlySet<string> = new Set(['fish', 'water', 'snail', 'plug'])

/** What bears on a count of days without fish. */
export function fallowFacts(
  journal: Journal,
  course: Course,
  until: number,
): Pick<CourseRecord, 'fishIn' | 'wetItems' | 'feeds'> {
  if (course.definition.kind !== 'fallow') return { fishIn: [], wetItems: [], feeds: [] }
  const { tankId } = course
  const isFish = (group: string) => animalGroupById(group)?.kind === 'fish'
  const fishIn = animalsOf(journal)
    .filter(({ group }) => isFish(group))
    .flatMap(({ stays }) =>
      stays
        .filter((stay) => stay.tankId === tankId && stay.from <= until)
        .map(({ from, to }) => ({ from, to: to !== null && to > until ? null : to })),
    )
  return {
    fishIn,
    wetItems: [
      ...journal
        .ofKind('contact')
        .filter(({ content, at }) => content.tankId === tankId && at <= until && WET_CONTACTS.has(content.what))
        .map(({ at }) => ({ at, why: 'cross-contact' as const })),
      ...journal
        .ofKind('arrival')
        .filter(
          ({ content, at }) =>
            content.tankId === tankId && at > course.startedAt && at <= until && !isFish(content.group),
        )
        .map(({ at }) => ({ at, why: 'new-wet-item' as const })),
    ],
    feeds: journal.ofKind('feed').flatMap(({ content, at }) => (content.tankId === tankId && at <= until ? [at] : [])),
  }
}

/** What bears on a salinity that is held low. */
export function salinityFacts(
  journal: Journal,
  course: Course,
  until: number,
): Pick<CourseRecord, 'salinities' | 'swaps'> {
  const isHeld = course.definition.tracks.some((track) => track.kind === 'hold' && track.by === 'salinity')
  if (!isHeld) return { salinities: [], swaps: [] }
  const { tankId, startedAt } = course
  const byInstant = new Map<number, CourseRecord['salinities'][number]>()
  for (const { at, content, id } of readingsOf(journal, tankId, 'salinity'))
    if (at >= startedAt - MS_PER_DAY && at <= until && content.result.kind === 'value')
      byInstant.set(at, { ms: at, psu: Math.max(0, content.result.value), entryId: id })
  return {
    salinities: [...byInstant.values()],
    swaps: journal.ofKind('water-change').flatMap(({ at, content, id }) => {
      const psu = content.replacement?.salinityPsu
      if (content.tankId !== tankId || at < startedAt || at > until || psu === undefined) return []
      const netL = netVolumeAt(journal, tankId, at)
      return netL === null ? [] : [{ at, fraction: Math.min(1, content.litres / netL), psu, entryId: id }]
    }),
  }
}
