import { DEFINITIONS } from '../../catalogue/courses/all-definitions.ts'
import { definitionById, type Role } from '../../catalogue/courses/definitions.ts'
import { METRIC } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { concernsOf } from '../../safety/concerns.ts'
import { zoneClock } from '../../time/zone.ts'
import { judgeStart, readStartForm, startDefaults, tanksForStart } from './read-start-form.ts'
import { startProblems } from './start-form.ts'
import { tankFits, whyNotFit } from './tank-fit.ts'

const NOW = Date.parse('2026-11-20T12:00:00Z')
const on = (days: number) => ({ happened: new Date(NOW + days * 86_400_000).toISOString() })
const tank = (
  tankId: string,
  role: ContentOf<'tank-setup'>['role'],
  more: Partial<ContentOf<'tank-setup'>> = {},
): Content => ({
  kind: 'tank-setup',
  ...on(-90),
  tankId,
  name: tankId,
  water: 'marine',
  role,
  sheet: { shape: { kind: 'known', litres: role === 'display' ? 300 : 40 } },
  ...more,
})
const lives = (animalId: string, tankId: string, group: string): Content => ({
  kind: 'arrival',
  ...on(-60),
  animalId,
  tankId,
  species: group,
  group,
  count: 1,
  name: animalId,
})

const HOUSE: readonly Content[] = [
  tank('reef', 'display'),
  lives('plum', 'reef', 'clownfish'),
  lives('urchin', 'reef', 'star-urchin'),
  tank('empty-reef', 'display'),
  tank('quar', 'quarantine'),
  lives('ash', 'quar', 'clownfish'),
  tank('spare', 'quarantine'),
  tank('rocky', 'quarantine', { contents: ['rock'] }),
  tank('frags', 'frag'),
  tank('tub', 'tub'),
  tank('used-tub', 'tub'),
  lives('needle', 'used-tub', 'hawkfish'),
  tank('bucket', 'bucket'),
  tank('pond', 'quarantine', { water: 'freshwater' }),
]

function house(...more: readonly Content[]): Journal {
  const journal = new Journal()
  const { record } = scribe('2026-01-01T00:00:00Z')
  journal.add([...HOUSE, ...more].map((content) => record(content)))
  return journal
}
const fitting = (definitionId: string, role: Role, journal = house()) =>
  tankFits(journal, definitionById(definitionId)!, role).flatMap(({ tank: { id }, why }) => (why === null ? [id] : []))
const why = (definitionId: string, role: Role, tankId: string, journal = house()) => {
  const found = tankFits(journal, definitionById(definitionId)!, role).find(({ tank: { id } }) => id === tankId)
  return found!.why
}

describe('a tub for baths', () => {
  test('is a tub or bucket without anybody in it, never a display', () => {
    for (const { id, roles } of DEFINITIONS)
      if (roles.some(({ role }) => role === 'tub')) expect([id, fitting(id, 'tub')]).toEqual([id, ['tub', 'bucket']])
  })

  test.each([
    ['reef', 'not a tub, jar or bucket'],
    ['empty-reef', 'not a tub, jar or bucket'],
    ['spare', 'not a tub, jar or bucket'],
    ['used-tub', 'has needle in it'],
  ])('%s %s', (tankId, words) => {
    expect(why('qt-add-formalin', 'tub', tankId)).toBe(words)
  })

  test('the water of another course is none for a bath', () => {
    const journal = house({
      kind: 'course-start',
      ...on(-2),
      courseId: 'corals',
      definition: 'coral-76',
      tanks: { main: 'tub' },
      animalIds: [],
      partIds: [],
      options: {},
      products: {},
    })
    expect(why('qt-add-formalin', 'tub', 'tub', journal)).toMatch(/^in use for /)
  })

  test('in which animals live it is never one, in whatever way it was chosen', () => {
    const proposed = (tub: string): Content => ({
      kind: 'course-start',
      ...on(0),
      courseId: 'next',
      definition: 'qt-add-formalin',
      tanks: { main: 'quar', tub },
      animalIds: ['ash'],
      options: {},
      products: {},
    })
    const severities = (tub: string) =>
      concernsOf(house(), proposed(tub), { now: NOW }).flatMap(({ rule, severity }) =>
        rule === 'bath-tub' ? [severity] : [],
      )
    expect(['reef', 'empty-reef', 'used-tub', 'tub', 'bucket'].map(severities)).toEqual([
      ['never'],
      ['never'],
      ['never'],
      [],
      [],
    ])
  })

  test('the form refuses one that was asked for all the same', () => {
    const journal = house()
    const place = { journal, settings: { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') }, now: NOW }
    const values = startDefaults(place, { definitionId: 'qt-add-formalin', tankId: 'quar' })
    const filled = { ...values, tanks: { ...values.tanks, tub: 'reef' } }
    expect(startProblems(filled, judgeStart(filled, place))['tanks.tub']).toEqual({
      message: 'reef: not a tub, jar or bucket',
    })
    expect('problems' in readStartForm(filled, place, 'c')).toBe(true)
  })
})

test('transfer sets are bare quarantine tanks; the second has nobody in it', () => {
  expect(fitting('qt-c-ttm', 'main')).toEqual(['quar', 'spare', 'tub', 'used-tub'])
  expect(fitting('qt-c-ttm', 'other')).toEqual(['spare', 'tub'])
  expect(why('qt-c-ttm', 'other', 'rocky')).toBe('holds rock, which cannot be bleached and dried')
})

test('the fish move on into a bare quarantine tank, never a display', () => {
  expect(fitting('qt-b-drug14', 'observe')).toEqual(['quar', 'spare', 'tub', 'used-tub'])
  expect(why('qt-b-drug14', 'observe', 'empty-reef')).toMatch(/^not a bare quarantine tank/)
})

test('days without fish are for a display or corals, those without fish first; a bare tank is dried instead', () => {
  expect(fitting('fallow-76', 'main')).toEqual(['empty-reef', 'frags', 'tub', 'reef', 'used-tub'])
  expect(why('fallow-76', 'main', 'spare')).toBe('not a display or a tank of corals: it is emptied and dried instead')
  const place = {
    journal: house(),
    settings: { timeZone: 'UTC', units: METRIC, clock: zoneClock('UTC') },
    now: NOW,
  }
  expect(startDefaults(place, { definitionId: 'fallow-76' }).tanks['main']).toBe('empty-reef')
  // It can be planned while fish are still in.
  expect(tanksForStart(place.journal, definitionById('fallow-76')!).map(({ id }) => id)).toContain('reef')
})

test('a plan runs in its own water alone', () => {
  const journal = house()
  const pond = tankFits(journal, definitionById('dino-uv')!, 'main').find(({ tank: { id } }) => id === 'pond')!
  expect(pond.why).toBe('holds fresh water, and this is for sea water')
  expect(whyNotFit(journal, definitionById('planaria-fenbendazole')!, 'main', pond.tank)).toBeNull()
})
