import { MS_PER_DAY } from '../time/zone.ts'

/** A file a month, kept elsewhere, survives a lost phone (EA). */
export const BACKUP_DAYS = 30

/**
 * How long a journal has been without an export.
 * @param firstLogged when its first entry was written, ISO; null for an empty journal
 * @param exportedAt when it was last exported from this device, ms; null for never
 * @param now ms
 * @returns days since the last export, or since the first entry where there was none; null while it is not due
 * @example
 * backupDueDays('2026-10-01T08:00:00.000Z', null, Date.parse('2026-11-23T08:00:00Z')) // 53
 */
export function backupDueDays(firstLogged: string | null, exportedAt: number | null, now: number): number | null {
  if (firstLogged === null) return null
  // A clock that was ahead at the last export would put the next one off for as long.
  const since = Math.max(Date.parse(firstLogged), exportedAt !== null && exportedAt <= now ? exportedAt : 0)
  const days = Math.floor((now - since) / MS_PER_DAY)
  return days >= BACKUP_DAYS ? days : null
}
