import { COMPARED_CONDITIONS, COVERAGE, SCHOOL_LABELS } from '../catalogue/courses/coverage.data.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { definitionById } from '../catalogue/courses/definitions.ts'
import { SCHOOL_ADVICE, PLAIN_ADVICE } from '../catalogue/courses/school-advice.data.ts'
import { ANIMAL_GROUPS } from '../catalogue/animal-groups.data.ts'
import { SENSITIVITIES } from '../catalogue/treatments/sensitivities.data.ts'
import { quarantine } from '../courses/testing/schools.ts'
import { animalById, type Animal } from '../household/animals.ts'
import { runOperation } from '../operations/run.ts'
import { adviceOn, gatheredAdvice, splitAdvice } from './advice.ts'
import { awaitedAsAnimals } from './awaited.ts'
import { compareSchools } from './compare.ts'
import { MODELLED, riskInputOf } from './risk.ts'
import { usualAssumption } from '../risk/shelter.ts'

const usual = { 'marine-ich': usualAssumption('marine-ich'), 'marine-velvet': usualAssumption('marine-velvet') }

const fish = (group: string, name = 'Fin'): Animal => ({
  id: name,
  name,
  species: group,
  group,
  count: 1,
  firstCount: 1,
  sizeCm: null,
  arrivedAt: 0,
  stays: [],
  changes: [],
  end: null,
})

function compared(groups: readonly string[] = [], assumptions = usual) {
  const it = quarantine({ definition: 'qt-f-observe' })
  const { columns, advice } = compareSchools(
    it.journal,
    { animals: groups.map((group, i) => fish(group, `Fin ${i}`)), tankId: null, now: it.ms(0, '09:00') },
    assumptions,
  )
  return { column: (id: string) => columns.find(({ definition }) => definition.id === id)!, columns, advice }
}

describe('the risk left', () => {
  test('each school’s number is what course.risk answers on the command line', () => {
    for (const { definition, risks } of compared().columns)
      for (const { parasite, risk } of risks) {
        const input = riskInputOf(definition, usual[parasite])
        if (risk === null) continue
        const asked = runOperation('course.risk', input!)
        expect(asked.ok && asked.value.risk).toBe(risk)
      }
  })

  test.each([
    ['qt-a-cu30', 'marine-ich', 0.04, 0.005],
    ['qt-b-drug14', 'marine-ich', 0, 0.001],
    ['qt-c-ttm', 'marine-ich', 0.0005, 0.0002],
    ['qt-c-ttm', 'marine-velvet', 0.64, 0.01],
    ['qt-c-velvet', 'marine-velvet', 0, 0.001],
  ])('%s leaves of %s what quarantine.md 4.1 prints', (id, parasite, expected, within) => {
    const { risk } = compared()
      .column(id)
      .risks.find((one) => one.parasite === parasite)!
    expect(Math.abs(risk! - expected)).toBeLessThan(within)
  })

  test('a heavier infection leaves more, and what shields nothing has no number but a reason', () => {
    const heavy = { ...usual, 'marine-ich': usualAssumption('marine-ich', 'heavy') }
    expect(compared([], heavy).column('qt-a-cu30').risks[0]!.risk).toBeGreaterThan(
      compared().column('qt-a-cu30').risks[0]!.risk!,
    )
    const none = compared().column('qt-g-none').risks
    expect(none.map(({ risk }) => risk)).toEqual([null, null])
    expect(none[0]!.why).toMatch(/nothing in it stops/)
    expect(compared().column('qt-d-hypo').risks[1]).toMatchObject({ risk: null })
  })

  test('the hybrid says that its baths are not in the number', () => {
    expect(compared().column('qt-c-hybrid').risks[1]!.why).toMatch(/baths/)
  })
})

describe('what each covers and asks', () => {
  test('every marine school has a column, a row of coverage and a short name', () => {
    const { columns } = compared()
    expect(columns.map(({ definition }) => definition.id).sort()).toEqual(Object.keys(COVERAGE).sort())
    for (const { definition, covers } of columns) {
      expect(SCHOOL_LABELS[definition.id]).toBeDefined()
      expect(covers.map(({ condition }) => condition)).toEqual([...COMPARED_CONDITIONS])
      // What is not plain has its reason.
      for (const { how, why } of covers) if (how === 'part' || how === 'disputed') expect(why).toBeTruthy()
    }
  })

  test('claims that are disputed are told as such and not counted: further-schools.md 1', () => {
    const of = (id: string, condition: string) =>
      compared()
        .column(id)
        .covers.find((one) => one.condition === condition)!.how
    expect(of('qt-a-cq30', 'uronema')).toBe('disputed')
    expect(of('qt-c-hybrid', 'brooklynella')).toBe('part')
    expect(of('qt-a-cu30', 'brooklynella')).toBe('no')
  })

  test('days, moves, doses and handling come from the definitions', () => {
    const { column } = compared()
    expect(column('qt-c-velvet')).toMatchObject({ coreDays: 12, moves: 8, doses: 0, load: 10 })
    expect(column('qt-c-hybrid')).toMatchObject({ moves: 4, doses: 2, load: 12, effortHours: [12, 16] })
    expect(column('qt-a-cq30')).toMatchObject({ coreDays: 30, moves: 0, doses: 1, watch: { least: 14, preferred: 28 } })
    expect(column('qt-e-uronema')).toMatchObject({ doses: 21, load: 3 })
    expect(column('qt-d-hypo').load).toBe(7)
  })

  test('what is missing on the shelf and among the kits is said', () => {
    const needs = (id: string) =>
      Object.fromEntries(
        compared()
          .column(id)
          .needs.map(({ what, has }) => [what, has]),
      )
    expect(needs('qt-a-cu30')).toMatchObject({ copper: true, 'a photometer for copper': false })
    expect(needs('qt-a-cq30')['chloroquine phosphate']).toBe(false)
    expect(needs('qt-c-ttm')['second tank set']).toBe(true)
    expect(needs('qt-e-uronema')['metronidazole']).toBe(true)
    expect(needs('qt-g-none')).toEqual({})
  })

  test('copper and a mandarin: refused; chloroquine at its full strength and a leopard wrasse too', () => {
    const concern = (id: string, group: string) => compared([group]).column(id).concerns[0]
    expect(concern('qt-a-cu30', 'dragonet')).toMatchObject({ severity: 'block', rule: 'dragonet' })
    expect(concern('qt-c-ttm', 'dragonet')).toBeUndefined()
    expect(concern('qt-a-cq30', 'wrasse-sand')).toMatchObject({ severity: 'block' })
    // A milder drug of the school speaks for it: copper in its gentle range.
    expect(concern('qt-b-drug14', 'wrasse-sand')).toMatchObject({ severity: 'caution' })
    expect(concern('qt-d-hypo', 'elasmobranch')).toMatchObject({ severity: 'block' })
  })

  test('a shrimp in the tank speaks against copper there', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    it.write({
      kind: 'arrival',
      ...it.at(-1, '12:00'),
      animalId: 's',
      tankId: 'quar',
      species: 'shrimp',
      group: 'shrimp',
      count: 1,
    })
    const { columns } = compareSchools(
      it.journal,
      { animals: [animalById(it.journal, 'cobalt')!], tankId: 'quar', now: it.ms(0, '09:00') },
      usual,
    )
    const of = (id: string) => columns.find(({ definition }) => definition.id === id)!.concerns.map(({ rule }) => rule)
    expect(of('qt-a-cu30')).toContain('drug-invert')
    expect(of('qt-c-ttm')).not.toContain('drug-invert')
  })
})

describe('advice', () => {
  test('every sensitivity of a marine fish has its sentence, and every school named exists', () => {
    const rows = SENSITIVITIES.filter(({ id }) =>
      ANIMAL_GROUPS.some(({ sensitivity, kind, water }) => sensitivity === id && kind === 'fish' && water === 'marine'),
    )
    for (const { id } of rows) expect(SCHOOL_ADVICE.some(({ of }) => of === id)).toBe(true)
    for (const { schools } of [...SCHOOL_ADVICE, PLAIN_ADVICE])
      for (const id of schools) expect(definitionById(id)).toBeDefined()
  })

  test('no school that an animal must avoid is advised for it', () => {
    for (const { id: group, kind, water } of ANIMAL_GROUPS) {
      if (kind !== 'fish' || water !== 'marine') continue
      const { column } = compared([group])
      for (const school of adviceOn(fish(group)).schools)
        expect([
          group,
          school,
          column(school).concerns.filter(({ severity }) => severity === 'block' || severity === 'never'),
        ]).toEqual([group, school, []])
    }
  })

  test('two that want different schools: a school that both bear, else tanks apart', () => {
    const advice = (...groups: string[]) => groups.map((group, i) => adviceOn(fish(group, `Fin ${i}`)))
    expect(splitAdvice(advice('hawkfish', 'filefish'))).toBeNull()
    expect(splitAdvice(advice('hawkfish', 'clownfish'))).toMatch(/All of them bear/)
    expect(splitAdvice(advice('elasmobranch', 'surgeonfish'))).toMatch(/a tank for each, 3 m apart/)
    expect(splitAdvice([])).toBeNull()
  })

  test('those of one advice are told together', () => {
    const gathered = gatheredAdvice(
      ['hawkfish', 'clownfish', 'filefish'].map((group, i) => adviceOn(fish(group, `Fin ${i}`))),
    )
    expect(gathered.map(({ who }) => who)).toEqual([['Fin 0', 'Fin 2'], ['Fin 1']])
  })
})

test('awaited fish are compared for before they come; awaited corals are not', () => {
  const it = quarantine({ definition: 'qt-f-observe' })
  for (const [expectedId, group] of [
    ['x', 'anthias'],
    ['y', 'coral-lps'],
  ] as const)
    it.write({
      kind: 'expected',
      ...it.at(0, '08:00'),
      expectedId,
      tankId: 'quar',
      species: group,
      group,
      count: 1,
      due: it.at(2, '08:00').happened,
    })
  expect(awaitedAsAnimals(it.journal).map(({ id }) => id)).toEqual(['x'])
})

test('fresh water and low salinity are no column too many: each compared school is of salt water', () => {
  expect(DEFINITIONS.filter(({ kind, water }) => kind === 'school' && water !== undefined).map(({ id }) => id)).toEqual(
    ['qt-freshwater'],
  )
  expect(MODELLED).toHaveLength(2)
})
