import type { ContentOf } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { isolated } from '../words/isolated.ts'

/** A device that is attached to a tank, as its newest entry describes it. */
export type AttachedDevice = Omit<ContentOf<'device'>, 'kind' | 'happened' | 'note' | 'retired'>

/** What is noted on everything that a stand-in sends: it is nobody's water. */
const STAND_IN_NOTE = 'made up, of a stand-in'

/** The note of what a device sends; none for a real one. */
export const noteOf = ({ standIn }: Pick<AttachedDevice, 'standIn'>): { note?: string } =>
  standIn === true ? { note: STAND_IN_NOTE } : {}

/** The devices that are attached, in the order they were. */
export const devicesOf = (journal: Journal): AttachedDevice[] =>
  journal.derive('devices', ['kind:device'], () => {
    const newest = new Map<string, ContentOf<'device'>>()
    for (const { content } of journal.ofKind('device')) newest.set(content.deviceId, content)
    return [...newest.values()].filter(({ retired }) => !retired).map((one) => ({ ...one, name: isolated(one.name) }))
  })

/** The plan that a pump runs by; null where it has none, or was stopped. */
export function pumpPlanOf(journal: Journal, deviceId: string): Line<ContentOf<'pump-plan'>> | null {
  const newest = journal.ofKind('pump-plan').findLast(({ content }) => content.deviceId === deviceId)
  return newest && !newest.content.stopped ? newest : null
}
