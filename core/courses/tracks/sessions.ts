import type { ZoneClock } from '../../time/zone.ts'
import type { CourseRecord } from '../record/record.ts'

/** Local days on which something was dosed in a plan: its sessions. */
export const sessionDays = ({ sessions }: CourseRecord, clock: ZoneClock): number =>
  new Set(sessions.map(({ at }) => clock.dayOf(at))).size
