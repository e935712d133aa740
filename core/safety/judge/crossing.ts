import { coursesOf } from '../../courses/course.ts'
import { kitsOf, tankById } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import { firstAtOrAfter, type Journal } from '../../journal/journal.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import type { Concern } from '../concern.ts'

/** Vials that were dry for so long carry nothing: quarantine.md 8. */
const DRY_HOURS = 24

/** Whether something is counted in a tank that wet things of another would set back. */
const isIsolated = (journal: Journal, tankId: string, at: number): boolean =>
  coursesOf(journal).some(
    ({ definition: { kind }, tanks, startedAt, ended }) =>
      (kind === 'school' || kind === 'fallow' || kind === 'coral') &&
      startedAt <= at &&
      (ended === null || ended.at > at) &&
      Object.values(tanks).includes(tankId),
  )

/**
 * A kit that goes from tank to tank: one that belongs to another tank, or a shared one whose vials were in other water within a day. Water
 * that is drawn one way crosses nothing (further-schools.md 2), so it is asked about, not refused.
 */
export function kitConcerns(journal: Journal, { tankId, kitId }: ContentOf<'reading'>, at: number): Concern[] {
  const kit = kitId === undefined ? undefined : kitsOf(journal).find(({ id }) => id === kitId)
  if (!kit) return []
  const concern = (what: string): Concern => ({
    rule: 'kit-crosses',
    severity: 'caution',
    what,
    reason:
      'draw the sample into a throw-away cup and never pour it back; rinse, disinfect and dry the vial before and after. Was it drawn so?',
    override: 'confirm',
  })
  if (kit.tankId !== undefined && kit.tankId !== tankId)
    return [concern(`${kit.name} belongs to ${tankById(journal, kit.tankId)?.name ?? 'another tank'}`)]
  if (kit.tankId !== undefined) return []
  const readings = journal.ofKind('reading')
  const before = readings
    .slice(firstAtOrAfter(readings, at - DRY_HOURS * MS_PER_HOUR))
    .findLast(({ content, at: when }) => content.kitId === kitId && when <= at && content.tankId !== tankId)
  if (!before) return []
  // Clean to dirty is the order of the round: only into water that something is counted in, or out of it.
  if (!isIsolated(journal, tankId, at) && !isIsolated(journal, before.content.tankId, at)) return []
  const cleaned = journal
    .ofKind('gear-clean')
    .some(({ content, at: when }) => content.gearId === kitId && when >= before.at && when <= at)
  return cleaned
    ? []
    : [concern(`${kit.name} was in ${tankById(journal, before.content.tankId)?.name ?? 'another tank'} within a day`)]
}

/** Tanks within three metres of one in which something is counted: quarantine.md 8, distance rule. */
export function nearConcerns(journal: Journal, tankId: string): Concern[] {
  const tank = tankById(journal, tankId)
  const near = (tank?.near ?? [])
    .flatMap((id) => tankById(journal, id) ?? [])
    .filter(({ retired, water }) => !retired && water === tank!.water)
  return near.map(({ name }) => ({
    rule: 'too-near',
    severity: 'note' as const,
    what: `${name} stands less than 3 m away`,
    reason:
      'spray carries what swims: a solid lid between them, no shared air pump, and the clean one first in the round',
    override: 'confirm' as const,
  }))
}
