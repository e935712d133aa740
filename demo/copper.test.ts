import { coursePlan, type DrugPlan } from '../core/courses/plan.ts'
import { courseById } from '../core/courses/course.ts'
import { levelFit } from '../core/courses/outlook/forecast.ts'
import { ifChanged, ifMoved } from '../core/courses/outlook/what-if.ts'
import { settingsOf } from '../core/household/settings.ts'
import { tankById } from '../core/household/tanks.ts'
import { Journal } from '../core/journal/journal.ts'
import { command } from '../core/operations/command.ts'
import { buildSample } from './index.ts'

const NOW = Date.parse('2026-11-23T18:30:00Z')
const journal = new Journal()
journal.add(buildSample({ now: NOW, timeZone: 'Europe/Lisbon' }))
const settings = settingsOf(journal)!
const course = courseById(journal, 'copper-quar')!
const plan = coursePlan(journal, course, settings, NOW) as DrugPlan

/** Asks the command line, as anybody could. */
function asked<T>(operation: string, input: object): T {
  const { output, exitCode } = command([operation], () => JSON.stringify(input))
  expect(exitCode).toBe(0)
  return JSON.parse(output) as T
}

// Straight from the journal's lines, without the course's own gathering.
const lines = journal.about('water:quar').filter(({ struck, at }) => !struck && at >= course.startedAt)
const volumeL = asked<{ netL: number }>('tank.volume', tankById(journal, 'quar')!.sheet!).netL
const readings = journal.about('readings:quar:copper').flatMap(({ content, at, struck }) => {
  if (struck || at < course.startedAt || content.kind !== 'reading' || content.result.kind !== 'value') return []
  return [{ at: content.happened, mgPerL: content.result.value, sdMgPerL: content.uncertainty! / 2 }]
})
const events = lines.flatMap(({ content }): object[] => {
  if (content.kind === 'dose') return [{ at: content.happened, kind: 'dose', massMg: content.massMg! }]
  if (content.kind === 'water-change')
    return [{ at: content.happened, kind: 'water-change', fraction: content.litres / volumeL }]
  return []
})

describe('the copper of the sample’s quarantine, worked out again with the command line', () => {
  test('the clock: broken on day 5, a new run, now on its day 4', () => {
    const clock = asked<{
      state: string
      startedAt: string
      verifiedHours: number
      completesAt: string
      breaks: { from: string; to: string | null }[]
    }>('clock.therapeutic', {
      volumeL,
      band: { lowMgPerL: 2, highMgPerL: 2.5 },
      maxGapHours: 48,
      requiredHours: 14 * 24,
      now: new Date(NOW).toISOString(),
      readings: readings.map(({ at, mgPerL }) => ({ at, mgPerL })),
      events,
    })
    expect(plan.clock.state).toBe('running')
    expect(clock.state).toBe('running')
    expect(Date.parse(clock.startedAt)).toBe(plan.clock.runFrom)
    expect(plan.clock.provenHours).toBeCloseTo(clock.verifiedHours, 6)
    expect(Date.parse(clock.completesAt)).toBe(plan.clock.completesAt)
    expect(clock.breaks).toHaveLength(1)
    expect(plan.clock.breaks.map(({ from }) => from)).toEqual(clock.breaks.map(({ from }) => Date.parse(from)))
    const { clock: zone } = settings
    expect(zone.dayOf(Date.parse(clock.breaks[0]!.from)) - zone.dayOf(course.startedAt)).toBe(5)
    expect(Math.floor((NOW - Date.parse(clock.startedAt)) / 86_400_000)).toBe(4)
  })

  test('the fit: the same water and half-life', () => {
    const fit = asked<{ volumeL: number; halfLifeHours: number }>('concentration.fit', {
      start: { at: new Date(course.startedAt).toISOString(), mgPerL: 0 },
      events,
      readings,
      volumePrior: { medianL: volumeL, logSd: 0.1 },
      halfLifePrior: { medianHours: 720, logSd: 0.8 },
    })
    const shown = levelFit(plan.facts)!
    expect(shown.volumeL).toBeCloseTo(fit.volumeL, 6)
    expect(shown.halfLifeHours).toBeCloseTo(fit.halfLifeHours, 4)
  })

  test('what a 20 % change tonight would need', () => {
    const { dose, afterMgPerL } = ifChanged(journal, plan, 0.2)!
    const amount = asked<{ measured: { amount: number; mgPerL: number } }>('dose.amount', {
      volumeL,
      currentMgPerL: afterMgPerL,
      targetMgPerL: 2.25,
      product: { kind: 'solution', mgPerMl: 10 },
      measureStep: 0.1,
    })
    expect(afterMgPerL).toBeCloseTo(0.8 * readings.at(-1)!.mgPerL, 9)
    expect(dose!.amount).toBeCloseTo(amount.measured.amount, 9)
    expect(dose!.makesMgPerL).toBeCloseTo(amount.measured.mgPerL, 9)
  })

  test('the risk of moving when the count is full', () => {
    const hours = (ms: number) => (ms - plan.clock.runFrom!) / 3_600_000
    const end = hours(plan.clock.completesAt!)
    const { risk } = asked<{ risk: number }>('course.risk', {
      parasitesOnHost: 50,
      onHost: { medianHours: 120, logSd: 0.25 },
      cyst: { minHours: 72, medianHours: 72, logSd: 0.75 },
      infection: 0.3,
      protectedWindows: [{ fromHours: 0, toHours: end }],
      movesHours: [end],
    })
    expect(ifMoved(plan, plan.clock.completesAt!)[0]!.risk).toBeCloseTo(risk, 9)
    expect(risk).toBeLessThan(0.001)
  })

  test('what it tells the keeper today', () => {
    expect(plan.warnings.map(({ text }) => text)).toEqual([
      'Copper was under 2.00 for about 13 h on Wednesday 18 November. The count began again Wednesday 23:30.',
    ])
    expect(plan.tasks[0]).toMatchObject({ step: 'read', state: 'late', why: 'last 2.19, yesterday 08:10' })
  })
})
