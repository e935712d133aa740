import type { Content, Entry } from '../core/journal/entry.ts'
import { iso, MS_PER_MINUTE, zoneClock } from '../core/time/zone.ts'

/** A content without its time: the diary knows when. */
type Written<C> = C extends Content ? Omit<C, 'happened'> : never

/** Where "now" is in the sample: what would lie ahead is not written. */
export interface Present {
  now: number
  timeZone: string
}

/** Writes the sample household's journal, in days before today and wall-clock times. */
export interface Diary {
  /**
   * Something that happened.
   * @param day  0 today, −1 yesterday
   * @param time on the wall, `08:10`
   */
  on(day: number, time: string, content: Written<Content>): string
  /** A later correction of an entry written before. */
  correct(id: string, day: number, time: string, change: (content: Content) => Content): void
  /** The instant of a wall time, ISO. */
  at(day: number, time: string): string
  /** A repeatable number from −1 to 1, another at each call. */
  wobble(): number
  entries(): Entry[]
}

/** Minutes that pass between doing something and writing it down. */
const WRITING_DELAY_MS = 2 * MS_PER_MINUTE

/** A small generator with a fixed seed: the sample is the same on every day but for its dates (mulberry32, public domain). */
function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export function openDiary({ now, timeZone }: Present): Diary {
  const clock = zoneClock(timeZone)
  const today = clock.dayOf(now)
  const random = seeded(76)
  const entries: Entry[] = []
  const ms = (day: number, time: string) => {
    const [hours, minutes] = time.split(':').map(Number) as [number, number]
    return clock.instantAt(today + day, hours * 60 + minutes)
  }
  const nextId = () => `sample-${String(entries.length + 1).padStart(4, '0')}`
  return {
    on(day, time, content) {
      const at = ms(day, time)
      const id = nextId()
      if (at <= now)
        entries.push({
          id,
          logged: iso(Math.min(now, at + WRITING_DELAY_MS)),
          content: { happened: iso(at), ...content },
        })
      return id
    },
    correct(id, day, time, change) {
      const entry = entries.find((one) => one.id === id)
      if (!entry || !('content' in entry) || ms(day, time) > now) return
      entries.push({ id: nextId(), logged: iso(ms(day, time)), corrects: id, content: change(entry.content) })
    },
    at: (day, time) => iso(ms(day, time)),
    wobble: () => random() * 2 - 1,
    entries: () => entries,
  }
}
