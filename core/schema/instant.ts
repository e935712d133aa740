const SHAPE = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})(?::(\d{2})(?:\.\d{1,9})?)?Z$/

/**
 * Whether a text is a time instant as Brinvo keeps them: ISO 8601, UTC, ending in Z, naming a date and time that exist
 * (the 30th of February does not, nor does a 24th hour or a 60th second).
 */
export function isInstant(text: string): boolean {
  const parts = SHAPE.exec(text)
  if (!parts) return false
  const [year, month, day, hour, minute, second] = parts.slice(1, 7).map((part) => Number(part ?? 0)) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  if (hour > 23 || minute > 59 || second > 59) return false
  const date = new Date(Date.UTC(2000, month - 1, day))
  date.setUTCFullYear(year, month - 1, day)
  return date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day
}
