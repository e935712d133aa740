/**
 * The core against a plain single-threaded C of the same algorithm, compiled here with the machine's own cc: bare functions,
 * warm, median of 20, the same random numbers. And acclimation.plan against 60 simulations.
 */
import { execFileSync, spawnSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { CALCULATORS, computed } from '../../core/calculators/calculators.ts'
import { planAcclimation } from '../../core/acclimation/plan.ts'
import { simulateAcclimation } from '../../core/acclimation/simulate.ts'
import { concentrationFit } from '../../core/concentration/fit.ts'
import { pestClearance } from '../../core/pests/clearance.ts'
import { pestClearanceByCounts } from '../../core/pests/clearance-by-counts.ts'
import { expectOk } from '../../core/result/result.ts'
import { courseRisk } from '../../core/risk/course-risk.ts'
import { iso } from '../../core/time/zone.ts'

const MEASURED = 20
const START = Date.parse('2026-11-01T00:00:00Z')
const at = (hours: number) => iso(START + hours * 3_600_000)

const pest = {
  adults: 10,
  eggs: 20,
  hatchHours: { min: 120, max: 240 },
  maturationHours: { min: 168, max: 240 },
  eggsPerAdultPerDay: 2,
  dipsHours: [0, 144, 288],
  killMobile: 0.95,
  removeEggs: 0.1,
  horizonHours: 700,
  runs: 4000,
  seed: 7,
}
const course = {
  parasitesOnHost: 50,
  onHost: { medianHours: 120, logSd: 0.25 },
  cyst: { minHours: 72, medianHours: 72, logSd: 0.75 },
  infection: 0.3,
  protectedWindows: [
    { fromHours: 42, toHours: 120 },
    { fromHours: 133.5, toHours: 360 },
  ],
  movesHours: [360],
}
const fit = {
  start: { at: at(0), mgPerL: 0 },
  events: [
    ...[0, 1, 2, 3, 4, 5].map((day) => ({ at: at(24 * day), kind: 'dose' as const, massMg: day < 4 ? 30 : 15 })),
    { at: at(24 * 6), kind: 'water-change' as const, fraction: 0.2 },
  ],
  readings: Array.from({ length: 30 }, (_, i) => ({
    at: at(14 + 24 * i),
    mgPerL: Math.min(2.2, 0.5 * (i + 1)) - 0.004 * i + ((i % 3) - 1) * 0.03,
    sdMgPerL: 0.08,
  })),
  volumePrior: { medianL: 60, logSd: 0.1 },
  halfLifePrior: { medianHours: 720, logSd: 0.8 },
}

/** Each task with how often it is repeated within one measurement, so that the clock can tell. */
const TASKS: readonly { name: string; each: number; run: () => number }[] = [
  { name: 'pest.clearance', each: 1, run: () => expectOk(pestClearance(pest)).clearedShare },
  { name: 'course.risk', each: 50, run: () => expectOk(courseRisk(course)).perParasite },
  { name: 'concentration.fit', each: 50, run: () => expectOk(concentrationFit(fit)).volumeL },
]

const median = (values: number[]): number => {
  const sorted = values.sort((a, b) => a - b)
  return (sorted[sorted.length / 2 - 1]! + sorted[sorted.length / 2]!) / 2
}

function timed(each: number, run: () => number): { ms: number; result: number } {
  let result = 0
  for (let i = 0; i < Math.max(5, 3 * each); i++) result = run()
  const times: number[] = []
  for (let i = 0; i < MEASURED; i++) {
    const start = performance.now()
    for (let j = 0; j < each; j++) result = run()
    times.push((performance.now() - start) / each)
  }
  return { ms: median(times), result }
}

function compiled(): string | null {
  if (spawnSync('cc', ['--version']).status !== 0) return null
  const folder = fileURLToPath(new URL('../../.build', import.meta.url))
  mkdirSync(folder, { recursive: true })
  const source = fileURLToPath(new URL('c/reference.c', import.meta.url))
  execFileSync('cc', ['-O2', '-o', `${folder}/reference`, source, '-lm'])
  return `${folder}/reference`
}

const program = compiled()
console.log('The core against plain C of the same algorithm, median of 20, warm')
for (const { name, each, run } of TASKS) {
  const ours = timed(each, run)
  if (program === null) {
    console.log(`  ${name.padEnd(18)} ${ours.ms.toFixed(3)} ms; no C compiler here, nothing to compare`)
    continue
  }
  const theirs = JSON.parse(execFileSync(program, [name, String(each)], { encoding: 'utf8' })) as typeof ours
  const agrees = Math.abs(ours.result - theirs.result) <= 1e-6 * Math.max(1, Math.abs(theirs.result))
  console.log(
    `  ${name.padEnd(18)} ${ours.ms.toFixed(3)} ms, C ${theirs.ms.toFixed(3)} ms: ${(ours.ms / theirs.ms).toFixed(2)} times${agrees ? '' : `; RESULTS DIFFER: ${ours.result} and ${theirs.result}`}`,
  )
}

const bag = { volumeL: 1.2, temperatureC: 21.5, salinityPsu: 31, pH: 6.9, alkalinityDkh: 7, tanMgPerL: 1.5 }
const setting = {
  bag,
  tank: { temperatureC: 25.5, salinityPsu: 35, pH: 8.15, alkalinityDkh: 8.4 },
  container: { capacityL: 6, leaveL: 1 },
  room: { temperatureC: 22 },
  float: { minutes: 20 },
}
const animal = { maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.05, maxMinutes: 240 }
const plan = timed(
  1,
  () => expectOk(planAcclimation({ ...setting, shippingHours: 20, animal, tankCanBeMatched: true })).minutes,
)
const sixty = timed(1, () => {
  let points = 0
  for (let i = 0; i < 60; i++)
    points += expectOk(simulateAcclimation({ ...setting, method: { kind: 'drip', mlPerMinute: 10 + i }, minutes: 220 }))
      .points.length
  return points
})
const counts = {
  cameOff: 3,
  eggsMean: 20,
  hatchHours: { min: 96, max: 240 },
  maturationHours: { min: 336, max: 504 },
  eggsPerAdultPerDay: 2,
  killMobile: 0.9,
  removeEggs: 0.1,
  cleanDipsHours: [120, 240, 360],
  runs: 4000,
  seed: 7,
}
const byCounts = timed(1, () => expectOk(pestClearanceByCounts(counts)).overShare)
console.log(
  `pest.clearanceByCounts at 4,000 runs ${byCounts.ms.toFixed(0)} ms, ${(byCounts.ms / 1000).toFixed(2)} of the second it may take; it runs in the worker`,
)
console.log(
  `acclimation.plan ${plan.ms.toFixed(1)} ms, 60 simulations ${sixty.ms.toFixed(1)} ms: ${(plan.ms / sixty.ms).toFixed(2)} of them`,
)

const typed = {
  volumeL: '120',
  current: '0',
  target: '2.25',
  strength: '10',
  now: '5',
  from: '10',
  value: '10',
  tan: '0.5',
  pH: '8.1',
}
const slowest = CALCULATORS.map((calculator) => {
  const one = timed(20, () => Object.keys(computed(calculator, typed, [])).length)
  return { id: calculator.id, ms: one.ms }
}).reduce((a, b) => (a.ms > b.ms ? a : b))
console.log(
  `a calculator’s answer: ${slowest.ms.toFixed(3)} ms at the slowest (${slowest.id}), ${(slowest.ms / 16).toFixed(3)} of a frame`,
)
