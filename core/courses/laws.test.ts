import fc from 'fast-check'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { METRIC, type Settings } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { MS_PER_HOUR, zoneClock } from '../time/zone.ts'
import { courseById } from './course.ts'
import { standingOf } from './standing/standing.ts'

const ORIGIN = Date.parse('2026-10-20T12:00:00Z')
const settings: Settings = { timeZone: 'Europe/Lisbon', units: METRIC, clock: zoneClock('Europe/Lisbon') }
const at = (hours: number) => ({ happened: new Date(ORIGIN + hours * MS_PER_HOUR).toISOString() })

const HOUSE = (definitionId: string): Content[] => {
  const definition = DEFINITIONS.find(({ id }) => id === definitionId)!
  return [
    ...(['a', 'b'] as const).map((tankId): Content => ({
      kind: 'tank-setup',
      ...at(-50),
      tankId,
      name: tankId,
      water: 'marine',
      role: 'quarantine',
      sheet: { shape: { kind: 'known', litres: 60 } },
    })),
    ...(['f', 'g'] as const).map((animalId): Content => ({
      kind: 'arrival',
      ...at(-40),
      animalId,
      tankId: 'a',
      species: 'fish',
      group: 'hawkfish',
      count: 1,
    })),
    { kind: 'part-setup', ...at(-40), partId: 'p', tankId: 'a', what: 'patch', name: 'p' },
    {
      kind: 'course-start',
      ...at(0),
      courseId: 'c',
      definition: definitionId,
      tanks: { main: 'a', other: 'b', observe: 'b' },
      animalIds: definition.kind === 'school' ? ['f', 'g'] : [],
      options: definition.drugs[0] ? { drug: definition.drugs[0] } : {},
    },
  ]
}

/** Something that happens to a course, at random. */
const happening = (definitionId: string) => {
  const { drugs, products } = DEFINITIONS.find(({ id }) => id === definitionId)!
  const drug = doseById(drugs[0] ?? '')
  const agent = fc.constantFrom(drug?.agent ?? 'peroxide', ...products.map(({ ingredient }) => ingredient))
  const hour = fc.double({ min: 0, max: 900, noNaN: true })
  const animal = fc.constantFrom('f', 'g')
  const tank = fc.constantFrom('a', 'b')
  return fc.oneof(
    fc.tuple(hour, animal, tank, tank).map(([h, animalId, fromTankId, toTankId]): Content => ({
      kind: 'move',
      ...at(h),
      animalId,
      fromTankId,
      toTankId,
    })),
    fc.tuple(hour, fc.double({ min: 0, max: 4, noNaN: true })).map(([h, value]): Content => ({
      kind: 'reading',
      ...at(h),
      tankId: 'a',
      parameter: 'copper',
      result: { kind: 'value', value },
      unit: 'mg/L',
    })),
    fc.tuple(hour, fc.double({ min: 5, max: 38, noNaN: true })).map(([h, value]): Content => ({
      kind: 'reading',
      ...at(h),
      tankId: 'a',
      parameter: 'salinity',
      result: { kind: 'value', value },
      unit: 'psu',
    })),
    fc.tuple(hour, agent, fc.double({ min: 1, max: 6, noNaN: true })).map(([h, ingredient, mgPerG]): Content => ({
      kind: 'feed',
      ...at(h),
      tankId: 'a',
      foodG: 2,
      ingredient,
      mgPerG,
    })),
    fc.tuple(hour, agent, fc.double({ min: 1, max: 900, noNaN: true })).map(([h, ingredient, massMg]): Content => ({
      kind: 'dose',
      ...at(h),
      tankId: 'a',
      ingredient,
      amount: 1,
      unit: 'mL',
      massMg,
    })),
    fc
      .tuple(hour, fc.double({ min: 1, max: 80, noNaN: true }))
      .map(([h, litres]): Content => ({ kind: 'water-change', ...at(h), tankId: 'a', litres })),
    fc.tuple(hour, tank).map(([h, tankId]): Content => ({ kind: 'contact', ...at(h), tankId, what: 'tool' })),
    fc.tuple(hour, tank, agent).map(([h, tankId, ingredient]): Content => ({
      kind: 'bath',
      ...at(h),
      tankId,
      animalIds: ['f', 'g'],
      ingredient,
      amount: 1,
      unit: 'mL',
      massMg: 300,
      litres: 4,
      minutes: 30,
    })),
    fc.tuple(hour, animal).map(([h, animalId]): Content => ({ kind: 'death', ...at(h), animalId, tankId: 'a' })),
    fc.tuple(hour, fc.integer({ min: 0, max: 5 })).map(([h, value]): Content => ({
      kind: 'count',
      ...at(h),
      tankId: 'a',
      measure: 'patch-stage',
      parts: [{ partId: 'p', value }],
    })),
    fc.tuple(hour, animal).map(([h, animalId]): Content => ({
      kind: 'sighting',
      ...at(h),
      tankId: 'a',
      animalIds: [animalId],
      signs: [{ sign: 'flashing', present: true }],
    })),
    fc
      .tuple(hour, fc.boolean())
      .map(([h, running]): Content => ({ kind: 'equipment', ...at(h), tankId: 'a', item: 'carbon', running })),
    fc
      .tuple(hour, fc.double({ min: 1, max: 200, noNaN: true }))
      .map(([h, long]): Content => ({ kind: 'away', ...at(h), from: at(h).happened, until: at(h + long).happened })),
  )
}

function standingWith(definitionId: string, happenings: readonly Content[], hours: number, order = (i: number) => i) {
  const entries = [...HOUSE(definitionId), ...happenings].map((content, i) => ({
    id: `e-${String(i).padStart(4, '0')}`,
    // Written down in another order than it happened.
    logged: at(1000 + order(i)).happened,
    content,
  }))
  const journal = new Journal()
  journal.add([...entries].sort((a, b) => order(Number(a.id.slice(2))) - order(Number(b.id.slice(2)))))
  return standingOf(journal, courseById(journal, 'c')!, settings, ORIGIN + hours * MS_PER_HOUR)
}

const RUNS = 60

describe.each(DEFINITIONS.map(({ id }) => id))('%s, whatever happens', (definitionId) => {
  const isWatchedFromTheStart = DEFINITIONS.find(({ id }) => id === definitionId)!.ends === 'watch'
  const journals = fc.array(happening(definitionId), { maxLength: 14 })
  const moments = fc.double({ min: 0, max: 1000, noNaN: true })

  test('it neither throws nor hangs, and no count has less than nothing or more than it needs', () => {
    fc.assert(
      fc.property(journals, moments, (happenings, hours) => {
        const { counts, tasks } = standingWith(definitionId, happenings, hours)
        for (const { has, needs, state } of counts) {
          expect(has).toBeGreaterThanOrEqual(0)
          expect(has).toBeLessThanOrEqual(needs + 1e-9)
          if (state === 'full') expect(has).toBeCloseTo(needs, 6)
        }
        const endsBeforeItBegins = tasks.filter(
          ({ notBefore, notAfter }) => notAfter !== null && Date.parse(notAfter) < Date.parse(notBefore),
        )
        expect(endsBeforeItBegins).toEqual([])
      }),
      { numRuns: RUNS },
    )
  })

  test('nothing is counted without a record: with an empty one only what was hoped for stands', () => {
    for (const hours of [0, 100, 500, 1000])
      for (const { track, has, needs, state } of standingWith(definitionId, [], hours).counts) {
        // Observation alone counts from its own start: that entry is its record.
        if (track === 'days') continue // they pass, whatever happens
        if (isWatchedFromTheStart && track === 'watch') {
          expect(has).toBeCloseTo(Math.min(hours, needs), 6)
          continue
        }
        expect(has).toBe(0)
        expect(state).not.toBe('full')
      }
  })

  test('the order in which things were written down changes nothing', () => {
    fc.assert(
      fc.property(journals, moments, fc.integer({ min: 1, max: 97 }), (happenings, hours, step) => {
        // Things of one instant are told in the order they were written: here each has a second of its own.
        const apart = happenings.map((content, i) => ({
          ...content,
          happened: new Date(Math.floor(Date.parse(content.happened) / 60_000) * 60_000 + i * 1000).toISOString(),
        }))
        const shuffled = (i: number) => (i * step) % 101
        expect(standingWith(definitionId, apart, hours, shuffled).counts).toEqual(
          standingWith(definitionId, apart, hours).counts,
        )
      }),
      { numRuns: RUNS },
    )
  })
})

test('a reading in range never lowers what is proven', () => {
  fc.assert(
    fc.property(
      fc.array(happening('qt-a-cu30'), { maxLength: 10 }),
      fc.double({ min: 10, max: 900, noNaN: true }),
      fc.double({ min: 2.1, max: 2.4, noNaN: true }),
      (happenings, hours, value) => {
        const known = happenings.filter(({ happened }) => Date.parse(happened) <= ORIGIN + hours * MS_PER_HOUR)
        const before = standingWith('qt-a-cu30', known, hours).counts[0]!
        const reading: Content = {
          kind: 'reading',
          ...at(hours),
          tankId: 'a',
          parameter: 'copper',
          result: { kind: 'value', value },
          unit: 'mg/L',
        }
        expect(standingWith('qt-a-cu30', [...known, reading], hours).counts[0]!.has).toBeGreaterThanOrEqual(
          before.has - 1e-6,
        )
      },
    ),
    { numRuns: RUNS },
  )
})

test('what happens in other water, and its corrections, change nothing here', () => {
  fc.assert(
    fc.property(
      fc.array(happening('qt-c-hybrid'), { maxLength: 10 }),
      fc.double({ min: 0, max: 900, noNaN: true }),
      (happenings, hours) => {
        const elsewhere: Content[] = [
          { kind: 'contact', ...at(hours / 2), tankId: 'far', what: 'water' },
          {
            kind: 'arrival',
            ...at(hours / 3),
            animalId: 'stranger',
            tankId: 'far',
            species: 'fish',
            group: 'hawkfish',
            count: 1,
          },
          { kind: 'water-change', ...at(hours / 4), tankId: 'far', litres: 10 },
        ]
        expect(standingWith('qt-c-hybrid', [...happenings, ...elsewhere], hours).counts).toEqual(
          standingWith('qt-c-hybrid', happenings, hours).counts,
        )
      },
    ),
    { numRuns: RUNS },
  )
})
