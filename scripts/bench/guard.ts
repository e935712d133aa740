/** What speaks against an entry, at 1,000 and 10,000 entries: every kind that is asked about, each right after an entry was kept. */
import '../../core/catalogue/courses/all-definitions.ts'
import type { Content } from '../../core/journal/entry.ts'
import { Journal } from '../../core/journal/journal.ts'
import { scribe } from '../../core/journal/testing.ts'
import { concernsOf } from '../../core/safety/concerns.ts'
import { iso, MS_PER_DAY } from '../../core/time/zone.ts'
import { buildSample } from '../../demo/index.ts'
import { longJournal } from './long-journal.ts'

const NOW = Date.parse('2026-11-23T18:30:00Z')
const TIMES = 60
const GOAL_MS = 4
const happened = iso(NOW)

const PROPOSED: readonly Content[] = [
  { kind: 'dose', happened, tankId: 'quar', ingredient: 'cu-chelated', amount: 1, unit: 'mL', massMg: 10 },
  { kind: 'dose', happened, tankId: 'hall', ingredient: 'sodium-bicarbonate', amount: 5, unit: 'g', massMg: 5000 },
  { kind: 'dose', happened, tankId: 'hall', ingredient: 'cu-chelated', amount: 1, unit: 'mL', massMg: 10 },
  {
    kind: 'bath',
    happened,
    tankId: 'quar',
    animalIds: ['needle'],
    ingredient: 'formalin',
    amount: 1.5,
    unit: 'mL',
    massMg: 1500,
    litres: 10,
    minutes: 45,
  },
  { kind: 'water-change', happened, tankId: 'quar', litres: 10, replacement: { salinityPsu: 35, temperatureC: 25 } },
  { kind: 'top-off', happened, tankId: 'hall', litres: 3 },
  { kind: 'equipment', happened, tankId: 'quar', item: 'carbon', running: true },
  { kind: 'move', happened, animalId: 'needle', fromTankId: 'quar', toTankId: 'hall' },
  { kind: 'arrival', happened, animalId: 'new', tankId: 'hall', species: 'wrasse', group: 'wrasse', count: 1 },
  {
    kind: 'reading',
    happened,
    tankId: 'hall',
    parameter: 'copper',
    result: { kind: 'value', value: 0.2 },
    unit: 'mg/L',
  },
  { kind: 'contact', happened, tankId: 'frag', from: 'hall', what: 'media' },
]

const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))]!

function measure(size: number): { median: number; p95: number } {
  const journal = new Journal()
  journal.add(longJournal(size, NOW))
  journal.add(buildSample({ now: NOW, timeZone: 'Europe/Lisbon' }))
  const { record } = scribe(iso(NOW))
  const times: number[] = []
  for (let i = 0; i < TIMES; i++)
    for (const proposed of PROPOSED) {
      const reading: Content = {
        kind: 'reading',
        happened: iso(NOW - MS_PER_DAY / 4 + i * 60_000),
        tankId: 'quar',
        parameter: 'temp',
        result: { kind: 'value', value: 25 + (i % 5) / 10 },
        unit: '°C',
      }
      journal.add([{ ...record(reading), id: `bench-${size}-${i}-${times.length}` }])
      const start = performance.now()
      concernsOf(journal, proposed, { now: NOW })
      times.push(performance.now() - start)
    }
  return { median: quantile(times, 0.5), p95: quantile(times, 0.95) }
}

console.log('What speaks against an entry, each right after another was kept')
const small = measure(1000)
const large = measure(10_000)
for (const [size, { median, p95 }] of [
  ['1,000', small],
  ['10,000', large],
] as const)
  console.log(
    `  ${size.padStart(6)} entries: median ${median.toFixed(2)} ms, p95 ${p95.toFixed(2)} ms (goal ${GOAL_MS} ms)`,
  )
console.log(`  10,000 against 1,000: ${(large.median / small.median).toFixed(2)} times`)
