import { FORMAT_NAME, FORMAT_VERSION } from '../../journal/format.ts'
import { runOperation } from '../../operations/run.ts'
import type { CourseStanding } from './standing.schema.ts'
import { ramped, ward, type Ward } from '../testing/ward.ts'

/** The only course of a ward, as the operation tells it. */
function standing(it: Ward, day: number, time: string, horizonDays = 21): CourseStanding {
  const journal = {
    format: FORMAT_NAME,
    version: FORMAT_VERSION,
    exported: '2026-12-31T00:00:00Z',
    entries: it.journal.entries(),
  }
  const result = runOperation('courses.standing', { journal, now: it.at(day, time).happened, horizonDays })
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value.courses[0]!
}
const held = (days: number) => {
  const it = ramped()
  for (let day = 2; day <= days; day++) it.read(day, '08:00', 2.2)
  return it
}
const countOf = (course: CourseStanding, track: string) => course.counts.find((one) => one.track === track)!

test('a course of an unknown kind is shown, and says that it is not worked out', () => {
  const it = ward({ protocol: 'qt-z-later' })
  expect(standing(it, 1, '09:00')).toMatchObject({
    courseId: 'c',
    definition: 'qt-z-later',
    counts: [],
    warnings: [{ rule: 'unknown-definition' }],
  })
})

test('before the first dose the count waits, and the first step of the ramp is due with its amount', () => {
  const course = standing(ward(), 0, '18:10')
  expect(course).toMatchObject({ courseId: 'c', definition: 'qt-b-drug14', tankId: 'quar', stage: 'treating' })
  expect(countOf(course, 'held')).toMatchObject({ state: 'waiting', has: 0, needs: 336 })
  expect(countOf(course, 'watch')).toMatchObject({ state: 'waiting', has: 0, needs: 336, fullAt: null })
  const ramp = course.tasks.find(({ step }) => step === 'ramp')!
  expect(ramp).toMatchObject({ act: 'dose', state: 'due', amount: { unit: 'mL' } })
  expect(ramp.amount!.value).toBeGreaterThan(0)
})

test('a level held by readings is proven to the last one; full lies ahead', () => {
  const it = held(5)
  const course = standing(it, 5, '09:00')
  const count = countOf(course, 'held')
  expect(count).toMatchObject({ state: 'running', proof: 'proven', basis: 'expected', restarts: [] })
  const begun = Date.parse(course.anchors['begun:held']!.at)
  expect(count.has).toBeCloseTo((it.ms(5, '08:00') - begun) / 3_600_000, 6)
  expect(Date.parse(count.fullAt!)).toBe(begun + 336 * 3_600_000)
  expect(course.anchors['full:held']).toEqual({ at: count.fullAt, basis: 'expected' })
})

test('a reading under the range sets it to zero, and says which rule did', () => {
  const it = held(5)
  it.read(6, '08:00', 1.7)
  const count = countOf(standing(it, 6, '09:00'), 'held')
  expect(count).toMatchObject({ state: 'broken', has: 0, restarts: [{ why: 'level-low' }] })
})

test('what happens after the asked instant is not known yet', () => {
  const it = held(5)
  const before = standing(it, 5, '09:00')
  it.read(6, '08:00', 1.7)
  it.write({ kind: 'move', ...it.at(6, '09:00'), animalId: 'needle', fromTankId: 'quar', toTankId: 'obs' })
  expect(standing(it, 5, '09:00')).toEqual(before)
})

test('full, moved and watched: the course can be closed, and is not closed by itself', () => {
  const it = held(17)
  expect(countOf(standing(it, 17, '09:00'), 'held')).toMatchObject({ state: 'full', basis: 'happened', has: 336 })
  const move = standing(it, 17, '09:00').tasks.find(({ step }) => step === 'move')!
  expect(move).toMatchObject({ state: 'waiting', waitsFor: expect.arrayContaining(['tr-3']) as string[] })
  for (const animalId of ['needle', 'burr'])
    it.write({ kind: 'move', ...it.at(17, '18:00'), animalId, fromTankId: 'quar', toTankId: 'obs' })
  const watching = standing(it, 20, '18:00')
  expect(watching).toMatchObject({ stage: 'watching', tankId: 'obs' })
  expect(countOf(watching, 'watch')).toMatchObject({ state: 'running', has: 72 })
  const close = standing(it, 32, '09:00').tasks.find(({ step }) => step === 'close')
  expect(close).toMatchObject({ act: 'close', notAfter: null })
  expect(standing(it, 32, '09:00').stage).toBe('to-close')
  it.write({ kind: 'course-end', ...it.at(32, '10:00'), courseId: 'c', outcome: 'finished' })
  expect(standing(it, 32, '11:00')).toMatchObject({ stage: 'closed', anchors: { end: { basis: 'happened' } } })
})

test('an entry counts by its corrected time: put right to earlier it has happened, to later it has not', () => {
  const it = held(5)
  const late = it.read(9, '08:00', 1.7)
  const mend = (id: string, day: number, time: string, corrects: string) =>
    it.journal.add([
      {
        id,
        logged: it.at(10, '08:00').happened,
        corrects,
        content: {
          kind: 'reading',
          ...it.at(day, time),
          tankId: 'quar',
          parameter: 'copper',
          result: { kind: 'value', value: 1.7 },
          unit: 'mg/L',
        },
      },
    ])
  expect(countOf(standing(it, 6, '12:00'), 'held').state).toBe('running')
  mend('earlier', 6, '08:00', late.id)
  expect(countOf(standing(it, 6, '12:00'), 'held').state).toBe('broken')
  const other = it.read(6, '09:00', 1.6)
  mend('later', 8, '08:00', other.id)
  expect(countOf(standing(it, 6, '12:00'), 'held').restarts).toHaveLength(1)
})
