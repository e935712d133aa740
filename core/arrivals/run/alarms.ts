import { follow, type NextStep } from '../../acclimation/follow.ts'
import { MS_PER_MINUTE } from '../../time/zone.ts'
import { isForgotten, runNow } from './run-now.ts'
import { instantOf, minuteOf, type Run } from './runs.ts'
import { stepWords } from './step-words.ts'

/** A moment of a run to be called at. */
export interface Alarm {
  at: number
  title: string
}

/** More than a calendar should ring in one run. */
const MOST = 40

/**
 * The moments still to come, if each step is done when it is due: what a calendar can ring for while the page cannot.
 * Played on step by step as the run itself would go.
 */
export function alarmsOf(run: Run, now: number): Alarm[] {
  const alarms: Alarm[] = []
  if (isForgotten(run, now)) return alarms
  const happenings = [...run.happenings]
  let minute = minuteOf(run, now)
  let { next } = runNow(run, now)
  for (let i = 0; i < MOST; i++) {
    const at = Math.max(minute, next.minute)
    alarms.push({ at: instantOf(run, at), title: titleOf(next, run) })
    if (next.kind === 'measure' || next.kind === 'choose' || next.kind === 'move') break
    switch (next.kind) {
      case 'open':
        happenings.push({ kind: 'opened', minute: at })
        break
      case 'scoop':
        happenings.push({ kind: 'scoop', minute: at, litres: next.litres! })
        break
      case 'pour-off':
        happenings.push({ kind: 'pour-off', minute: at, toL: next.toL! })
        break
      case 'start-drip':
        if (run.setup.method?.kind === 'drip')
          happenings.push({ kind: 'drip', minute: at, mlPerMinute: run.setup.method.mlPerMinute })
        break
    }
    minute = at
    next = follow(run.setup, happenings, minute).next
  }
  return together(alarms)
}

/** What falls on the same minute rings once, with all that is due then. */
function together(alarms: readonly Alarm[]): Alarm[] {
  const joined: Alarm[] = []
  for (const alarm of alarms) {
    const last = joined.at(-1)
    if (last && alarm.at - last.at < MS_PER_MINUTE / 2) last.title += `, then ${alarm.title}`
    else joined.push({ ...alarm })
  }
  return joined
}

function titleOf(step: NextStep, run: Run): string {
  const { title, figure } = stepWords(step, run.setup.method)
  return `${figure}: ${title.charAt(0).toLowerCase()}${title.slice(1)}`
}
