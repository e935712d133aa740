import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { ORGANISMS } from '../catalogue/handbook/organisms.data.ts'
import { FRESHWATER_CONDITIONS, MARINE_CONDITIONS, TREAT_FOR_BOTH } from '../catalogue/handbook/conditions.data.ts'
import { conditionFacts } from './condition-facts.ts'
import { cautionsOf, inPlainWords, isChemical, nextSteps, treatmentName } from './next-steps.ts'
import { inSentence, likelihoodText, oftenText } from './words.ts'

test('a disease leads to the schools and add-ons that treat it, in water of its kind', () => {
  const velvet = nextSteps('marine-fish', conditionFacts('marine-velvet')!)
  expect(velvet.map(({ definition }) => definition)).toEqual(
    expect.arrayContaining(['qt-b-drug14', 'qt-a-cu30', 'qt-a-cq30', 'qt-c-velvet']),
  )
  for (const { definition, label } of velvet) {
    expect(DEFINITIONS.find(({ id }) => id === definition)!.treats).toContain('marine-velvet')
    expect(label).toMatch(/^[A-Z]/)
  }
  expect(nextSteps('marine-fish', conditionFacts('lymphocystis')!)).toEqual([])
  expect(nextSteps('freshwater-fish', conditionFacts('fw-ich')!).map(({ definition }) => definition)).not.toContain(
    'qt-a-cu30',
  )
})

test('an outbreak leads to its two plans as courses, the further ones after them', () => {
  expect(nextSteps('freshwater-algae', conditionFacts('black-beard-algae')!)).toMatchObject([
    { definition: 'peroxide-emersed', label: 'Peroxide out of the water', caution: 'air-dry roots kill plants' },
    { definition: 'peroxide-spot' },
    { definition: 'peroxide-lift-and-spot' },
  ])
  expect(nextSteps('coral-and-pests', conditionFacts('zoa-nudi')!)[0]).toMatchObject({ definition: 'coral-dip-cycle' })
  expect(isChemical({ definition: 'peroxide-spot' })).toBe(true)
  expect(isChemical({ definition: 'watch-wait' })).toBe(false)
  expect(isChemical({ definition: 'dino-uv' })).toBe(false)
})

test('every plan that an organism names is run as a course', () => {
  for (const { id } of ORGANISMS.rows) {
    const { plans } = conditionFacts(id)!
    expect(plans.length).toBeGreaterThan(0)
    expect([id, nextSteps('coral-and-pests', conditionFacts(id)!).map(({ definition }) => definition)]).toEqual([
      id,
      expect.arrayContaining([...plans]),
    ])
  }
})

test('every treatment of a condition has words', () => {
  for (const { treatment } of [...MARINE_CONDITIONS.rows, ...FRESHWATER_CONDITIONS.rows])
    for (const { id } of treatment.flat()) if (id !== null) expect(treatmentName(id)).toMatch(/^[^-]{3,}/)
  expect(treatmentName('act-aerate')).toBe('air: stone and surface ripple full on')
  expect(treatmentName('cu-any')).toMatch(/copper/)
  expect(treatmentName('tank-transfer')).toBe('tank transfer')
  expect(treatmentName(null)).toBe('')
})

test('no id of the handbook is left in a sentence that is shown', () => {
  expect(inPlainWords('cu-any or chloroquine first; diagnostic fw-dip; discuss act-euthanasia')).toBe(
    'copper, in one of its forms or chloroquine first; diagnostic freshwater dip; discuss a humane end, with a veterinarian, by local law',
  )
  const sentences = [
    ...TREAT_FOR_BOTH.rows.map(({ do: what }) => what),
    ...[...MARINE_CONDITIONS.rows, ...FRESHWATER_CONDITIONS.rows].flatMap(({ note }) => note ?? []),
  ]
  for (const sentence of sentences) expect(inPlainWords(sentence)).not.toMatch(/\b(act|cu|fw)-[a-z]/)
})

test('a medicine that is named brings its caution and what the law says; copper in any form, copper’s', () => {
  const names = (words: string) =>
    cautionsOf(words)
      .map(({ id }) => id)
      .sort()
  expect(names('formalin bath + metronidazole in water and food')).toEqual(['formalin', 'metronidazole'])
  expect(names('cu-any peroxide')).toEqual(expect.arrayContaining(['cu-chelated', 'peroxide']))
  expect(names('act-aerate')).toEqual([])
  expect(cautionsOf('formalin')[0]!.caution).toMatch(/Carcinogen.*Restricted/)
})

test('likelihoods and frequencies in words', () => {
  expect([0.999, 0.88, 0.0149, 0.001].map(likelihoodText)).toEqual(['> 99 %', '88 %', '1 %', '< 1 %'])
  expect([0.95, 0.6, 0.4, 0.05, 0.01].map(oftenText)).toEqual([
    'nearly always',
    'mostly',
    'sometimes',
    'seldom',
    'hardly ever',
  ])
  expect(['White grains', 'NO3 < 1'].map(inSentence)).toEqual(['white grains', 'NO3 < 1'])
})
