import type { ContentOf } from '../journal/entry.ts'
import { quarantine, type Quarantine } from '../courses/testing/schools.ts'
import { concernsOf, type Concern } from './concerns.ts'

const words = (concerns: readonly Concern[]) => concerns.map(({ rule, severity }) => `${rule}: ${severity}`)

/** A quarantine in which chelated copper stands at 2.25 mg/L in a course of its own. */
function underCopper(): Quarantine {
  const it = quarantine({
    definition: 'qt-a-cu30',
    start: { options: { drug: 'cu-chelated-std', deworm: 'none' } },
  })
  it.dose(0, '09:00', 'cu-chelated', 135)
  it.reading(1, '09:00', 'copper', 2.25)
  return it
}

const start = (it: Quarantine, definition: string, extra: Partial<ContentOf<'course-start'>> = {}) =>
  concernsOf(
    it.journal,
    {
      kind: 'course-start',
      ...it.at(2, '09:00'),
      courseId: 'new',
      definition,
      tanks: { main: 'quar' },
      animalIds: ['cobalt', 'ash'],
      ...extra,
    },
    { now: it.ms(2, '09:00') },
  )
const dose = (it: Quarantine, ingredient: string, massMg: number) =>
  concernsOf(
    it.journal,
    { kind: 'dose', ...it.at(2, '09:00'), tankId: 'quar', ingredient, amount: 1, unit: 'g', massMg },
    { now: it.ms(2, '09:00') },
  )

describe('add-ons beside copper, before they are added and when they fall due: quarantine.md 6', () => {
  test('dewormings: two cautions, bloom and oxygen; the same when the dose is given', () => {
    const expected = ['cu-praziquantel: caution', 'prazi-any: caution']
    expect(words(start(underCopper(), 'qt-add-worm'))).toEqual(expected)
    expect(words(dose(underCopper(), 'praziquantel', 150))).toEqual(expect.arrayContaining(expected))
  })

  test('metronidazole: a note, often combined without known harm', () => {
    expect(words(start(underCopper(), 'qt-add-metro'))).toEqual(['cu-metronidazole: note'])
  })

  test('an antibiotic: finish the copper first unless the ulcer is the killer, as the handbook has it', () => {
    const found = start(underCopper(), 'qt-add-kanamycin').find(({ rule }) => rule === 'cu-antibiotic')!
    expect(found.severity).toBe('caution')
    expect(found.reason).toMatch(/[Ff]inish copper first unless the ulcer is the killer/)
  })

  test('low salinity with copper in the water is refused, and copper into low salinity too', () => {
    expect(words(start(underCopper(), 'qt-d-hypo'))).toEqual(
      expect.arrayContaining(['cu-hypo: block', 'two-schools: block']),
    )
    const low = quarantine({ definition: 'qt-d-hypo' })
    expect(words(dose(low, 'cu-chelated', 30))).toContain('cu-hypo: block')
  })

  test('a school beside another for the same fish is refused; an add-on and a rest are not schools', () => {
    expect(words(start(underCopper(), 'qt-c-ttm'))).toEqual(['two-schools: block'])
    expect(words(start(underCopper(), 'rest'))).toEqual([])
  })
})

describe('medicine with the food', () => {
  const feed = (it: Quarantine, ingredient: string) =>
    concernsOf(
      it.journal,
      { kind: 'feed', ...it.at(2, '09:00'), tankId: 'quar', foodG: 2, ingredient, mgPerG: 2.5 },
      { now: it.ms(2, '09:00') },
    )

  test('fenbendazole and a snail in the tank: refused; a plain meal says nothing', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    expect(words(feed(it, 'fenbendazole'))).toEqual([])
    it.write({
      kind: 'arrival',
      ...it.at(1, '08:00'),
      animalId: 's',
      tankId: 'quar',
      species: 'turbo',
      group: 'snail',
      count: 1,
    })
    expect(words(feed(it, 'fenbendazole'))).toEqual(['drug-invert: block'])
    expect(
      concernsOf(
        it.journal,
        { kind: 'feed', ...it.at(2, '09:00'), tankId: 'quar', foodG: 2 },
        { now: it.ms(2, '09:00') },
      ),
    ).toEqual([])
  })

  test('an add-on that feeds it is asked about before it starts', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    it.write({
      kind: 'arrival',
      ...it.at(1, '08:00'),
      animalId: 's',
      tankId: 'quar',
      species: 'turbo',
      group: 'snail',
      count: 1,
    })
    expect(words(start(it, 'qt-add-soak', { options: { soak: 'fenbendazole' } }))).toEqual(['drug-invert: block'])
    expect(words(start(it, 'qt-add-soak', { options: { soak: 'praziquantel' } }))).toEqual(['prazi-invert: caution'])
  })
})

describe('formalin baths', () => {
  const bath = (it: Quarantine, extra: Partial<ContentOf<'bath'>> = {}) =>
    concernsOf(
      it.journal,
      {
        kind: 'bath',
        ...it.at(2, '09:00'),
        tankId: 'quar',
        animalIds: ['cobalt'],
        ingredient: 'formalin',
        amount: 1.58,
        unit: 'mL',
        massMg: 1580,
        litres: 10,
        minutes: 50,
        ...extra,
      },
      { now: it.ms(2, '09:00') },
    )
  const of = (it: Quarantine, extra?: Partial<ContentOf<'bath'>>) => words(bath(it, extra))

  test('in its range, for a damselfish: air, as its row asks; nothing more', () => {
    expect(of(quarantine({ definition: 'qt-f-observe' }))).toEqual(['anthias-chromis: caution'])
  })

  test('over 167 µL/L or over an hour is refused, with the unit it is counted in', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    expect(of(it, { massMg: 2000 })).toContain('over-band: block')
    expect(bath(it, { massMg: 2000 })[0]!.what).toMatch(/200 µL\/L/)
    expect(of(it, { minutes: 75 })).toContain('bath-too-long: block')
  })

  test('over 27 °C it is refused; at 26 it is not', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    expect(of(it, { temperatureC: 28 })).toContain('formalin-warm: block')
    expect(of(it, { temperatureC: 26 })).not.toContain('formalin-warm: block')
  })

  test('an open sore is said', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    it.look(1, '18:00', { animalIds: ['cobalt'], signs: [{ sign: 'open-ulcer', present: true }] })
    expect(of(it)).toContain('formalin-sore: caution')
    expect(of(it, { animalIds: ['ash'] })).not.toContain('formalin-sore: caution')
  })

  test('peroxide within 48 h on the same fish is refused, whichever came first', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    const peroxide = (day: number, time: string): ContentOf<'bath'> => ({
      kind: 'bath',
      ...it.at(day, time),
      tankId: 'quar',
      animalIds: ['cobalt'],
      ingredient: 'peroxide',
      amount: 10,
      unit: 'mL',
      massMg: 300,
      litres: 4,
      minutes: 30,
    })
    it.write(peroxide(0, '10:00'))
    expect(of(it)).toContain('formalin-peroxide: block')
    expect(of(it, { animalIds: ['ash'] })).not.toContain('formalin-peroxide: block')
    // Two days later to the minute it may be given.
    expect(of(it, it.at(2, '10:00'))).not.toContain('formalin-peroxide: block')
  })
})

test('a new fish does not set back what it cannot: an add-on, a rest, a plan', () => {
  const it = quarantine({ definition: 'rest' })
  const coming = concernsOf(
    it.journal,
    {
      kind: 'arrival',
      ...it.at(1, '09:00'),
      animalId: 'n',
      tankId: 'quar',
      species: 'goby',
      group: 'goby-blenny',
      count: 1,
    },
    { now: it.ms(1, '09:00') },
  )
  expect(words(coming)).toEqual([])
})
