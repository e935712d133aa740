import type { Journal } from '../../journal/journal.ts'
import type { Course } from '../course.ts'
import type { Restart } from './record.ts'

/** Times at which carbon or metal resin was taken out after running in the course's water; the present if it still runs. */
export function carbonRestarts(journal: Journal, course: Course, until: number): Restart[] {
  const restarts: Restart[] = []
  for (const item of ['carbon', 'resin'] as const) {
    let running = false
    for (const { content, at } of journal.ofKind('equipment')) {
      if (content.tankId !== course.tankId || content.item !== item || at > until) continue
      const runs = content.running && !content.removed
      if (running && !runs && at > course.startedAt) restarts.push({ at, event: 'carbon-left-in', ongoing: false })
      running = runs
    }
    if (running) restarts.push({ at: until, event: 'carbon-left-in', ongoing: true })
  }
  return restarts
}
