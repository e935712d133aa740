/** Three courses' plans of 90 days worked out again after one entry, at 1,000 and 10,000 entries: all the ledger needs of them in a frame. */
import '../../core/catalogue/courses/all-definitions.ts'
import { courseById } from '../../core/courses/course.ts'
import { coursePlan } from '../../core/courses/plan.ts'
import { settingsOf } from '../../core/household/settings.ts'
import type { Content } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { scribe } from '../../core/journal/testing.ts'
import { iso, MS_PER_DAY } from '../../core/time/zone.ts'
import { buildSample } from '../../demo/index.ts'
import { longJournal } from './long-journal.ts'

const NOW = Date.parse('2026-11-23T18:30:00Z')
const TIMES = 200
const FRAME_MS = 16
const DAYS = 90

/** A transfer beside the sample's copper and its plan on patches. */
const TRANSFER: Content = {
  kind: 'course-start',
  happened: iso(NOW - MS_PER_DAY),
  courseId: 'transfer',
  definition: 'qt-c-hybrid',
  tanks: { main: 'hall', other: 'side' },
  animalIds: ['plum'],
}

const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))]!

function measure(size: number): { median: number; p95: number } {
  const journal = new Journal()
  journal.add(longJournal(size, NOW))
  journal.add(buildSample({ now: NOW, timeZone: 'Europe/Lisbon' }))
  const settings = settingsOf(journal)!
  const { record } = scribe(iso(NOW))
  journal.add([{ ...record(TRANSFER), id: `bench-${size}-transfer` }])
  const horizon = settings.clock.dayOf(NOW) + DAYS
  const times: number[] = []
  for (let i = 0; i < TIMES; i++) {
    const reading: Content = {
      kind: 'reading',
      happened: iso(NOW - MS_PER_DAY / 4 + i * 60_000),
      tankId: 'quar',
      parameter: 'copper',
      result: { kind: 'value', value: 2.2 + (i % 5) / 100 },
      unit: 'mg/L',
      uncertainty: 0.16,
    }
    const entry = { ...record(reading), id: `bench-${size}-${i}` }
    const start = performance.now()
    journal.add([entry])
    const plans = ['copper-quar', 'staghorn', 'transfer'].map((id) =>
      coursePlan(journal, courseById(journal, id)!, settings, NOW, horizon),
    )
    times.push(performance.now() - start)
    if (plans.some(({ tasks }) => tasks.length === 0)) throw new Error('a plan without tasks was measured')
  }
  return { median: quantile(times, 0.5), p95: quantile(times, 0.95) }
}

measure(1_000)
const small = measure(1_000)
const large = measure(10_000)
console.log('Three courses’ plans of 90 days after one entry, with up to 200 readings in one of them')
for (const [name, { median, p95 }] of [
  ['1,000 entries', small],
  ['10,000 entries', large],
] as const)
  console.log(
    `  ${name.padEnd(15)} median ${median.toFixed(2)} ms, p95 ${p95.toFixed(2)} ms; ${(median / FRAME_MS).toFixed(2)} of a frame`,
  )
console.log(`  10,000 against 1,000: ${(large.median / small.median).toFixed(2)}`)
